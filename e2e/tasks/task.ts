import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { CheckEngine } from '@dialoga/core/check';
import { readProject } from '@dialoga/core/entry';
import { inOrder, type Project } from '@dialoga/core/model';
import type { Locator, Page } from '@playwright/test';
import { expect, expectStored, pasteText, test, type App } from '../app';
import type { Job } from './jobs';

const NUMBERS = readFileSync(join(import.meta.dirname, '../../docs/numbers.md'), 'utf8');

/** What somebody does at the keyboard, action by action, each counted. */
export class Task {
  actions = 0;

  constructor(
    readonly page: Page,
    private readonly app: App,
    private readonly id: string,
  ) {}

  /** one chord that is no typing, so often */
  async press(chord: string, times = 1): Promise<void> {
    for (let i = 0; i < times; i++) {
      this.actions++;
      await this.page.keyboard.press(chord);
    }
  }

  /** one text, into the one place that has the focus */
  async type(text: string): Promise<void> {
    this.actions++;
    await this.page.keyboard.type(text);
  }

  /** one block from the clipboard */
  async paste(lines: readonly string[]): Promise<void> {
    this.actions++;
    await pasteText(this.page, lines.join('\n'));
  }

  async click(place: Locator): Promise<void> {
    this.actions++;
    await place.click();
  }

  /** one file, into a place that asks for it */
  async choose(place: Locator, file: { name: string; mimeType: string; buffer: Buffer }): Promise<void> {
    this.actions++;
    const asked = this.page.waitForEvent('filechooser');
    await place.press('Enter');
    await (await asked).setFiles(file);
  }

  /** Alt and the left arrow: the browser’s way back */
  async back(): Promise<void> {
    this.actions++;
    await this.page.goBack();
  }

  /** All ready fixes of what is shown, looked at and taken. */
  async fixAll(): Promise<void> {
    await this.press('Alt+Shift+Enter');
    await expect(this.page.getByRole('button', { name: /^Fix \d+ findings?$/ })).toBeFocused();
    await this.press('Enter');
    await expect(this.page.getByRole('dialog')).toBeHidden();
  }

  /** Ctrl+K, a text, Enter. */
  async find(text: string): Promise<void> {
    await this.press('Control+K');
    await this.type(text);
    await this.press('Enter');
  }

  /** A line in the row that makes something new, which has the cursor. */
  async line(text: string): Promise<void> {
    await this.type(text);
    await this.press('Enter');
  }

  /** Not counted: the eye waits for what comes. */
  async sees(place: Locator): Promise<void> {
    await expect(place).toBeVisible();
  }

  async focused(grid: string | RegExp): Promise<void> {
    await expect(this.page.getByRole('grid', { name: grid })).toBeFocused();
  }

  /** The project as it is stored, with what the checks say of it. */
  async outcome(): Promise<{ project: Project; engine: CheckEngine }> {
    await expectStored(this.page);
    const read = readProject(await this.app.file(this.id));
    if (!read.ok) throw new Error('the project cannot be read');
    return { project: read.project, engine: new CheckEngine(read.project) };
  }
}

/** A job as a test: done in an empty project, at most as many actions as its aim, and as many as docs/numbers.md says. */
export function task(job: Job, run: (task: Task) => Promise<void>): void {
  test(job.name, async ({ page, app }) => {
    const id = await app.create(job.name);
    // Where a new project opens.
    await page.goto(`${app.url}/p/${id}/begin`);
    const doing = new Task(page, app, id);
    await expect(page.getByRole('textbox', { name: 'List of stations' })).toBeFocused();
    await run(doing);
    expect(doing.actions).toBeLessThanOrEqual(job.aim);
    const row = NUMBERS.split('\n').find((line) => line.startsWith(`| ${job.name} `));
    expect(row?.split('|').map((cell) => cell.trim())).toEqual([
      '',
      job.name,
      String(job.practitioner),
      String(job.aim),
      String(doing.actions),
      '',
    ]);
  });
}

/** No Blocker, or no finding at all, and every lane of every exchange agreed: so many in all. */
export async function expectAgreed(doing: Task, lanes: number, least: 'blocker' | 'any' = 'blocker'): Promise<Project> {
  const { project, engine } = await doing.outcome();
  const said = [...engine.findings.values()].filter(({ severity }) => least === 'any' || severity === 'blocker');
  expect(said.map(({ code, label, about }) => `${code} ${about.name}: ${label}`)).toEqual([]);
  const verdicts = inOrder(project, 'lane').map(({ id }) => engine.laneResults.get(id)?.verdict ?? 'none');
  expect(verdicts).toEqual(Array.from({ length: lanes }, () => 'agreed'));
  return project;
}
