import fc from 'fast-check';
import type { Claim } from '../model/claim.js';
import type { Area } from '../model/area.js';
import type { Swap, Unit, WordBits } from '../model/words.js';
import {
  convert,
  pack,
  transfer,
  unpack,
  type MachineEnd,
  type MachineValue,
  type NumberKind,
} from '../testing/byte-machine.testing.js';
import { newArea } from '../model/create.js';
import { added, edited, twoStations } from '../testing/two-stations.testing.js';
import { compareLane, type Verdict } from './compare.js';

/** One value of a random lane: its type, and where it begins. */
interface LaneValue {
  base: string;
  count: number;
  /** 32-bit steps from the start of the payload, so that every type is at a legal place in every memory */
  slot: number;
  /** of BOOLs: a number from which the bit is made that the address names; null: none is named */
  named: number | null;
}

interface LaneEnd extends MachineEnd {
  values: LaneValue[];
  /** bytes, without the header */
  length: number;
  /** 32-bit steps before the payload */
  header: number;
}

type Carries = 'words' | 'bytes' | 'bits' | 'values';

interface RandomLane {
  source: LaneEnd;
  sink: LaneEnd;
  carries: Carries;
  /** units by which the caller names another place than where the data is; null: it names none */
  told: number | null;
  /** at both stations another area stands first, in which addresses are written alike */
  alike: boolean;
}

const KINDS: Record<string, NumberKind> = {
  BOOL: { bits: 1, family: 'bool' },
  BYTE: { bits: 8, family: 'unsigned' },
  USINT: { bits: 8, family: 'unsigned' },
  SINT: { bits: 8, family: 'signed' },
  WORD: { bits: 16, family: 'unsigned' },
  INT: { bits: 16, family: 'signed' },
  UINT: { bits: 16, family: 'unsigned' },
  DINT: { bits: 32, family: 'signed' },
  UDINT: { bits: 32, family: 'unsigned' },
  REAL: { bits: 32, family: 'real' },
  LINT: { bits: 64, family: 'signed' },
  LREAL: { bits: 64, family: 'real' },
  STRING: { bits: 8, family: 'text' },
};
const bitsOf = (v: LaneValue) => KINDS[v.base]!.bits;

const value = fc.record({
  base: fc.constantFrom(...Object.keys(KINDS)),
  count: fc.integer({ min: 1, max: 4 }),
  named: fc.option(fc.nat(31), { freq: 2 }),
});

/** Memory that a value may need at any end: BOOLs one a word of 32 bits, text with a header in words, are the most. */
const slotsOf = (v: { base: string; count: number }) => {
  if (v.base === 'BOOL') return v.count + 2;
  if (v.base === 'STRING') return Math.ceil((v.count + 2) / 2) + 1;
  return Math.ceil((KINDS[v.base]!.bits * v.count) / 32) + 1;
};

const values = fc.array(value, { minLength: 1, maxLength: 5 }).map((list) => {
  let slot = 0;
  return list.map((v): LaneValue => {
    const placed = { ...v, named: v.base === 'BOOL' ? v.named : null, slot };
    slot += slotsOf(v);
    return placed;
  });
});

const machine = fc
  .record({
    wordBits: fc.constantFrom(8, 16, 16, 16, 32),
    view: fc.constantFrom('word', 'word', 'word', 'byte', 'byte', 'bit', 'double'),
    bitsFromBottom: fc.boolean(),
    highByteFirst: fc.boolean(),
    highRegisterFirst: fc.boolean(),
    pairsSwapped: fc.boolean(),
    boolPacking: fc.constantFrom('bit' as const, 'byte' as const, 'word' as const),
    boolsFromBottom: fc.boolean(),
    textHeader: fc.constantFrom(0 as const, 1 as const, 2 as const),
    wideCharacters: fc.boolean(),
    swap: fc.record({ bytes: fc.boolean(), words: fc.constantFrom('no' as const, 'pairs' as const, 'fours' as const) }),
  })
  .map(({ view, ...m }): MachineEnd => {
    const unit = { word: m.wordBits, byte: 8, bit: 1, double: m.wordBits * 2 }[view]!;
    return { ...m, unit };
  });

