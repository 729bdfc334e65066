import type { Read } from '../text/read.js';
import type { Decimal } from './decimal.js';
import type { TextTable } from './text-table.js';

/** How the cells of a table were understood: which row heads them, and which column holds what. */
export interface UnderstoodCells {
  /** index of the row of headings among the rows; −1: it has none */
  heading: number;
  headings: readonly string[];
  columns: Readonly<Partial<Record<string, number>>>;
  /** headings that stand twice */
  twice: readonly string[];
}

/** A kind of list that is brought in: what its columns are, how they are found, and what its rows are read as. */
export interface ListKind<Rows> {
  /** the title of each column that it can have */
  columns: Readonly<Record<string, string>>;
  /** null: no row heads them */
  understand: (table: TextTable, ownAddresses: boolean) => UnderstoodCells | null;
  read: (table: TextTable, heading: number, columns: UnderstoodCells['columns'], decimal: Decimal) => Read<Rows>;
}
