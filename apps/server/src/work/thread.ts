import 'reflect-metadata';
import type { MessagePort } from 'node:worker_threads';
import { commitLargeBody } from '../changes/commit.js';
import { journalText } from '../database/journal-text.js';
import { canonicalFile } from '../projects/export-file.js';
import { projectFromDemo, storedCopy, storedImport } from '../projects/store-project.js';
import { streamSections } from '../projects/stream-sections.js';
import { tallyOfStored } from '../projects/tally.js';
import { pastSections } from '../revisions/past-revision.js';
import { compressed } from './compressed.js';
import { outcomeOf } from './outcome.js';
import { threadDatabase } from './thread-database.js';

/** Sends the sections of a project, compressed, through a port as they are read. */
export const openProject = (given: { project: string; port: MessagePort }) =>
  outcomeOf(async () => streamSections(await threadDatabase(), given.project, given.port));

/** A project file, compressed, with the project's name. */
export const exportFile = (given: { project: string }) =>
  outcomeOf(async () => {
    const { name, text } = await canonicalFile(await threadDatabase(), given.project);
    return { name, file: await compressed(text) };
  });

/** Change sets after a revision as the text of a list, compressed. */
export const readJournal = (given: { project: string; since: number }) =>
  outcomeOf(async () => {
    const { manager } = await threadDatabase();
    return { list: await compressed((await journalText(manager, given.project, given.since, 'much'))!) };
  });

/** Commits a change set that is given as the body of a request. */
export const commitLarge = (given: { project: string; body: Uint8Array }) =>
  outcomeOf(async () => commitLargeBody(await threadDatabase(), given.project, given.body));

/** The sections of a project as it was at a revision, compressed. */
export const pastRevision = (given: { project: string; revision: number }) =>
  outcomeOf(async () => ({
    sections: await compressed(await pastSections(await threadDatabase(), given.project, given.revision)),
  }));

/** Counts a project's findings, and stores the counts. */
export const countFindings = (given: { project: string }) =>
  outcomeOf(async () => tallyOfStored(await threadDatabase(), given.project));

export const storeDemo = (given: { demo: string }) =>
  outcomeOf(async () => projectFromDemo(await threadDatabase(), given.demo));

export const importFile = (given: { job: string; file: Uint8Array }) =>
  outcomeOf(async () => storedImport(await threadDatabase(), given.job, given.file));

export const copyProject = (given: { job: string; project: string; name: string }) =>
  outcomeOf(async () => storedCopy(await threadDatabase(), given.job, given.project, given.name));
