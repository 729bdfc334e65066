import { elementary } from '../data/types.js';
import { shownValue } from './shown-value.js';
import type { Link, Plant } from './plant.js';
import { pairsOf, type OwnValue } from './values.js';

/** A value at both ends, each as its end writes it. */
export interface ShownValue {
  key: string;
  /** what its source and its sink call it */
  source: string;
  sink: string;
  sent: string;
  has: string;
}

/** Elements of an array that are shown. */
const MOST = 4;

/** What a link carries, at both ends, now. */
export function shownValues(plant: Plant, { path }: Link): ShownValue[] {
  const found = pairsOf(path.source, path.sink);
  if (typeof found === 'string') return [];
  return found.pairs.map(({ key, source, sink }) => ({
    key,
    source: source.name,
    sink: sink.name,
    sent: text(plant, path.source.block.memory.area.id, source),
    has: text(plant, path.sink.block.memory.area.id, sink),
  }));
}

function text(plant: Plant, area: string, value: OwnValue): string {
  const type = elementary(value.type.base)!;
  const memory = plant.memory.of(area);
  if (type.family === 'text') {
    const width = value.text.endsWith('16') ? 16 : 8;
    const codes = Array.from({ length: Math.floor(value.bits.length / width) }, (_, n) =>
      Array.from({ length: width }, (__, i) => memory[value.bits[n * width + i]!]! << i).reduce((a, b) => a | b, 0),
    );
    const header = value.text.startsWith('none') ? 0 : value.text.startsWith('capacity') ? 2 : 1;
    const characters = codes.slice(header).filter((code) => code > 0);
    return `'${String.fromCharCode(...characters)}'`;
  }
  const count = Math.min(value.type.count, MOST);
  const shown = Array.from({ length: count }, (_, n) => {
    const bits = value.bits.slice(n * type.bits, (n + 1) * type.bits);
    return shownValue(value.type.base, plant.valueOf(area, { ...value, bits }));
  });
  return value.type.count > MOST ? `${shown.join(', ')} …` : shown.join(', ');
}
