import type { Cell } from '../finding/finding.js';

export const HIT_KINDS = [
  'address',
  'station',
  'network',
  'exchange',
  'lane',
  'value',
  'tag',
  'route',
  'finding',
] as const;
export type HitKind = (typeof HIT_KINDS)[number];

/** Something that was found, and the cell that shows it. */
export interface Hit {
  kind: HitKind;
  /** what was looked for stands in this */
  text: string;
  /** where it belongs */
  detail: string;
  cell: Cell;
}
