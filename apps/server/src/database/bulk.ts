import type { EntityManager } from 'typeorm';
import { chunks } from './parts.js';

const ROWS_A_STATEMENT = 500;
/** Characters of values in one statement, well under the database's packet. */
const MOST_CHARACTERS = 4_000_000;

type Value = string | number | null;

/**
 * Inserts many rows with few statements, or replaces them where their key is there already: a statement of our own, since the
 * query builder, which looks at every value of every row, takes 1.9 times as long (docs/numbers.md; `npm run bench -- server`). The table and its columns
 * are names of our own; values only ever travel as parameters.
 */
export async function insertRows(
  manager: EntityManager,
  table: string,
  columns: readonly string[],
  rows: readonly (readonly Value[])[],
  replace: 'refuse' | 'replace' = 'refuse',
): Promise<void> {
  const row = `(${columns.map(() => '?').join()})`;
  const update = columns.map((c) => `${c} = VALUES(${c})`).join();
  const head = `INSERT INTO ${table} (${columns.join()}) VALUES `;
  for (const part of ofBoundedSize(rows)) {
    const tail = replace === 'replace' ? ` ON DUPLICATE KEY UPDATE ${update}` : '';
    await manager.query(head + part.map(() => row).join() + tail, part.flat());
  }
}

/** Deletes rows by project and one other column. */
export async function deleteRows(
  manager: EntityManager,
  table: string,
  project: string,
  column: string,
  values: readonly string[],
): Promise<void> {
  for (const part of chunks(values, ROWS_A_STATEMENT)) {
    await manager
      .createQueryBuilder()
      .delete()
      .from(table)
      .where(`project = :project AND ${column} IN (:...part)`, { project, part })
      .execute();
  }
}

function* ofBoundedSize(rows: readonly (readonly Value[])[]): Generator<(readonly Value[])[]> {
  let part: (readonly Value[])[] = [];
  let characters = 0;
  for (const row of rows) {
    const size = row.reduce<number>((sum, v) => sum + (typeof v === 'string' ? v.length : 8), 0);
    if (part.length > 0 && (part.length >= ROWS_A_STATEMENT || characters + size > MOST_CHARACTERS)) {
      yield part;
      part = [];
      characters = 0;
    }
    part.push(row);
    characters += size;
  }
  if (part.length > 0) yield part;
}
