import type { Read } from '../text/read.js';
import type { TagList, TagTexts } from './tag-list.js';
import type { Separator, TextTable } from './text-table.js';

/** What a file holds once it is open: rows of cells, or tags at once. */
export type Content =
  { holds: 'cells'; table: Read<TextTable>; separator: Separator | null } | { holds: 'tags'; list: Read<TagList> };

/** A sheet of a workbook, or the whole of another file. */
export interface Sheet {
  name: string;
  content: Content;
}

/** What a file is read with. */
export interface Opening {
  /** of a file of text: what it says, in the encoding that was chosen or found */
  text: string;
  /** chosen by hand, where there is a choice */
  separator?: Separator;
  /** the cells of a workbook, by a library that only the page has */
  workbook: (bytes: Uint8Array) => Promise<readonly { sheet: string; data: unknown[][] }[]>;
  /** told how many rows are read */
  progress: (rows: number) => void;
}

/** What a list is written as: text, or cells that a library makes a workbook of. */
export type Written = { text: string; type: string } | { cells: string[][] };

/** A format of files that hold lists: how it is told from the others, read, and written. One file each. */
export interface ListFormat {
  name: string;
  /** the first is the one that it is written with */
  endings: readonly string[];
  /** whether it is text, in an encoding that can be chosen */
  isText: boolean;
  /** whether a file is one of these, by its bytes and, where they are text, by what they say */
  recognise: (bytes: Uint8Array, text: string) => boolean;
  read: (bytes: Uint8Array, opening: Opening) => readonly Sheet[] | Promise<readonly Sheet[]>;
  /** `name` of the station, `moment` as ISO 8601 without a zone */
  write: (list: TagTexts, name: string, moment: string) => Written;
}
