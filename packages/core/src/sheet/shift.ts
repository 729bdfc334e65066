import { formatAddress } from '../place/format-address.js';
import { viewOf, memoryOf } from '../place/memory.js';
import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { readable } from '../model/as-typed.js';
import type { Claim } from '../model/claim.js';
import type { End } from '../model/end.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { blockOf } from '../lane/side.js';
import { readToldPlace } from '../lane/told-place.js';
import { usesBeside } from '../lane/uses-beside.js';

/** The addresses of an end itself, or those of the other end as they were told here. */
export type Shifted = 'own' | 'told';

/** What moving all addresses of a page would do. */
export interface Shift {
  changes: Change[];
  rows: { name: string; before: string; after: string }[];
  /** what stands in the way, in sentences */
  clashes: string[];
}

/**
 * All lanes of one end `by` so many numbers on, as its own notation counts them: words, bytes, elements, references. A lane
 * whose new number would lie before the first of its view stays, and is named among the clashes.
 */
export function shiftPage(reader: Reader, end: End, by: number, what: Shifted): Shift {
  const claims = childrenOf(reader, 'lane', end.exchange).flatMap((lane) =>
    childrenOf(reader, 'claim', lane.id).filter((c) => c.end === end.id),
  );
  const shift: Shift = { changes: [], rows: [], clashes: [] };
  const moved = new Set(claims.map((c) => c.id));
  for (const claim of claims) {
    if (what === 'own') shiftOwn(reader, end, claim, by, moved, shift);
    else shiftTold(reader, end, claim, by, shift);
  }
  return shift;
}

function shiftOwn(reader: Reader, end: End, claim: Claim, by: number, moved: ReadonlySet<string>, shift: Shift): void {
  const place = readable(claim.place);
  const memory = place && memoryOf(reader, place.area);
  const view = memory && viewOf(memory, place.view);
  const exchange = reader.get('exchange', end.exchange);
  if (!memory || !view || !exchange) return;
  const before = formatAddress(memory, place);
  const next = { ...place, number: place.number + by };
  if (next.number < view.first) {
    shift.clashes.push(
      `${claim.name || before} would begin before ${formatAddress(memory, { ...place, number: view.first })}`,
    );
    return;
  }
  const after = formatAddress(memory, next);
  shift.rows.push({ name: claim.name, before, after });
  shift.changes.push(set('claim', claim, ['place'], next));
  const spans = blockOf(reader, { ...claim, place: next }, end, exchange)?.spans ?? [];
  if (spans.some((s) => s.end > memory.bits)) {
    shift.clashes.push(`${claim.name || after} would lie beyond ${memory.area.name}`);
  }
  for (const other of usesBeside(reader, place.area, moved)) {
    if (spans.some((s) => other.spans.some((t) => s.start < t.end && t.start < s.end))) {
      shift.clashes.push(`${claim.name || after} would lie on ${other.name}`);
    }
  }
}

function shiftTold(reader: Reader, end: End, claim: Claim, by: number, shift: Shift): void {
  const before = claim.toldPlace?.trim() ?? '';
  const other = childrenOf(reader, 'end', end.exchange).find((e) => e.id !== end.id);
  if (before === '' || !other) return;
  const said = childrenOf(reader, 'claim', claim.lane).find((c) => c.end === other.id);
  const read = readToldPlace(reader, before, other.station, said);
  const memory = read.ok ? memoryOf(reader, read.value.area) : null;
  const view = read.ok && memory ? viewOf(memory, read.value.view) : null;
  const name = claim.name || before;
  if (!read.ok || !memory || !view) {
    shift.clashes.push(`“${before}” of ${name} cannot be read there, so it stays`);
    return;
  }
  const next = { ...read.value, number: read.value.number + by };
  if (next.number < view.first) {
    shift.clashes.push(
      `${name} would begin before ${formatAddress(memory, { ...read.value, number: view.first })} there`,
    );
    return;
  }
  const after = formatAddress(memory, next);
  shift.rows.push({ name: claim.name, before, after });
  shift.changes.push(set('claim', claim, ['toldPlace'], after));
}
