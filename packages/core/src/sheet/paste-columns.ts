import { parseAddress } from '../place/parse-address.js';
import type { Memory } from '../place/memory.js';
import { parseType } from '../data/types.js';
import { parseLength } from '../place/length.js';
import { SHEET_COLUMNS, SHEET_FIELDS, type SecondLineColumn, type SheetColumn } from './sheet-fields.js';

/** How a pasted block was understood. */
export interface Understood {
  /** for each column of the block, the sheet's column, or null where it has none (it is left out) */
  columns: (SheetColumn | SecondLineColumn | null)[];
  rows: string[][];
  /** the first line was a heading */
  headed: boolean;
}

/**
 * Which column of a block is which. A heading says so; without one, the content of each column does. A block that
 * begins in another column than the first is taken as it stands.
 */
export function understandBlock(block: string[][], startColumn: number, memories: readonly Memory[]): Understood {
  const width = Math.max(...block.map((row) => row.length));
  const headings = (block[0] ?? []).map(headingOf);
  const named = headings.filter((h) => h !== null);
  if (named.length >= 2 && new Set(named).size === named.length) {
    return {
      columns: Array.from({ length: width }, (_, i) => headings[i] ?? null),
      rows: block.slice(1),
      headed: true,
    };
  }
  const byPlace = Array.from({ length: width }, (_, i) => SHEET_COLUMNS[startColumn + i] ?? null);
  if (startColumn !== 0 || width < 2) return { columns: byPlace, rows: block, headed: false };
  const byContent = contentColumns(block, width, memories);
  const fits = (columns: readonly (SheetColumn | null)[]) => fitting(block, columns, memories);
  const columns = byContent && fits(byContent) > fits(byPlace) ? byContent : byPlace;
  return { columns, rows: block, headed: false };
}

/** What stands under a column is known by its own name only. */
const SECOND_LINE: readonly SecondLineColumn[] = [
  'slot',
  'told',
  'station',
  'layout',
  'open',
  'swap',
  'header',
  'trigger',
];

function headingOf(text: string): SheetColumn | SecondLineColumn | null {
  const clean = text.trim().toLowerCase();
  const column = SHEET_COLUMNS.find((one) => SHEET_FIELDS[one].headings.includes(clean));
  return column ?? SECOND_LINE.find((one) => one === clean) ?? null;
}

/** A line that says which column is which; none where fewer than two are known. */
export function headingsOf({ columns }: Pick<Understood, 'columns'>): string[][] {
  const known = columns.filter((column) => column !== null);
  const word = (column: Understood['columns'][number]) =>
    column === null ? '' : column in SHEET_FIELDS ? SHEET_FIELDS[column as SheetColumn].headings[0]! : column;
  return known.length < 2 ? [] : [columns.map(word)];
}

type Test = (text: string) => boolean;

/** Whether a text can stand in a column; a name can be anything. */
function testsFor(memories: readonly Memory[]): ReadonlyMap<SheetColumn, Test> {
  return new Map<SheetColumn, Test>([
    ['direction', (text) => /^(writes|reads|both)$/i.test(text)],
    ['type', (text) => parseType(text).ok],
    ['address', (text) => parseAddress(text, memories).ok],
    ['length', (text) => parseLength(text, 16).ok],
    ['area', (text) => memories.some((m) => m.area.name.toLowerCase() === text.toLowerCase())],
  ]);
}

/** How many cells of a block can stand where these columns put them. */
function fitting(block: string[][], columns: readonly (SheetColumn | null)[], memories: readonly Memory[]): number {
  const tests = testsFor(memories);
  return block.reduce((sum, row) => sum + columns.filter((c, i) => c && tests.get(c)?.(row[i] ?? '')).length, 0);
}

/** Null where the columns do not tell which they are. */
function contentColumns(block: string[][], width: number, memories: readonly Memory[]): (SheetColumn | null)[] | null {
  const columns: (SheetColumn | null)[] = Array.from({ length: width }, () => null);
  for (const [column, test] of testsFor(memories)) {
    let best = -1;
    let most = 0;
    for (let i = 0; i < width; i++) {
      if (columns[i] !== null) continue;
      const filled = block.map((row) => row[i] ?? '').filter((text) => text !== '');
      const right = filled.filter(test).length;
      if (right > most && right * 2 > filled.length) [best, most] = [i, right];
    }
    if (best >= 0) columns[best] = column;
  }
  if (!columns.includes('address') && !columns.includes('type')) return null;
  const open = columns.flatMap((column, i) => (column === null ? [i] : []));
  // Where there are no addresses, the names are places: the last of two columns of them.
  if (memories.length === 0 && open.length > 0) columns[open[Math.min(1, open.length - 1)]!] = 'address';
  const name = columns.indexOf(null);
  if (name >= 0) columns[name] = 'name';
  return columns;
}
