import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';

/** Whether IP addresses mean anything here: the port is attached to Ethernet, or to nothing yet. */
export function isOnEthernet(reader: Reader, port: Port): boolean {
  const network = port.network ? reader.get('network', port.network) : undefined;
  return network === undefined || network.kind === 'ethernet';
}
