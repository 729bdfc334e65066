import type { Page } from '@playwright/test';
import { writeProject } from '@dialoga/core/file';
import { Project } from '@dialoga/core/model';
import { middle, type Row } from './row.js';
import { importProject, type Server } from './server-process.js';

const TAGS = 100_000;
const MOST_OPEN_MS = 1000;
const MOST_FIND_MS = 100;
const MOST_MB = 600;

/** One station with as many tags as a project may have. */
const plant = () =>
  Project.of({
    project: [{ id: 'project', name: 'Many tags' }],
    profile: [
      {
        id: 'profile',
        order: 1,
        name: 'Words',
        layout: {},
        limits: {},
        words: {},
        nameRule: { caseMatters: false, source: 'the bench' },
        views: {
          w: { order: 1, name: 'w', areaKind: 'memory', notation: 'iec elements', prefix: 'M', unit: 16, first: 0 },
        },
      },
    ],
    station: [{ id: 's', order: 1, name: 'S', roles: ['controller'], profile: 'profile', party: 'own' }],
    area: [
      {
        id: 'area',
        order: 1,
        name: 'Memory',
        station: 's',
        kind: 'memory',
        wordBits: 16,
        words: 1_000_000,
        writers: ['program'],
        views: {},
        reservations: {},
      },
    ],
    tag: Array.from({ length: TAGS }, (_, i) => ({
      id: `t${i}`,
      order: i,
      station: 's',
      name: `Area_${i % 97}_Point_${i}`,
      access: 'read' as const,
      type: { base: 'INT', count: 1 },
      place: { area: 'area', view: 'w', number: i, width: 16 as const },
    })),
  });

/** The grid of a station's tags: opened, and narrowed to the names that hold three characters. */
export async function tagGridRows(page: Page, server: Server): Promise<Row[]> {
  const { id } = await importProject(server, writeProject(plant()));
  const opened: number[] = [];
  for (let i = 0; i < 5; i++) {
    await page.goto(`${server.page}/p/${id}/tags`);
    await page.getByRole('grid', { name: 'Tags of all stations' }).waitFor();
    await page.getByRole('link', { name: /^Findings/ }).waitFor();
    opened.push(
      await page.evaluate(async (path) => {
        const start = performance.now();
        history.pushState({}, '', path);
        dispatchEvent(new PopStateEvent('popstate', { state: {} }));
        while (!document.querySelector('[role=row][data-id="t0"]')) await new Promise(requestAnimationFrame);
        return performance.now() - start;
      }, `/p/${id}/tags/s`),
    );
  }
  const found: number[] = [];
  for (const wanted of ['t_9', '_77', 't_3', '_12', '_61']) found.push(await filterTime(page, wanted));
  const mb = await page.evaluate(
    () => (performance as unknown as { memory: { usedJSHeapSize: number } }).memory.usedJSHeapSize / 1e6,
  );
  const [open, find] = [middle(opened), middle(found)];
  return [
    {
      work: `the grid of ${TAGS} tags, opened`,
      figure: `${open.toFixed(0)} ms`,
      aim: `under ${MOST_OPEN_MS} ms`,
      met: open < MOST_OPEN_MS,
    },
    {
      work: 'three characters of a name typed above it, from the third key to the rows',
      figure: `${find.toFixed(0)} ms`,
      aim: `under ${MOST_FIND_MS} ms`,
      met: find < MOST_FIND_MS,
    },
    { work: 'memory of its page', figure: `${mb.toFixed(0)} MB`, aim: `under ${MOST_MB} MB`, met: mb < MOST_MB },
  ];
}

/** ms from the last key until every row that shows has what was typed in its name. */
async function filterTime(page: Page, wanted: string): Promise<number> {
  await page.getByLabel('Names that contain').fill('');
  await page.locator('[role=row][data-id="t0"]').waitFor();
  await page.keyboard.type(wanted.slice(0, -1));
  await page.waitForFunction(
    (typed) => [...document.querySelectorAll('h1 + p')].some((p) => p.textContent?.includes(`“${typed}”`)),
    wanted.slice(0, -1),
  );
  await page.evaluate((text) => {
    const store = window as unknown as { foundAfter: Promise<number> };
    store.foundAfter = new Promise((resolve) => {
      document.addEventListener(
        'keydown',
        () => {
          const start = performance.now();
          const look = () => {
            const rows = [...document.querySelectorAll('[role=row][data-id^=t]')];
            const heading = document.querySelector('h1 + p')?.textContent ?? '';
            const done = heading.includes(`“${text}”`) && rows.every((row) => row.textContent?.includes(text));
            if (done) resolve(performance.now() - start);
            else requestAnimationFrame(look);
          };
          requestAnimationFrame(look);
        },
        { once: true, capture: true },
      );
    });
  }, wanted);
  await page.keyboard.press(wanted.slice(-1));
  return page.evaluate(() => (window as unknown as { foundAfter: Promise<number> }).foundAfter);
}