const NO_SWAP = { bytes: false, words: 'no' as const };
const OFF = ['swap', 'byte order', 'register order', 'type', 'length', 'place', 'missing', 'packing', 'text', 'view'];

/** Lanes of which a good part agrees, and another good part is one change away from that. */
const lane: fc.Arbitrary<RandomLane> = fc
  .record({
    source: machine,
    sink: machine,
    values,
    others: values,
    carries: fc.constantFrom<Carries>('words', 'words', 'words', 'bytes', 'bytes', 'bytes', 'bits', 'bits', 'values'),
    likeness: fc.constantFrom('alike', 'alike', 'mended', 'one off', 'one off', 'free'),
    off: fc.constantFrom(...OFF),
    spare: fc.integer({ min: 0, max: 3 }),
    headers: fc.tuple(fc.nat(2), fc.nat(2)),
    told: fc.constantFrom(null, null, null, 0, 0, 0, 1),
    alike: fc.boolean(),
  })
  .map(({ source, sink, values: list, others, carries, likeness, off, spare, headers, told, alike }) => {
    const last = list.at(-1)!;
    const length = (last.slot + slotsOf(last) + spare) * 4;
    const a: LaneEnd = { ...source, values: list, length, header: headers[0] };
    const b: LaneEnd = { ...(likeness === 'free' ? sink : source), values: list, length, header: headers[1] };
    if (likeness !== 'free') a.swap = b.swap = NO_SWAP;
    if (likeness === 'mended') {
      // Ends of different register order, 32-bit values only, and one swap of registers between them.
      b.values = a.values = list.map((v) => ({ ...v, named: null, base: bitsOf(v) === 32 ? v.base : 'DINT' }));
      a.values.forEach((v, i) => {
        v.slot = a.values.slice(0, i).reduce((sum, w) => sum + w.count, 0);
      });
      b.length = a.length = (a.values.reduce((sum, v) => sum + v.count, 0) + spare) * 4;
      b.highRegisterFirst = !a.highRegisterFirst;
      (spare % 2 === 0 ? a : b).swap = { bytes: false, words: 'pairs' };
    }
    if (likeness === 'one off') {
      // Another type that has room before the next value.
      const room = slotsOf(list[0]!) * 32;
      const fits = KINDS[others[0]!.base]!.bits * list[0]!.count <= room;
      const other = fits ? others[0]!.base : list[0]!.base;
      if (off === 'swap') b.swap = sink.swap;
      if (off === 'byte order') b.highByteFirst = !b.highByteFirst;
      if (off === 'register order') b.highRegisterFirst = !b.highRegisterFirst;
      if (off === 'type') {
        const next = (base: string) => (carries === 'values' ? other : base === 'INT' ? 'UINT' : 'INT');
        b.values = list.map((v, i) => (i === 0 ? { ...v, named: null, base: next(v.base) } : v));
        a.values = list.map((v, i) => (i === 0 ? { ...v, named: null } : v));
      }
      if (off === 'length') b.length += 4;
      if (off === 'place') b.values = list.map((v, i) => (i === list.length - 1 ? { ...v, slot: v.slot + 1 } : v));
      if (off === 'missing') b.values = list.slice(1);
      if (off === 'packing') b.boolPacking = sink.boolPacking;
      if (off === 'text') Object.assign(b, { textHeader: sink.textHeader, wideCharacters: sink.wideCharacters });
      if (off === 'view') {
        b.unit = sink.unit > 8 ? b.wordBits : sink.unit;
        b.bitsFromBottom = sink.bitsFromBottom;
      }
    }
    return { source: a, sink: b, carries, told, alike };
  });

const swapName = ({ bytes, words }: MachineEnd['swap']): Swap => {
  const base = words === 'pairs' ? 'words' : words === 'fours' ? 'fours' : null;
  if (!base) return bytes ? 'bytes' : 'none';
  return bytes ? (`bytes and ${base}` as Swap) : base;
};

