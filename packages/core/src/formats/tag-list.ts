import { withPoint, type Decimal } from './decimal.js';

/** What a file can say of a tag, besides its name. */
export const TAG_FIELDS = [
  'group',
  'type',
  'place',
  'asks',
  'access',
  'open',
  'program',
  'unit',
  'scaling',
  'polarity',
  'alias',
  'signal',
  'element',
  'lastWord',
  'internal',
  'required',
  'comment',
] as const;
export type TagField = (typeof TAG_FIELDS)[number];
export const TAG_COLUMNS = ['name', ...TAG_FIELDS] as const;
export type TagColumnName = (typeof TAG_COLUMNS)[number];
/** Which cell of a row holds what. */
export type TagColumns = Partial<Record<TagColumnName, number>>;

/** A tag as texts. */
export interface ListedTag {
  line: number;
  name: string;
  /** what is said of it; a field that has no place is not there */
  says: Partial<Record<TagField, string>>;
}

/** A station's tags as texts, and the structures that their types name: what every format writes. */
export interface TagTexts {
  tags: readonly ListedTag[];
  structures: readonly ListedStructure[];
}

/** The cells of a row as they are written. */
export type Cells = readonly string[];

/** A structured type that a file declares, its members in order. */
export interface ListedStructure {
  line: number;
  name: string;
  members: readonly { name: string; type: string; comment?: string }[];
}

/** Something in a file that cannot be taken, and what would be right. */
export interface FileFault {
  line: number;
  found: string;
  expected: string;
}

/**
 * What a file lists. The rows of a table stay as they were read: of a hundred thousand, anything more that is kept for
 * each costs as much as reading it.
 */
export interface TagList {
  rows: readonly Cells[];
  /** the number of each row as its file counts */
  lines: Uint32Array;
  /** a field without a cell is none of the file's business */
  columns: TagColumns;
  /** the decimal sign of its scalings */
  decimal: Decimal;
  structures: readonly ListedStructure[];
  faults: readonly FileFault[];
  /** it can write direct addresses of IEC 61131-3 only: what has another kind of address has none here */
  directOnly?: true;
}

/** More tags than that are refused, whatever the format. */
export const MOST_TAGS = 200_000;

/** The fields that a list has room for. */
export const fieldsOf = ({ columns }: TagList): TagField[] =>
  TAG_FIELDS.filter((field) => columns[field] !== undefined);

/** What a row says of a field; empty where its file has no room for it. */
export function said({ columns, decimal }: TagList, cells: Cells, field: TagColumnName): string {
  const at = columns[field];
  const text = at === undefined ? '' : (cells[at] ?? '').trim();
  return field === 'scaling' ? withPoint(text, decimal) : text;
}

/** The tags of a list, one by one. */
export const listedTags = (list: TagList): ListedTag[] =>
  list.rows.map((row, i) => ({
    line: list.lines[i]!,
    name: said(list, row, 'name'),
    says: Object.fromEntries(fieldsOf(list).map((field) => [field, said(list, row, field)])),
  }));

/** The inverse: tags of a format that has these fields. */
export function listOfTags(
  tags: readonly ListedTag[],
  fields: readonly TagField[],
  more: Pick<TagList, 'structures' | 'faults' | 'directOnly'>,
): TagList {
  const columns: TagColumns = { name: 0 };
  fields.forEach((field, i) => (columns[field] = i + 1));
  const rows = tags.map(({ name, says }) => [name, ...fields.map((field) => says[field] ?? '')]);
  const lines = Uint32Array.from(tags, ({ line }) => line);
  return { ...more, rows, lines, columns, decimal: 'point' };
}
