import type { Cell } from '@dialoga/core/finding';
import type { Kind } from '@dialoga/core/model';

/** Stands between the parts of a cell's name; ids and paths have none. */
const BETWEEN = ':';

/** A cell as an address and an element name it: `port:p1:address`. */
export const cellText = ({ kind, id, path }: Pick<Cell, 'kind' | 'id' | 'path'>): string =>
  [kind, id, ...path].join(BETWEEN);

/** The cell that a text names; null where it names none. */
export function readCellText(text: string): Cell | null {
  const [kind, id, ...path] = text.split(BETWEEN);
  // A link may name anything; what it leads to is said where it is opened.
  return kind && id ? { kind: kind as Kind, id, path } : null;
}
