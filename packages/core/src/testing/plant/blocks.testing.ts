import type { Claim, ClaimItem, TypeRef } from '../../model/claim.js';
import type { End } from '../../model/end.js';
import type { Exchange } from '../../model/exchange.js';
import type { Dice } from './dice.testing.js';
import type { Memory } from './memories.testing.js';
import type { Plant } from './plant.testing.js';

type Base = 'INT' | 'UINT' | 'WORD' | 'REAL' | 'DINT' | 'UDINT';

/** A block of values as both ends mean it. */
export interface Block {
  values: { key: string; base: Base; count: number; word: number }[];
  words: number;
  /** every value takes two registers, so that a swap of words mends it */
  long: boolean;
}

/** One array, or a few values one after the other. */
export function someBlock(dice: Dice, most: number): Block {
  const long = dice.once(2);
  const bases: readonly Base[] = long ? ['REAL', 'DINT', 'UDINT'] : ['INT', 'UINT', 'WORD'];
  const size = long ? 2 : 1;
  const count = dice.from(1, 5);
  const room = Math.max(1, Math.floor(most / size / count));
  const values: Block['values'] = [];
  for (let i = 0, word = 0; i < count; i++) {
    const value = { key: `v${i}`, base: dice.pick(bases), count: dice.from(1, Math.min(6, room)), word };
    values.push(value);
    word += value.count * size;
  }
  return { values, words: values.reduce((sum, v) => sum + v.count * size, 0), long };
}

/** What one end types of a block: an array as a whole, or its values by name. */
export function claimOf(plant: Plant, block: Block, memory: Memory, word: number): Partial<Claim> {
  const [only] = block.values;
  const type = (v: Block['values'][number]): TypeRef => ({ base: v.base, count: v.count });
  const items = (): Record<string, ClaimItem> =>
    Object.fromEntries(
      block.values.map((v) => [v.key, { name: plant.word(), type: type(v), offset: { bits: v.word * 16 } }]),
    );
  return {
    place: memory.place(word),
    length: memory.length(block.words),
    ...(block.values.length === 1 ? { type: type(only!), items: {} } : { type: null, items: items() }),
  };
}

export interface BlockEnd {
  end: End;
  memory: Memory;
  /** it names the other’s place */
  names?: boolean;
}

/**
 * A lane between two ends: the one that calls names the other’s place in the other’s notation; where registers lie in
 * another order, one of the two swaps. `by` says what travels: words as numbers, or bytes as they lie.
 */
export function blockLane(
  plant: Plant,
  exchange: Exchange,
  source: BlockEnd,
  sink: BlockEnd,
  by: 'words' | 'bytes',
): void {
  const { dice } = plant;
  const block = someBlock(dice, 40);
  const lane = plant.lane(exchange);
  plant.meant(lane, block.values);
  const [from, to] = [source.memory.take(block.words), sink.memory.take(block.words)];
  const { registers: ra, bytes: ba } = source.memory.sort;
  const { registers: rb, bytes: bb } = sink.memory.sort;
  // Where bytes travel as they lie, each word of another byte order has to be turned at one end, too.
  const words = block.long && ra !== rb;
  const bytes = by === 'bytes' && ba !== bb;
  const swap = words ? (bytes ? 'bytes and words' : 'words') : bytes ? 'bytes' : null;
  const atSource = dice.once(2);
  plant.claim(lane, source.end, {
    ...claimOf(plant, block, source.memory, from),
    direction: 'writes',
    swap: atSource ? swap : null,
    toldPlace: source.names ? sink.memory.text(to) : null,
  });
  plant.claim(lane, sink.end, {
    ...claimOf(plant, block, sink.memory, to),
    direction: 'reads',
    swap: atSource ? null : swap,
    toldPlace: sink.names ? source.memory.text(from) : null,
  });
}
