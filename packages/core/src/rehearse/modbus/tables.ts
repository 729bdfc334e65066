import { areaBit, rowOf } from '../../data/linear.js';
import type { Reader } from '../../model/project.js';
import type { ReferenceTable } from '../../model/words.js';
import { memoriesOf, type Memory } from '../../place/memory.js';
import type { PlantMemory } from '../memory.js';

/** The four tables of a station as those who ask it see them. [published: MODBUS Application Protocol Specification V1.1b3, 4.3] [from memory] */
export interface Tables {
  /** the values of so many units from 0 on; null: there are not so many */
  read(table: ReferenceTable, start: number, count: number): number[] | null;
  /** false: there are not so many, or they are not to be set */
  write(table: ReferenceTable, start: number, values: readonly number[]): boolean;
}

interface Part {
  memory: Memory;
  /** bits of a unit */
  width: 1 | 16;
  /** where a bit of a unit lies in the area, the least significant is 0 */
  bitAt(unit: number, bit: number): number;
  units: number;
  readOnly: boolean;
}

const BITS: readonly ReferenceTable[] = ['coils', 'discrete inputs'];

/** What a station answers from: its tables, and its memory as holding registers where it has no table of them. */
export function tablesOf(reader: Reader, station: string, plant: PlantMemory): Tables {
  const parts = new Map<ReferenceTable, Part>();
  for (const memory of memoriesOf(reader, station)) {
    for (const [table, part] of partsOf(memory)) if (!parts.has(table)) parts.set(table, part);
  }
  const within = (table: ReferenceTable, start: number, count: number) => {
    const part = parts.get(table);
    return part && start + count <= part.units ? part : null;
  };
  return {
    read(table, start, count) {
      const part = within(table, start, count);
      const bits = part && plant.of(part.memory.area.id);
      if (!part || !bits) return null;
      const values = new Array<number>(count);
      for (let n = 0; n < count; n++) {
        let value = 0;
        for (let i = 0; i < part.width; i++) value |= (bits[part.bitAt(start + n, i)] ?? 0) << i;
        values[n] = value;
      }
      return values;
    },
    write(table, start, values) {
      const part = within(table, start, values.length);
      if (!part || part.readOnly) return false;
      const bits = plant.of(part.memory.area.id);
      for (let n = 0; n < values.length; n++) {
        for (let i = 0; i < part.width; i++) bits[part.bitAt(start + n, i)] = (values[n]! >> i) & 1;
      }
      return true;
    },
  };
}

/** Of bits of an area: in which table of the station they lie, and each as entry × width + place in it; −1: none was asked for. */
export interface Places {
  table: ReferenceTable;
  /** bits of an entry */
  width: 1 | 16;
  units: Int32Array;
}

/** Null: no table has all of them. */
export function placesIn(reader: Reader, station: string, area: string, bits: Int32Array): Places | null {
  for (const memory of memoriesOf(reader, station)) {
    if (memory.area.id !== area) continue;
    const parts = [...partsOf(memory)].sort((a, b) => widthOf(b[0]) - widthOf(a[0]));
    // Bit by bit where there are coils, and whole registers where those are asked for.
    if (bits.length % 16 !== 0) parts.reverse();
    for (const [table, part] of parts) {
      const width = widthOf(table);
      const units = bits.map((bit) => (bit < 0 ? -1 : placeOf(part, width, bit)));
      if (!units.some((at, i) => at < 0 && bits[i]! >= 0)) return { table, width, units };
    }
  }
  return null;
}

const widthOf = (table: ReferenceTable): 1 | 16 => (BITS.includes(table) ? 1 : 16);

/** A unit lies within the same four registers, in whichever order its station keeps them. */
function placeOf(part: Part, width: number, bit: number): number {
  const perUnit = 64 / width;
  const from = Math.floor(bit / 64) * perUnit;
  for (let unit = from; unit < Math.min(from + perUnit, part.units); unit++) {
    for (let place = 0; place < width; place++) if (part.bitAt(unit, place) === bit) return unit * width + place;
  }
  return -1;
}

function* partsOf(memory: Memory): Generator<[ReferenceTable, Part]> {
  const { kind } = memory.area;
  for (const [, view] of memory.views) {
    const table = view.table ?? (view.unit === 1 && kind === 'memory' ? 'coils' : null);
    if (!table) continue;
    const readOnly = view.access === 'read' || table === 'discrete inputs' || table === 'input registers';
    if (BITS.includes(table)) {
      const row = rowOf({ ...view, unit: 1 }, memory.wordBits, memory.layout);
      yield [table, { memory, width: 1, bitAt: (n) => areaBit(row, n), units: memory.bits, readOnly }];
    } else yield [table, registersOf(memory, readOnly)];
  }
  const whole = {
    'holding registers': false,
    'input registers': true,
    memory: false,
    'gateway memory': false,
  } as const;
  if (!(kind in whole)) return;
  const table = kind === 'input registers' ? kind : 'holding registers';
  yield [table, registersOf(memory, whole[kind as keyof typeof whole])];
}

/** An area as registers of 16 bits: its words, halves of them, or two bytes each. */
function registersOf(memory: Memory, readOnly: boolean): Part {
  const { wordBits, layout } = memory;
  const units = Math.floor(memory.bits / 16);
  const highFirst = layout.byteOrder === 'high first';
  const highestFirst = layout.registerOrder.startsWith('high');
  const bitAt = (n: number, bit: number): number => {
    if (wordBits === 16) return 16 * n + bit;
    if (wordBits === 8) return 16 * n + (highFirst ? bit ^ 8 : bit);
    return 16 * (highestFirst ? n ^ 1 : n) + bit;
  };
  return { memory, width: 16, bitAt, units, readOnly };
}
