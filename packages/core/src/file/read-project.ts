import { inspectEntity } from '../model/inspect.js';
import { KINDS, kindWord, PROJECT_ID, type Entity, type Kind } from '../model/kinds.js';
import { quoted, type Problem } from '../model/problem.js';
import { Project } from '../model/project.js';
import { referencesOf } from '../model/references.js';
import { DEEPEST, isTooDeep } from './depth.js';
import { FILE_FORMAT, FILE_VERSION, SECTION_OF } from './canonical.js';

export type ReadProject = { ok: true; project: Project } | { ok: false; problems: Problem[] };

const MOST_PROBLEMS = 100;
const problem = (where: string, found: string, expected: string): Problem => ({ where, found, expected });

/** Entities inspected so far, of all there are. */
export interface Inspected {
  done: number;
  total: number;
}

/** Entities between two stops of `readingProject`. */
const ENTITIES_A_STEP = 250;

/** Reads and inspects a whole project file: a project, or everything that is wrong with it, each with its place. */
export function readProject(text: string): ReadProject {
  return toItsEnd(readingProject(text));
}

/** The same in steps, for whoever has to answer others meanwhile or may want to stop. */
export function* readingProject(text: string): Generator<Inspected, ReadProject> {
  let tree: unknown;
  try {
    tree = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return { ok: false, problems: [malformed(text, error)] };
  }
  return yield* readingTree(tree);
}

/** The same for a file that is parsed already. */
export function readTree(tree: unknown): ReadProject {
  return toItsEnd(readingTree(tree));
}

function toItsEnd<T>(steps: Generator<unknown, T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

function* readingTree(tree: unknown): Generator<Inspected, ReadProject> {
  if (isTooDeep(tree)) {
    const expected = `nothing in a project file nests deeper than ${DEEPEST} levels`;
    return { ok: false, problems: [problem(deepPlace(tree), 'lists or objects in one another without end', expected)] };
  }
  if (typeof tree !== 'object' || tree === null || Array.isArray(tree)) {
    return { ok: false, problems: [problem('file', quoted(tree), 'a project file is one JSON object')] };
  }
  const file = tree as Record<string, unknown>;
  const head = headProblems(file);
  if (head.length > 0) return { ok: false, problems: head };
  const problems: Problem[] = [];
  const sections = new Map(KINDS.map((kind) => [SECTION_OF[kind], kind]));
  for (const key of Object.keys(file)) {
    if (key !== 'format' && key !== 'version' && !sections.has(key)) {
      problems.push(problem('file', quoted(key), `is no section; sections are ${[...sections.keys()].join(', ')}`));
    }
  }
  const entities: Partial<Record<Kind, Entity[]>> = {};
  const kindOf = new Map<string, Kind>();
  const total = [...sections.keys()].reduce((sum, s) => sum + (Array.isArray(file[s]) ? file[s].length : 0), 0);
  let done = 0;
  for (const [section, kind] of sections) {
    const list = section in file ? file[section] : [];
    if (!Array.isArray(list)) {
      problems.push(problem(section, quoted(list), 'must be a list'));
      continue;
    }
    for (const [i, entity] of list.entries()) {
      if (done++ % ENTITIES_A_STEP === 0) yield { done, total };
      const found = inspectEntity(kind, entity);
      if (problems.length < MOST_PROBLEMS) {
        problems.push(...found.map((p) => (p.id === undefined ? { ...p, where: `${section}[${i}]` } : p)));
      }
      const id = (entity as { id?: unknown } | null)?.id;
      if (typeof id !== 'string') continue;
      const known = kindOf.get(id);
      if (known) problems.push(problem(`${section}[${i}].id`, quoted(id), `is taken by a ${kindWord(known)}`));
      kindOf.set(id, kind);
    }
    entities[kind] = list as Entity[];
  }
  if (problems.length === 0) problems.push(...dangling(entities, kindOf));
  if (problems.length > 0) return { ok: false, problems: problems.slice(0, MOST_PROBLEMS) };
  return { ok: true, project: Project.of(entities) };
}

function headProblems(file: Record<string, unknown>): Problem[] {
  if (file.format !== FILE_FORMAT) return [problem('format', quoted(file.format), `must be "${FILE_FORMAT}"`)];
  const { version } = file;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return [problem('version', quoted(version), `must be a whole number from 1 to ${FILE_VERSION}`)];
  }
  if (version > FILE_VERSION) {
    const expected = `this Dialoga reads versions up to ${FILE_VERSION}: open it with a newer one`;
    return [problem('version', String(version), expected)];
  }
  const list = file.project;
  if (!Array.isArray(list) || list.length !== 1 || (list[0] as { id?: unknown } | null)?.id !== PROJECT_ID) {
    return [problem('project', quoted(list), `must be a list of one entry with the id "${PROJECT_ID}"`)];
  }
  return [];
}

function dangling(entities: Partial<Record<Kind, Entity[]>>, kindOf: Map<string, Kind>): Problem[] {
  const problems: Problem[] = [];
  for (const kind of KINDS) {
    for (const entity of entities[kind] ?? []) {
      for (const r of referencesOf(kind, entity)) {
        if (kindOf.get(r.id) === r.kind) continue;
        const where = `${kindWord(kind)} ${entity.id}, ${r.path.join('.')}`;
        problems.push(problem(where, quoted(r.id), `must be the id of a ${kindWord(r.kind)} in this file`));
      }
    }
  }
  return problems;
}

/** The section and the entry of it that nests too deep. */
function deepPlace(tree: unknown): string {
  if (Array.isArray(tree)) return 'file';
  for (const [section, list] of Object.entries(tree as object)) {
    if (!isTooDeep(list)) continue;
    const at = Array.isArray(list) ? list.findIndex(isTooDeep) : -1;
    return at < 0 ? section : `${section}[${at}]`;
  }
  return 'file';
}

/** Where in the text the JSON breaks off, as line and column. */
function malformed(text: string, error: unknown): Problem {
  const message = error instanceof Error ? error.message : String(error);
  const at = /position (\d+)/.exec(message);
  const position = at ? Number(at[1]) : text.length;
  const before = text.slice(0, position);
  const line = before.split('\n').length;
  const column = position - before.lastIndexOf('\n');
  const found = position >= text.length ? 'the end of the file' : quoted(text.slice(position, position + 20));
  return problem(
    `line ${line}, column ${column}`,
    found,
    'the file must be JSON; something is missing or too much here',
  );
}
