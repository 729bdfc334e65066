import { DataSource, type DataSourceOptions } from 'typeorm';
import { FirstTables1700000000001 } from './migrations/1-first-tables.js';
import { Acceptances1700000000002 } from './migrations/2-acceptances.js';
import { Jobs1700000000003 } from './migrations/3-jobs.js';
import { Hardware1700000000004 } from './migrations/4-hardware.js';
import { Settings1700000000005 } from './migrations/5-settings.js';
import { Tags1700000000006 } from './migrations/6-tags.js';
import { TagLists1700000000007 } from './migrations/7-tag-lists.js';
import { Routes1700000000008 } from './migrations/8-routes.js';
import { Author1700000000009 } from './migrations/9-author.js';
import { OneTable1700000000010 } from './migrations/10-one-table.js';
import { ALL_TABLES } from './tables.js';

/** Connections of the thread that answers, and how many of them commits may take: the others are there for readers. */
const CONNECTIONS = 10;
export const COMMITS_AT_ONCE = 6;

/** From an empty database to the tables of today, in this order. */
export const MIGRATIONS = [
  FirstTables1700000000001,
  Acceptances1700000000002,
  Jobs1700000000003,
  Hardware1700000000004,
  Settings1700000000005,
  Tags1700000000006,
  TagLists1700000000007,
  Routes1700000000008,
  Author1700000000009,
  OneTable1700000000010,
];

export function dataSourceOptions(url: string, connections = CONNECTIONS): DataSourceOptions {
  return {
    type: 'mariadb',
    url,
    charset: 'utf8mb4_bin',
    timezone: 'Z',
    entities: ALL_TABLES,
    migrations: MIGRATIONS,
    migrationsRun: true,
    synchronize: false,
    extra: { connectionLimit: connections },
  };
}

export async function openDatabase(url: string): Promise<DataSource> {
  return new DataSource(dataSourceOptions(url)).initialize();
}
