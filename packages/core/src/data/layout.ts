import type { TypeRef } from '../model/claim.js';
import { DEFAULT_CAPACITY, elementary } from './types.js';
import { placeInUnit, registerSignificance } from './bit-in-unit.js';
import type { FullLayout } from '../model/layout-defaults.js';

/** How one claim's payload lies: the row that its offsets count along, and the rule for values in it. */
export interface Frame {
  unit: number;
  wordBits: number;
  /** the first byte of a word along the row is its most significant one */
  highFirst: boolean;
  layout: FullLayout;
  /** for units of one bit: numbered from the least significant bit of their word */
  fromBottom?: boolean;
}

/** Entries before a text's characters, each of the size of a character. */
const headerEntries = (layout: FullLayout): number =>
  layout.stringHeader === 'none' ? 0 : layout.stringHeader === 'length' ? 1 : 2;

/** A WSTRING has characters of 16 bits everywhere, a STRING as the layout rule says. */
export const characterBits = ({ base }: Pick<TypeRef, 'base'>, layout: FullLayout): number =>
  base === 'WSTRING' || layout.characters === 'word' ? 16 : 8;

/** Words that BOOLs are numbered in: the unit of the row, at most a word of the area. */
export const numberingUnit = (frame: Frame): number => Math.min(frame.unit, frame.wordBits);

/**
 * Bits that a value takes along the row, from its offset to the end of its last element.
 * BOOL runs by the packing rule; text by capacity and header.
 */
export function sizeInRow(type: TypeRef, frame: Frame): number {
  const elementType = elementary(type.base);
  if (!elementType) return 0;
  if (elementType.family === 'text') {
    return characterBits(type, frame.layout) * charactersOf(type, frame.layout);
  }
  if (elementType.family !== 'bool' || frame.unit === 1) return elementType.bits * type.count;
  const packing = frame.layout.boolPacking;
  return type.count * (packing === 'bit' ? 1 : packing === 'byte' ? 8 : frame.wordBits);
}

/** The same for a value that begins at a named bit of its unit: BOOLs that run on past it take the next unit, too. */
export function sizeFrom(type: TypeRef, bit: number | undefined, frame: Frame): number {
  const size = sizeInRow(type, frame);
  if (bit === undefined || type.base !== 'BOOL' || frame.layout.boolPacking !== 'bit') return size;
  const numbered = frame.layout.boolNumbering === 'from the bottom' ? bit : numberingUnit(frame) - 1 - bit;
  return numbered + size;
}

/** Characters that a text takes room for, the entries of its header among them; of all elements of an array. */
function charactersOf(type: TypeRef, layout: FullLayout): number {
  return type.count * ((type.capacity ?? DEFAULT_CAPACITY) + headerEntries(layout));
}

/** A value and where it begins, see `Offset` of the model. */
export interface LaidValue {
  type: TypeRef;
  offset: number;
  bit?: number;
}

/**
 * Where every bit of a value lies: element by element, least significant bit first, each as a bit index along the row
 * counted from the payload's start. This is the layout rule; see docs/decisions for its words.
 */
export function valuePositions({ type, offset: unit, bit }: LaidValue, frame: Frame): Int32Array {
  const elementType = elementary(type.base);
  if (!elementType) return new Int32Array(0);
  if (elementType.family === 'bool') return boolPositions(type.count, unit, bit, frame);
  const offset = bit === undefined ? unit : unit + placeInUnit(frame, numberingUnit(frame), bit);
  const text = elementType.family === 'text';
  const bits = text ? characterBits(type, frame.layout) : elementType.bits;
  const count = text ? charactersOf(type, frame.layout) : type.count;
  if (frame.unit === 1) return run(bits * count, offset);
  const chunk = Math.min(frame.wordBits, bits) / 8;
  const registers = bits / 8 / chunk;
  const significance = registerSignificance(frame.layout.registerOrder, registers);
  const positions = new Int32Array(bits * count);
  for (let element = 0; element < count; element++) {
    for (let byte = 0; byte < bits / 8; byte++) {
      const register = Math.floor(byte / chunk);
      const inRegister = byte % chunk;
      const valueByte = significance[register]! * chunk + (frame.highFirst ? chunk - 1 - inRegister : inRegister);
      const from = offset + element * bits + byte * 8;
      for (let bit = 0; bit < 8; bit++) positions[element * bits + valueByte * 8 + bit] = from + bit;
    }
  }
  return positions;
}

function run(length: number, offset: number): Int32Array {
  return Int32Array.from({ length }, (_, i) => offset + i);
}

/** BOOLs count from the bit that was named, or else from number 0 of their unit. */
function boolPositions(count: number, offset: number, bit: number | undefined, frame: Frame): Int32Array {
  const { boolPacking, boolNumbering } = frame.layout;
  if (frame.unit === 1) return run(count, offset);
  const { wordBits: w } = frame;
  if (boolPacking !== 'bit') {
    const step = boolPacking === 'byte' ? 8 : w;
    const first =
      bit !== undefined ? placeInUnit(frame, numberingUnit(frame), bit) : step === w && frame.highFirst ? w - 8 : 0;
    return Int32Array.from({ length: count }, (_, i) => offset + first + i * step);
  }
  const unit = numberingUnit(frame);
  const numbered = (significance: number) =>
    boolNumbering === 'from the bottom' ? significance : unit - 1 - significance;
  const first = bit === undefined ? 0 : numbered(bit);
  return Int32Array.from({ length: count }, (_, i) => {
    const index = first + i;
    const whole = Math.floor(index / unit) * unit;
    return offset + whole + placeInUnit(frame, unit, numbered(index - whole));
  });
}
