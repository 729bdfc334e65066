import type { Fact } from '../facts.js';

const ADDRESS = String.raw`((?:\d{1,3}\.){3}\d{1,3})`;
const HARDWARE = String.raw`((?:[0-9a-f]{1,2}[:-]){5}[0-9a-f]{1,2}|(?:[0-9a-f]{4}\.){2}[0-9a-f]{4})`;
/** A name before an address in brackets, an address, and a hardware address after it; what stands between is passed over. */
const LINE = new RegExp(String.raw`^\s*(?:(\S+)\s+\()?${ADDRESS}\)?\s.*?${HARDWARE}(?![0-9a-f:-])`, 'i');
const NONE = new RegExp(String.raw`^\s*(?:\S+\s+\()?${ADDRESS}\)?\s.*(failed|incomplete|unreachable)`, 'i');

/** Not a device: all of a network, or a group of it. [published: RFC 1112, section 6.4; IEEE 802, section 8.2.2] [from memory] */
const forSeveral = (hardware: string): boolean => (Number.parseInt(hardware.slice(0, 2), 16) & 1) === 1;

/**
 * One line of what an operating system says of the neighbours that it knows: `10.0.0.5 dev eth0 lladdr 02:00:5e:00:00:05
 * REACHABLE`, `? (10.0.0.5) at 02:00:… [ether] on eth0`, `10.0.0.5   02-00-…   dynamic`. Null: it is none. Nothing in
 * it: it speaks of a neighbour that did not answer, or of a group.
 */
export function neighbourLine(line: string): Partial<Record<Fact, string>> | null {
  const found = LINE.exec(line);
  if (!found) return NONE.test(line) ? {} : null;
  const [, name = '', address = '', hardware = ''] = found;
  if (forSeveral(hardware)) return {};
  return { hardware, address, ...(name === '' || name === '?' ? {} : { deviceName: name }) };
}
