import { formatAddress, formatSpan, placeAlong } from '../../../place/format-address.js';
import { memoryOf, type Memory } from '../../../place/memory.js';
import { joined, locate, spansOf, type Span } from '../../../place/resolve.js';
import { copyPlaces } from '../../../follow/copied.js';
import { claimsIn, copiesIn } from '../../../lane/claims-in.js';
import { uncovered } from '../../../lane/occupancy.js';
import { isUnsettled } from './area-flow.js';
import { sideOf, type Side } from '../../../lane/side.js';
import { useOf, usesOfCopy } from '../../../lane/uses.js';
import type { Area } from '../../../model/area.js';
import type { Place } from '../../../model/claim.js';
import type { MemoryCopy } from '../../../model/memory-copy.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import type { Cell } from '../../../finding/finding.js';
import type { Context, Report } from '../../rule.js';

/** Copies into an area whose reader was named, and that lie in no window which it reads, or in one that it writes. */
export function* copiesNotSeen(area: Area, { reader }: Context): Generator<Report> {
  const memory = memoryOf(reader, area.id);
  if (!memory || copiesIn(reader, area.id).length === 0 || isUnsettled(reader, area)) return;
  for (const copy of copiesIn(reader, area.id)) {
    const station = copy.reader ? reader.get('station', copy.reader) : undefined;
    const target = usesOfCopy(reader, copy).find((use) => use.puts && use.area === area.id);
    if (!station || !target) continue;
    const { reads, writes } = windowsOf(reader, area.id, station.id);
    const written = writes.filter((w) => target.spans.some((s) => w.start < s.end && s.start < w.end));
    const seen = uncovered(target.spans, joined([...reads])).length === 0;
    if (written.length === 0 && seen) continue;
    const shown = written.length > 0 ? written : reads;
    const whole = { start: target.spans[0]!.start, end: target.spans.at(-1)!.end };
    yield {
      message: written.length > 0 ? 'overwritten' : 'notSeen',
      label: 'not where it is read',
      about: { kind: 'station', id: memory.station.id, name: memory.station.name },
      parties: [{ station: memory.station.id }, { station: station.id }],
      cells: [{ kind: 'copy', id: copy.id, path: ['to'] }, ...emptyWindows(reader, memory, station.id)],
      params: {
        a: memory.station.name,
        b: station.name,
        copy: copy.name || 'A copy',
        range: formatSpan(memory, whole),
        windows: shown.map((span) => formatSpan(memory, span)).join(', ') || 'nothing there',
      },
      subjects: [copy.id],
    };
  }
}

/** The bits of an area that a station reads, and those that it writes, through all exchanges with its holder. */
function windowsOf(reader: Reader, area: string, station: string): { reads: Span[]; writes: Span[] } {
  const windows = { reads: [] as Span[], writes: [] as Span[] };
  for (const { side, other } of claimsFacing(reader, area, station)) {
    const use = useOf(side);
    if (!use) continue;
    if (use.takes && other.direction !== 'writes') windows.reads.push(...use.spans.map((s) => ({ ...s })));
    if (use.puts && other.direction !== 'reads') windows.writes.push(...use.spans.map((s) => ({ ...s })));
  }
  return { reads: joined(windows.reads), writes: joined(windows.writes) };
}

/** What the station reads of this memory and nothing is put into: there the copy may have been meant to go. */
function emptyWindows(reader: Reader, memory: Memory, station: string): Cell[] {
  const put = joined(putInto(reader, memory, ''));
  return claimsFacing(reader, memory.area.id, station).flatMap(({ side, other }) => {
    const use = other.direction === 'writes' ? null : useOf(side);
    const empty = use?.takes && uncovered(use.spans, put).length > 0;
    return empty ? [{ kind: 'claim', id: side.claim.id, path: ['place'] } as const] : [];
  });
}

/** Claims on the area whose lane has a claim of this station, too. */
function claimsFacing(reader: Reader, area: string, station: string) {
  return claimsIn(reader, area).flatMap((claim) => {
    const lane = reader.get('lane', claim.lane);
    const exchange = lane && reader.get('exchange', lane.exchange);
    const other =
      lane &&
      childrenOf(reader, 'claim', lane.id).find(
        (c) => c.id !== claim.id && reader.get('end', c.end)?.station === station,
      );
    const side: Side | null = exchange && other ? sideOf(reader, claim, exchange) : null;
    return side && other ? [{ side, other }] : [];
  });
}

/** The first place in a window of its reader that nothing else is put into, and that the copy fits into. */
export function windowToMoveTo(reader: Reader, copy: MemoryCopy): { place: Place; text: string } | null {
  const places = copyPlaces(reader, copy);
  if (!places || !copy.reader) return null;
  const { memory, located, place } = places.to;
  const { reads } = windowsOf(reader, memory.area.id, copy.reader);
  const free = uncovered(reads, joined(putInto(reader, memory, copy.id)));
  const { row } = located;
  for (const span of free) {
    const aligned = Math.ceil(span.start / row.wordBits) * row.wordBits;
    if (aligned + places.bits > span.end) continue;
    // A whole word lies at the same bits along the row as in the area.
    const next = placeAlong({ ...located, linear: aligned - row.base }, place, 0, located.view.unit);
    const there = locate(memory, next);
    if (there && spansOf(there.row, there.linear, places.bits).every((s) => s.start >= span.start && s.end <= span.end))
      return { place: next, text: formatAddress(memory, next) };
  }
  return null;
}

/** Everything that claims and other copies put into an area. */
function putInto(reader: Reader, memory: Memory, but: string): Span[] {
  const area = memory.area.id;
  const byClaims = claimsIn(reader, area).flatMap((claim) => {
    const lane = reader.get('lane', claim.lane);
    const exchange = lane && reader.get('exchange', lane.exchange);
    const side = exchange && sideOf(reader, claim, exchange);
    return side ? (useOf(side) ?? []) : [];
  });
  const byCopies = copiesIn(reader, area)
    .filter((c) => c.id !== but)
    .flatMap((c) => usesOfCopy(reader, c));
  return [...byClaims, ...byCopies]
    .filter((use) => use.puts && use.area === area)
    .flatMap((use) => use.spans.map((s) => ({ ...s })));
}
