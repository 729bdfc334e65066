import { elementary } from '../data/types.js';
import { bitsToValue, valueToBits } from '../data/values.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Reader } from '../model/project.js';
import { arrivingAs } from './arriving.js';
import { payloadOf } from './block.js';
import { pathsOf, type Moves, type Path } from './path.js';
import { shownValue } from './shown-value.js';
import { Stage } from './stage.js';
import { triesOf } from './tries.js';
import { byType } from './by-type.js';
import { apart, pairsOf, type OwnValue, type ValuePair } from './values.js';

/** A value that was set at its source, and what stood at its sink then, each as its end writes it. */
export interface Try {
  set: string;
  seen: string;
}

/** arrived · changed: other bits, at its place · elsewhere: at another place · nothing: no bit of it */
export type Came = 'arrived' | 'changed' | 'elsewhere' | 'nothing';

/** What became of one value. */
export interface ValueWalk {
  key: string;
  /** what its source and its sink call it */
  source: string;
  sink: string;
  came: Came;
  tries: Try[];
  /** why it came otherwise, in a person’s words; of one that arrived: nothing, or how it is read otherwise */
  why: string;
}

/** What became of one source and one sink. */
export interface PathWalk {
  source: string;
  sink: string;
  /** the hop that stopped all of it */
  stopped: string | null;
  values: ValueWalk[];
  /** what arrived where nothing of it should, or stayed away */
  beside: string[];
  /** bits that were set and cleared, each alone */
  bits: number;
}

/** passed: every bit of every value arrived · failed · not walked: a claim is not complete */
export interface LaneWalk {
  lane: string;
  result: 'passed' | 'failed' | 'not walked';
  why: string | null;
  paths: PathWalk[];
}

/**
 * Walks a lane: every bit of every value is set and cleared alone at its source, and looked for at its sink, with values
 * that cannot be mistaken. It acts by what each end says, and compares no two claims.
 */
export function walkLane(reader: Reader, exchange: Exchange, lane: Lane): LaneWalk {
  const paths = pathsOf(reader, exchange, lane);
  if (typeof paths === 'string') return { lane: lane.id, result: 'not walked', why: paths, paths: [] };
  const walks: PathWalk[] = [];
  for (const path of paths) {
    const walk = walkPath(path);
    if (typeof walk === 'string') return { lane: lane.id, result: 'not walked', why: walk, paths: [] };
    walks.push(walk);
  }
  const failed = walks.find(
    (w) => w.stopped ?? (w.beside.length > 0 || w.values.some(({ came }) => came !== 'arrived')),
  );
  return {
    lane: lane.id,
    result: failed || walks.length === 0 ? 'failed' : 'passed',
    why: reasonOf(failed),
    paths: walks,
  };
}

function reasonOf(walk: PathWalk | undefined): string | null {
  if (!walk) return null;
  const value = walk.values.find(({ came }) => came !== 'arrived');
  return walk.stopped ?? (value ? sentenceOf(value) : (walk.beside[0] ?? null));
}

/** `Setp[0] set to 1.0 arrives as 2.278E-41: the two registers are exchanged` */
export function sentenceOf({ source, sink, came, tries, why }: ValueWalk): string {
  const name = source || sink || 'the block';
  const [first] = tries.filter(({ set, seen }) => set !== seen);
  const told = first && came === 'changed' ? `${name} set to ${first.set} arrives as ${first.seen}` : name;
  if (came === 'nothing') return `${name} does not arrive${why ? `: ${why}` : ''}`;
  return why ? `${told}: ${why}` : told;
}

function walkPath(path: Path): PathWalk | string {
  const { source, sink, stopped, moves, asks } = path;
  const walk: PathWalk = {
    source: source.station.name,
    sink: sink.station.name,
    stopped,
    values: [],
    beside: [],
    bits: 0,
  };
  if (!moves) return walk;
  const found = pairsOf(source, sink);
  if (typeof found === 'string') return found;
  for (const { name, at } of found.left) {
    const [has, not] = at === 'source' ? [walk.source, walk.sink] : [walk.sink, walk.source];
    walk.beside.push(`${has} has ${name || 'a value'}, and ${not} nothing for it`);
  }
  if (moves === 'values') {
    const [a, b] = [source, sink].map(({ claim, block }) => Object.keys(claim.items).length === 0 && block.bits);
    walk.beside.push(...moveTogether(found.pairs));
    for (const pair of found.pairs) {
      walk.values.push(byType(pair, walk, [a || 0, b || 0]));
      walk.bits += pair.source.bits.length;
    }
    return walk;
  }
  if (source.block.bits !== sink.block.bits) {
    const [sent, taken] = [source, sink].map(({ block }) => counted(block.bits));
    walk.beside.push(`${walk.source} sends ${sent}, ${walk.sink} takes ${taken}`);
  }
  const unclear = found.pairs.find(unclearRegisters);
  if (unclear)
    return `of ${unclear.source.name || unclear.sink.name} one end has raw registers: which order is meant is not known`;
  bitByBit(path, moves, found.pairs, walk);
  if (asks) for (const value of walk.values) if (value.came === 'nothing') value.why = asks;
  return walk;
}

const counted = (bits: number): string => {
  const [n, unit] = bits % 16 === 0 ? [bits / 16, 'word'] : bits % 8 === 0 ? [bits / 8, 'byte'] : [bits, 'bit'];
  return `${n} ${unit}${n === 1 ? '' : 's'}`;
};

/** Values of one end that lie on one place: to set the one changes the other. */
function moveTogether(pairs: readonly ValuePair[]): string[] {
  return (['source', 'sink'] as const).flatMap((at) => {
    const taken = new Map<number, OwnValue>();
    const words = new Set<string>();
    for (const { [at]: value } of pairs) {
      for (const bit of value.bits) {
        const other = taken.get(bit);
        if (other && other !== value && !isBitOf(value, other) && !isBitOf(other, value))
          words.add(`${value.name || 'a value'} changes with ${other.name || 'another'}`);
        taken.set(bit, value);
      }
    }
    return [...words];
  });
}

const WHOLE: readonly unknown[] = ['bit string', 'signed', 'unsigned'];

/** A BOOL that is a bit of a whole number, under a name of its own. */
const isBitOf = (bit: OwnValue, whole: OwnValue): boolean =>
  bit.type.base === 'BOOL' && WHOLE.includes(elementary(whole.type.base)?.family);

/** Raw registers for a longer value: in which order they are it, nobody has said. */
function unclearRegisters({ source, sink }: ValuePair): boolean {
  const raw = [source, sink].find(({ type }) => type.base === 'WORD' || type.base === 'BYTE');
  const other = raw === source ? sink : source;
  const [a, b] = [raw, other].map((value) => (value ? (elementary(value.type.base)?.bits ?? 0) : 0));
  return Boolean(raw && b! > a! && a! * raw.type.count === b! * other.type.count);
}

/** A value with its bits as places on the stage. */
interface Staged {
  pair: ValuePair;
  source: Int32Array;
  sink: Int32Array;
  /** bits of other values at the sink, which must not move; null: no two share any, so that counting is enough */
  strangers: Int32Array | null;
}

/** Each bit alone through the memories of both ends. */
function bitByBit({ source, sink }: Path, moves: Moves, pairs: readonly ValuePair[], walk: PathWalk): void {
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
