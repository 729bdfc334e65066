import {
  type LaneEnd,
  type RandomLane,
  KINDS,
  bitsOf,
  lane,
  projectOf,
  placed,
  isReal,
} from '../testing/lanes.testing.js';
import fc from 'fast-check';
import { convert, pack, transfer, unpack } from '../testing/byte-machine.testing.js';
import { holds, oracleRuns } from '../testing/oracle.testing.js';
import { compareLane, type Verdict } from './compare.js';

function verdictOf(random: RandomLane): Verdict {
  const project = projectOf(random);
  return compareLane(project, project.get('lane', 'lane')!, project.get('exchange', 'x')!).verdict;
}

/** 64 bits at a time, evenly spread: a BOOL that is always false tells nothing. */
function randomBits(seed: number): () => bigint {
  let state = BigInt.asUintN(64, BigInt(seed) * 0x9e3779b97f4a7c15n + 1n);
  return () => {
    state = BigInt.asUintN(64, state * 6364136223846793005n + 1442695040888963407n);
    return state ^ (state >> 29n) ^ (state >> 47n);
  };
}

/** Whether every value of the source arrives under its key, by the byte machine, for values that tell bits apart. */
function everythingArrives(random: RandomLane, seed: number): boolean {
  const { source, sink, carries, says, slots } = random;
  // Data has to be given and taken, in each direction that an end counts on.
  const gives = says.map((d) => d !== 'reads');
  const takes = says.map((d) => d !== 'writes');
  if (gives[0] !== takes[1] || gives[1] !== takes[0]) return false;
  if (slots && slots[0] !== slots[1]) return false;
  // Through a slot both exchange all the time: what arrives where one's own data stands overwrites it before it is sent.
  if (slots && gives[0] && gives[1]) return false;
  if (ownPlacesShared(source) || ownPlacesShared(sink)) return false;
  if (gives[1] && carries === 'values' && !arrivesOnce({ ...random, source: sink, sink: source }, seed)) return false;
  return arrivesOnce(random, seed);
}

/** Whether two values of one end take the same bits, other than one that is a bit of another. */
function ownPlacesShared(end: LaneEnd): boolean {
  const taken = new Map<string, string>();
  for (const [i, v] of end.values.entries()) {
    if (v.view) continue;
    // Packed all ones into an empty memory, the bits that are set are those that the value takes.
    const words = new Array<bigint>(((end.header * 4 + 400) * 8) / end.wordBits).fill(0n);
    const value = placed(end, v);
    if (v.base === 'STRING') {
      const width = end.wideCharacters ? 16 : 8;
      const all = { ...value, text: false, bits: width, count: value.count + end.textHeader };
      pack(end, words, all, new Array<bigint>(all.count).fill((1n << BigInt(width)) - 1n));
    } else pack(end, words, value, new Array<bigint>(v.count).fill((1n << BigInt(bitsOf(v))) - 1n));
    for (const [w, word] of words.entries()) {
      for (let bit = 0; bit < end.wordBits; bit++) {
        if (((word >> BigInt(bit)) & 1n) === 0n) continue;
        const key = `${w}.${bit}`;
        if (taken.has(key)) return true;
        taken.set(key, String(i));
      }
    }
  }
  return false;
}

function arrivesOnce({ source, sink, carries, told }: RandomLane, seed: number): boolean {
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
    source.values.forEach((v, i) => !v.view && pack(source, words, placed(source, v), sent[i]!));
    source.values.forEach((v, i) => v.view && (sent[i] = unpack(source, words, placed(source, v))));
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
  const runs = oracleRuns(2400);
  const seen = { agreed: 0, not: 0 };
  const agreedBy: Record<string, number> = {};
  let unchecked = 0;
  holds(
    'lanes',
    fc.tuple(lane, fc.integer()),
    2400,
    ([random, seed]) => {
      const verdict = verdictOf(random);
      const agreed = verdict === 'agreed';
      seen[agreed ? 'agreed' : 'not']++;
      if (verdict === 'unchecked') unchecked++;
      if (agreed) agreedBy[random.carries] = (agreedBy[random.carries] ?? 0) + 1;
      expect(agreed).toBe(everythingArrives(random, seed));
    },
    ([random]) => projectOf(random),
  );
  expect(unchecked).toBeLessThan(runs / 50);
  // At least a third agree, and about as many are one change away: a test that only ever says no would pass otherwise.
  expect(seen.agreed).toBeGreaterThan(runs / 3);
  expect(seen.not).toBeGreaterThan(runs / 4);
  for (const carries of ['words', 'bytes', 'bits', 'values']) expect(agreedBy[carries]).toBeGreaterThan(runs / 30);
});
