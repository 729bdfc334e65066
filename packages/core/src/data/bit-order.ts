import { placeInUnit } from './bit-in-unit.js';
import { numberingUnit, type Frame } from './layout.js';

/**
 * The bits of a row in the order in which they are counted: unit by unit, in each from the bit that the layout rule calls
 * number 0. A block that begins at a named bit, or ends inside a unit, is so many bits in this order.
 */
export function bitNumber(frame: Frame, position: number): number {
  if (frame.unit === 1) return position;
  const unit = numberingUnit(frame);
  const start = Math.floor(position / unit) * unit;
  return start + numbered(frame, unit, placeInUnit(frame, unit, position - start));
}

/** The position along the row of the bit with this number; the inverse of `bitNumber`. */
export function bitPosition(frame: Frame, number: number): number {
  if (frame.unit === 1) return number;
  const unit = numberingUnit(frame);
  const start = Math.floor(number / unit) * unit;
  return start + placeInUnit(frame, unit, numbered(frame, unit, number - start));
}

/** Number to significance, or back. */
const numbered = ({ layout }: Frame, unit: number, n: number): number =>
  layout.boolNumbering === 'from the bottom' ? n : unit - 1 - n;

/** The bit with this number as a place in its unit: where the unit begins, and the significance in it. */
export function bitWithNumber(frame: Frame, number: number): { offset: number; bit?: number } {
  if (frame.unit === 1) return { offset: number };
  const unit = numberingUnit(frame);
  const position = bitPosition(frame, number);
  const offset = Math.floor(position / unit) * unit;
  return { offset, bit: placeInUnit(frame, unit, position - offset) };
}
