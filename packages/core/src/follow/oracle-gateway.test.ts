import fc from 'fast-check';
import { CheckEngine } from '../check/engine.js';
import { newArea, newEnd, newExchange, newStation } from '../create/new-entities.js';
import type { Area } from '../model/area.js';
import type { Claim } from '../model/claim.js';
import { Project } from '../model/project.js';
import type { Carried, RegisterOrder, Swap, Unit, WordBits } from '../model/words.js';
import { pack, transfer, unpack, type MachineEnd } from '../testing/byte-machine.testing.js';
import { holds } from '../testing/oracle.testing.js';
import { composed } from './composed.js';
import { follow } from './follow.js';
import { waysThrough } from './ways-through.js';

type Order = Pick<MachineEnd, 'wordBits' | 'highByteFirst' | 'highRegisterFirst' | 'swap'>;

/** A value as one claim has it: where it begins, in words of 16 bits from the start of the memory that the source fills. */
interface Held {
  key: string;
  base: string;
  word: number;
}

/** From a source through the memory of a gateway, perhaps copied on inside it, to a reader behind it. */
interface Through {
  source: Order;
  /** the gateway as it takes in, and as it gives out: its own layout, and a swap on each side */
  inside: Order;
  outSwap: MachineEnd['swap'];
  /** what the gateway's two claims say of the order of registers, where that is not its own */
  says: [boolean | null, boolean | null];
  reader: Order;
  carries: 'words' | 'bytes';
  copied: boolean;
  /** as the source, the gateway's first claim, its second, and the reader have them */
  values: [Held[], Held[], Held[], Held[]];
  words: number;
  /** the second lane begins so many words into what the first brings */
  from: number;
}

const BITS: Record<string, number> = { INT: 16, UINT: 16, DINT: 32, UDINT: 32, REAL: 32, LREAL: 64, LINT: 64 };
const NO_SWAP = { bytes: false, words: 'no' as const };
const PAIRS = { bytes: false, words: 'pairs' as const };

const order = fc.record({
  wordBits: fc.constantFrom(16, 16, 8, 32),
  highByteFirst: fc.boolean(),
  highRegisterFirst: fc.boolean(),
  swap: fc.constantFrom(NO_SWAP, NO_SWAP, NO_SWAP, PAIRS),
});

const through: fc.Arbitrary<Through> = fc
  .record({
    source: order,
    inside: order,
    reader: order,
    outSwap: fc.constantFrom(NO_SWAP, NO_SWAP, NO_SWAP, PAIRS),
    bases: fc.array(fc.constantFrom(...Object.keys(BITS)), { minLength: 1, maxLength: 4 }),
    likeness: fc.constantFrom('alike', 'alike', 'alike', 'type', 'type inside', 'place', 'order', 'said', 'free'),
    carries: fc.constantFrom('words' as const, 'bytes' as const),
    copied: fc.boolean(),
    later: fc.boolean(),
    other: fc.constantFrom(...Object.keys(BITS)),
  })
  .map(({ source, inside, reader, outSwap, bases, likeness, carries, copied, later, other }): Through => {
    let word = 0;
    const list = bases.map((base, i): Held => {
      const held = { key: `k${i}`, base, word };
      word += 8;
      return held;
    });
    const from = later && list.length > 1 ? 8 : 0;
    const rest = list.filter((v) => v.word >= from);
    const plain = (one: Order): Order => ({ ...one, wordBits: 16, swap: NO_SWAP });
    const ends = likeness === 'free' ? { source, inside, reader, outSwap } : undefined;
    const same = { source: plain(source), inside: plain(source), reader: plain(source), outSwap: NO_SWAP };
    const { source: a, inside: g, reader: b, outSwap: out } = ends ?? same;
    // A gateway counts words of 16 bits, whatever stands around it.
    const middle = { ...g, wordBits: 16 };
    const held: Through['values'] = [list, list, rest, rest];
    const turned = { ...b, highRegisterFirst: !b.highRegisterFirst };
    const changed = rest.map((v, i) => (i === 0 ? { ...v, base: BITS[other] === BITS[v.base] ? v.base : other } : v));
    // One word on: the second half of a longer value. A word that nobody fills is no contradiction.
    const moved = rest.map((v, i) => (i === 0 && BITS[v.base]! > 16 ? { ...v, word: v.word + 1 } : v));
    if (likeness === 'type') Object.assign(held, [list, list, changed, changed]);
    if (likeness === 'type inside') Object.assign(held, [list, list, changed, rest]);
    if (likeness === 'place') Object.assign(held, [list, list, moved, moved]);
    const says: Through['says'] = likeness === 'said' ? [null, !middle.highRegisterFirst] : [null, null];
    const last = likeness === 'order' || likeness === 'said' ? turned : b;
    return {
      source: a,
      inside: middle,
      outSwap: out,
      says,
      reader: last,
      carries,
      copied,
      values: held,
      words: word,
      from,
    };
  });

