/** Part of the platform in browsers and in Node alike (WHATWG Encoding). */
declare class TextDecoder {
  constructor(label: string, options?: { fatal?: boolean });
  decode(bytes: Uint8Array): string;
}

export const ENCODINGS = ['UTF-8', 'UTF-16', 'UTF-16, high byte first', 'Windows-1252'] as const;
export type Encoding = (typeof ENCODINGS)[number];

const LABELS: Record<Encoding, string> = {
  'UTF-8': 'utf-8',
  'UTF-16': 'utf-16le',
  'UTF-16, high byte first': 'utf-16be',
  'Windows-1252': 'windows-1252',
};

/** The text of a file in this encoding; a byte order mark at its begin is no part of it. */
export const textIn = (bytes: Uint8Array, encoding: Encoding): string =>
  new TextDecoder(LABELS[encoding]).decode(bytes).replace(/^\uFEFF/, '');

/**
 * How a file is encoded: by its byte order mark; without one UTF-16 where every other byte of its begin is zero, UTF-8
 * where it is that throughout, else Windows-1252, as spreadsheets of older offices write.
 */
export function encodingOf(bytes: Uint8Array): Encoding {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return 'UTF-16';
  if (a === 0xfe && b === 0xff) return 'UTF-16, high byte first';
  const head = bytes.subarray(0, 64);
  const zeros = (from: number) => head.filter((byte, i) => i % 2 === from && byte === 0).length;
  if (head.length >= 8 && zeros(1) > head.length / 3 && zeros(0) === 0) return 'UTF-16';
  if (head.length >= 8 && zeros(0) > head.length / 3 && zeros(1) === 0) return 'UTF-16, high byte first';
  return fromUtf8(bytes) === null ? 'Windows-1252' : 'UTF-8';
}

/** The text of bytes that are UTF-8 throughout, without a byte order mark; null where they are not. */
export function fromUtf8(bytes: Uint8Array): string | null {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return null;
  }
}
