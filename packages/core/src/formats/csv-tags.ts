import Papa from 'papaparse';
import { read, unread, type Read } from '../text/read.js';
import {
  MOST_TAGS,
  TAG_COLUMNS,
  TAG_FIELDS,
  type ListedTag,
  type TagColumnName,
  type TagColumns,
  type TagField,
  type TagList,
} from './tag-list.js';
import type { Decimal } from './decimal.js';
import type { ListKind, UnderstoodCells } from './list-kind.js';
import type { TextTable } from './text-table.js';

/** The heading of each column as it is written. */
export const TAG_HEADINGS: Record<TagColumnName, string> = {
  name: 'Name',
  group: 'Group',
  type: 'Type',
  place: 'Address',
  asks: 'Refers to',
  access: 'Access',
  open: 'Access from others',
  program: 'Program',
  unit: 'Unit',
  scaling: 'Scaling',
  polarity: 'Polarity',
  alias: 'Alias',
  signal: 'Signal',
  element: 'Element',
  lastWord: 'Priority on conflict',
  internal: 'Internal',
  required: 'Required',
  comment: 'Comment',
};

/** Words of headings, in several languages of the trade. */
const KNOWN: Record<TagColumnName, RegExp> = {
  name: /^(tag|name|tag ?name|symbol|variable|var|point|signal ?name|bezeichner|variablenname|nom|étiquette|nombre)$/i,
  group: /^(group|tag ?group|partner|device|connection|driver|gruppe|groupe|grupo)$/i,
  type: /^(type|data ?type|datatype|datentyp|typ|format|type de données|tipo)$/i,
  place: /^(address|addr|location|reference|at|adresse|direccion|dirección|offset)$/i,
  asks: /^(refers to|asks for|asks|register|plc address|controller address|item ?text|item|target|quelle|source)$/i,
  access: /^(access|rights?|read\/write|r\/w|zugriff|accès|acceso)$/i,
  open: /^(access from others|to others|external access|external|offered|von außen|extern)$/i,
  program: /^(program|scope|pou|programm|programme|local to)$/i,
  unit: /^(units?|engineering unit|eu|einheit|unité|unidad)$/i,
  scaling: /^(scaling|scale|skalierung|échelle|escala)$/i,
  polarity: /^(polarity|logic|normally|polarität|ruhelage)$/i,
  alias: /^(alias|label|display name|anzeigename|klartext)$/i,
  signal: /^(signal|signal kind|i\/o|kind|signalart)$/i,
  element: /^(element|shown as|panel element|control|bedienelement)$/i,
  lastWord: /^(priority on conflict|last word|who has the last word)$/i,
  internal: /^(internal|intern|private)$/i,
  required: /^(required|mandatory|pflicht|erforderlich)$/i,
  comment:
    /^(comment|comments|description|remark|remarks|note|kommentar|beschreibung|bemerkung|commentaire|comentario)$/i,
};

export type UnderstoodTable = UnderstoodCells & { columns: TagColumns };

/**
 * How the columns of a table are understood: by the row of headings among the first ten in which most are known. Of a
 * station without addresses of its own (`ownAddresses` false) an address is what its tags ask another station for.
 */
export function understandTable(table: TextTable, ownAddresses = true): UnderstoodTable {
  let best: UnderstoodTable | null = null;
  table.rows.slice(0, 10).forEach((cells, heading) => {
    const columns: TagColumns = {};
    const clean = cells.map((cell) => cell.trim());
    for (const column of TAG_COLUMNS) {
      const at = clean.findIndex((cell, i) => KNOWN[column].test(cell) && !Object.values(columns).includes(i));
      if (at >= 0) columns[column] = at;
    }
    const count = Object.keys(columns).length;
    const twice = clean.filter((cell, i) => cell !== '' && clean.findIndex((c) => same(c, cell)) < i);
    if (count > Object.keys(best?.columns ?? {}).length) best = { heading, columns, headings: clean, twice };
  });
  if (best) {
    const { place, asks, ...rest } = (best as UnderstoodTable).columns;
    const turned = ownAddresses || place === undefined || asks !== undefined;
    return turned ? best : { ...(best as UnderstoodTable), columns: { ...rest, asks: place } };
  }
  const widest = Math.max(0, ...table.rows.slice(0, 10).map((cells) => cells.length));
  const headings = Array.from({ length: widest }, (_, i) => `column ${i + 1}`);
  return { heading: -1, headings, columns: widest > 0 ? { name: 0 } : {}, twice: [] };
}

const same = (a: string, b: string) => a.toLowerCase() === b.toLowerCase();

/** The tags of a table by the columns as chosen. */
export function tableTags(
  table: TextTable,
  { heading }: Pick<UnderstoodTable, 'heading'>,
  columns: TagColumns,
  decimal: Decimal = 'point',
): Read<TagList> {
  if (columns.name === undefined) return unread('no column holds the names', 'choose the column of the name');
  const rows = table.rows.slice(heading + 1);
  if (rows.length > MOST_TAGS) return unread(`${rows.length} rows`, `a list has at most ${MOST_TAGS} tags`);
  return read({ rows, lines: table.lines.subarray(heading + 1), columns, decimal, structures: [], faults: [] });
}

/** Rows of text: a row of headings, then one for each tag. The inverse of `tableTags`. */
export function tagRows(tags: readonly ListedTag[], fields: readonly TagField[] = TAG_FIELDS): string[][] {
  return [
    [TAG_HEADINGS.name, ...fields.map((field) => TAG_HEADINGS[field])],
    ...tags.map((tag) => [tag.name, ...fields.map((field) => tag.says[field] ?? '')]),
  ];
}

/** The same as CSV (RFC 4180), with this separator. */
export const writeCsv = (rows: readonly string[][], separator: ',' | ';' | '\t'): string =>
  `${Papa.unparse(rows as string[][], { delimiter: separator, newline: '\r\n' })}\r\n`;

/** The tags of a station. */
export const TAG_LIST: ListKind<TagList> = {
  columns: TAG_HEADINGS,
  understand: understandTable,
  read: (table, heading, columns, decimal) => tableTags(table, { heading }, columns, decimal),
};

/** `name: Variablenname`, line by line: which column was taken for what, by its heading. */
export const columnsText = (columns: Partial<Record<string, number>>, headings: readonly string[]): string =>
  TAG_COLUMNS.flatMap((column) =>
    columns[column] === undefined ? [] : [`${column}: ${headings[columns[column]] ?? ''}`],
  ).join('\n');

/** The same for a table with these headings, wherever they stand now; empty unless it has them all. */
export function readColumns(text: string, headings: readonly string[]): TagColumns {
  const columns: TagColumns = {};
  for (const line of text.split('\n')) {
    const colon = line.indexOf(': ');
    const column = TAG_COLUMNS.find((c) => c === line.slice(0, colon));
    const at = headings.indexOf(line.slice(colon + 2));
    if (!column || at < 0) return {};
    columns[column] = at;
  }
  return columns;
}
