import { dequal } from 'dequal/lite';
import { memoriesOf } from '../../address/memory.js';
import type { Change } from '../../change/change.js';
import { dropWithDependents, put, set } from '../../change/make.js';
import { boundTo } from '../bound-to.js';
import type { FileFault, ListedTag, TagField, TagList } from '../../exchange-formats/tag-list.js';
import { childrenOf, inOrder, orderAfter } from '../../model/order.js';
import type { Project, Reader } from '../../model/project.js';
import type { TagFormat, TagImport } from '../../model/tag-import.js';
import type { Structure } from '../../model/structure.js';
import type { Tag } from '../../model/tag.js';
import { structuresFrom } from './structures-from.js';
import { readTagField, tagFieldText, type FieldContext } from '../tag-field.js';
import { typeReader } from './type-reader.js';

/** One row of the file against the station's tags. */
export interface PlannedTag {
  line: number;
  name: string;
  what: 'added' | 'changed' | 'unchanged' | 'not taken';
  /** as it will be; null where it is not taken */
  tag: Tag | null;
  known: Tag | null;
  /** `type: INT, was REAL` */
  differs: readonly string[];
  /** what is bound to it, and so is touched */
  bound: readonly string[];
  /** a text that cannot be read and is kept as typed, or why the row is not taken */
  problem: string | null;
}

export interface ImportPlan {
  rows: readonly PlannedTag[];
  /** tags of earlier imports that the file does not have */
  gone: readonly { tag: Tag; bound: readonly string[] }[];
  faults: readonly FileFault[];
  /** structures that the file brings and the project does not have */
  structures: readonly Structure[];
  fields: readonly TagField[];
}

/** The file that a list comes from. */
export interface ImportSource {
  file: string;
  format: TagFormat;
  /** ISO 8601 */
  at: string;
  saved: string | null;
  understood: string;
}

/**
 * What a list of tags would do to a station: matched by name, by the station's own rule of case. A field that the file has
 * no room for stays as it is. Nothing is changed by this; `importChanges` makes the changes of what was chosen.
 */
export function planImport(
  project: Project,
  station: string,
  list: TagList,
  newId: () => string,
  progress: (rows: number) => void = () => undefined,
): ImportPlan {
  const tags = childrenOf(project, 'tag', station);
  const keyOf = keyRule(project, station);
  const byName = new Map(tags.map((tag) => [keyOf(tag.name), tag]));
  const made = structuresFrom(project, list.structures, newId);
  const context: FieldContext = { memories: memoriesOf(project, station), type: typeReader(project, made.created) };
  const faults = [...list.faults, ...made.faults];
  const rows: PlannedTag[] = [];
  const lines = new Map<string, number>();
  let order = orderAfter(tags);
  for (const listed of list.tags) {
    if (rows.length % 5000 === 0) progress(rows.length);
    const name = listed.name.trim();
    const key = keyOf(name);
    const twice = lines.get(key);
    if (name === '' || twice !== undefined) {
      if (name === '' && Object.values(listed.says).every((text) => text === '')) continue;
      const problem = name === '' ? 'it has no name' : `it has the name of row ${twice}`;
      const row = { line: listed.line, name, tag: null, known: null, differs: NONE, bound: NONE, problem };
      rows.push({ ...row, what: 'not taken' });
      continue;
    }
    lines.set(key, listed.line);
    const known = byName.get(key) ?? null;
    const row = known
      ? compared(project, known, listed, name, list, context)
      : added(station, listed, name, list.fields, context, newId(), (order += 10) - 10);
    rows.push(row);
  }
  progress(rows.length);
  const gone = tags
    .filter((tag) => tag.import && !lines.has(keyOf(tag.name)))
    .map((tag) => ({ tag, bound: boundTo(project, tag.id) }));
  return { rows, gone, faults, structures: made.created, fields: list.fields };
}

/** Upper and lower case are the same unless the station's type tells them apart. */
export function keyRule(project: Reader, stationId: string): (name: string) => string {
  const station = project.get('station', stationId);
  const profile = station?.profile ? project.get('profile', station.profile) : undefined;
  return profile?.nameRule.caseMatters ? (name) => name : (name) => name.toLowerCase();
}

