import { fork, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { expect, test as base, type Page } from '@playwright/test';
import type { ChangeSet } from '@dialoga/core/change';
import { CheckEngine, tallyOf } from '@dialoga/core/check';
import type { Finding } from '@dialoga/core/finding';
import { readProject } from '@dialoga/core/entry';
import { createConnection } from 'mysql2/promise';

const root = join(import.meta.dirname, '..');

/** How many of each the demo has as it comes. */
export const DEMO = tallyOf(demoFindings());

/** The built server over a database of its own; it can be stopped and started again on the same address. */
export interface App {
  url: string;
  stop: () => Promise<void>;
  start: () => Promise<void>;
  /** a fresh copy of the demo; its id */
  demo: () => Promise<string>;
  /** a small project of two suppliers with three Blockers, all in one exchange; it stays as it is while the demo grows */
  duty: () => Promise<string>;
  /** the same with the faults mended */
  agreed: () => Promise<string>;
  create: (name: string) => Promise<string>;
  file: (project: string) => Promise<string>;
  /** commits a change set as another window would */
  change: (project: string, set: ChangeSet) => Promise<void>;
}

function demoFindings(): Iterable<Finding> {
  const read = readProject(readFileSync(join(root, 'demo/kestrel-quay.dialoga.json'), 'utf8'));
  if (!read.ok) throw new Error('the demo cannot be read');
  return new CheckEngine(read.project).findings.values();
}

async function startServer(databaseUrl: string, port: number): Promise<ChildProcess> {
  const env = { ...process.env, DATABASE_URL: databaseUrl, PORT: String(port), LOG_LEVEL: 'silent' };
  const child = fork(join(root, 'apps/server/dist/main.js'), { env });
  await new Promise((resolve, reject) => {
    child.once('message', resolve);
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
  });
  return child;
}

const ended = (child: ChildProcess) =>
  new Promise<void>((resolve) => {
    if (child.exitCode !== null) return resolve();
    child.once('exit', () => resolve());
    child.kill('SIGTERM');
  });

const freePort = () =>
  new Promise<number>((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as { port: number };
      server.close(() => resolve(port));
    });
  });

/** Imports a project file of these tests, and follows the job to its end. */
async function bringIn(url: string, name: string): Promise<string> {
  const body = readFileSync(join(import.meta.dirname, `projects/${name}.dialoga.json`));
  const headers = { 'Content-Type': 'application/octet-stream' };
  const started = await fetch(`${url}/api/imports`, { method: 'POST', headers, body });
  const { job } = (await started.json()) as { job: string };
  let project: string | null = null;
  await expect
    .poll(async () => {
      const view = (await (await fetch(`${url}/api/jobs/${job}`)).json()) as { state: string; project: string };
      project = view.project;
      return view.state;
    })
    .toBe('done');
  return project!;
}

export const test = base.extend<object, { app: App }>({
  app: [
    async ({}, use) => {
      const baseUrl = process.env.DATABASE_URL;
      if (!baseUrl) throw new Error('DATABASE_URL is not set; run the tests with npm test');
      const name = `dialoga_test_${randomBytes(5).toString('hex')}`;
      const connection = await createConnection(baseUrl);
      await connection.query(`CREATE DATABASE ${name}`);
      const database = new URL(baseUrl);
      database.pathname = `/${name}`;
      const port = await freePort();
      let child = await startServer(database.href, port);
      const url = `http://127.0.0.1:${port}`;
      const post = async (path: string, body: object) => {
        const response = await fetch(`${url}/api${path}`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify(body),
        });
        return ((await response.json()) as { id: string }).id;
      };
      await use({
        url,
        stop: () => ended(child),
        start: async () => {
          child = await startServer(database.href, port);
        },
        demo: () => post('/projects/demo', { demo: 'kestrel-quay' }),
        duty: () => bringIn(url, 'two-suppliers'),
        agreed: () => bringIn(url, 'two-suppliers-as-agreed'),
        create: (title) => post('/projects', { name: title }),
        change: async (project, set) => {
          await post(`/projects/${project}/changes`, set);
        },
        file: async (project) => (await fetch(`${url}/api/projects/${project}/file`)).text(),
      });
      await ended(child);
      await connection.query(`DROP DATABASE ${name}`);
      await connection.end();
    },
    { scope: 'worker', timeout: 60_000 },
  ],
});

export { expect };

/** The tally as it stands in the frame. */
export async function expectTally(page: Page, blockers: number, doubts: number, hints = 0): Promise<void> {
  await expect(page.getByRole('link', { name: /^Findings:/ })).toHaveAccessibleName(
    `Findings: ${blockers} Blockers, ${doubts} Doubts, ${hints} Hints`,
  );
}

/** The counts of the demo as it comes, and so many more or less. */
export async function expectDemo(page: Page, blockers = 0, doubts = 0, hints = 0): Promise<void> {
  await expectTally(page, DEMO.blocker + blockers, DEMO.doubt + doubts, DEMO.hint + hints);
}

/** Every edit is stored: nothing waits to be sent. */
export async function expectStored(page: Page): Promise<void> {
  await expect
    .poll(() =>
      page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('dialoga.pending')).length),
    )
    .toBe(0);
}

/** A cell of a grid by its row's and column's place in the accessibility tree. */
export function cell(page: Page, row: string, column: number) {
  return page.locator(`[role=row][data-id="${row}"] [role=gridcell][data-column="${column}"]`);
}

export async function pasteText(page: Page, text: string): Promise<void> {
  await page.evaluate((t) => navigator.clipboard.writeText(t), text);
  await page.keyboard.press('Control+V');
}

/** Types into the cell that has the cursor and goes to the next. */
export async function typeCells(page: Page, ...texts: string[]): Promise<void> {
  for (const text of texts) {
    if (text !== '') await page.keyboard.type(text);
    await page.keyboard.press('Tab');
  }
}
