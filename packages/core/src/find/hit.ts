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

/** Something that was found, and the cell that shows it; or a symptom, which has a page. */
export type Hit = HitInPlan | HitOfSymptom;

export interface HitOfSymptom {
  kind: 'symptom';
  text: string;
  detail: string;
  symptom: string;
}

export interface HitInPlan {
  kind: HitKind;
  /** what was looked for stands in this */
  text: string;
  /** where it belongs */
  detail: string;
  cell: Cell;
}
