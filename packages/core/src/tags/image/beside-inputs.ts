import { formatSpan, placeAlong } from '../../place/format-address.js';
import { memoryOf, type Memory } from '../../place/memory.js';
import { joined, locate, type Span } from '../../place/resolve.js';
import type { Change } from '../../change/change.js';
import { set } from '../../change/make.js';
import { uncovered } from '../../lane/occupancy.js';
import type { Use } from '../../lane/occupancy.js';
import { userOf } from '../../lane/use-words.js';
import { usesOfArea } from '../../lane/uses-of-area.js';
import { holderOf } from '../../lane/uses.js';
import { readable } from '../../model/as-typed.js';
import { IN_TAG, type Place } from '../../model/claim.js';
import { entriesInOrder } from '../../model/order.js';
import type { Reader } from '../../model/project.js';
import { simulatorOf } from './simulator-of.js';

/** Bits of an image that the same put data into. */
export interface ImageRun {
  range: string;
  bits: number;
  /** modules, exchanges and others, by name; several: they overwrite each other */
  writers: readonly string[];
  simulated: boolean;
}

/** A way out, with what it would do. */
export interface ImageRemedy {
  /** where it goes to, and where the range ends there */
  to: string;
  /** names of what is bound to the place that is left */
  bound: readonly string[];
  changes: Change[];
}

export interface BesideInputs {
  runs: readonly ImageRun[];
  /** the range that a simulator fills, from its first to its last bit; null: none does */
  simulated: { station: string; range: string; bits: number; overlaps: boolean } | null;
  /** the simulator moves to the first free place that holds all of it */
  moveSimulator: ImageRemedy | null;
  /** the modules in its way move to the first free place behind everything */
  moveModules: ImageRemedy | null;
}

/**
 * What puts data into each part of an image, and both ways out where a simulator fills what modules fill: the first range
 * that nobody else takes, rounded up to whole bytes, or another range for the modules. [common practice]
 */
export function besideInputs(reader: Reader, areaId: string): BesideInputs | null {
  const memory = memoryOf(reader, areaId);
  if (!memory) return null;
  const puts = usesOfArea(reader, areaId).filter((use) => use.puts && !isLandingsOwn(reader, use));
  const simulating = puts.filter((use) => simulatorOf(reader, use) !== null);
  const others = puts.filter((use) => !simulating.includes(use));
  const runs = runsOf(reader, memory, puts, simulating);
  const first = simulating[0] && simulatorOf(reader, simulating[0]);
  const whole = wholeOf(simulating);
  if (!first || !whole) return { runs, simulated: null, moveSimulator: null, moveModules: null };
  const taken = joined(others.flatMap((use) => use.spans.map((s) => ({ ...s }))));
  const reserved = entriesInOrder(memory.area.reservations).map(([, r]) => ({
    start: r.start,
    end: r.start + r.length,
  }));
  const overlaps = others.some((use) =>
    use.spans.some((s) => simulating.some((sim) => sim.spans.some((t) => meet(s, t)))),
  );
  const range = formatSpan(memory, whole);
  return {
    runs,
    simulated: { station: first.name, range, bits: whole.end - whole.start, overlaps },
    moveSimulator: moveSimulator(reader, memory, simulating, whole, joined([...taken, ...reserved])),
    moveModules: moveModules(reader, memory, others, whole, joined([...taken, ...reserved, { ...whole }])),
  };
}

/** A lane that follows from a landing is that landing, said a second time. */
const isLandingsOwn = (reader: Reader, use: Use): boolean => {
  const claim = use.of === 'claim' ? reader.get('claim', use.id) : undefined;
  return claim !== undefined && reader.get('lane', claim.lane)?.madeBy?.startsWith('landing ') === true;
};

const meet = (a: Span, b: Span): boolean => a.start < b.end && b.start < a.end;

const wholeOf = (uses: readonly Use[]): Span | null =>
  uses.length === 0
    ? null
    : {
        start: Math.floor(Math.min(...uses.flatMap((use) => use.spans.map((s) => s.start))) / 8) * 8,
        end: Math.ceil(Math.max(...uses.flatMap((use) => use.spans.map((s) => s.end))) / 8) * 8,
      };

