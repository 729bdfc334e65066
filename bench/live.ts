import { execFileSync } from 'node:child_process';
import { writeProject } from '@dialoga/core/file';
import { chromium } from '@playwright/test';
import ModbusRTU from 'modbus-serial';
import { noteLongTasks } from './long-tasks.js';
import { tenWords } from './generate-words.js';
import { middle, type Row } from './row.js';
import { importProject, json, startServer, stop, type Server } from './server-process.js';

const SIZE = { partners: 50, lanes: 10, cadence: 100 };
const SECONDS = 10;
const MOST_MB = 400;
const MOST_ANSWER_MS = 5;
const LONGEST_TASK_MS = 50;

interface Running {
  standings: { typed: string }[];
  exchanges: { up: number; links: number }[];
}

/** Fifty stand-ins on real sockets, and what another program and a page have of them meanwhile. */
export async function liveRows(): Promise<Row[]> {
  const server = await startServer();
  try {
    const { id } = await importProject(server, writeProject(tenWords(SIZE)));
    const at = `${server.url}/projects/${id}/rehearsal`;
    const begun = await json<Running>(post(at));
    const until = performance.now() + SECONDS * 1000;
    const asked = askedMeanwhile(begun.standings[0]!.typed, until);
    const mb = await mostMemory(server, until);
    const answers = await asked;
    const { running } = await json<{ running: Running }>(fetch(at));
    const links = running.exchanges.reduce((sum, one) => sum + one.links, 0);
    const up = running.exchanges.reduce((sum, one) => sum + one.up, 0);
    const behind = await oldest(server, id);
    const longest = await longestTaskOfSheet(server, id);
    const what = `${begun.standings.length} stand-ins, ${links} lanes of ten words every ${SIZE.cadence} ms over sockets`;
    return [
      {
        work: `${what}: memory of the server`,
        figure: `${mb.toFixed(0)} MB; ${up} up, the oldest value ${behind} ms`,
        aim: `under ${MOST_MB} MB, all up`,
        met: mb < MOST_MB && up === links,
      },
      {
        work: `a request of another program answered meanwhile (of ${answers.length}, the middle one)`,
        figure: `${middle(answers).toFixed(1)} ms`,
        aim: `under ${MOST_ANSWER_MS} ms`,
        met: middle(answers) < MOST_ANSWER_MS,
      },
      {
        work: 'its sheet, with values that change ten times a second: the longest task (of three times, the middle one)',
        figure: longest === 0 ? `none over ${LONGEST_TASK_MS} ms` : `${longest.toFixed(0)} ms`,
        aim: `none over ${LONGEST_TASK_MS} ms`,
        met: longest <= LONGEST_TASK_MS,
      },
    ];
  } finally {
    await stop(server);
  }
}

const post = (url: string, body: object = {}) =>
  fetch(url, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) });

async function askedMeanwhile(typed: string, until: number): Promise<number[]> {
  const [host = '', port] = typed.split(':');
  const client = new ModbusRTU();
  await client.connectTCP(host, { port: Number(port) });
  const times: number[] = [];
  while (performance.now() < until) {
    const start = performance.now();
    await client.readHoldingRegisters(0, 10);
    times.push(performance.now() - start);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  client.close(() => undefined);
  return times;
}

async function mostMemory({ child }: Server, until: number): Promise<number> {
  let most = 0;
  while (performance.now() < until) {
    most = Math.max(
      most,
      Number(execFileSync('ps', ['-o', 'rss=', '-p', String(child.pid)], { encoding: 'utf8' })) / 1024,
    );
    await new Promise((resolve) => setTimeout(resolve, 500));
  }
  return most;
}

/** ms since the value last came that waits longest. */
async function oldest({ url }: Server, project: string): Promise<number> {
  let most = 0;
  for (let k = 0; k < SIZE.partners; k += 10) {
    const links = await json<{ age: number | null }[]>(fetch(`${url}/projects/${project}/rehearsal/exchanges/x${k}`));
    most = Math.max(most, ...links.map(({ age }) => age ?? Infinity));
  }
  return most;
}

async function longestTaskOfSheet(server: Server, project: string): Promise<number> {
  const at = `${server.url}/projects/${project}/rehearsal`;
  const links = await json<{ id: string; values: { key: string }[] }[]>(fetch(`${at}/exchanges/x0`));
  const executablePath = process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell';
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.goto(`${server.page}/p/${project}/exchanges/x0`);
    await page.locator('[role=row][data-id^="now:"]').first().waitFor();
    const all: number[] = [];
    for (let time = 0; time < 3; time++) {
      const longest = await noteLongTasks(page);
      for (let turn = 0; turn < 25; turn++) {
        for (const { id, values } of links) {
          await post(`${at}/do`, { what: 'set', id, key: values[0]!.key, text: String(25 * time + turn) });
        }
        await page.waitForTimeout(50);
      }
      all.push(await longest());
    }
    return middle(all);
  } finally {
    await browser.close();
  }
}
