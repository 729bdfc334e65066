import { childrenOf } from '../../model/order.js';
import type { Port } from '../../model/port.js';
import type { Reader } from '../../model/project.js';
import { parseInSpace, SPACES, type SpaceId } from '../../wiring/address-spaces.js';
import { numberOf } from '../../wiring/numbers-on.js';
import { reached, stopped, type Reached } from './reached.js';

/** Whoever has a number, a unit or a node, on the network of a port. */
export function byNumber(reader: Reader, from: Port, space: SpaceId, text: string): Reached {
  const what = SPACES[space].name;
  if (text.trim() === '') return stopped(`no ${what} is entered`);
  const number = parseInSpace(text, SPACES[space]);
  if (!number.ok) return stopped(`“${text}” is no ${what}`);
  const network = from.network ? reader.get('network', from.network) : undefined;
  if (!network) return stopped('the port is attached to no network');
  const all = childrenOf(reader, 'port', network.id).filter(
    (port) => port.id !== from.id && port.enabled && numberOf(port, space) === number.value,
  );
  const names = all.map(({ station }) => reader.get('station', station)?.name ?? '');
  if (all.length > 1) return stopped(`${names.join(' and ')} both have ${what} ${text}`);
  return all[0] ? reached(all[0]) : stopped(`nobody on ${network.name} has ${what} ${text}`);
}
