import { read, unread, type Read } from '../text/read.js';

/** What a part holds from the start: so many bytes, in the order in which they stand. */
export interface StartContent {
  bytes: readonly number[];
  /** what was written: an IPv4 address, a text with its count before it, or bytes */
  of: 'address' | 'text' | 'bytes';
}

const EXPECTED = 'write an address as 10.8.2.40, a text as ‘BakeCtl’, or bytes as 10 8 2 40 or 16#0A 08 02 28';

/**
 * The contents of a part that start values write: an IPv4 address as its four bytes, a text in quotes as a byte that counts
 * its characters and then these, or bytes, decimal or after 16# hexadecimal. [common practice]
 */
export function parseStartContent(text: string): Read<StartContent> {
  const clean = text.trim();
  const octets = clean.split('.');
  if (octets.length === 4 && octets.every((one) => /^\d{1,3}$/.test(one) && Number(one) <= 255))
    return read({ bytes: octets.map(Number), of: 'address' });
  const [, quoted] = /^[‘'"“](.*)[’'"”]$/s.exec(clean) ?? [];
  if (quoted !== undefined) {
    const characters = [...quoted];
    if (characters.length > 255)
      return unread(`“${clean}” has ${characters.length} characters`, 'its count is one byte: 255 at most');
    if (characters.some((one) => one.charCodeAt(0) > 126 || one.charCodeAt(0) < 32))
      return unread(`“${clean}” has characters beyond ASCII`, 'write it with letters, digits and signs of ASCII');
    return read({ bytes: [characters.length, ...characters.map((one) => one.charCodeAt(0))], of: 'text' });
  }
  const hex = /^16#/.test(clean);
  const parts = clean.replace(/^16#/, '').split(/[\s,]+/);
  const numbers = parts.map((one) => (hex ? parseInt(one, 16) : Number(one)));
  const written = hex ? /^[0-9a-f]{1,2}$/i : /^\d{1,3}$/;
  if (parts.every((one) => written.test(one)) && numbers.every((one) => one <= 255))
    return read({ bytes: numbers, of: 'bytes' });
  return unread(`“${clean}” is no contents of a part`, EXPECTED);
}

/** `0A 08 02 28` */
export const formatContent = ({ bytes }: StartContent): string =>
  bytes.map((one) => one.toString(16).toUpperCase().padStart(2, '0')).join(' ');
