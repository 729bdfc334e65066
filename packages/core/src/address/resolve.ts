import type { Place } from '../model/claim.js';
import { areaBit, linearBit, rowOf, type Row } from './linear.js';
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
  /** linear bit index of its first bit */
  linear: number;
}

/** Where a place lies in its view's row; null where the view is gone or the number lies before its first. */
export function locate(memory: Memory, place: Place, layout: FullLayout = memory.layout): Located | null {
  const view = viewOf(memory, place.view);
  if (!view || place.number < view.first) return null;
  const row = rowOf(view, memory.wordBits, layout);
  const steps = place.number - view.first;
  const width = view.notation === 'iec elements' ? (place.width ?? view.unit) : view.unit;
  let linear = steps * width;
  if (place.bit !== undefined) linear = bitInUnit(row, linear, width, place.bit, view);
  return { view, row, linear };
}

/** The significance in its unit of the bit that a place names; undefined where it names none. */
export function bitOf({ view, row }: Located, place: Place): number | undefined {
  if (place.bit === undefined) return undefined;
  const unit = Math.min(Math.max(view.unit, 8), row.wordBits);
  return view.bitNumbering === 'from the top' ? unit - 1 - place.bit : place.bit;
}

/** A bit number counts significance inside its unit, from the bottom unless the view numbers from the top. */
function bitInUnit(row: Row, linear: number, width: number, bit: number, view: View): number {
  const unit = Math.max(width, 8);
  const significance = view.bitNumbering === 'from the top' ? unit - 1 - bit : bit;
  if (unit === 8) return linear + significance;
  if (unit <= row.wordBits) return linearBit(row, areaBit({ ...row, highFirst: false }, linear) + significance);
  const word = Math.floor(significance / row.wordBits);
  const first = linear + word * row.wordBits;
  return linearBit(row, areaBit({ ...row, highFirst: false }, first) + (significance % row.wordBits));
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
