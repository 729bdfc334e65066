import { workerData } from 'piscina';
import { DataSource } from 'typeorm';
import { dataSourceOptions } from '../database/data-source.js';

let opened: Promise<DataSource> | null = null;

/** This thread's own connections to the database, made when they are first needed. */
export function threadDatabase(): Promise<DataSource> {
  const { databaseUrl } = workerData as { databaseUrl: string };
  opened ??= new DataSource({ ...dataSourceOptions(databaseUrl, 2), migrationsRun: false })
    .initialize()
    .catch((error: unknown) => {
      opened = null;
      throw error;
    });
  return opened;
}
