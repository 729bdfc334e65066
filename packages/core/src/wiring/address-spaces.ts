import { read, unread, type Read } from '../text/read.js';

/** A space of numbers in which each device has one of its own. */
export interface AddressSpace {
  /** the word for one number of it */
  name: string;
  least: number;
  most: number;
  /** numbers outside it that have a meaning of their own, to say so */
  special: (number: number) => string | null;
  source: string;
}

const between = (from: number, to: number, words: string) => (n: number) => (n >= from && n <= to ? words : null);
const first =
  (...tests: ((n: number) => string | null)[]) =>
  (n: number) =>
    tests.reduce<string | null>((found, test) => found ?? test(n), null);

export const SPACES = {
  /** on a serial line */
  unit: {
    name: 'unit address',
    least: 1,
    most: 247,
    special: first(between(0, 0, 'for all units at once'), between(248, 255, 'reserved')),
    source: 'Modbus over Serial Line V1.02, 2.2: 1 to 247, 0 for all, 248 to 255 reserved',
  },
  node: {
    name: 'node address',
    least: 0,
    most: 125,
    special: first(between(126, 126, 'for nodes not yet addressed'), between(127, 127, 'for all nodes at once')),
    source: 'IEC 61158 type 3: 0 to 125 for nodes at work, 126 not yet addressed, 127 for all',
  },
  telemetry: {
    name: 'telemetry address',
    least: 0,
    most: 65519,
    special: between(65520, 65535, 'reserved, or for all units at once'),
    source: 'IEEE 1815: 0 to 65519 for single units, 65520 to 65535 reserved or for all',
  },
  radio: {
    name: 'radio number',
    least: 1,
    most: 255,
    special: between(0, 0, 'for none'),
    source: 'common practice: units of a radio network are numbered from 1; a profile may say how far',
  },
} as const satisfies Record<string, AddressSpace>;
export type SpaceId = keyof typeof SPACES;

/** A number of this space, or why it is none. */
export function parseInSpace(text: string, space: AddressSpace): Read<number> {
  const clean = text.trim();
  const expected = `a ${space.name} is a whole number from ${space.least} to ${space.most}`;
  if (!/^\d{1,6}$/.test(clean)) return unread(`“${text}” is not a whole number`, expected);
  const number = Number(clean);
  if (number >= space.least && number <= space.most) return read(number);
  const special = space.special(number);
  return unread(special ? `${number} is ${special}` : `${number} is out of range`, expected);
}

/** The first number that nobody has, from the one after the highest taken, else from the bottom. Null where all are. */
export function nextFreeNumber(space: AddressSpace, taken: ReadonlySet<number>): number | null {
  const inside = [...taken].filter((n) => n >= space.least && n <= space.most);
  const after = Math.max(space.least - 1, ...inside) + 1;
  for (let n = after; n <= space.most; n++) if (!taken.has(n)) return n;
  for (let n = space.least; n <= space.most; n++) if (!taken.has(n)) return n;
  return null;
}
