import { read, unread, type Read } from '../text/read.js';
import type { Reader } from '../model/project.js';
import type { RouteHop } from './hop.js';

const LONG_ADDRESS = 0x10;
const EXTENDED_PORT = 15;

/**
 * One port segment: the port in the low 4 bits (15 with the number in two bytes after it, low byte first, where it is
 * above 14), bit 4 set where the link address is longer than a byte, then its length, the address, and a 0 where the count
 * of bytes would be odd. [published: ODVA Common Industrial Protocol, volume 1, appendix C: port segments] [from memory]
 */
export function portSegment(port: number, link: number | string): Read<number[]> {
  if (!Number.isInteger(port) || port < 1 || port > 65_535) {
    return unread(`port ${port} cannot be`, 'ports are numbered from 1 to 65535');
  }
  const address = typeof link === 'number' ? [link] : [...link].map((character) => character.charCodeAt(0));
  if (
    address.length === 0 ||
    address.length > 255 ||
    address.some((byte) => !Number.isInteger(byte) || byte < 0 || byte > 255)
  ) {
    return unread(`link address “${link}” cannot be`, 'it is a number from 0 to 255, or 1 to 255 characters');
  }
  const long = address.length > 1;
  const extended = port >= EXTENDED_PORT;
  const bytes = [
    (long ? LONG_ADDRESS : 0) | (extended ? EXTENDED_PORT : port),
    ...(long ? [address.length] : []),
    ...(extended ? [port & 255, port >> 8] : []),
    ...address,
  ];
  return read(bytes.length % 2 === 0 ? bytes : [...bytes, 0]);
}

/** The bytes of a path, where each hop is a link of that protocol; else why there are none. */
export function encodedPath(reader: Reader, hops: readonly RouteHop[]): Read<number[]> {
  const bytes: number[] = [];
  const strange = [...new Set(hops.flatMap(({ from, to }) => [from, to]))].find((id) => !speaksCip(reader, id));
  if (strange !== undefined) {
    const name = reader.get('station', strange)?.name ?? '';
    const expected = 'every station on the way speaks it, as its profile says';
    return unread(`${name} does not speak the Common Industrial Protocol`, expected);
  }
  for (const hop of hops) {
    if (hop.silent) continue;
    const ip = hop.kind === 'network' && /^\d+\.\d+\.\d+\.\d+$/.test(hop.address);
    if (hop.kind !== 'backplane' && !ip) {
      return unread(`${hop.way.name} is no link of the Common Industrial Protocol`, 'only Ethernet and backplanes are');
    }
    const segment = portSegment(hop.way.number, ip ? hop.address : Number(hop.address));
    if (!segment.ok) return segment;
    bytes.push(...segment.value);
  }
  return read(bytes);
}

/** A type of which nothing is known is taken at its word when somebody asks for the bytes. */
function speaksCip(reader: Reader, station: string): boolean {
  const profile = reader.get('profile', reader.get('station', station)?.profile ?? '');
  return !profile?.speaks || profile.speaks.cip !== undefined;
}

/** `01 00 12 0B 31 …` */
export const hexOf = (bytes: readonly number[]): string =>
  bytes.map((byte) => byte.toString(16).toUpperCase().padStart(2, '0')).join(' ');
