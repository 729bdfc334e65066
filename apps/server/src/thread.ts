import 'reflect-metadata';
import { commitLargeBody } from './changes/commit.js';
import { journalText } from './database/journal-text.js';
import { canonicalFile } from './projects/export-file.js';
import { projectFromDemo, storedCopy, storedImport } from './projects/store-project.js';
import { streamSections } from './projects/stream-sections.js';
import { tallyOfStored } from './projects/tally.js';
import { pastSections } from './revisions/past-revision.js';
import { compressed } from './work/compressed.js';
import { outcomeOf } from './work/outcome.js';
import type { Tasks } from './work/tasks.js';
import { threadDatabase } from './work/thread-database.js';

/** What begins in a thread beside the one that answers. */
export const openProject: Tasks['openProject'] = (given) =>
  outcomeOf(async () => streamSections(await threadDatabase(), given.project, given.port));

export const exportFile: Tasks['exportFile'] = (given) =>
  outcomeOf(async () => {
    const { name, text } = await canonicalFile(await threadDatabase(), given.project);
    return { name, file: await compressed(text) };
  });

export const readJournal: Tasks['readJournal'] = (given) =>
  outcomeOf(async () => {
    const { manager } = await threadDatabase();
    return { list: await compressed((await journalText(manager, given.project, given.since, 'much'))!) };
  });

export const commitLarge: Tasks['commitLarge'] = (given) =>
  outcomeOf(async () => commitLargeBody(await threadDatabase(), given.project, given.body));

export const pastRevision: Tasks['pastRevision'] = (given) =>
  outcomeOf(async () => ({
    sections: await compressed(await pastSections(await threadDatabase(), given.project, given.revision)),
  }));

export const countFindings: Tasks['countFindings'] = (given) =>
  outcomeOf(async () => tallyOfStored(await threadDatabase(), given.project));

export const storeDemo: Tasks['storeDemo'] = (given) =>
  outcomeOf(async () => projectFromDemo(await threadDatabase(), given.demo));

export const importFile: Tasks['importFile'] = (given) =>
  outcomeOf(async () => storedImport(await threadDatabase(), given.job, given.file));

export const copyProject: Tasks['copyProject'] = (given) =>
  outcomeOf(async () => storedCopy(await threadDatabase(), given.job, given.project, given.name));