/** The bit that a value's address names at this end; a view of single bits names none. */
const namedBit = (end: MachineEnd, v: LaneValue): { bit?: number } =>
  v.named === null || end.unit === 1 ? {} : { bit: v.named % Math.min(end.unit, end.wordBits) };

/** The same lane as a project. */
function verdictOf({ source, sink, carries, told, alike }: RandomLane): Verdict {
  const claim = (end: LaneEnd): Partial<Claim> => ({
    length: { count: end.length + end.header * 4, unit: 8 },
    header: end.header * 32,
    type: null,
    swap: swapName(end.swap),
    items: Object.fromEntries(
      end.values.map((v, i) => [
        `k${v.slot}x${i}`,
        {
          name: `v${v.slot}`,
          type: { base: v.base, count: v.count, ...(v.base === 'STRING' ? { count: 1, capacity: v.count } : {}) },
          offset: { bits: v.slot * 32, ...namedBit(end, v) },
        },
      ]),
    ),
  });
  const area = (end: LaneEnd, id: string): Partial<Area> => ({
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
      registerOrder: `${end.highRegisterFirst ? 'high first' : 'low first'}${end.pairsSwapped ? ', pairs swapped' : ''}`,
      boolPacking: end.boolPacking,
      boolNumbering: end.boolsFromBottom ? 'from the bottom' : 'from the top',
      stringHeader: (['none', 'length', 'capacity and length'] as const)[end.textHeader],
      characters: end.wideCharacters ? 'word' : 'byte',
    } as Area['layout'],
  });
  const base = twoStations();
  const [ca, cb] = [base.get('claim', 'ca')!, base.get('claim', 'cb')!];
  const keys = new Set<string>();
  const put = (known: Claim, end: LaneEnd, view: string, areaId: string): Claim => {
    const next: Claim = { ...known, ...claim(end), place: { area: areaId, view, number: 1024 / end.unit } };
    Object.keys(next.items).forEach((k) => keys.add(k));
    return next;
  };
  const a = put(ca, source, 'u', 'areaa');
  const b = put(cb, sink, 'v', 'areab');
  const first = (end: LaneEnd, view: string, station: string): Area => ({
    ...{ ...newArea(`first${view}`, 1, station, 'First'), ...area(end, view) },
  });
  const project = edited(
    alike ? added(base, 'area', first(source, 'u', 'sa'), first(sink, 'v', 'sb')) : base,
    ['exchange', 'x', 'protocol', 'other'],
    [
      'exchange',
      'x',
      'facts',
      { name: 'oracle', carries, places: told === null ? 'free' : 'named', tcpPort: null, unitTold: false },
    ],
    ...Object.entries(area(source, 'u')).map(([k, v]) => ['area', 'areaa', k, v] as const),
    ...Object.entries(area(sink, 'v')).map(([k, v]) => ['area', 'areab', k, v] as const),
    ['lane', 'lane', 'items', Object.fromEntries([...keys].map((k, i) => [k, { order: i }]))],
    ...Object.entries(a).map(([k, v]) => ['claim', 'ca', k, v] as const),
    ['claim', 'ca', 'toldPlace', told === null ? null : `v${1024 / sink.unit + told}`],
    ...Object.entries({ ...b, items: renamed(source, sink, b.items) }).map(([k, v]) => ['claim', 'cb', k, v] as const),
  );
  return compareLane(project, project.get('lane', 'lane')!, project.get('exchange', 'x')!).verdict;
}

/** The sink's items under the keys of the source's values that they are meant to be. */
function renamed(source: LaneEnd, sink: LaneEnd, items: Claim['items']): Claim['items'] {
  const shift = source.values.length - sink.values.length;
  return Object.fromEntries(
    Object.values(items).map((item, i) => [`k${source.values[i + shift]!.slot}x${i + shift}`, item]),
  );
}

const placed = (end: LaneEnd, v: LaneValue): MachineValue => ({
  bits: bitsOf(v),
  count: v.count,
  byte: (end.header + v.slot) * 4,
  text: v.base === 'STRING',
  ...namedBit(end, v),
});
const isReal = (base: string) => base.endsWith('REAL');

