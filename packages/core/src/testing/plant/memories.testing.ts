import type { Area } from '../../model/area.js';
import type { Length, Place } from '../../model/claim.js';
import type { View } from '../../model/view.js';
import type { Dice } from './dice.testing.js';

/** How a sort of station counts and writes its memory down; texts are written here, not by the core. */
interface Sort {
  view: Omit<View, 'order' | 'name'>;
  registers: 'high first' | 'low first';
  bytes: 'high first' | 'low first';
  text(word: number): string;
  spot(word: number): Omit<Place, 'area' | 'view'>;
  /** bits that lengths are counted in */
  unit: 8 | 16;
}

const six = (n: number) => String(n).padStart(5, '0');

export const SORTS = {
  words: {
    view: { notation: 'iec elements', prefix: 'M', unit: 16, first: 0 },
    registers: 'high first',
    bytes: 'high first',
    unit: 16,
    text: (word) => `%MW${word}`,
    spot: (word) => ({ number: word, width: 16 }),
  },
  bytes: {
    view: { notation: 'iec bytes', prefix: 'M', unit: 8, first: 0 },
    registers: 'high first',
    bytes: 'high first',
    unit: 8,
    text: (word) => `%MB${2 * word}`,
    spot: (word) => ({ number: 2 * word, width: 8 }),
  },
  letters: {
    view: { notation: 'prefix and number', prefix: 'w', unit: 16, first: 0 },
    registers: 'low first',
    bytes: 'high first',
    unit: 16,
    text: (word) => `w${word}`,
    spot: (word) => ({ number: word }),
  },
  digits: {
    view: { notation: 'prefix and number', prefix: 'D', digits: 4, unit: 16, first: 0 },
    registers: 'low first',
    bytes: 'low first',
    unit: 16,
    text: (word) => `D${String(word).padStart(4, '0')}`,
    spot: (word) => ({ number: word }),
  },
  references: {
    view: { notation: 'reference 6', table: 'holding registers', unit: 16, first: 1 },
    registers: 'high first',
    bytes: 'high first',
    unit: 16,
    text: (word) => `4${six(word + 1)}`,
    spot: (word) => ({ number: word + 1 }),
  },
  apart: {
    view: { notation: 'table and number', table: 'holding registers', unit: 16, first: 1 },
    registers: 'low first',
    bytes: 'high first',
    unit: 16,
    text: (word) => `4:${word + 1}`,
    spot: (word) => ({ number: word + 1 }),
  },
  inputs: {
    view: { notation: 'reference 5', table: 'input registers', unit: 16, first: 1 },
    registers: 'high first',
    bytes: 'high first',
    unit: 16,
    text: (word) => `3${String(word + 1).padStart(4, '0')}`,
    spot: (word) => ({ number: word + 1 }),
  },
  offsets: {
    view: { notation: 'byte offset', unit: 8, first: 0 },
    registers: 'high first',
    bytes: 'high first',
    unit: 8,
    text: (word) => `byte ${2 * word}`,
    spot: (word) => ({ number: 2 * word }),
  },
  elements: {
    view: { notation: 'name and element', prefix: 'Data', unit: 16, first: 0 },
    registers: 'low first',
    bytes: 'low first',
    unit: 16,
    text: (word) => `Data[${word}]`,
    spot: (word) => ({ number: word }),
  },
} satisfies Record<string, Sort>;
export type SortName = keyof typeof SORTS;
/** Sorts that a controller may have; input registers are not for programs. */
export const OF_CONTROLLERS = (Object.keys(SORTS) as SortName[]).filter((name) => name !== 'inputs');

/** A row of words of which parts are given out, one after the other, with holes between them. */
export class Memory {
  private next: number;
  readonly sort: Sort;

  constructor(
    readonly area: string,
    readonly name: SortName,
    private readonly dice: Dice,
    first = 0,
  ) {
    this.sort = SORTS[name];
    this.next = first + 2 * dice.from(0, 100);
  }

  /** The first of so many words that nobody else has; even, so that long values may lie there anywhere. */
  take(words: number): number {
    const at = this.next;
    this.next += words + (words % 2) + 2 * this.dice.from(0, 8);
    return at;
  }

  place(word: number): Place {
    return { area: this.area, view: 'view', ...this.sort.spot(word) };
  }

  text(word: number): string {
    return this.sort.text(word);
  }

  length(words: number): Length {
    return { count: (words * 16) / this.sort.unit, unit: this.sort.unit };
  }

  entity(station: string, order: number, rest: Partial<Area> = {}): Area {
    const { view, registers, bytes } = this.sort;
    return {
      id: this.area,
      order,
      name: 'Memory',
      station,
      kind: 'memory',
      wordBits: 16,
      words: 6000,
      writers: ['program'],
      reservations: {},
      views: { view: { ...view, order: 10, name: 'addresses' } },
      layout: { registerOrder: registers, byteOrder: bytes, boolPacking: 'bit', boolNumbering: 'from the bottom' },
      ...rest,
    };
  }
}
