import {
  type BitEnd,
  type BitLane,
  TABLES,
  bitLane,
  isSingle,
  namesBit,
  projectOf,
} from '../testing/bit-lanes.testing.js';
import { getBit, nthBit, nthOfWords, setBit, type Words } from '../testing/bit-machine.testing.js';
import { holds } from '../testing/oracle.testing.js';
import { compareLane } from './compare.js';

const compared = (lane: BitLane) => {
  const project = projectOf(lane);
  return compareLane(project, project.get('lane', 'lane')!, project.get('exchange', 'x')!);
};

/** The bit of an end's memory that is carried n-th. */
function carriedBit(e: BitEnd, n: number, table: boolean, single: boolean) {
  const own = isSingle(e, namesBit(e));
  return own || (single && !table) ? nthBit(e, e.first + n) : nthOfWords(e, e.first + n);
}

/** Whether every value arrives under its key: bits are set, carried one by one, and read where the sink has them. */
function everythingArrives({ source, sink, told, both, caller }: BitLane, seed: number): boolean | 'words' {
  if (told !== 0 || both || source.length !== sink.length) return false;
  const asked = caller === 'source' ? sink : source;
  const table = TABLES.includes(asked.kind);
  const single = isSingle(source, namesBit(source)) || isSingle(sink, namesBit(sink));
  if (!table && !single) return 'words';
  const valuesOf = (e: BitEnd) => (e.block ? null : e.runs);
  if (!source.block && !sink.block && source.runs.length !== sink.runs.length) return false;
  const bitsOf = (e: BitEnd) => Math.max(...e.runs.map((r) => r.from + r.count));
  // Inside an end no two values may share a bit, and none may lie outside.
  for (const e of [source, sink]) {
    const taken = new Set<number>();
    for (const run of valuesOf(e) ?? [{ key: '', from: 0, count: bitsOf(e) }]) {
      for (let i = run.from; i < run.from + run.count; i++) {
        if (taken.has(i) || i >= e.length) return false;
        taken.add(i);
      }
    }
  }
  if (source.block !== sink.block) {
    const [block, list] = source.block ? [source, sink] : [sink, source];
    const named = new Set(list.runs.flatMap((r) => Array.from({ length: r.count }, (_, i) => r.from + i)));
    const elements = bitsOf(block);
    // Every element of the block has a name at the other end, and every name an element.
    if (named.size !== elements || [...named].some((n) => n >= elements)) return false;
  } else if (source.block && bitsOf(source) !== bitsOf(sink)) return false;
  let state = seed >>> 0;
  const random = () => ((state = (Math.imul(state, 1664525) + 1013904223) >>> 0) >>> 30) & 1;
  for (let round = 0; round < 12; round++) {
    const sent: Words = [];
    const bits = Array.from({ length: source.length }, random);
    bits.forEach((bit, n) => setBit(sent, nthBit(source, source.first + n), bit));
    const arrived: Words = [];
    for (let n = 0; n < source.length; n++) {
      setBit(arrived, carriedBit(sink, n, table, single), getBit(sent, carriedBit(source, n, table, single)));
    }
    const pairs =
      source.block || sink.block ? null : source.runs.map((r) => [r, sink.runs.find((s) => s.key === r.key)!]);
    for (const [from, to] of pairs ?? [[{ from: 0, count: bitsOf(sink) }, { from: 0 }]]) {
      for (let i = 0; i < from!.count!; i++) {
        const out = getBit(sent, nthBit(source, source.first + from!.from + i));
        if (getBit(arrived, nthBit(sink, sink.first + to!.from + i)) !== out) return false;
      }
    }
  }
  return true;
}

test('lanes of single bits and bit tables are Agreed if and only if every bit arrives under its key', () => {
  const seen: Record<string, number> = { agreed: 0, other: 0, unchecked: 0, words: 0 };
  holds(
    'bit by bit',
    bitLane,
    1000,
    (lane) => {
      const arrives = everythingArrives(lane, JSON.stringify(lane).length * 7919);
      if (arrives === 'words') {
        seen.words!++;
        return;
      }
      const { verdict } = compared(lane);
      seen[verdict === 'agreed' ? 'agreed' : verdict === 'unchecked' ? 'unchecked' : 'other']!++;
      expect(verdict === 'agreed').toBe(arrives);
    },
    projectOf,
  );
  const all = seen.agreed! + seen.other! + seen.unchecked!;
  expect(seen.agreed!).toBeGreaterThan(all / 3);
  expect(seen.other!).toBeGreaterThan(all / 4);
  expect(seen.unchecked!).toBeLessThan(all / 50);
});
