import { parseIpv4 } from '../wiring/ipv4.js';
import type { Network } from '../model/network.js';
import type { Port } from '../model/port.js';
import { numberText } from '../wiring/numbers-on.js';

/** The address of a port on its network as a route names it; empty: it has none yet. */
export function linkAddress(network: Network, port: Port): string {
  switch (network.kind) {
    case 'ethernet': {
      const address = parseIpv4(port.address);
      return address.ok && address.value !== 0 ? port.address.trim() : '';
    }
    case 'token bus':
      return numberText(port, 'node');
    case 'serial line':
      return numberText(port, 'unit');
    case 'radio':
      return numberText(port, 'radio');
    case 'direct cable':
      return port.name || 'the other end';
  }
}
