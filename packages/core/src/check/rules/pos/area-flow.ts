import { formatSpan } from '../../../address/format-address.js';
import { memoryOf } from '../../../address/memory.js';
import { joined, type Span } from '../../../address/resolve.js';
import { uncovered } from '../../../lane/occupancy.js';
import type { Area } from '../../../model/area.js';
import type { Context, Report } from '../../rule.js';

/**
 * For an area in which only exchanges move data: what is taken out but never put in, or put in and never taken out.
 * An area with writers of its own is not looked at: its program may put and use what it likes.
 */
export function* unmatchedUses(area: Area, context: Context, missing: 'put' | 'taken'): Generator<Report> {
  if (area.writers.length > 0) return;
  const memory = memoryOf(context.reader, area.id);
  if (!memory) return;
  const uses = context.occupancy.inArea(area.id);
  const own = Object.values(area.reservations).filter((r) => r.puts);
  const put = joined([
    ...uses.filter((u) => u.puts).flatMap((u) => u.spans),
    ...own.map((r) => ({ start: r.start, end: r.start + r.length })),
  ]);
  const taken = joined(uses.filter((u) => u.takes).flatMap((u) => u.spans));
  const spans: Span[] = missing === 'put' ? uncovered(taken, put) : uncovered(put, taken);
  for (const span of spans) {
    yield {
      message: missing === 'put' ? 'neverPut' : 'neverTaken',
      label: missing === 'put' ? 'nobody writes it' : 'nobody reads it',
      about: { kind: 'station', id: memory.station.id, name: memory.station.name },
      parties: [{ station: memory.station.id }],
      cells: [{ kind: 'area', id: area.id, path: ['name'] }],
      params: { a: memory.station.name, area: area.name, range: formatSpan(memory, span) },
      subjects: [area.id, String(span.start)],
    };
  }
}
