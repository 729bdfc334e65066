import Papa from 'papaparse';
import { read, unread, type Read } from '../text/read.js';

/** More than that is no hardware list. */
export const MOST_LIST_CHARACTERS = 20_000_000;

/** Cells of text as they are written, row by row. */
export interface TextTable {
  rows: readonly (readonly string[])[];
  /** the number of each row as its file counts */
  lines: Uint32Array;
}

export const SEPARATORS = ['\t', ';', ',', '|'] as const;
export type Separator = (typeof SEPARATORS)[number];

const EMPTY = unread('the list is empty', 'it has a row of headings and a row for each part');

/**
 * Text with commas, semicolons, tabs or bars between its cells (RFC 4180 for quotes). Empty lines are passed over; a line
 * of nothing but separators is a row.
 * `progress` is told how many rows of a long list are read.
 */
export function readTable(text: string, separator?: Separator, progress?: (rows: number) => void): Read<TextTable> {
  if (text.length > MOST_LIST_CHARACTERS) {
    return unread(`${text.length} characters`, `a list has at most ${MOST_LIST_CHARACTERS}`);
  }
  if (text.includes('\u0000')) {
    return unread('this is no text: it has null bytes', 'import CSV, tab-separated text, or an XLSX workbook');
  }
  const clean = withOneLineEnd(text.replace(/^\uFEFF/, ''));
  if (clean.trim() === '') return EMPTY;
  const { data, errors } = parsed(clean, separator ?? separatorOf(clean), progress);
  const quote = errors.find((error) => error.type === 'Quotes');
  if (quote) {
    return unread(`row ${(quote.row ?? 0) + 1}: a quotation mark is not closed`, 'close it, or take it out');
  }
  return filled(data);
}

/** The lines that are not empty. Only their length is looked at: one look into each of a hundred thousand rows is felt. */
function filled(all: readonly (readonly string[])[]): Read<TextTable> {
  const rows: (readonly string[])[] = [];
  const lines = new Uint32Array(all.length);
  for (let i = 0; i < all.length; i++) {
    const cells = all[i]!;
    if (cells.length === 0 || (cells.length === 1 && cells[0]!.trim() === '')) continue;
    lines[rows.length] = i + 1;
    rows.push(cells);
  }
  return rows.length === 0 ? EMPTY : read({ rows, lines: lines.subarray(0, rows.length) });
}

const CHUNK = 1_000_000;

/** Where somebody waits for a long list it is read piece by piece, and told how far it is. */
function parsed(text: string, delimiter: Separator, progress: ((rows: number) => void) | undefined) {
  if (!progress || text.length < 2 * CHUNK) return Papa.parse<string[]>(text, { delimiter });
  const data: string[][] = [];
  const errors: Papa.ParseError[] = [];
  Papa.parse<string[]>(text, {
    delimiter,
    chunkSize: CHUNK,
    chunk: (part: Papa.ParseResult<string[]>) => {
      for (const error of part.errors) errors.push({ ...error, row: (error.row ?? 0) + data.length });
      for (const row of part.data) data.push(row);
      progress(data.length);
    },
  } as Papa.ParseConfig<string[]>);
  return { data, errors };
}

/** Where line ends are mixed, all are taken for the shortest; else the text stays as it is. */
function withOneLineEnd(text: string): string {
  const first = text.indexOf('\r');
  if (first < 0) return text;
  let pairs = 0;
  let breaks = 0;
  for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) {
    breaks++;
    if (text.charCodeAt(at - 1) === 13) pairs++;
  }
  const alone = breaks === pairs && !/\r(?!\n)/.test(text.slice(first, first + 100_000));
  return alone ? text : text.replace(/\r\n?/g, '\n');
}

/** The separator that parts the first rows into most cells; one that leaves no quotation mark open comes first. */
export function separatorOf(text: string): Separator {
  const start = text.slice(0, 100_000);
  const tried = SEPARATORS.map((separator) => {
    const { data, errors } = Papa.parse<string[]>(start, { delimiter: separator, preview: 30 });
    const cells = data.reduce((sum, row) => sum + row.length, 0);
    const clean = !errors.some((error) => error.type === 'Quotes');
    return { separator, cells, clean: clean && cells > data.length };
  });
  tried.sort((a, b) => Number(b.clean) - Number(a.clean) || b.cells - a.cells);
  return tried[0]!.separator;
}

/** The same for the cells of a worksheet. */
export function tableOf(rows: readonly (readonly unknown[])[]): Read<TextTable> {
  return filled(rows.map((cells) => cells.map(cellText)));
}

function cellText(cell: unknown): string {
  if (typeof cell === 'string') return cell === '' ? cell : cell.trim();
  if (typeof cell === 'number') return String(cell);
  return cell instanceof Date ? cell.toISOString().slice(0, 10) : '';
}
