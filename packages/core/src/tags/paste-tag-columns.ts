import { readTagField, type FieldContext } from '../fields/tag-field.js';
import { understandTable } from '../formats/csv-tags.js';
import { TAG_COLUMNS } from '../formats/tag-list.js';
import type { PasteTarget } from './paste-tags.js';

type Column = PasteTarget['columns'][number];

/** How a pasted block of tags was understood. */
export interface TagBlock {
  rows: readonly string[][];
  /** for each column of the block what it holds; null: nothing that has a place */
  columns: readonly Column[];
  /** columns that were left out, by their heading or their number */
  left: readonly string[];
}

/** Fields that are known by what stands in them. */
const BY_CONTENT = ['type', 'place', 'access'] as const;

/**
 * Which column of a block is which: by a first line of headings; in a block that begins with the names by what stands in
 * each column, where that fits more cells than the columns of the table do; else as the columns of the table stand.
 */
export function tagBlock(rows: readonly string[][], shown: PasteTarget['columns'], context: FieldContext): TagBlock {
  const width = Math.max(...rows.map((row) => row.length));
  const [first = []] = rows;
  const head = understandTable({ rows: [first], lines: Uint32Array.of(1) }, context.memories.length > 0);
  if (
    rows.length > 1 &&
    head.heading === 0 &&
    head.columns.name !== undefined &&
    Object.keys(head.columns).length > 1
  ) {
    const columns = Array.from({ length: width }, (_, i) => TAG_COLUMNS.find((one) => head.columns[one] === i) ?? null);
    const left = columns.flatMap((column, i) => (column === null ? [`“${first[i] ?? ''}”`] : []));
    return { rows: rows.slice(1), columns, left };
  }
  const asShown = Array.from({ length: width }, (_, i) => shown[i] ?? null);
  if (asShown[0] !== 'name' || width < 2) return { rows, columns: asShown, left: [] };
  const byContent = contentColumns(rows, width, context);
  const isBetter = fitting(rows, byContent, context) > fitting(rows, asShown, context);
  const columns = isBetter ? byContent : asShown;
  const left = columns.flatMap((column, i) => (column === null && isBetter ? [String(i + 1)] : []));
  return { rows, columns, left };
}

const fits = (field: (typeof BY_CONTENT)[number], text: string, context: FieldContext): boolean =>
  readTagField(field, text, context).problem === null;

/** The names first, then what each column is known by; the first that is known by nothing is a comment. */
function contentColumns(rows: readonly string[][], width: number, context: FieldContext): Column[] {
  const columns: Column[] = Array.from({ length: width }, (_, i) => (i === 0 ? 'name' : null));
  for (const field of BY_CONTENT) {
    const at = columns.findIndex((column, i) => {
      const texts = rows.flatMap((row) => row[i]?.trim() || []);
      return column === null && 2 * texts.filter((text) => fits(field, text, context)).length > rows.length;
    });
    if (at > 0) columns[at] = field;
  }
  const other = columns.indexOf(null);
  if (other > 0) columns[other] = 'comment';
  return columns;
}

/** How many cells can be read where these columns put them. */
const fitting = (rows: readonly string[][], columns: readonly Column[], context: FieldContext): number =>
  rows.reduce(
    (sum, row) =>
      sum +
      BY_CONTENT.filter((field) => {
        const text = row[columns.indexOf(field)]?.trim() ?? '';
        return text !== '' && fits(field, text, context);
      }).length,
    0,
  );
