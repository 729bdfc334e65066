import { formatBits, formatLength } from '../place/length.js';
import { readable } from '../model/as-typed.js';
import { laneName, type Comparison } from '../lane/compare.js';
import { rangeOf, type Side } from '../lane/side.js';
import type { Length } from '../model/claim.js';
import type { Cell } from '../finding/finding.js';
import type { Context, Report } from './rule.js';

/** What a rule about a lane has to say beyond what every such finding says. */
export interface LaneFacts {
  message: string;
  label: string;
  sides: readonly Side[];
  item?: string;
  cells: readonly Cell[];
  params?: Record<string, string>;
  subjects?: readonly string[];
}

/** The sides in the order of the ends, so that sentences run from the first page to the second. */
export function inPageOrder(comparison: Comparison, ...sides: Side[]): Side[] {
  return comparison.sides.filter((s) => sides.includes(s));
}

/**
 * A report about a lane. Parameters are ready: `lane`, and for the sides in their order `a`/`b` (stations), `aName`,
 * `aDoes` (writes, reads), `aLength`, `aRange`.
 */
export function laneReport(
  context: Context,
  comparison: Pick<Comparison, 'exchange' | 'lane'>,
  facts: LaneFacts,
): Report {
  const { exchange, lane } = comparison;
  const params: Record<string, string> = { lane: laneName(context.reader, lane), exchange: exchange.name };
  facts.sides.forEach((side, i) => {
    const letter = 'ab'[i] ?? 'c';
    const direction = readable(side.claim.direction);
    params[letter] = side.station.name;
    params[`${letter}Name`] = side.claim.name || params.lane!;
    params[`${letter}Does`] = direction === 'both' ? 'reads and writes' : (direction ?? 'has');
    const length = readable(side.claim.length);
    params[`${letter}Length`] = length ? lengthWords(length, side.claim.header) : 'no length';
    params[`${letter}Range`] = side.block ? rangeOf(side.block) : 'no place';
  });
  return {
    message: facts.message,
    label: facts.label,
    about: { kind: 'exchange', id: exchange.id, name: exchange.name },
    lane: lane.id,
    ...(facts.item ? { item: facts.item } : {}),
    parties: facts.sides.map((s) => ({ station: s.station.id, end: s.end.id })),
    cells: facts.cells,
    params: { ...params, ...facts.params },
    subjects: [lane.id, ...(facts.subjects ?? [])],
  };
}

/** `7 words, 1 word of it header` */
const lengthWords = (length: Length, header: number | undefined): string =>
  header ? `${formatLength(length)}, ${formatBits(header, length.unit)} of it header` : formatLength(length);

export const claimCell = (side: Side, ...path: string[]): Cell => ({ kind: 'claim', id: side.claim.id, path });

/** The cell of a value: of the item, or of the claim's own type where it has no such item, being one block. */
export const valueCell = (side: Side, key: string, field: 'type' | 'offset' | 'name'): Cell =>
  Object.hasOwn(side.claim.items, key)
    ? claimCell(side, 'items', key, field)
    : claimCell(side, field === 'offset' ? 'place' : field);
