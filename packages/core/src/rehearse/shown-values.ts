import { elementary } from '../data/types.js';
import { tagOf } from '../place/open-of.js';
import { textIn } from './characters.js';
import type { Link } from './link.js';
import type { Party } from './party.js';
import type { Plant } from './plant.js';
import { scaled } from './scaled.js';
import { shownValue } from './shown-value.js';
import { pairsOf, type OwnValue } from './values.js';

/** A value at both ends, each as its end writes it, and scaled as its tag says: `13824 = 50.0 %`. */
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
    sent: shown(plant, path.source, source),
    has: shown(plant, path.sink, sink),
  }));
}

/** What another program has in place of a station is its own affair. */
const ELSEWHERE = 'not known here';

function shown(plant: Plant, { block, claim, station }: Party, value: OwnValue): string {
  if (plant.isOutside(station.id)) return ELSEWHERE;
  const type = elementary(value.type.base)!;
  const area = block.memory.area.id;
  if (type.family === 'text') return `'${textIn(plant.memory.of(area), value)}'`;
  const tag = value.key === '' ? tagOf(plant.project, claim) : undefined;
  const count = Math.min(value.type.count, MOST);
  const all = Array.from({ length: count }, (_, n) => {
    const bits = value.bits.slice(n * type.bits, (n + 1) * type.bits);
    const now = plant.valueOf(area, { ...value, bits });
    const inUnit = tag && scaled(tag, now);
    return shownValue(value.type.base, now) + (inUnit ? ` = ${inUnit}` : '');
  });
  return value.type.count > MOST ? `${all.join(', ')} …` : all.join(', ');
}
