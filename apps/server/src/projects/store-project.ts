import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { apply, set } from '@dialoga/core/change';
import { writeProject } from '@dialoga/core/file';
import { PROJECT_ID, type Project } from '@dialoga/core/model';
import { readingProject, readProject, textOfProjectFile, type ReadProject } from '@dialoga/core/entry';
import { workerData } from 'piscina';
import type { DataSource } from 'typeorm';
import { insertProject, loadProject } from '../database/stored-project.js';
import { NOW, projectTable } from '../database/tables.js';
import { tooMuchIn } from '../edge/body-size.js';
import { MOST_FILE_VALUES } from '../edge/limits.js';
import { unprocessable } from '../edge/problems.js';
import { tellerOf, unlessStopped, type Tell } from '../jobs/progress.js';
import { newId } from '../base/new-id.js';

/** Stores a project with the file that it was read from, in one transaction; gives its id. */
export async function storeProject(database: DataSource, project: Project, file: string, tell?: Tell): Promise<string> {
  const id = newId();
  const row = { id, name: project.info.name, revision: 0, tally: null, tallyRevision: null };
  const progress = tell && ((done: number, total: number) => tell('storing', done, total));
  await database.transaction(async (manager) => {
    await manager.insert(projectTable, { ...row, changed: NOW });
    await insertProject(manager, id, project, file, progress);
  });
  return id;
}

/** A project from a project file, as a job: the whole of it, or the answer with everything that is wrong with it. */
export function storedImport(database: DataSource, job: string, file: Uint8Array): Promise<{ project: string | null }> {
  const tell = tellerOf(database, job);
  return unlessStopped(async () => {
    const tooMuch = tooMuchIn(file, MOST_FILE_VALUES);
    if (tooMuch !== null) {
      const most = MOST_FILE_VALUES.toLocaleString('en');
      const problem = { where: 'file', found: `more than ${most} values`, expected: `at most ${most}` };
      throw unprocessable('The file holds more than this server takes; nothing was stored.', [problem]);
    }
    const read = textOfProjectFile(file);
    if (!read.ok) throw unprocessable('The file is not UTF-8; nothing was stored.', [read.problem]);
    const steps = readingProject(read.text);
    for (let step = steps.next(); ; step = steps.next()) {
      if (step.done) return storeProject(database, taken(step.value), read.text, tell);
      await tell('checking what the file holds', step.value.done, step.value.total);
    }
  });
}

/** A copy at its newest revision under another name, as a job. Its history begins anew. */
export function storedCopy(
  database: DataSource,
  job: string,
  id: string,
  name: string,
): Promise<{ project: string | null }> {
  const tell = tellerOf(database, job);
  return unlessStopped(async () => {
    await tell('reading the project', 0, 1);
    const project = await database.transaction('REPEATABLE READ', (manager) => loadProject(manager, id));
    const entity = { id: PROJECT_ID, name: project.info.name };
    const changes = [set('project', entity, ['name'], name.trim())];
    const renamed = apply(project, { id: 'copy', label: '', changes });
    const copy = renamed.ok ? project.with(renamed.entities) : project;
    return storeProject(database, copy, writeProject(copy), tell);
  });
}

export async function projectFromDemo(database: DataSource, demo: string): Promise<{ project: string }> {
  const { demoFolder } = workerData as { demoFolder: string };
  const text = await readFile(join(demoFolder, `${demo}.dialoga.json`), 'utf8');
  return { project: await storeProject(database, taken(readProject(text)), text) };
}

function taken(read: ReadProject): Project {
  if (!read.ok) throw unprocessable('The file cannot be taken as a project; nothing was stored.', read.problems);
  return read.project;
}