const machine = (o: Order, swap = o.swap): MachineEnd => ({
  ...o,
  swap,
  unit: o.wordBits,
  bitsFromBottom: true,
  pairsSwapped: false,
  boolPacking: 'bit',
  boolsFromBottom: true,
  textHeader: 0,
  wideCharacters: false,
});

const swapName = ({ words }: MachineEnd['swap']): Swap => (words === 'pairs' ? 'words' : 'none');
const registers = (highFirst: boolean): RegisterOrder => (highFirst ? 'high first' : 'low first');

function projectOf(t: Through): Project {
  const memory = (id: string, station: string, o: Order): Area => ({
    ...newArea(id, 10, station, 'Memory'),
    wordBits: o.wordBits as WordBits,
    words: 4000,
    writers: [],
    views: {
      [`v${id}`]: {
        order: 1,
        name: 'view',
        notation: 'prefix and number',
        prefix: id,
        first: 0,
        unit: o.wordBits as Unit,
      },
    },
    layout: {
      byteOrder: o.highByteFirst ? 'high first' : 'low first',
      registerOrder: registers(o.highRegisterFirst),
    },
  });
  const place = (id: string, o: Order, word: number) => ({
    area: id,
    view: `v${id}`,
    number: (word * 16) / o.wordBits,
  });
  const claim = (
    id: string,
    lane: string,
    end: string,
    rest: Partial<Claim>,
    list: readonly Held[],
    from: number,
  ): Claim => ({
    id,
    lane,
    end,
    name: id,
    direction: 'writes',
    place: null,
    type: null,
    swap: null,
    toldPlace: null,
    length: { count: t.words - from, unit: 16 },
    items: Object.fromEntries(
      list.map((v) => [
        v.key,
        { name: v.key, type: { base: v.base, count: 1 }, offset: { bits: (v.word - from) * 16 } },
      ]),
    ),
    ...rest,
  });
  const facts = {
    name: 'oracle',
    carries: t.carries as Carried,
    places: 'free' as const,
    tcpPort: null,
    unitTold: false,
  };
  const exchange = (id: string, n: number) => ({ ...newExchange(id, n, id, 'other'), facts });
  const own = (said: boolean | null): Partial<Claim> =>
    said === null ? {} : { layout: { registerOrder: registers(said) } };
  const items = (list: readonly Held[]) => Object.fromEntries(list.map((v, i) => [v.key, { order: i }]));
  const [a, g1, g2, b] = t.values;
  const at = t.copied ? 1000 : 100;
  return Project.of({
    project: [{ id: 'project', name: 'Through a gateway' }],
    station: [
      newStation('sa', 10, 'A'),
      { ...newStation('sg', 20, 'G'), roles: ['gateway'] },
      newStation('sb', 30, 'B'),
    ],
    area: [memory('ma', 'sa', t.source), memory('mg', 'sg', t.inside), memory('mb', 'sb', t.reader)],
    exchange: [exchange('x', 10), exchange('y', 20)],
    end: [
      { ...newEnd('ea', 10, 'x', 'sa', null, 'calls'), swap: swapName(t.source.swap) },
      { ...newEnd('eg', 20, 'x', 'sg', null, 'listens'), swap: swapName(t.inside.swap) },
      { ...newEnd('eh', 10, 'y', 'sg', null, 'listens'), swap: swapName(t.outSwap) },
      { ...newEnd('eb', 20, 'y', 'sb', null, 'calls'), swap: swapName(t.reader.swap) },
    ],
    lane: [
      { id: 'in', order: 10, exchange: 'x', items: items(a) },
      { id: 'out', order: 10, exchange: 'y', items: items(b) },
    ],
    claim: [
      claim('ca', 'in', 'ea', { place: place('ma', t.source, 100) }, a, 0),
      claim('cg', 'in', 'eg', { direction: 'reads', place: place('mg', t.inside, 100), ...own(t.says[0]) }, g1, 0),
      claim('ch', 'out', 'eh', { place: place('mg', t.inside, at + t.from), ...own(t.says[1]) }, g2, t.from),
      claim('cb', 'out', 'eb', { direction: 'reads', place: place('mb', t.reader, 100) }, b, t.from),
    ],
    copy: t.copied
      ? [
          {
            id: 'copy',
            order: 10,
            station: 'sg',
            name: 'Handed on',
            reader: null,
            length: { count: t.words, unit: 16 },
            from: place('mg', t.inside, 100),
            to: place('mg', t.inside, 1000),
          },
        ]
      : [],
  });
}

