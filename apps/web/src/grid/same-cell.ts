import type { GridCell } from './types';

const FIELDS = [
  'text',
  'editable',
  'differs',
  'unread',
  'options',
  'through',
  'mono',
  'muted',
  'right',
  'line',
] as const;

/** Whether two cells look alike, so that one that is drawn already need not be drawn again. What they do is the grid's. */
export function sameLook(a: GridCell, b: GridCell): boolean {
  if (a === b) return true;
  if (FIELDS.some((field) => a[field] !== b[field])) return false;
  if (a.action?.label !== b.action?.label) return false;
  if (a.look !== undefined || b.look !== undefined) return a.look === b.look;
  return a.show === b.show;
}
