import fc from 'fast-check';
import type { Area } from '../model/area.js';
import type { Claim, ClaimItem, Place } from '../model/claim.js';
import type { Project } from '../model/project.js';
import type { AreaKind, Unit, WordBits } from '../model/words.js';
import { nthBit, type BitMemory } from './bit-machine.testing.js';
import { edited, twoStations } from './two-stations.testing.js';

/** So many BOOLs, from the n-th bit of the block on. */
export interface Run {
  key: string;
  from: number;
  count: number;
}

export interface BitEnd extends BitMemory {
  /** number of the first bit, counted over the whole area */
  first: number;
  length: number;
  runs: Run[];
  /** says nothing of single values: one block of BOOLs */
  block: boolean;
  kind: AreaKind;
}

export interface BitLane {
  source: BitEnd;
  sink: BitEnd;
  /** bits by which what the caller names differs from where the data is */
  told: number;
  /** the sink says that data goes both ways */
  both: boolean;
  /** which of the two asks; the other's table decides how it travels */
  caller: 'source' | 'sink';
}

export const TABLES: readonly AreaKind[] = ['coils', 'discrete inputs'];

export const memory = fc
  .record({
    wordBits: fc.constantFrom(8, 16, 16, 32),
    view: fc.constantFrom('bit', 'bit', 'byte', 'word', 'word', 'double'),
    fromBottom: fc.boolean(),
    highByteFirst: fc.boolean(),
    highRegisterFirst: fc.boolean(),
  })
  .map(({ view, wordBits, ...rest }): BitMemory => {
    const unit = { bit: 1, byte: 8, word: wordBits, double: Math.min(64, wordBits * 2) }[view];
    return { ...rest, wordBits, unit };
  });

export const end = fc.record({
  memory,
  first: fc.integer({ min: 0, max: 80 }),
  table: fc.constantFrom<AreaKind>('memory', 'coils', 'coils', 'discrete inputs', 'holding registers'),
});

export const runs = fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 1, maxLength: 8 }).map((counts) => {
  let from = 0;
  return counts.map((count, i): Run => {
    const run = { key: `k${i}`, from, count };
    from += count;
    return run;
  });
});

export const OFF = [
  'nothing',
  'nothing',
  'nothing',
  'place',
  'length',
  'missing',
  'told',
  'same place',
  'both',
  'order',
] as const;

export const bitLane: fc.Arbitrary<BitLane> = fc
  .record({
    a: end,
    b: end,
    list: runs,
    off: fc.constantFrom(...OFF),
    blocks: fc.constantFrom('none', 'none', 'source', 'sink', 'two'),
    caller: fc.constantFrom('source' as const, 'sink' as const),
    spare: fc.nat(3),
  })
  .map(({ a, b, list, off, blocks, caller, spare }): BitLane => {
    const last = list.at(-1)!;
    const length = last.from + last.count + (blocks === 'none' ? spare : 0);
    const make = (e: typeof a, block: boolean): BitEnd => ({
      ...e.memory,
      first: e.first,
      length,
      block,
      kind: e.table,
      runs: list,
    });
    const source = make(a, blocks === 'source' || blocks === 'two');
    const sink = make(b, blocks === 'sink' || blocks === 'two');
    if (off === 'length') sink.length += 1 + spare;
    if (off === 'missing' && list.length > 1) sink.runs = list.slice(0, -1);
    if (off === 'place') sink.runs = list.map((r, i) => (i === list.length - 1 ? { ...r, from: r.from + 1 } : r));
    if (off === 'order' && list.length > 1) {
      const [x, y] = [list[0]!, list[1]!];
      sink.runs = [{ ...x, from: y.from + y.count - x.count }, { ...y, from: 0 }, ...list.slice(2)];
    }
    if (off === 'same place' && list.length > 1) {
      sink.runs = list.map((r, i) => (i === 1 ? { ...r, from: list[0]!.from } : r));
    }
    return { source, sink, told: off === 'told' ? 1 + spare : 0, both: off === 'both', caller };
  });

export const bitsOfUnit = (e: BitMemory): number => (e.unit === 1 ? 1 : Math.min(e.unit, e.wordBits));

/** A block is single bits where it begins or ends inside a number, or a bit is named. */
export function isSingle(e: BitEnd, named: boolean): boolean {
  if (e.unit > 1) return named || e.length % bitsOfUnit(e) !== 0;
  return e.first % e.wordBits !== 0 || e.length % e.wordBits !== 0;
}

/** A block that begins with a whole number is typed without a bit, half of the time. */
export const namesBit = (e: BitEnd): boolean => e.unit > 1 && (e.first % e.unit !== 0 || e.first % 32 === 0);

