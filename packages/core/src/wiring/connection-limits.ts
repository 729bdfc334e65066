import { PROTOCOLS } from '../protocol/catalogue.js';

/** What a limit of connections counts: all of them, those with one partner, or those over one protocol. */
export type Counted = { by: 'all' } | { by: 'partner' } | { by: 'protocol'; protocol: string };

const PER_PARTNER = 'connections-per-partner';
const BY_PROTOCOL = 'connections-by-';

/** The key of such a limit in a profile. */
export const limitKey = (counted: Counted): string =>
  counted.by === 'all' ? 'connections' : counted.by === 'partner' ? PER_PARTNER : BY_PROTOCOL + counted.protocol;

/** What the limit under this key counts; null where it is none of connections. */
export function countedBy(key: string): Counted | null {
  if (key === 'connections') return { by: 'all' };
  if (key === PER_PARTNER) return { by: 'partner' };
  return key.startsWith(BY_PROTOCOL) ? { by: 'protocol', protocol: key.slice(BY_PROTOCOL.length) } : null;
}

/** `connections`, `connections with one partner`, `connections over Modbus TCP`; of one `connection …`. */
export function connectionWords(counted: Counted, count?: number): string {
  const noun = count === 1 ? 'connection' : 'connections';
  if (counted.by === 'all') return noun;
  if (counted.by === 'partner') return `${noun} with one partner`;
  const name = PROTOCOLS.find(({ id }) => id === counted.protocol)?.name ?? counted.protocol;
  return `${noun} over ${name}`;
}
