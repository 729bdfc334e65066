import type { Field, RowRef } from '@dialoga/core/fields';
import type { Project } from '@dialoga/core/model';
import type { FieldEdit } from '@dialoga/core/text';
import type { ReactNode } from 'react';

/** What is said of a field in the help for its cell. */
export type About = Pick<Field<never>, 'title' | 'help' | 'examples'>;

/** One cell. What is edited and copied is `text`; what is seen may be more. */
export interface GridCell {
  text: string;
  show?: ReactNode;
  /** where `show` is more than text: two that are shown alike have one look */
  look?: string;
  editable?: boolean;
  /** Enter or a click does this instead of editing */
  action?: { label: string; run: () => void };
  /** underlined: it disagrees with the other end */
  differs?: boolean;
  /** stands as it was typed; could not be read */
  unread?: boolean;
  /** what may be typed here, offered while editing */
  options?: readonly string[];
  /** what F1 says of it */
  about?: About;
  /** last column that the cell reaches over */
  through?: number;
  mono?: boolean;
  muted?: boolean;
  right?: boolean;
  /** a line across the cell, behind its text: it joins what stands left and right of it */
  line?: 'solid' | 'dashed';
}

/** What a new row began. */
export interface Begun {
  edits: readonly FieldEdit[];
  /** how the step is called: `New area Data` */
  label?: string;
  /** what a text in another column of the row that is made does */
  then?: (project: Project, column: number, text: string) => readonly FieldEdit[];
}

export interface GridRow {
  id: string;
  /** what a text in a column does, in the project as it is by then; nothing where that cell takes none */
  edit?: (project: Project, column: number, text: string) => readonly FieldEdit[];
  /** of a new row: what a text in a column begins; null where it begins nothing yet */
  begin?: (project: Project, column: number, text: string) => Begun | null;
  /** of a new row: what the cells of a pasted line begin, where they need not be in the order of the columns */
  line?: (project: Project, cells: readonly string[]) => Begun | null;
  /** what the row stands for, and where each column stands in that: what links name */
  of?: RowRef;
  paths?: readonly (readonly string[] | null)[];
  /** px */
  height: number;
  /** `second`: belongs to the row above it; left out when blocks are copied */
  tone?: 'main' | 'second' | 'sub' | 'difference' | 'new';
  /** a new row that is a place of its own: of a block that is pasted, the next line goes into the row below */
  once?: boolean;
  /** one entry a column; null: nothing there, the cursor passes over it */
  cells: readonly (GridCell | null)[];
}

export interface GridColumn {
  id: string;
  title: string;
  /** a CSS grid track */
  track: string;
  right?: boolean;
  /** what filling down does in this column: names count on; otherwise the text is repeated */
  fills?: 'series';
  /** holds names: one too long for it is cut off in its middle */
  names?: boolean;
  /** the title is for assistive technology only */
  quiet?: boolean;
  /** what it is for, in a sentence */
  help?: string;
  tone?: 'difference';
  /** first column of the right page: a little space before it */
  page?: boolean;
}

/** Why a text cannot stand in a cell as it is; null: it can. */
export type Judged = string | null | Promise<string | null>;

export interface CellEdit {
  row: string;
  column: number;
  text: string;
}

/** A wish where the cursor is to go; a new token moves it again. */
export interface GoTo extends CellAt {
  token: string;
  /** and what stands there is written over */
  edit?: boolean;
}

export interface CellAt {
  row: string;
  column: number;
}
