import type { Place } from '../model/claim.js';
import type { View } from '../model/view.js';
import { placeInElement, significanceInElement } from '../data/bit-in-unit.js';
import { linearBit, rowOf, type Row } from '../data/linear.js';
import { viewOf, type Memory } from './memory.js';
import { NOTATION } from './notations/catalogue.js';
import { locate, type Located, type Span } from './resolve.js';
import type { Unit } from '../model/words.js';

/** Place to text, in the notation of its view; the inverse of `parseAddress` on everything legal. */
export function formatAddress(memory: Memory, place: Place): string {
  const view = viewOf(memory, place.view);
  return view ? NOTATION[view.notation].format(place, view) : `${place.number}, in a view that is gone`;
}

/**
 * The place `offset` bits further along the row of a located place, as this view names it; `size` bits are meant to
 * lie there, which decides the element named where the notation names one. `named`: the significance of the bit of
 * that unit that is meant, where one is.
 */
export function placeAlong(located: Located, from: Place, offset: number, size: number, named?: number): Place {
  const { view } = located;
  const linear = located.linear + offset;
  const width = elementWidth(view, from, size);
  const step = view.notation === 'iec elements' ? width : view.unit;
  const at: Place = { area: from.area, view: from.view, number: view.first + Math.floor(linear / step) };
  if (view.notation === 'iec bytes' || view.notation === 'iec elements') at.width = width;
  const inStep = linear % step;
  if (named === undefined && inStep === 0) return at;
  const bitsOfStep = Math.max(step, 8);
  const { row, layout } = located;
  const inUnit =
    named === undefined ? linear : wholeUnit(row, linear) + placeInElement(row, layout, unitOf(row), named);
  if (step > row.wordBits) at.number = view.first + Math.floor(inUnit / step);
  const significance = significanceInElement(row, layout, bitsOfStep, inUnit % bitsOfStep);
  const bit = view.bitNumbering === 'from the top' ? bitsOfStep - 1 - significance : significance;
  return view.notation === 'iec bytes' ? { ...at, width: 1, bit } : { ...at, bit };
}

/** The unit that single bits are numbered in along this row: that of the view, at most a word. */
const unitOf = (row: Row): number => Math.min(Math.max(row.unit, 8), row.wordBits);
const wholeUnit = (row: Row, linear: number): number => Math.floor(linear / unitOf(row)) * unitOf(row);

function elementWidth(view: View, from: Place, size: number): Unit {
  if (view.notation === 'iec bytes') return size >= 64 ? 64 : size >= 32 ? 32 : size >= 16 ? 16 : size >= 8 ? 8 : 1;
  return from.width ?? view.unit;
}

/** `%MW324–%MW329`: the first and the last unit that these bits take, in the place's own notation. */
export function formatRange(memory: Memory, place: Place, length: number): string {
  const first = formatAddress(memory, place);
  const located = locate(memory, place);
  if (!located) return first;
  const { view } = located;
  const step = view.notation === 'iec elements' ? (place.width ?? view.unit) : view.unit;
  if (length <= step || place.bit !== undefined) return first;
  const width = view.notation === 'iec bytes' ? (place.width ?? 8) : step;
  const lastStart = length > width ? length - width : 0;
  const last = placeAlong(located, place, Math.floor(lastStart / step) * step, width);
  const text = formatAddress(memory, last);
  return text === first ? first : `${first}–${text}`;
}

/**
 * The first and the last address that a run of bits of the area takes, along the row of one of its views, or of its
 * first. In words kept high byte first, byte 0 is the higher half of word 0: the lowest bit does not have the lowest
 * address.
 */
export function spanAddresses(memory: Memory, span: Span, inView?: string): { first: string; last: string } {
  const entry = memory.views.find(([id]) => id === inView) ?? memory.views[0];
  if (!entry) return { first: `bit ${span.start}`, last: `bit ${span.end - 1}` };
  const [viewId, view] = entry;
  const row = rowOf(view, memory.wordBits, memory.layout);
  const w = memory.wordBits;
  const wordOf = (bit: number) => Math.floor(bit / w) * w;
  const linear = (from: number, to: number): number[] => {
    const step = row.unit === 1 ? 1 : 8;
    const out: number[] = [];
    for (let bit = Math.floor(from / step) * step; bit < to; bit += step) out.push(linearBit(row, Math.max(bit, from)));
    return out;
  };
  const lowest = Math.min(...linear(span.start, Math.min(span.end, wordOf(span.start) + w)));
  const highest = Math.max(...linear(Math.max(span.start, wordOf(span.end - 1)), span.end));
  const at = (position: number): string => {
    const place: Place = { area: memory.area.id, view: viewId, number: view.first + Math.floor(position / view.unit) };
    if (view.notation.startsWith('iec')) place.width = view.unit;
    return formatAddress(memory, place);
  };
  return { first: at(lowest), last: at(highest) };
}

/** `%IB0–%IB63`, or one address where the run is not longer. */
export function formatSpan(memory: Memory, span: Span): string {
  const { first, last } = spanAddresses(memory, span);
  return first === last ? first : `${first}–${last}`;
}
