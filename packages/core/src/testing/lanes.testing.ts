import fc from 'fast-check';
import type { Claim } from '../model/claim.js';
import type { Area } from '../model/area.js';
import type { Project } from '../model/project.js';
import type { Direction, Swap, Unit, WordBits } from '../model/words.js';
import { type MachineEnd, type MachineValue, type NumberKind } from './byte-machine.testing.js';
import { newArea, newStation } from '../create/new-entities.js';
import { added, edited, twoStations } from './two-stations.testing.js';

/** One value of a random lane: its type, and where it begins. */
export interface LaneValue {
  base: string;
  count: number;
  /** 32-bit steps from the start of the payload, so that every type is at a legal place in every memory */
  slot: number;
  /** of BOOLs: a number from which the bit is made that the address names; null: none is named */
  named: number | null;
  /** a name of its own for one bit of the value before it */
  view?: boolean;
}

export interface LaneEnd extends MachineEnd {
  values: LaneValue[];
  /** bytes, without the header */
  length: number;
  /** 32-bit steps before the payload */
  header: number;
}

export type Carries = 'words' | 'bytes' | 'bits' | 'values';

export interface RandomLane {
  source: LaneEnd;
  sink: LaneEnd;
  carries: Carries;
  /** units by which the caller names another place than where the data is; null: it names none */
  told: number | null;
  /** at both stations another area stands first, in which addresses are written alike */
  alike: boolean;
  /** which way each end says that the data goes; usually the source writes and the sink reads */
  says: readonly [Direction, Direction];
  /** through a coupler: the slot on each side */
  slots: readonly [number, number] | null;
}

export const KINDS: Record<string, NumberKind> = {
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
export const bitsOf = (v: LaneValue) => KINDS[v.base]!.bits;

export const value = fc.record({
  base: fc.constantFrom(...Object.keys(KINDS)),
  count: fc.integer({ min: 1, max: 4 }),
  named: fc.option(fc.nat(31), { freq: 2 }),
});

/** Memory that a value may need at any end: BOOLs one a word of 32 bits, text with a header in words, are the most. */
export const slotsOf = (v: { base: string; count: number }) => {
  if (v.base === 'BOOL') return v.count + 2;
  if (v.base === 'STRING') return Math.ceil((v.count + 2) / 2) + 1;
  return Math.ceil((KINDS[v.base]!.bits * v.count) / 32) + 1;
};

export const values = fc.array(value, { minLength: 1, maxLength: 5 }).map((list) => {
  let slot = 0;
  return list.map((v): LaneValue => {
    const placed = { ...v, named: v.base === 'BOOL' ? v.named : null, slot };
    slot += slotsOf(v);
    return placed;
  });
});

export const machine = fc
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

export const NO_SWAP = { bytes: false, words: 'no' as const };
export const OFF = [
  ...['swap', 'byte order', 'register order', 'type', 'length', 'place', 'missing', 'packing', 'text', 'view'],
  ...['one place', 'bit of it', 'direction', 'slot'],
];
export const SAYS: readonly (readonly [Direction, Direction])[] = [
  ['both', 'reads'],
  ['writes', 'both'],
  ['both', 'both'],
  ['writes', 'writes'],
  ['reads', 'reads'],
];

/** Lanes of which a good part agrees, and another good part is one change away from that. */
export const lane: fc.Arbitrary<RandomLane> = fc
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
    way: fc.constantFrom(...SAYS),
    slots: fc.constantFrom(null, null, [3, 3] as const),
  })
  .map(({ source, sink, values: list, others, carries, likeness, off, spare, headers, told, alike, way, slots }) => {
    let says: readonly [Direction, Direction] =
      likeness === 'alike' && spare === 0 ? ['both', 'both'] : ['writes', 'reads'];
    let through: readonly [number, number] | null = slots;
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
      if (off === 'direction') says = way;
      if (off === 'slot') through = [3, 3 + (spare % 2)];
      // A BOOL on a whole number is one of its bits.
      const lastTwo = list.slice(-2).map((v) => KINDS[v.base]!.family);
      const isBit = lastTwo.includes('bool') && lastTwo.some((f) => f === 'signed' || f === 'unsigned');
      if (off === 'one place' && list.length > 1 && !isBit) {
        // At one end the last value begins where the one before it does.
        const moved = list.map((v, i) => (i === list.length - 1 ? { ...v, slot: list[i - 1]!.slot } : v));
        b.values = moved;
        if (spare % 2 === 0) a.values = moved;
      }
      if (off === 'bit of it' && carries !== 'values') {
        // A whole number, and under a name of its own one of its bits: at both ends the same, or another one.
        const whole = { ...list[0]!, base: a.wordBits === 32 ? 'UDINT' : 'WORD', count: 1, named: null };
        const bit = (named: number): LaneValue => ({ base: 'BOOL', count: 1, slot: 0, named, view: true });
        a.values = [whole, bit(spare), ...list.slice(1)];
        b.values = [whole, bit(spare === 3 ? 4 : spare), ...list.slice(1)];
        a.boolPacking = b.boolPacking = 'bit';
        if (a.unit === 1) a.unit = b.unit = a.wordBits;
      }
      if (off === 'packing') b.boolPacking = sink.boolPacking;
      if (off === 'text') Object.assign(b, { textHeader: sink.textHeader, wideCharacters: sink.wideCharacters });
      if (off === 'view') {
        b.unit = sink.unit > 8 ? b.wordBits : sink.unit;
        b.bitsFromBottom = sink.bitsFromBottom;
      }
    }
    return { source: a, sink: b, carries, told, alike, says, slots: through };
  });

export const swapName = ({ bytes, words }: MachineEnd['swap']): Swap => {
  const base = words === 'pairs' ? 'words' : words === 'fours' ? 'fours' : null;
  if (!base) return bytes ? 'bytes' : 'none';
  return bytes ? (`bytes and ${base}` as Swap) : base;
};

/** The bit that a value's address names at this end; a view of single bits names none. */
export const namedBit = (end: MachineEnd, v: LaneValue): { bit?: number } =>
  v.named === null || end.unit === 1 ? {} : { bit: v.named % Math.min(end.unit, end.wordBits) };

/** The same lane as a project. */
export function projectOf({ source, sink, carries, told, alike, says, slots }: RandomLane): Project {
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
    ...newArea(`first${view}`, 1, station, 'First'),
    ...area(end, view),
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
    ['claim', 'ca', 'direction', says[0]],
    ['claim', 'cb', 'direction', says[1]],
    ['claim', 'ca', 'slot', slots?.[0] ?? null],
    ['claim', 'cb', 'slot', slots?.[1] ?? null],
  );
  if (!slots) return project;
  const coupled = added(project, 'station', { ...newStation('coupler', 90, 'Coupler'), roles: ['coupler'] });
  return edited(coupled, ['exchange', 'x', 'kind', 'coupler area'], ['exchange', 'x', 'via', 'coupler']);
}

/** The sink's items under the keys of the source's values that they are meant to be. */
export function renamed(source: LaneEnd, sink: LaneEnd, items: Claim['items']): Claim['items'] {
  const shift = source.values.length - sink.values.length;
  return Object.fromEntries(
    Object.values(items).map((item, i) => [`k${source.values[i + shift]!.slot}x${i + shift}`, item]),
  );
}

export const placed = (end: LaneEnd, v: LaneValue): MachineValue => ({
  bits: bitsOf(v),
  count: v.count,
  byte: (end.header + v.slot) * 4,
  text: v.base === 'STRING',
  ...namedBit(end, v),
});
export const isReal = (base: string) => base.endsWith('REAL');
