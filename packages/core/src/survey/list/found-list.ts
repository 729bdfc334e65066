import type { ListKind } from '../../formats/list-kind.js';
import type { TextTable } from '../../formats/text-table.js';
import { read, unread } from '../../text/read.js';
import type { Fact } from '../facts.js';
import { FOUND_COLUMNS, FOUND_HEADINGS, FOUND_TITLES, type FoundColumn } from './columns.js';
import type { FoundRow } from './found-row.js';
import { neighbourLine } from './neighbour-listing.js';

const HEADINGS_WITHIN = 10;

/** Devices found on site: a table with headings, or what an operating system lists of its neighbours. */
export const FOUND_LIST: ListKind<FoundRow[]> = {
  columns: FOUND_TITLES,
  understand: (table) =>
    headed(table) ?? (isListing(table) ? { heading: -1, headings: [], columns: {}, twice: [] } : null),
  read: (table, heading, columns) => {
    const rows = Object.keys(columns).length === 0 ? listed(table) : rowsOf(table, heading, columns);
    return rows.length > 0
      ? read(rows)
      : unread(
          'no row tells of a device',
          'each row has an address, a hardware address, a device name, a unit or a node',
        );
  },
};

function headed(table: TextTable) {
  let best: ReturnType<NonNullable<typeof FOUND_LIST.understand>> = null;
  table.rows.slice(0, HEADINGS_WITHIN).forEach((row, heading) => {
    const headings = row.map((cell) => cell.trim());
    const columns: Partial<Record<FoundColumn, number>> = {};
    const twice: string[] = [];
    headings.forEach((cell, at) => {
      const column = FOUND_COLUMNS.find((one) => FOUND_HEADINGS[one].test(cell));
      if (column && columns[column] !== undefined) twice.push(cell);
      else if (column) columns[column] = at;
    });
    const count = Object.keys(columns).length;
    if (count >= 2 && count > Object.keys(best?.columns ?? {}).length) best = { heading, headings, columns, twice };
  });
  return best;
}

const lineOf = (row: readonly string[]): string => row.join(' ');

/** At least one line tells of a neighbour, and most that begin with an address do. */
const isListing = ({ rows }: TextTable): boolean =>
  rows.some((row) => Object.keys(neighbourLine(lineOf(row)) ?? {}).length > 0);

const listed = ({ rows, lines }: TextTable): FoundRow[] =>
  rows.flatMap((row, i) => {
    const facts = neighbourLine(lineOf(row));
    return facts && Object.keys(facts).length > 0 ? [{ line: lines[i]!, facts, remark: '', seen: '' }] : [];
  });

/** What names a device on a network; a row without any of it tells of none. */
const NAMING: readonly Fact[] = ['hardware', 'deviceName', 'address', 'unit', 'node', 'telemetry'];

function rowsOf({ rows, lines }: TextTable, heading: number, columns: Partial<Record<string, number>>): FoundRow[] {
  return rows.slice(heading + 1).flatMap((row, i) => {
    const cell = (column: string) => row[columns[column] ?? -1]?.trim();
    const facts: FoundRow['facts'] = {};
    for (const column of FOUND_COLUMNS) {
      const text = column === 'seen' || column === 'remark' ? undefined : cell(column);
      if (text !== undefined) facts[column as Fact] = /^[-–—]$/.test(text) ? '' : text;
    }
    if (!NAMING.some((fact) => (facts[fact] ?? '') !== '')) return [];
    return [{ line: lines[heading + 1 + i]!, facts, remark: cell('remark') ?? '', seen: cell('seen') ?? '' }];
  });
}