function added(
  station: string,
  listed: ListedTag,
  name: string,
  fields: readonly TagField[],
  context: FieldContext,
  id: string,
  order: number,
): PlannedTag {
  const tag: Tag = { id, order, station, name, type: null, place: null };
  let problem: string | null = null;
  for (const field of fields) {
    const text = listed.says[field];
    if (!text) continue;
    const read = readTagField(field, text, context);
    if (read.problem !== null) problem = problem === null ? read.problem : `${problem}; ${read.problem}`;
    if (read.value !== null && read.value !== undefined) setField(tag, field, read.value);
  }
  return { line: listed.line, name, what: 'added', tag, known: null, differs: NONE, bound: NONE, problem };
}

const NONE: readonly string[] = [];

const setField = (tag: Tag, field: TagField, value: unknown): void => {
  (tag as unknown as Record<string, unknown>)[field] = value;
};

function compared(
  project: Project,
  known: Tag,
  listed: ListedTag,
  name: string,
  { fields, directOnly }: TagList,
  context: FieldContext,
): PlannedTag {
  let tag = known;
  let differs: string[] | null = null;
  let problem: string | null = null;
  for (const field of fields) {
    const text = listed.says[field] ?? '';
    const was = tagFieldText(project, known, field);
    if (text === was || text.trim() === was) continue;
    if (directOnly && field === 'place' && text.trim() === '' && !was.startsWith('%')) continue;
    const read = readTagField(field, text, context);
    if (read.problem !== null) problem = problem === null ? read.problem : `${problem}; ${read.problem}`;
    if (!read.taken || dequal(read.value ?? null, known[field] ?? null)) continue;
    (differs ??= []).push(`${FIELD_WORDS[field] ?? field}: ${text.trim() || 'nothing'}, was ${was || 'nothing'}`);
    tag = { ...tag, [field]: read.value };
  }
  if (name !== known.name) {
    (differs ??= []).unshift(`name: ${name}, was ${known.name}`);
    tag = { ...tag, name };
  }
  if (differs === null) {
    return { line: listed.line, name, what: 'unchanged', tag, known, differs: NONE, bound: NONE, problem };
  }
  const bound = boundTo(project, known.id);
  return { line: listed.line, name, what: 'changed', tag, known, differs, bound, problem };
}

const FIELD_WORDS: Partial<Record<TagField, string>> = { place: 'address', open: 'to others' };

/** What of a plan is taken: all rows but these lines; whether what the file no longer has is dropped. */
export interface Chosen {
  without: ReadonlySet<number>;
  drop: boolean;
}

/** The changes of what was chosen, as one set: structures, the import itself, tags added, changed and dropped. */
export function importChanges(
  project: Project,
  station: string,
  plan: ImportPlan,
  source: ImportSource,
  { without, drop }: Chosen,
  importId: string,
): Change[] {
  const rows = plan.rows.filter((row) => row.tag && !without.has(row.line));
  const count = (what: PlannedTag['what']) => rows.filter((row) => row.what === what).length;
  const dropped = drop ? plan.gone : [];
  const entry: TagImport = {
    ...{ id: importId, order: orderAfter(childrenOf(project, 'import', station)), station },
    ...{ file: source.file, format: source.format, at: source.at, saved: source.saved },
    became: {
      added: count('added'),
      changed: count('changed'),
      dropped: dropped.length,
      unchanged: count('unchanged'),
    },
    ...(source.understood ? { understood: source.understood } : {}),
  };
  const changes: Change[] = [...plan.structures.map((s) => put('structure', s)), put('import', entry)];
  for (const row of rows) {
    if (row.what === 'added') changes.push(put('tag', { ...row.tag!, import: importId }));
    else if (row.what === 'changed') changes.push(...fieldChanges(row.known!, row.tag!));
  }
  for (const { tag } of dropped) changes.push(...dropWithDependents(project, 'tag', tag.id));
  return changes;
}

function fieldChanges(known: Tag, tag: Tag): Change[] {
  const before = known as unknown as Record<string, unknown>;
  return Object.entries(tag).flatMap(([field, value]) =>
    dequal(before[field], value) ? [] : [set('tag', known, [field], value)],
  );
}

/** The newest import of a station; its columns are proposed again for a file with as many headings. */
export const lastImport = (project: Project, station: string): TagImport | undefined =>
  inOrder(project, 'import')
    .filter((one) => one.station === station)
    .at(-1);