/** 64 bits at a time, evenly spread: a BOOL that is always false tells nothing. */
function randomBits(seed: number): () => bigint {
  let state = BigInt.asUintN(64, BigInt(seed) * 0x9e3779b97f4a7c15n + 1n);
  return () => {
    state = BigInt.asUintN(64, state * 6364136223846793005n + 1442695040888963407n);
    return state ^ (state >> 29n) ^ (state >> 47n);
  };
}

/** Whether every value of the source arrives under its key, by the byte machine, for values that tell bits apart. */
function everythingArrives({ source, sink, carries, told }: RandomLane, seed: number): boolean {
  // Asked for elsewhere than where it is, other data arrives.
  if (told !== null && told !== 0) return false;
  if (source.values.length !== sink.values.length) return false;
  if (carries !== 'values' && source.length !== sink.length) return false;
  const random = randomBits(seed);
  for (let round = 0; round < 24; round++) {
    const sent = source.values.map((v) =>
      Array.from({ length: v.count }, () => random() & ((1n << BigInt(bitsOf(v))) - 1n)),
    );
    if (carries === 'values') {
      if (!valuesArrive(source, sink, sent)) return false;
      continue;
    }
    const memory = (end: LaneEnd) => new Array<bigint>(((end.header * 4 + end.length) * 8) / end.wordBits).fill(0n);
    const payload = (end: LaneEnd) => (end.header * 32) / end.wordBits;
    const words = memory(source);
    source.values.forEach((v, i) => pack(source, words, placed(source, v), sent[i]!));
    const arrived = memory(sink);
    const carried = transfer(source, sink, words.slice(payload(source)), carries);
    arrived.splice(payload(sink), carried.length, ...carried);
    for (const [i, v] of sink.values.entries()) {
      const own = source.values[i]!;
      if (bitsOf(own) !== bitsOf(v) || isReal(own.base) !== isReal(v.base)) return false;
      if ((own.base === 'STRING') !== (v.base === 'STRING')) return false;
      if (v.base === 'STRING' && !sameTextForm(source, sink)) return false;
      const got = unpack(sink, arrived, placed(sink, v));
      if (got.some((element, k) => element !== sent[i]![k])) return false;
    }
  }
  return true;
}

/**
 * A text arrives with its length: where only one end keeps one, or a character is wider, it does not, though a single
 * character may by chance come to lie in the right byte.
 */
const sameTextForm = (a: LaneEnd, b: LaneEnd) => a.textHeader === b.textHeader && a.wideCharacters === b.wideCharacters;

/** Where values travel by type, each must come out as the number that it was. */
function valuesArrive(source: LaneEnd, sink: LaneEnd, sent: bigint[][]): boolean {
  return sink.values.every((v, i) => {
    const own = source.values[i]!;
    return v.count === own.count && sent[i]!.every((raw) => convert(KINDS[own.base]!, KINDS[v.base]!, raw) !== null);
  });
}

test('a lane is Agreed if and only if every value arrives under its key', () => {
  const runs = 2400;
  const seen = { agreed: 0, not: 0 };
  const agreedBy: Record<string, number> = {};
  fc.assert(
    fc.property(lane, fc.integer(), (random, seed) => {
      const agreed = verdictOf(random) === 'agreed';
      seen[agreed ? 'agreed' : 'not']++;
      if (agreed) agreedBy[random.carries] = (agreedBy[random.carries] ?? 0) + 1;
      expect(agreed).toBe(everythingArrives(random, seed));
    }),
    { numRuns: runs },
  );
  // At least a third agree, and about as many are one change away: a test that only ever says no would pass otherwise.
  expect(seen.agreed).toBeGreaterThan(runs / 3);
  expect(seen.not).toBeGreaterThan(runs / 4);
  for (const carries of ['words', 'bytes', 'bits', 'values']) expect(agreedBy[carries]).toBeGreaterThan(runs / 30);
});
