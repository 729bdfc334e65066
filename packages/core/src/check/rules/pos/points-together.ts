import { formatSpan } from '../../../place/format-address.js';
import { memoryOf } from '../../../place/memory.js';
import { sharedSpan } from '../../../lane/occupancy.js';
import { userOf, type User } from '../../../lane/use-words.js';
import type { Reader } from '../../../model/project.js';
import type { Context } from '../../rule.js';

/** Many points of one tag map that overlap with the same other writer, as one. */
export interface Together {
  of: User;
  name: string;
  range: string;
}

/**
 * One cause is one finding: where points of a tag map each overlap with a module, a copy or a block of another exchange,
 * the first of them speaks for all. Null where there is just the one.
 */
export function pointsTogether(
  reader: Reader,
  occupancy: Context['occupancy'],
  first: User,
  second: User,
): Together | 'not the first' | null {
  const point = [first, second].find((user) => user.exchange?.kind === 'tag map');
  const other = point === first ? second : first;
  if (!point || point.exchange === other.exchange) return null;
  const alike = occupancy
    .inArea(point.use.area)
    .filter((use) => use.of === 'claim' && use.puts && sharedSpan(use, other.use) !== null)
    .filter((use) => reader.get('claim', use.id)?.end === point.end?.id);
  if (alike.length < 2) return null;
  const spans = alike.flatMap((use) => use.spans);
  const [start, end] = [Math.min(...spans.map((s) => s.start)), Math.max(...spans.map((s) => s.end))];
  const leader = alike.reduce((a, b) => {
    const [first, second] = [orderOf(reader, a.id), orderOf(reader, b.id)];
    return first < second || (first === second && a.id < b.id) ? a : b;
  });
  if (leader.id !== point.use.id) return 'not the first';
  const memory = memoryOf(reader, point.use.area);
  const user = userOf(reader, leader);
  if (!memory || !user) return null;
  return {
    of: point,
    name: `${point.group}, ${alike.length} points from ${user.name}`,
    range: formatSpan(memory, { start, end }),
  };
}

const orderOf = (reader: Reader, claim: string): number =>
  reader.get('lane', reader.get('claim', claim)?.lane ?? '')?.order ?? 0;
