import { readFileSync } from 'node:fs';
import 'reflect-metadata';
import { randomBytes } from 'node:crypto';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { createConnection } from 'mysql2/promise';
import { pino } from 'pino';
import request from 'supertest';
import { DataSource } from 'typeorm';
import type { ChangeSet } from '@dialoga/core/change';
import type { Config } from '../base/config.js';
import { createApp } from '../create-app.js';
import type { JobStarted, JobView } from '../jobs/job.dto.js';
import type { DEMOS, ProjectSummary } from '../projects/project.dto.js';

export interface TestServer {
  app: NestExpressApplication;
  databaseUrl: string;
  database: DataSource;
  http: ReturnType<typeof request>;
  close: () => Promise<void>;
}

/** The real server over a database of its own, which goes with it; or a further process over the same database. */
export async function testServer(
  beside?: TestServer,
  config: Partial<Config> = {},
  log = pino({ level: 'silent' }),
): Promise<TestServer> {
  const { databaseUrl, drop } = beside
    ? { databaseUrl: beside.databaseUrl, drop: async () => undefined }
    : await ownDatabase();
  const usual: Config = {
    databaseUrl,
    databaseFolder: null,
    host: '127.0.0.1',
    port: 0,
    allowedHosts: [],
    trustProxy: 0,
    webFolder: null,
    demoFolder: join(__dirname, '../../../../demo'),
    threadFile: join(__dirname, '../../dist/thread/thread.js'),
    logLevel: 'silent',
    logFolder: null,
    requestsAMinute: 1_000_000,
  };
  const app = await createApp({ ...usual, ...config }, log);
  await app.init();
  return {
    app,
    databaseUrl,
    database: app.get(DataSource),
    http: request(app.getHttpServer()),
    close: async () => {
      await app.close();
      await drop();
    },
  };
}

/** An empty database, and how it goes again. */
export async function ownDatabase() {
  const base = process.env.DATABASE_URL;
  if (!base) throw new Error('DATABASE_URL is not set; run the tests with npm test');
  const name = `dialoga_test_${randomBytes(5).toString('hex')}`;
  const connection = await createConnection(base);
  await connection.query(`CREATE DATABASE ${name}`);
  const url = new URL(base);
  url.pathname = `/${name}`;
  const drop = async () => {
    await connection.query(`DROP DATABASE ${name}`);
    await connection.end();
  };
  return { databaseUrl: url.href, drop };
}

/** Follows a job to its end. */
export async function jobEnd({ http }: TestServer, id: string): Promise<JobView> {
  for (let tries = 0; tries < 3000; tries++) {
    const job = (await http.get(`/api/jobs/${id}`).expect(200)).body as JobView;
    if (job.state !== 'running') return job;
  }
  throw new Error(`job ${id} did not end`);
}

/** Starts an import and follows it to its end. */
export async function imported(server: TestServer, file: Buffer): Promise<JobView> {
  const { body } = await server.http
    .post('/api/imports')
    .set('Content-Type', 'application/octet-stream')
    .send(file)
    .expect(202);
  return jobEnd(server, (body as JobStarted).job);
}

/** The demo as a new project; gives its id. */
export async function newDemo(server: TestServer, demo: (typeof DEMOS)[number] = 'kestrel-quay'): Promise<string> {
  const { body } = await server.http.post('/api/projects/demo').send({ demo }).expect(201);
  return (body as ProjectSummary).id;
}

/** A small project of two suppliers, of the browser tests: it stays as it is while the demo grows. */
export async function newSmall(server: TestServer): Promise<string> {
  const file = readFileSync(join(__dirname, '../../../../e2e/projects/two-suppliers.dialoga.json'));
  return (await imported(server, file)).project!;
}

export async function fileOf(server: TestServer, project: string): Promise<string> {
  return (await server.http.get(`/api/projects/${project}/file`).expect(200)).text;
}

export const commit = (server: TestServer, project: string, set: ChangeSet) =>
  server.http.post(`/api/projects/${project}/changes`).send(set);