/** The n-th bit of the area as an address: the number of the view, and the bit in it as the view counts it. */
export function placeOf(e: BitEnd, area: string, view: string, n: number, named: boolean): Place {
  if (e.unit === 1) return { area, view, number: n };
  const unit = bitsOfUnit(e);
  const at = nthBit(e, n);
  // Longer elements than a word are counted word by word, so the bit has another number in the element.
  const number = Math.floor(n / e.unit);
  if (!named) return { area, view, number };
  for (let bit = 0; bit < e.unit; bit++) {
    const significance = e.fromBottom ? bit : e.unit - 1 - bit;
    const found = significanceAt(e, number, significance);
    if (found.word === at.word && found.bit === at.bit) return { area, view, number, bit };
  }
  throw new Error(`no bit ${n} in units of ${unit}`);
}

/** The word and bit of one significance of an element, worked out without the core. */
export function significanceAt(e: BitMemory, number: number, significance: number): { word: number; bit: number } {
  if (e.unit <= e.wordBits) {
    return nthBit({ ...e, fromBottom: true }, number * e.unit + significance);
  }
  const words = e.unit / e.wordBits;
  const fromLeast = Math.floor(significance / e.wordBits);
  const word = number * words + (e.highRegisterFirst ? words - 1 - fromLeast : fromLeast);
  return { word, bit: significance % e.wordBits };
}

export function projectOf({ source, sink, told, both, caller }: BitLane): Project {
  const base = twoStations();
  const area = (e: BitEnd, id: string): Partial<Area> => ({
    kind: e.kind,
    wordBits: e.wordBits as WordBits,
    words: 10_000,
    views: {
      [id]: {
        order: 1,
        name: 'view',
        notation: 'prefix and number',
        prefix: id,
        unit: e.unit as Unit,
        first: 0,
        bitNumbering: e.fromBottom ? 'from the bottom' : 'from the top',
      },
    },
    layout: {
      byteOrder: e.highByteFirst ? 'high first' : 'low first',
      registerOrder: e.highRegisterFirst ? 'high first' : 'low first',
      boolNumbering: e.fromBottom ? 'from the bottom' : 'from the top',
    },
  });
  const item = (e: BitEnd, run: Run): ClaimItem => {
    const n = e.first + run.from;
    const unit = bitsOfUnit(e);
    const type = { base: 'BOOL', count: run.count };
    if (e.unit === 1) return { name: run.key, type, offset: { bits: run.from } };
    const inUnit = n % unit;
    const bits = Math.floor(n / unit) * unit - Math.floor(e.first / unit) * unit;
    return { name: run.key, type, offset: { bits, bit: e.fromBottom ? inUnit : unit - 1 - inUnit } };
  };
  const claim = (e: BitEnd, areaId: string, view: string): Partial<Claim> => ({
    place: placeOf(e, areaId, view, e.first, namesBit(e)),
    length: { count: e.length, unit: 1 },
    type: e.block ? { base: 'BOOL', count: Math.max(...e.runs.map((r) => r.from + r.count)) } : null,
    items: e.block ? {} : Object.fromEntries(e.runs.map((run) => [run.key, item(e, run)])),
  });
  const [writes, reads] = [claim(source, 'areaa', 'u'), claim(sink, 'areab', 'v')];
  const keys = new Set([...source.runs, ...sink.runs].map((r) => r.key));
  const asker = caller === 'source' ? 'ca' : 'cb';
  const [asked, view] = caller === 'source' ? ([sink, 'v'] as const) : ([source, 'u'] as const);
  const named = placeOf(asked, '', view, asked.first + told, asked.unit > 1);
  const text = `${view}${named.number}${named.bit === undefined ? '' : `.${named.bit}`}`;
  return edited(
    base,
    ...Object.entries(area(source, 'u')).map(([k, v]) => ['area', 'areaa', k, v] as const),
    ...Object.entries(area(sink, 'v')).map(([k, v]) => ['area', 'areab', k, v] as const),
    ['end', 'ea', 'calling', caller === 'source' ? 'calls' : 'listens'],
    ['end', 'eb', 'calling', caller === 'source' ? 'listens' : 'calls'],
    ['lane', 'lane', 'items', Object.fromEntries([...keys].map((k, i) => [k, { order: i }]))],
    ...Object.entries(writes).map(([k, v]) => ['claim', 'ca', k, v] as const),
    ...Object.entries(reads).map(([k, v]) => ['claim', 'cb', k, v] as const),
    ['claim', 'cb', 'direction', both ? 'both' : 'reads'],
    ['claim', 'ca', 'toldPlace', null],
    ['claim', asker, 'toldPlace', text],
  );
}
