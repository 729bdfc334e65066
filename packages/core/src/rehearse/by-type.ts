import { elementary } from '../data/types.js';
import { bitsToValue } from '../data/values.js';
import { carriedNumber } from './carry-number.js';
import { shownValue } from './shown-value.js';
import { triesOf } from './tries.js';
import type { ValuePair } from './values.js';
import type { Try, ValueWalk } from './walk-lane.js';

/** Where values are carried by their types: a number is read at the one end and set at the other. */
export function byType(
  { key, source, sink }: ValuePair,
  names: { source: string; sink: string },
  [here, there]: readonly [number, number],
): ValueWalk {
  const value = { key, source: source.name, sink: sink.name };
  const failed = (why: string, tries: Try[] = []): ValueWalk => ({ ...value, came: 'changed', tries, why });
  const [a, b] = [elementary(source.type.base)!, elementary(sink.type.base)!];
  const { count } = source.type;
  if (count !== sink.type.count) return failed(`${count} elements are sent, ${sink.type.count} are taken`);
  if (here > 0 && there > 0 && a.bits > 0 && a.bits === b.bits && here !== there) {
    return failed(`${names.source} counts ${here / a.bits} of it, ${names.sink} ${there / b.bits}`);
  }
  if ((source.type.capacity ?? 0) !== (sink.type.capacity ?? 0)) return failed('the longest text is cut off');
  const fault = refused(source.type.base, sink.type.base);
  if (fault) return failed(fault.why, fault.tries);
  if (source.listed || sink.listed) {
    const own = refused((source.listed ?? source.type).base, (sink.listed ?? sink.type).base);
    if (own) return failed(`${own.why}, as its own list has it`, own.tries);
  }
  const tries = triesOf(source.type.base).map((number) => ({
    set: shownValue(source.type.base, number),
    seen: shownValue(sink.type.base, carriedNumber(source.type.base, sink.type.base, number)!),
  }));
  return { ...value, came: 'arrived', tries: a.family === 'text' ? [] : tries, why: '' };
}

/** The first number that does not go from one type into the other; each bit alone is among those that are tried. */
function refused(from: string, to: string): { why: string; tries: Try[] } | null {
  const type = elementary(from)!;
  if (type.family === 'text') return from === to ? null : { why: 'its characters are of another size', tries: [] };
  const singles = Array.from({ length: type.bits }, (_, i) => bitsToValue(from, one(type.bits, i)));
  const numbers = [...triesOf(from), ...(type.family === 'real' ? [] : singles)];
  const bad = numbers.find((number) => carriedNumber(from, to, number) === null);
  if (bad === undefined) return null;
  const set = shownValue(from, bad);
  return { why: `${set} does not go into ${to}`, tries: [{ set, seen: 'refused' }] };
}

const one = (bits: number, at: number): Uint8Array => Uint8Array.from({ length: bits }, (_, i) => (i === at ? 1 : 0));
