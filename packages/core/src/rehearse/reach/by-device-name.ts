import { childrenOf } from '../../model/order.js';
import type { Port } from '../../model/port.js';
import type { Reader } from '../../model/project.js';
import { reached, stopped, type Reached } from './reached.js';

/** Whoever has a device name on the network of a port. */
export function byDeviceName(reader: Reader, from: Port, text: string): Reached {
  const name = text.trim().toLowerCase();
  if (name === '') return stopped('no device name is entered');
  const network = from.network ? reader.get('network', from.network) : undefined;
  if (!network) return stopped('the port is attached to no network');
  const all = childrenOf(reader, 'port', network.id).filter(
    (port) => port.enabled && (port.deviceName ?? '').trim().toLowerCase() === name,
  );
  if (all.length > 1) return stopped(`two devices have the name ${name}`);
  return all[0] ? reached(all[0]) : stopped(`nobody on ${network.name} has the name ${name}`);
}
