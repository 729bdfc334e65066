import type { Kind } from '@dialoga/core/model';
import { EntitySchema, type EntitySchemaColumnOptions } from 'typeorm';

/** The database's clock: several processes share it. */
export const NOW = () => 'UTC_TIMESTAMP(3)';

/** One entity: the body is the entity as JSON text, validated when it entered. */
export interface EntityRow {
  project: string;
  kind: Kind;
  id: string;
  owner: string | null;
  /** its order key */
  ordinal: number;
  name: string;
  body: string;
}

export interface ProjectRow {
  id: string;
  name: string;
  revision: number;
  changed: Date;
  /** counts of findings as JSON, and the revision that they were counted at */
  tally: string | null;
  tallyRevision: number | null;
}

export interface ReferenceRow {
  project: string;
  target: string;
  kind: string;
  source: string;
}

export interface JournalRow {
  project: string;
  revision: number;
  changeSet: string;
  /** who made it, as he names himself */
  author: string | null;
  made: Date;
  label: string;
  parts: number;
}

export const LONGEST_AUTHOR = 100;

/** Long texts are kept in parts, so that no statement outgrows the database's packet. */
export interface PartRow {
  project: string;
  revision: number;
  part: number;
  body: string;
}

const key = (length = 64): EntitySchemaColumnOptions => ({ type: 'varchar', length, primary: true });
const number = (primary = false): EntitySchemaColumnOptions => ({ type: 'int', primary });

/**
 * Every entity of every project. The bodies of a kind lie together, since a project is read kind by kind; an id is one
 * thing's in the whole project.
 */
export const entityTable = new EntitySchema<EntityRow>({
  name: 'entity',
  tableName: 'entity',
  columns: {
    project: key(),
    kind: key(20),
    id: key(),
    owner: { type: 'varchar', length: 64, nullable: true },
    ordinal: { type: 'bigint' },
    name: { type: 'varchar', length: 500 },
    body: { type: 'longtext' },
  },
  indices: [{ name: 'entity_id', columns: ['project', 'id'], unique: true }],
});

export const projectTable = new EntitySchema<ProjectRow>({
  name: 'project',
  tableName: 'project',
  columns: {
    id: key(),
    name: { type: 'varchar', length: 500 },
    revision: number(),
    changed: { type: 'datetime', precision: 3 },
    tally: { type: 'varchar', length: 200, nullable: true },
    tallyRevision: { name: 'tally_revision', type: 'int', nullable: true },
  },
});

export const referenceTable = new EntitySchema<ReferenceRow>({
  name: 'reference',
  tableName: 'reference',
  columns: { project: key(), target: key(), kind: key(20), source: key() },
  indices: [{ name: 'reference_source', columns: ['project', 'source'] }],
});

export const journalTable = new EntitySchema<JournalRow>({
  name: 'journal',
  tableName: 'journal',
  columns: {
    project: key(),
    revision: number(true),
    changeSet: { name: 'change_set', type: 'varchar', length: 64 },
    author: { type: 'varchar', length: LONGEST_AUTHOR, nullable: true },
    made: { type: 'datetime', precision: 3 },
    label: { type: 'varchar', length: 500 },
    parts: number(),
  },
  indices: [{ name: 'journal_change_set', columns: ['project', 'changeSet'], unique: true }],
});

const parts = (name: string) =>
  new EntitySchema<PartRow>({
    name,
    tableName: name,
    columns: { project: key(), revision: number(true), part: number(true), body: { type: 'longtext' } },
  });
export const journalPartTable = parts('journal_part');
export const baselineTable = parts('baseline');

export type JobState = 'running' | 'done' | 'failed' | 'stopped';

/** Long work: how far it is, and what became of it. */
export interface JobRow {
  id: string;
  kind: string;
  state: JobState;
  /** what it is doing, in words */
  step: string;
  done: number;
  total: number;
  /** the project that it made */
  project: string | null;
  message: string | null;
  /** as JSON */
  problems: string | null;
  /** 1: somebody wants it to stop */
  stop: number;
  /** when the process that runs it last said so */
  beat: Date;
}

export const jobTable = new EntitySchema<JobRow>({
  name: 'job',
  tableName: 'job',
  columns: {
    id: key(),
    kind: { type: 'varchar', length: 20 },
    state: { type: 'varchar', length: 12 },
    step: { type: 'varchar', length: 200 },
    done: number(),
    total: number(),
    project: { type: 'varchar', length: 64, nullable: true },
    message: { type: 'text', nullable: true },
    problems: { type: 'longtext', nullable: true },
    stop: number(),
    beat: { type: 'datetime', precision: 3 },
  },
});

export const ALL_TABLES = [
  projectTable,
  entityTable,
  referenceTable,
  journalTable,
  journalPartTable,
  baselineTable,
  jobTable,
];
