import { apply, type Change } from '@dialoga/core/change';
import type { Project } from '@dialoga/core/model';
import { splitBlock } from '@dialoga/core/sheet';
import type { FieldEdit } from '@dialoga/core/text';
import type { CellAt, CellEdit, GridColumn, GridRow } from './types';

/** Typed or pasted cells as changes of one step, and what could not be taken. */
export interface TableChange {
  changes: Change[];
  problems: string[];
  made: number;
  changed: number;
  /** how what was begun calls the step */
  label?: string;
}

/** So many lines are worked out while somebody waits. */
const MOST_LINES = 2000;

/** Edits follow one another: each is worked out on what those before it have made. */
class Working {
  readonly change: TableChange = { changes: [], problems: [], made: 0, changed: 0 };

  constructor(public project: Project) {}

  /** Whether anything of it was taken; why not is noted, with where it was meant to go. */
  take(edits: readonly FieldEdit[], where = ''): boolean {
    let taken = false;
    for (const { changes, problem } of edits) {
      if (problem !== null) this.change.problems.push(where === '' ? problem : `${where}: ${problem}`);
      if (changes.length === 0) continue;
      const applied = apply(this.project, { id: 'typed', label: '', changes });
      if (!applied.ok) {
        this.change.problems.push(where === '' ? applied.refusal.sentence : `${where}: ${applied.refusal.sentence}`);
        continue;
      }
      this.project = this.project.with(applied.entities);
      this.change.changes.push(...changes);
      taken = true;
    }
    return taken;
  }
}

const isNew = (row: GridRow | undefined): boolean => row?.tone === 'new' || row?.once === true;

/** What typing, clearing or filling cells changes. */
export function typedInto(project: Project, rows: readonly GridRow[], edits: readonly CellEdit[]): TableChange {
  const working = new Working(project);
  const byId = new Map(rows.map((row) => [row.id, row]));
  for (const { row: id, column, text } of edits) {
    const row = byId.get(id);
    if (!isNew(row)) {
      if (working.take(row?.edit?.(working.project, column, text) ?? [])) working.change.changed++;
      continue;
    }
    const begun = text.trim() === '' ? null : (row?.begin?.(working.project, column, text.trim()) ?? null);
    if (!begun || !working.take(begun.edits)) continue;
    working.change.made++;
    if (begun.label) working.change.label = begun.label;
  }
  return working.change;
}

/**
 * What pasting a block changes, from a cell to the right and down. Lines go into the rows that are there; those beyond the last
 * make new rows, each with what the block has for it. What a cell does not take is said with its line and column.
 */
export function pastedInto(
  project: Project,
  { rows, columns }: { rows: readonly GridRow[]; columns: readonly GridColumn[] },
  at: CellAt,
  text: string,
): TableChange {
  const working = new Working(project);
  const { lines, columnOf, headed } = understood(splitBlock(text), columns, at);
  const into = rows.filter((row) => row.tone !== 'second' && row.tone !== 'difference');
  let next = into.findIndex((row) => row.id === at.row);
  if (next < 0) return working.change;
  if (lines.length > MOST_LINES) {
    working.change.problems.push(
      `the block has ${lines.length} lines, and at most ${MOST_LINES} can be pasted at once`,
    );
    return working.change;
  }
  for (const [i, line] of lines.entries()) {
    const row = into[next];
    if (!row) {
      working.change.problems.push(`line ${i + 1} and what follows: there is no row for it`);
      break;
    }
    const cells = line.map((cell, k) => ({ column: columnOf(k), text: cell.trim() }));
    const typed = cells.flatMap(({ column, text }) => (column !== null && columns[column] ? [{ column, text }] : []));
    const where = (column: number) => `line ${i + 1}, ${columns[column]?.title ?? ''}`;
    if (isNew(row)) {
      const begun = !headed && row.line && row.cells[at.column]?.editable ? row.line(working.project, line) : null;
      if (begun) working.change.made += working.take(begun.edits, `line ${i + 1}`) ? 1 : 0;
      else newRow(working, row, typed, i + 1, where);
      if (row.once) next++;
    } else {
      let changed = false;
      for (const { column, text } of typed) {
        if (row.cells[column]?.editable && row.cells[column].text !== text) {
          changed = working.take(row.edit?.(working.project, column, text) ?? [], where(column)) || changed;
        }
      }
      if (changed) working.change.changed++;
      next++;
    }
  }
  return working.change;
}

/**
 * Where the first line of a block names columns of the table, at least two and none twice, each cell goes to its column;
 * else they go from the cell on to the right.
 */
function understood(
  block: string[][],
  columns: readonly GridColumn[],
  at: CellAt,
): { lines: string[][]; columnOf: (cell: number) => number | null; headed: boolean } {
  const titles = columns.map(({ title }) => title.toLowerCase());
  const named = (block[0] ?? []).map((cell) => titles.indexOf(cell.trim().toLowerCase()));
  const known = named.filter((column) => column >= 0);
  if (block.length < 2 || known.length < 2 || new Set(known).size < known.length) {
    return { lines: block, columnOf: (cell) => at.column + cell, headed: false };
  }
  return { lines: block.slice(1), columnOf: (cell) => ((named[cell] ?? -1) < 0 ? null : named[cell]!), headed: true };
}

/** One line as a new row: what begins it first, then the rest of its cells. */
function newRow(
  working: Working,
  row: GridRow,
  typed: readonly { column: number; text: string }[],
  line: number,
  where: (column: number) => string,
): void {
  if (typed.every(({ text }) => text === '')) return;
  for (const { column, text } of typed) {
    // What the new row takes begins it, and nothing else of the line.
    const begun =
      text === '' || !row.cells[column]?.editable ? null : (row.begin?.(working.project, column, text) ?? null);
    if (!begun) continue;
    if (!working.take(begun.edits, where(column))) return;
    working.change.made++;
    for (const other of typed) {
      if (other.column === column || other.text === '') continue;
      working.take(begun.then?.(working.project, other.column, other.text) ?? [], where(other.column));
    }
    return;
  }
  working.change.problems.push(`line ${line}: nothing in it begins a row`);
}
