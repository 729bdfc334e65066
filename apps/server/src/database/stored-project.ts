import { FILE_FORMAT, FILE_VERSION, SECTION_OF } from '@dialoga/core/file';
import { KINDS, ownerOf, Project, referencesOf, type Entity, type EntityChange, type Kind } from '@dialoga/core/model';
import type { EntityManager } from 'typeorm';
import { deleteRows, insertRows } from './bulk.js';
import { chunks, inParts } from './parts.js';
import { baselineTable, entityTable, journalPartTable, journalTable, projectTable, referenceTable } from './tables.js';

const ROWS_A_PAGE = 2000;
const ENTITY_COLUMNS = ['project', 'kind', 'id', 'owner', 'ordinal', 'name', 'body'] as const;
const REFERENCE_COLUMNS = ['project', 'target', 'kind', 'source'] as const;

function entityRow(project: string, kind: Kind, entity: Entity): (string | number | null)[] {
  const fields = entity as unknown as Record<string, unknown>;
  const owner = ownerOf(kind);
  const name = typeof fields.name === 'string' ? fields.name : '';
  const ordinal = typeof fields.order === 'number' ? fields.order : 0;
  return [project, kind, entity.id, owner && String(fields[owner.field]), ordinal, name, JSON.stringify(entity)];
}

/** One row per target, however many fields name it. */
function referenceRows(project: string, kind: Kind, entity: Entity): string[][] {
  const targets = new Set(referencesOf(kind, entity).map((r) => r.id));
  return [...targets].map((target) => [project, target, kind, entity.id]);
}

/** Told how many of how many entities are written; throws where the work is to stop. */
export type Progress = (done: number, total: number) => Promise<void>;

/** Writes a whole project that is not stored yet, with the baseline that its journal starts from. */
export async function insertProject(
  manager: EntityManager,
  id: string,
  project: Project,
  file: string,
  progress?: Progress,
): Promise<void> {
  const total = KINDS.reduce((sum, kind) => sum + project.count(kind), 0);
  let done = 0;
  for (const kind of KINDS) {
    for (const entities of chunks([...project.all(kind)], ROWS_A_PAGE)) {
      await progress?.(done, total);
      const rows = entities.map((e) => entityRow(id, kind, e));
      await insertRows(manager, 'entity', ENTITY_COLUMNS, rows);
      const references = entities.flatMap((e) => referenceRows(id, kind, e));
      await insertRows(manager, 'reference', REFERENCE_COLUMNS, references);
      done += entities.length;
    }
  }
  await progress?.(done, total);
  await writeBaseline(manager, id, 0, file);
}

/** What a journal is replayed from: the project as a file, at a revision. */
export async function writeBaseline(manager: EntityManager, id: string, revision: number, file: string): Promise<void> {
  const parts = inParts(file).map((body, part) => [id, revision, part, body]);
  await insertRows(manager, 'baseline', ['project', 'revision', 'part', 'body'], parts);
}

/** The stored project as the text of a project file: its sections, in no particular order inside them. */
export async function sectionsText(manager: EntityManager, id: string): Promise<string> {
  const sections: string[] = [];
  for (const kind of KINDS) {
    const bodies: string[] = [];
    for await (const page of bodiesOf(manager, id, kind)) bodies.push(...page);
    sections.push(`"${SECTION_OF[kind]}":[${bodies.join(',')}]`);
  }
  return `{"format":"${FILE_FORMAT}","version":${FILE_VERSION},${sections.join(',')}}`;
}

/** Writes what a change set changed. */
export async function writeChanges(
  manager: EntityManager,
  id: string,
  changes: readonly EntityChange[],
): Promise<void> {
  const dropped = changes.flatMap((c) => (c.after ? [] : [c.id]));
  const put = changes.flatMap((c) => (c.after ? [entityRow(id, c.kind, c.after)] : []));
  await deleteRows(manager, 'entity', id, 'id', dropped);
  await insertRows(manager, 'entity', ENTITY_COLUMNS, put, 'replace');
  const moved: string[] = [];
  const references: string[][] = [];
  for (const { kind, before, after } of changes) {
    const [old, now] = [before, after].map((entity) => (entity ? referenceRows(id, kind, entity) : []));
    if (JSON.stringify(old) === JSON.stringify(now)) continue;
    if (before) moved.push(before.id);
    references.push(...now!);
  }
  await deleteRows(manager, 'reference', id, 'source', moved);
  await insertRows(manager, 'reference', REFERENCE_COLUMNS, references);
}

/** The bodies of one kind, page by page in order of id, so that no more than a page is in memory. */
export async function* bodiesOf(manager: EntityManager, id: string, kind: Kind): AsyncGenerator<string[]> {
  for (let after = ''; ;) {
    // As bare rows: made into objects by `find`, a hundred thousand take 650 MB.
    const rows = await manager
      .createQueryBuilder(entityTable, 'e')
      .select('e.id', 'id')
      .addSelect('e.body', 'body')
      .where('e.project = :id AND e.kind = :kind AND e.id > :after', { id, kind, after })
      .orderBy('e.id')
      .limit(ROWS_A_PAGE)
      .getRawMany<{ id: string; body: string }>();
    if (rows.length === 0) return;
    yield rows.map((r) => r.body);
    after = rows.at(-1)!.id;
  }
}

export async function loadProject(manager: EntityManager, id: string): Promise<Project> {
  const entities: Partial<Record<Kind, Entity[]>> = {};
  for (const kind of KINDS) {
    const list: Entity[] = [];
    for await (const page of bodiesOf(manager, id, kind))
      for (const body of page) list.push(JSON.parse(body) as Entity);
    entities[kind] = list;
  }
  return Project.of(entities);
}

/** Takes every row of a project out. */
export async function removeProject(manager: EntityManager, id: string): Promise<void> {
  for (const table of [entityTable, referenceTable, journalTable, journalPartTable, baselineTable]) {
    await manager.delete<{ project: string }>(table, { project: id });
  }
  await manager.delete(projectTable, { id });
}