/** Whether the reader behind the gateway decodes each of its values as what the source packed under that name. */
function decodes(t: Through, seed: number): boolean {
  let state = BigInt(seed);
  const random = (bits: number) => {
    state = BigInt.asUintN(64, state * 6364136223846793005n + 1442695040888963407n);
    return (state ^ (state >> 31n)) & ((1n << BigInt(bits)) - 1n);
  };
  const empty = (o: Order, words: number) => new Array<bigint>((words * 16) / o.wordBits).fill(0n);
  const sort = (base: string) => (base.endsWith('REAL') ? 'real' : 'whole');
  for (let round = 0; round < 6; round++) {
    const memory = empty(t.source, t.words);
    const sent = new Map<string, bigint>();
    for (const { key, base, word } of t.values[0]) {
      const raw = random(BITS[base]!);
      sent.set(key, raw);
      pack(machine(t.source), memory, { bits: BITS[base]!, count: 1, byte: word * 2 }, [raw]);
    }
    const inside = transfer(machine(t.source), machine(t.inside), memory, t.carries);
    const given = inside.slice(t.from);
    const arrived = transfer(machine(t.inside, t.outSwap), machine(t.reader), given, t.carries);
    for (const { key, base, word } of t.values[3]) {
      const own = t.values[0].find((v) => v.key === key)!;
      const bytes = (word - t.from) * 2;
      // A value that its memory cannot hold at this place is none.
      if ((bytes * 8) % Math.min(BITS[base]!, t.reader.wordBits) !== 0) return false;
      if (BITS[own.base] !== BITS[base] || sort(own.base) !== sort(base)) return false;
      const [got] = unpack(machine(t.reader), arrived, { bits: BITS[base]!, count: 1, byte: bytes });
      if (got !== sent.get(key)) return false;
    }
  }
  return true;
}

test('from end to end is agreed if and only if the reader behind the gateway decodes what was sent', () => {
  const seen = { agreed: 0, not: 0, unchecked: 0, contradicts: 0 };
  holds(
    'through a gateway',
    through,
    600,
    (t) => {
      const project = projectOf(t);
      const ways = waysThrough(follow(project, 'ca', null, 'forward')).filter((way) => way.at(-1)!.station === 'sb');
      expect(ways.length).toBeGreaterThan(0);
      const verdicts = ways.map((way) => composed(project, way).verdict);
      const truth = decodes(t, JSON.stringify(t).length * 7919);
      const agreed = verdicts.every((verdict) => verdict === 'agreed');
      if (verdicts.includes('unchecked')) seen.unchecked++;
      seen[agreed ? 'agreed' : 'not']++;
      expect(agreed).toBe(truth);
      // Where both lanes agree by themselves and the value is lost all the same, the memory contradicts itself.
      const engine = new CheckEngine(project);
      const alone = ['in', 'out'].every((lane) => engine.laneResults.get(lane)!.verdict === 'agreed');
      const found = [...engine.findings.values()].some((f) => f.code === 'TYP 12');
      if (alone && !truth) expect(found).toBe(true);
      if (alone && truth) expect(found).toBe(false);
      if (found) seen.contradicts++;
    },
    projectOf,
  );
  const all = seen.agreed + seen.not;
  expect(seen.agreed).toBeGreaterThan(all / 3);
  expect(seen.not).toBeGreaterThan(all / 4);
  expect(seen.contradicts).toBeGreaterThan(all / 10);
  expect(seen.unchecked).toBeLessThanOrEqual(all / 50);
});
