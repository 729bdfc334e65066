import type { Span } from '../place/resolve.js';
import type { Area } from '../model/area.js';

/**
 * The bits of one area that a claim, a copy or a landing uses. Reading puts data into the area, writing takes data out
 * of it; a copy takes from one place and puts into another; the inputs of a module are put into the area, its outputs
 * are taken from it.
 */
export interface Use {
  /** a claim's own id; of a copy or a landing its id, a space-free mark and which of its places it is */
  id: string;
  of: 'claim' | 'copy' | 'landing';
  area: string;
  spans: readonly Span[];
  puts: boolean;
  takes: boolean;
}

/** The first bits that two uses share; null where they share none. */
export function sharedSpan(a: Use, b: Use): Span | null {
  for (const x of a.spans) {
    for (const y of b.spans) {
      const start = Math.max(x.start, y.start);
      const end = Math.min(x.end, y.end);
      if (start < end) return { start, end };
    }
  }
  return null;
}

const CELL_BITS = 1024;

/**
 * Who uses which bits, per area, in cells of 1,024 bits: a query or an edit touches only the cells of its own spans.
 * Changed in place; it is the engine's, not part of the project.
 */
export class Occupancy {
  private readonly uses = new Map<string, Use>();
  private readonly areas = new Map<string, Map<number, Use[]>>();

  get(id: string): Use | undefined {
    return this.uses.get(id);
  }

  /** Replaces one use. */
  set(id: string, use: Use | null): void {
    const old = this.uses.get(id);
    if (old) {
      const cells = this.areas.get(old.area)!;
      forEachCell(old, (cell) => {
        const left = (cells.get(cell) ?? []).filter((u) => u !== old);
        if (left.length > 0) cells.set(cell, left);
        else cells.delete(cell);
      });
    }
    if (!use) {
      this.uses.delete(id);
      return;
    }
    this.uses.set(id, use);
    let cells = this.areas.get(use.area);
    if (!cells) this.areas.set(use.area, (cells = new Map()));
    const into = cells;
    forEachCell(use, (cell) => {
      const list = into.get(cell);
      if (!list) into.set(cell, [use]);
      else if (list.at(-1) !== use) list.push(use);
    });
  }

  /** Other uses of the same area that share bits with this one. */
  overlapping(use: Use): Use[] {
    const cells = this.areas.get(use.area);
    const found = new Set<Use>();
    forEachCell(use, (cell) => {
      for (const other of cells?.get(cell) ?? []) {
        if (other.id !== use.id && !found.has(other) && sharedSpan(use, other)) found.add(other);
      }
    });
    return [...found];
  }

  /** Every use of an area, by its first bit. */
  inArea(area: string): Use[] {
    const found = new Set<Use>();
    for (const list of this.areas.get(area)?.values() ?? []) for (const use of list) found.add(use);
    return [...found].sort((a, b) => (a.spans[0]?.start ?? 0) - (b.spans[0]?.start ?? 0));
  }
}

/** Every cell that a use lies in; one that two of its spans share comes twice. */
function forEachCell({ spans }: Use, visit: (cell: number) => void): void {
  for (const { start, end } of spans) {
    const last = Math.floor((end - 1) / CELL_BITS);
    for (let cell = Math.floor(start / CELL_BITS); cell <= last; cell++) visit(cell);
  }
}

/**
 * The first bit after everything that is used or reserved, at a whole word; null where the area is full.
 * Spans in bits of the area.
 */
export function nextFree(area: Area, used: Iterable<Span>): number | null {
  let after = 0;
  for (const { end } of used) after = Math.max(after, end);
  for (const r of Object.values(area.reservations)) {
    if (r.start <= after && after < r.start + r.length) after = r.start + r.length;
  }
  const rounded = Math.ceil(after / area.wordBits) * area.wordBits;
  return rounded < area.words * area.wordBits ? rounded : null;
}

/** What of `spans` none of `by` covers. Both as `joined` gives them. */
export function uncovered(spans: readonly Span[], by: readonly Span[]): Span[] {
  const out: Span[] = [];
  for (const span of spans) {
    let from = span.start;
    for (const cover of by) {
      if (cover.end <= from || cover.start >= span.end) continue;
      if (cover.start > from) out.push({ start: from, end: cover.start });
      from = Math.max(from, cover.end);
    }
    if (from < span.end) out.push({ start: from, end: span.end });
  }
  return out;
}
