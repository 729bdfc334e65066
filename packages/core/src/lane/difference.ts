import type { Blame } from '../data/chain.js';
import type { TypeRef } from '../model/claim.js';
import type { Side } from './side.js';

/** A value on one side of a comparison. `key` is empty for a block that has no items. */
export interface Value {
  key: string;
  name: string;
  type: TypeRef;
  /** bits along the row from the block's origin, see `Block` */
  offset: number;
  /** significance in its unit, where a bit was named */
  bit?: number;
  /** bits it takes along the row */
  size: number;
}

interface Pair {
  left: Side;
  right: Side;
}

/** A value as both sides have it; left is the source. */
interface ValuePair extends Pair {
  a: Value;
  b: Value;
}

/** What two claims of a lane disagree about, under the code of the rule that reports it. */
export type Difference =
  /** other slots of the coupler */
  | ({ code: 'DIR 7' } & Pair)
  | ({ code: 'DIR 1'; direction: 'writes' | 'reads' } & Pair)
  /** left says both; right has the only other direction there is */
  | ({ code: 'DIR 1'; direction: 'both'; never: 'writes' | 'reads' } & Pair)
  /** each says both of one slot, or one image, which carries one way */
  | ({ code: 'DIR 1'; direction: 'both'; never: 'together' } & Pair)
  | ({ code: 'SIZ 1' } & Pair)
  | ({ code: 'SIZ 2' } & ValuePair)
  | ({ code: 'SIZ 6'; how: 'capacity' | 'header' } & ValuePair)
  | ({ code: 'SIZ 3'; value: Value; beyond: number } & Pair)
  | ({ code: 'NAM 4' | 'NAM 8' } & Pair)
  | ({ code: 'POS 1'; how: 'told' | 'same' } & Pair)
  | ({ code: 'TYP 1' } & ValuePair)
  | ({ code: 'TYP 2'; blocks: boolean } & ValuePair)
  | ({ code: 'TYP 3' | 'TYP 4' | 'TYP 5' | 'TYP 6'; blame: Blame } & ValuePair)
  | ({ code: 'TYP 10'; how: 'one register' } & ValuePair)
  | ({ code: 'TYP 10'; how: 'overlaps'; value: Value; neighbour: Value } & Pair)
  | ({ code: 'POS 9'; value: Value; neighbour: Value } & Pair)
  | ({ code: 'TYP 9'; how: 'missing' | 'extra'; value: Value } & Pair)
  | ({ code: 'TYP 9'; how: 'moved' } & ValuePair);

export type DifferenceCode = Difference['code'];
export type DifferenceOf<C extends DifferenceCode> = Extract<Difference, { code: C }>;

/** The key of the value that a difference is about, or empty for the lane as a whole. */
export function valueKey(difference: Difference): string {
  if ('a' in difference) return difference.a.key;
  return 'value' in difference ? difference.value.key : '';
}

const WORDS: Partial<Record<DifferenceCode, string>> = {
  'SIZ 2': 'array',
  'SIZ 3': 'cut off',
  'SIZ 6': 'text header',
  'TYP 1': 'width',
  'TYP 2': 'kind of number',
  'TYP 3': 'byte order',
  'TYP 4': 'swap',
  'TYP 5': 'register order',
  'TYP 6': 'packing',
  'TYP 10': 'registers',
  'POS 9': 'overlaps',
};

/** Every value that does not arrive, by key, with the words for it. */
export function differingValues(differences: readonly Difference[]): Record<string, string> {
  const words: Record<string, string> = {};
  for (const d of differences) {
    const key = valueKey(d);
    if (key === '' || (d.code === 'SIZ 6' && d.how === 'capacity') || (d.code === 'TYP 2' && !d.blocks)) continue;
    words[key] ??=
      d.code === 'TYP 9' ? (d.how === 'moved' ? 'another place' : 'no counterpart') : (WORDS[d.code] ?? '');
  }
  return words;
}
