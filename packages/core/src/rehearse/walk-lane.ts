import { elementary } from '../data/types.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Reader } from '../model/project.js';
import { bitByBit } from './bit-by-bit.js';
import { byType } from './by-type.js';
import { isBitOf } from './is-bit-of.js';
import { pathsOf, type Path } from './path.js';
import { pairsOf, type OwnValue, type ValuePair } from './values.js';

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

/** Raw registers for a longer value: in which order they are it, nobody has said. */
function unclearRegisters({ source, sink }: ValuePair): boolean {
  const raw = [source, sink].find(({ type }) => type.base === 'WORD' || type.base === 'BYTE');
  const other = raw === source ? sink : source;
  const [a, b] = [raw, other].map((value) => (value ? (elementary(value.type.base)?.bits ?? 0) : 0));
  return Boolean(raw && b! > a! && a! * raw.type.count === b! * other.type.count);
}
