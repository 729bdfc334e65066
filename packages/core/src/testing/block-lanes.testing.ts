import fc from 'fast-check';
import type { Area } from '../model/area.js';
import type { Claim } from '../model/claim.js';
import type { Project } from '../model/project.js';
import type { Unit, WordBits } from '../model/words.js';
import { type MachineEnd } from './byte-machine.testing.js';
import { edited, twoStations } from './two-stations.testing.js';

/** Elements of the block's type under one name, from the n-th on. */
export interface Part {
  from: number;
  count: number;
}

/** One end says that it is a block of one type, the other names what is in it. */
export interface BlockLane {
  block: MachineEnd;
  list: MachineEnd;
  base: string;
  elements: number;
  parts: Part[];
  carries: 'words' | 'bytes' | 'bits';
  blockIsSource: boolean;
}

export const BITS: Record<string, number> = {
  BYTE: 8,
  SINT: 8,
  WORD: 16,
  INT: 16,
  UINT: 16,
  DWORD: 32,
  DINT: 32,
  REAL: 32,
  LREAL: 64,
};
export const NO_SWAP = { bytes: false, words: 'no' as const };

export const machine = fc
  .record({
    wordBits: fc.constantFrom(8, 16, 16, 32),
    view: fc.constantFrom('word', 'word', 'byte', 'bit', 'double'),
    bitsFromBottom: fc.boolean(),
    highByteFirst: fc.boolean(),
    highRegisterFirst: fc.boolean(),
    swap: fc.constantFrom(
      NO_SWAP,
      NO_SWAP,
      { bytes: false, words: 'pairs' as const },
      { bytes: true, words: 'no' as const },
    ),
  })
  .map(({ view, ...m }): MachineEnd => {
    const unit = { word: m.wordBits, byte: 8, bit: 1, double: m.wordBits * 2 }[view];
    const rest = { pairsSwapped: false, boolPacking: 'bit' as const, boolsFromBottom: true, textHeader: 0 as const };
    return { ...m, ...rest, unit, wideCharacters: false };
  });

export const parts = fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 1, maxLength: 6 }).map((counts) => {
  let from = 0;
  return counts.map((count): Part => {
    const part = { from, count };
    from += count;
    return part;
  });
});

export const blockLane: fc.Arbitrary<BlockLane> = fc
  .record({
    block: machine,
    other: machine,
    same: fc.constantFrom(true, true, true, false),
    base: fc.constantFrom(...Object.keys(BITS)),
    list: parts,
    off: fc.constantFrom('nothing', 'nothing', 'nothing', 'unnamed', 'two on one place', 'beyond', 'order'),
    carries: fc.constantFrom('words' as const, 'words' as const, 'bytes' as const, 'bits' as const),
    blockIsSource: fc.boolean(),
  })
  .map(({ block, other, same, base, list, off, carries, blockIsSource }): BlockLane => {
    const last = list.at(-1)!;
    let elements = last.from + last.count;
    let named = list;
    if (off === 'unnamed') elements += 1;
    if (off === 'two on one place')
      named = list.map((p, i) => (i === list.length - 1 && i > 0 ? { ...p, from: list[i - 1]!.from } : p));
    if (off === 'beyond') elements = Math.max(1, elements - 1);
    if (off === 'order') named = [...list].reverse();
    return { block, list: same ? { ...block } : other, base, elements, parts: named, carries, blockIsSource };
  });

/** A whole number of words at both ends, and as long as the longest of both. */
export const lengthOf = ({ base, elements, parts: list }: BlockLane): number => {
  const most = Math.max(elements, ...list.map((p) => p.from + p.count));
  return Math.ceil((most * BITS[base]!) / 64) * 8;
};

export function projectOf(lane: BlockLane): Project {
  const { block, list, base, elements, parts: named, carries, blockIsSource } = lane;
  const swap = ({ swap: s }: MachineEnd) => (s.words === 'pairs' ? 'words' : s.bytes ? 'bytes' : 'none');
  const area = (end: MachineEnd, id: string): Partial<Area> => ({
    wordBits: end.wordBits as WordBits,
    words: 10_000,
    views: {
      [id]: {
        order: 1,
        name: 'view',
        notation: 'prefix and number',
        prefix: id,
        unit: end.unit as Unit,
        first: 0,
        bitNumbering: end.bitsFromBottom ? 'from the bottom' : 'from the top',
      },
    },
    layout: {
      byteOrder: end.highByteFirst ? 'high first' : 'low first',
      registerOrder: end.highRegisterFirst ? 'high first' : 'low first',
    },
  });
  const length = { count: lengthOf(lane), unit: 8 as const };
  const items = Object.fromEntries(
    named.map((p, i) => [
      `k${i}`,
      { name: `v${i}`, type: { base, count: p.count }, offset: { bits: p.from * BITS[base]! } },
    ]),
  );
  const [mine, theirs] = blockIsSource ? (['ca', 'cb'] as const) : (['cb', 'ca'] as const);
  const place = (id: string, end: MachineEnd) =>
    id === 'ca'
      ? { area: 'areaa', view: 'u', number: 1024 / end.unit }
      : { area: 'areab', view: 'v', number: 1024 / end.unit };
  const [first, second] = blockIsSource ? [block, list] : [list, block];
  const own: Partial<Claim> = { length, swap: swap(block), type: { base, count: elements }, items: {} };
  const other: Partial<Claim> = { length, swap: swap(list), type: null, items };
  const facts = { name: 'oracle', carries, places: 'free', tcpPort: null, unitTold: false };
  return edited(
    twoStations(),
    ['exchange', 'x', 'protocol', 'other'],
    ['exchange', 'x', 'facts', facts],
    ...Object.entries(area(first, 'u')).map(([k, v]) => ['area', 'areaa', k, v] as const),
    ...Object.entries(area(second, 'v')).map(([k, v]) => ['area', 'areab', k, v] as const),
    ['lane', 'lane', 'items', Object.fromEntries(Object.keys(items).map((k, i) => [k, { order: i }]))],
    ['claim', 'ca', 'toldPlace', null],
    ...Object.entries({ ...own, place: place(mine, block) }).map(([k, v]) => ['claim', mine, k, v] as const),
    ...Object.entries({ ...other, place: place(theirs, list) }).map(([k, v]) => ['claim', theirs, k, v] as const),
  );
}
