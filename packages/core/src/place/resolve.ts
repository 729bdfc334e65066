import type { Place } from '../model/claim.js';
import { placeInElement, significanceInElement } from '../data/bit-in-unit.js';
import { areaBit, rowOf, type Row } from '../data/linear.js';
import { viewOf, type Memory } from './memory.js';
import type { View } from '../model/view.js';
import type { FullLayout } from '../model/layout-defaults.js';

/** A run of bits of an area: from `start` up to, not including, `end`. */
export interface Span {
  start: number;
  end: number;
}

/** A place in its view's row. */
export interface Located {
  view: View;
  row: Row;
  layout: FullLayout;
  /** linear bit index of its first bit */
  linear: number;
}

/** Where a place lies in its view's row; null where the view is gone or the number lies before its first. */
export function locate(memory: Memory, place: Place, layout: FullLayout = memory.layout): Located | null {
  const view = viewOf(memory, place.view);
  if (!view || place.number < view.first) return null;
  const row = rowOf(view, memory.wordBits, layout);
  const width = view.notation === 'iec elements' ? (place.width ?? view.unit) : view.unit;
  let linear = (place.number - view.first) * width;
  if (place.bit !== undefined)
    linear += placeInElement(row, layout, Math.max(width, 8), namedBit(view, width, place.bit));
  return { view, row, layout, linear };
}

/** A bit number counts significance inside its unit, from the bottom unless the view numbers from the top. */
const namedBit = (view: View, width: number, bit: number): number =>
  view.bitNumbering === 'from the top' ? Math.max(width, 8) - 1 - bit : bit;

/** The significance, in its unit or word, of the bit that a place names; undefined where it names none. */
export function bitOf({ row, layout, linear }: Located, place: Place): number | undefined {
  if (place.bit === undefined) return undefined;
  const unit = Math.min(Math.max(row.unit, 8), row.wordBits);
  return significanceInElement(row, layout, unit, linear % unit);
}

/** The bits of the area that `length` bits along the row take, as few runs as possible, in order of the area. */
export function spansOf(row: Row, linear: number, length: number): Span[] {
  const w = row.wordBits;
  const spans: Span[] = [];
  const add = (start: number, end: number) => spans.push({ start, end });
  const firstWhole = Math.ceil(linear / w) * w;
  const lastWhole = Math.floor((linear + length) / w) * w;
  if (firstWhole < lastWhole) add(row.base + firstWhole, row.base + lastWhole);
  const part = (from: number, to: number) => {
    if (row.unit === 1 || w === 8 || !row.highFirst) {
      const a = areaBit(row, from);
      const b = areaBit(row, to - 1);
      add(Math.min(a, b), Math.max(a, b) + 1);
      return;
    }
    for (let at = from; at < to;) {
      const next = Math.min(to, (Math.floor(at / 8) + 1) * 8);
      const start = areaBit(row, at);
      add(start, start + (next - at));
      at = next;
    }
  };
  const end = linear + length;
  if (firstWhole > lastWhole) part(linear, end);
  else {
    if (linear < firstWhole) part(linear, firstWhole);
    if (lastWhole < end) part(lastWhole, end);
  }
  return joined(spans);
}

/** Spans in order, those that touch or overlap made one. */
export function joined(spans: Span[]): Span[] {
  if (spans.length < 2) return spans;
  const out: Span[] = [];
  for (const span of [...spans].sort((a, b) => a.start - b.start)) {
    const last = out.at(-1);
    if (last && span.start <= last.end) last.end = Math.max(last.end, span.end);
    else out.push({ ...span });
  }
  return out;
}

/** The spans of an area that `length` bits from this place take; null where the place does not exist. */
export function resolve(memory: Memory, place: Place, length: number): Span[] | null {
  const located = locate(memory, place);
  return located ? spansOf(located.row, located.linear, length) : null;
}

/** The same area, written the same way. */
export const samePlace = (a: Place, b: Place): boolean =>
  a.number === b.number && a.bit === b.bit && a.width === b.width && a.area === b.area && a.view === b.view;
