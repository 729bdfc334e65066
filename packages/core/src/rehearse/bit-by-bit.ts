import { elementary } from '../data/types.js';
import { bitsToValue, valueToBits } from '../data/values.js';
import { arrivingAs } from './arriving.js';
import { payloadOf } from './block.js';
import { isBitOf } from './is-bit-of.js';
import type { Path } from './path.js';
import type { Moves } from './request.js';
import { shownValue } from './shown-value.js';
import { Stage } from './stage.js';
import { triesOf } from './tries.js';
import { apart, type ValuePair } from './values.js';
import type { Came, PathWalk, Try, ValueWalk } from './walk-lane.js';

/** A value with its bits as places on the stage. */
interface Staged {
  pair: ValuePair;
  source: Int32Array;
  sink: Int32Array;
  /** bits of other values at the sink, which must not move; null: no two share any, so that counting is enough */
  strangers: Int32Array | null;
}

/** Each bit alone through the memories of both ends. */
export function bitByBit({ source, sink }: Path, moves: Moves, pairs: readonly ValuePair[], walk: PathWalk): void {
  const stage = new Stage(moves);
  const own = new Set(payloadOf(sink.block, sink.block.single));
  const outside = moves.to.bits.find((bit, n) => bit >= 0 && moves.from.bits[n]! >= 0 && !own.has(bit));
  if (outside !== undefined) walk.beside.push(`data arrives outside of what ${walk.sink} calls its place`);
  const staged = pairs.map((pair) => ({
    pair,
    source: stage.at(source.block.memory.area.id, pair.source.bits),
    sink: stage.at(sink.block.memory.area.id, pair.sink.bits),
  }));
  const shared = sharedBits(staged);
  const all = staged.map((one) => ({ ...one, strangers: shared ? strangersOf(one, staged) : null }));
  for (const one of all) walk.values.push(walkValue(stage, one, all, walk));
}

function walkValue(stage: Stage, one: Staged, all: readonly Staged[], walk: PathWalk): ValueWalk {
  const { key, source: a, sink: b } = one.pair;
  const fault = apart(a, b) ?? (a.bits.length === b.bits.length && a.text === b.text ? null : HEADER);
  const value = { key, source: a.name, sink: b.name };
  if (fault) return { ...value, came: 'changed', tries: [], why: fault };
  const landed = landing(stage, one, all);
  walk.bits += landed.length;
  const tries = tried(stage, one);
  if (landed.every((at, i) => at === i)) return { ...value, came: 'arrived', tries, why: '' };
  const why = arrivingAs(landed, elementary(a.type.base)?.bits || 16) ?? where(stage, one, all);
  return { ...value, came: cameOf(landed), tries, why };
}

const HEADER = 'what stands before the characters of the text, or how wide they are, differs';
const ELSEWHERE = -2;

/** Where each bit of a value lands in it, set alone among zeros and cleared alone among ones; −1: nowhere, −2: in another. */
function landing(stage: Stage, one: Staged, all: readonly Staged[]): Int32Array {
  const { source, sink } = one;
  const landed = Int32Array.from(source, (_, i) => i);
  for (const rest of [0, 1]) {
    for (const { source: places } of all) stage.fill(places, rest);
    stage.send(rest);
    for (let i = 0; i < source.length; i++) {
      stage.bits[source[i]!] = 1 - rest;
      const moved = stage.send(rest);
      const plain = moved === 1 && !one.strangers && stage.bits[sink[i]!] !== rest;
      if (!plain) {
        const at = landedAt(stage, one, rest);
        if (at !== i && landed[i] === i) landed[i] = at;
      }
      stage.bits[source[i]!] = rest;
    }
  }
  for (const { source: places } of all) stage.fill(places, 0);
  stage.send(0);
  return landed;
}

function landedAt({ bits }: Stage, { sink, strangers }: Staged, rest: number): number {
  let at = -1;
  for (let k = 0; k < sink.length; k++) {
    if (bits[sink[k]!] === rest) continue;
    if (at >= 0) return ELSEWHERE;
    at = k;
  }
  return strangers?.some((place) => bits[place] !== rest) ? ELSEWHERE : at;
}

/** Whether two values of the sink, or of the source, have a bit in common. */
function sharedBits(all: readonly Pick<Staged, 'source' | 'sink'>[]): boolean {
  return (['source', 'sink'] as const).some((at) => {
    const seen = new Set<number>();
    return all.some((one) => one[at].some((place) => seen.size === seen.add(place).size));
  });
}

/** Bits of the other values at the sink. A BOOL that is a bit of a whole number under a name of its own is part of it. */
function strangersOf(one: Pick<Staged, 'pair' | 'sink'>, all: readonly Pick<Staged, 'pair' | 'sink'>[]): Int32Array {
  const own = new Set(one.sink);
  const isBit = (a: Pick<Staged, 'pair'>, b: Pick<Staged, 'pair'>) => isBitOf(a.pair.sink, b.pair.sink);
  const strangers = all.flatMap((other) => {
    if (other === one || other.pair === one.pair) return [];
    const together = other.sink.some((place) => own.has(place)) && (isBit(one, other) || isBit(other, one));
    return together ? [] : Array.from(other.sink);
  });
  return Int32Array.from(strangers);
}

function tried(stage: Stage, { pair: { source: a, sink: b }, source, sink }: Staged): Try[] {
  const type = elementary(a.type.base)!;
  if (type.family === 'text' || sink.length < type.bits) return [];
  const tries = triesOf(a.type.base).map((value) => {
    valueToBits(a.type.base, value).forEach((bit, i) => (stage.bits[source[i]!] = bit));
    stage.send(0);
    const seen = Uint8Array.from({ length: type.bits }, (_, i) => stage.bits[sink[i]!]!);
    return { set: shownValue(a.type.base, value), seen: shownValue(b.type.base, bitsToValue(b.type.base, seen)) };
  });
  stage.fill(source, 0);
  stage.send(0);
  return tries;
}

function cameOf(landed: Int32Array): Came {
  if (landed.every((at) => at === -1)) return 'nothing';
  return landed.every((at) => at < 0) ? 'elsewhere' : 'changed';
}

/** Where a value that does not come to its place does come to. */
function where(stage: Stage, { source, sink }: Staged, all: readonly Staged[]): string {
  stage.fill(source, 1);
  stage.send(0);
  const there = all.find((other) => other.sink !== sink && other.sink.some((place) => stage.bits[place] === 1));
  stage.fill(source, 0);
  stage.send(0);
  return there ? `it arrives in ${there.pair.sink.name || 'another value'}` : 'no bit of it arrives';
}
