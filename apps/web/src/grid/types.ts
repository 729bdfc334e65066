import type { ReactNode } from 'react';

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
  /** last column that the cell reaches over */
  through?: number;
  mono?: boolean;
  muted?: boolean;
  right?: boolean;
  /** a line across the cell, behind its text: it joins what stands left and right of it */
  line?: 'solid' | 'dashed';
}

export interface GridRow {
  id: string;
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
  tone?: 'difference';
  /** first column of the right page: a little space before it */
  page?: boolean;
}

export interface CellEdit {
  row: string;
  column: number;
  text: string;
}

/** A wish where the cursor is to go; a new token moves it again. */
export interface GoTo extends CellAt {
  token: string;
}

export interface CellAt {
  row: string;
  column: number;
}
