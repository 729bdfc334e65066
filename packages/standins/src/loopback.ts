import type { Address } from './calls.js';

export const LOOPBACK = '127.0.0.1';

/** `127.0.0.1:1502`, `localhost:1502`: an address of this computer and nothing else. A sentence says what is wrong with it. */
export function loopbackAddress(typed: string): Address | string {
  const match = /^\s*([^\s:]+):(\d{1,5})\s*$/.exec(typed);
  const port = Number(match?.[2]);
  const host = match?.[1] === 'localhost' ? LOOPBACK : (match?.[1] ?? '');
  if (!match || port < 1 || port > 65_535) return `“${typed}” is no address and port; right is 127.0.0.1:1502.`;
  const bytes = host.split('.').map(Number);
  const own =
    bytes.length === 4 && bytes[0] === 127 && bytes.every((byte) => Number.isInteger(byte) && byte >= 0 && byte < 256);
  if (!own) return `${host} is not this computer; a rehearsal calls nobody but 127.0.0.1 to 127.255.255.255.`;
  return { host, port };
}

/** Ports that are tried after one that somebody else has. */
const MOST_TRIED = 500;

/** Binds to a port, or to the next that is free, so that whoever begins again finds the same; from 0 on to any. */
export async function freeFrom<T>(port: number, bind: (port: number) => Promise<T>): Promise<T> {
  for (let at = port; ; at++) {
    try {
      return await bind(at);
    } catch (error) {
      if (port === 0 || at - port >= MOST_TRIED || (error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
    }
  }
}
