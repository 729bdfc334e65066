import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { DataSource, EntityManager } from 'typeorm';
import { middle, type Row } from './row.js';

const ROWS = 5000;
const TIMES = 5;
/** As much of a row's text as a lane with a few values has. */
const BODY = JSON.stringify({ note: 'x'.repeat(600) });
const COLUMNS = ['project', 'kind', 'id', 'owner', 'ordinal', 'name', 'body'] as const;

interface Database {
  openDatabase: (url: string) => Promise<DataSource>;
  insertRows: (
    manager: EntityManager,
    table: string,
    columns: readonly string[],
    rows: readonly (readonly (string | number | null)[])[],
  ) => Promise<void>;
}

/** The built server's own. */
async function database(): Promise<Database> {
  const of = (file: string) =>
    import(pathToFileURL(join(import.meta.dirname, '../../apps/server/dist/database', file)).href);
  return { ...((await of('data-source.js')) as Database), ...((await of('bulk.js')) as Database) };
}

/** What stands beside the one statement of our own: many rows by it, by the query builder, and by `save`. */
export async function bulkRow(): Promise<Row> {
  const { openDatabase, insertRows } = await database();
  const source = await openDatabase(process.env.DATABASE_URL!);
  const rows = Array.from({ length: ROWS }, (_, i) => ['bulk', 'lane', `lane-${i}`, 'duty', i, `Lane ${i}`, BODY]);
  const asObjects = rows.map((row) => Object.fromEntries(COLUMNS.map((column, i) => [column, row[i]])));
  const parts = Array.from({ length: ROWS / 500 }, (_, i) => asObjects.slice(i * 500, (i + 1) * 500));
  const ways: Record<string, (manager: EntityManager) => Promise<unknown>> = {
    own: (manager) => insertRows(manager, 'entity', COLUMNS, rows),
    builder: async (manager) => {
      for (const part of parts) await manager.createQueryBuilder().insert().into('entity').values(part).execute();
    },
    save: (manager) => manager.getRepository('entity').save(asObjects, { chunk: 500 }),
  };
  const taken: Record<string, number[]> = { own: [], builder: [], save: [] };
  for (let i = 0; i < TIMES; i++) {
    for (const [way, insert] of Object.entries(ways)) {
      const start = performance.now();
      await source.transaction(insert);
      taken[way]!.push(performance.now() - start);
      await source.createQueryBuilder().delete().from('entity').where('project = :id', { id: 'bulk' }).execute();
    }
  }
  await source.destroy();
  const [own, builder, save] = ['own', 'builder', 'save'].map((way) => middle(taken[way]!)) as [number, number, number];
  return {
    work: `${ROWS} rows by a statement of our own; by the query builder; by save`,
    figure: `${own.toFixed(0)} ms; ${(builder / own).toFixed(1)} ×; ${(save / own).toFixed(1)} ×`,
    aim: 'faster than the query builder',
    met: own < builder,
  };
}