function runsOf(reader: Reader, memory: Memory, puts: readonly Use[], simulating: readonly Use[]): ImageRun[] {
  const edges = [...new Set(puts.flatMap((use) => use.spans.flatMap((s) => [s.start, s.end])))].sort((a, b) => a - b);
  const parts: { span: Span; writers: string; names: string[]; simulated: boolean }[] = [];
  for (let i = 0; i + 1 < edges.length; i++) {
    const span = { start: edges[i]!, end: edges[i + 1]! };
    const users = puts.filter((use) => use.spans.some((s) => meet(s, span)));
    if (users.length === 0) continue;
    const names = [...new Set(users.flatMap((use) => userOf(reader, use)?.group ?? []))].sort();
    const last = parts.at(-1);
    if (last && last.writers === names.join() && last.span.end === span.start) last.span.end = span.end;
    else parts.push({ span, writers: names.join(), names, simulated: users.some((use) => simulating.includes(use)) });
  }
  return parts.map(({ span, names, simulated }) => ({
    range: formatSpan(memory, span),
    bits: span.end - span.start,
    writers: names,
    simulated,
  }));
}

/** The first whole bytes that hold so many bits and that nothing covers. */
function firstFree(memory: Memory, covered: readonly Span[], bits: number): number | null {
  const end = memory.area.words * memory.wordBits;
  for (const gap of uncovered([{ start: 0, end }], covered)) {
    const start = Math.ceil(gap.start / 8) * 8;
    if (start + bits <= gap.end) return start;
  }
  return null;
}

function moveSimulator(
  reader: Reader,
  memory: Memory,
  simulating: readonly Use[],
  whole: Span,
  covered: readonly Span[],
): ImageRemedy | null {
  const bits = whole.end - whole.start;
  const start = firstFree(memory, covered, bits);
  if (start === null) return null;
  const by = start - whole.start;
  const changes = new Map<string, Change>();
  for (const use of simulating) {
    const claim = reader.get('claim', use.id);
    const named = claim && readable(claim.place);
    if (!claim || !named) continue;
    if (named.view !== IN_TAG) {
      const place = moved(memory, named, by);
      if (place) changes.set(claim.id, set('claim', claim, ['place'], place));
      continue;
    }
    const tag = reader.get('tag', named.area);
    const at = tag && readable(tag.place);
    const place = at && moved(memory, at, by);
    if (tag && place) changes.set(tag.id, set('tag', tag, ['place'], place));
  }
  const to = formatSpan(memory, { start, end: start + bits });
  return { to, bound: [], changes: [...changes.values()] };
}

function moved(memory: Memory, place: Place, by: number): Place | null {
  const located = locate(memory, place);
  if (!located) return null;
  const { unit } = located.view;
  return placeAlong(located, place, by, place.width ?? unit, place.bit);
}

function moveModules(
  reader: Reader,
  memory: Memory,
  others: readonly Use[],
  whole: Span,
  covered: readonly Span[],
): ImageRemedy | null {
  const inTheWay = others.filter((use) => use.of === 'landing' && use.spans.some((s) => meet(s, whole)));
  const range = wholeOf(inTheWay);
  if (!range) return null;
  const start = firstFree(memory, covered, range.end - range.start);
  if (start === null) return null;
  const changes = inTheWay.flatMap((use): Change[] => {
    const landing = reader.get('landing', holderOf(use));
    const at = landing && readable(landing.inputsAt);
    const place = at && moved(memory, at, start - range.start);
    return landing && place ? [set('landing', landing, ['inputsAt'], place)] : [];
  });
  const bound = usesOfArea(reader, memory.area.id)
    .filter((use) => use.takes && use.spans.some((s) => meet(s, range)))
    .flatMap((use) => {
      const user = userOf(reader, use);
      return user ? [`${user.group}, ${user.name}`] : [];
    });
  return {
    to: formatSpan(memory, { start, end: start + range.end - range.start }),
    bound: [...new Set(bound)],
    changes,
  };
}
