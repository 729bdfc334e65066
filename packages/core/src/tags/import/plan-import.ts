import { said, type FileFault, type Cells, type TagField, type TagList } from '../../formats/tag-list.js';
import { childrenOf } from '../../model/order.js';
import type { Project, Reader } from '../../model/project.js';
import type { Structure } from '../../model/structure.js';
import type { Tag } from '../../model/tag.js';
import { boundTo } from '../bound-to.js';
import { KnownTags } from './known-tags.js';
import { compareCell, readCell, rowContext, type RowContext } from './read-row.js';
import { takesAnyText } from '../../fields/tag-field.js';
import { structuresFrom } from './structures-from.js';

export const BECOMES = ['empty', 'not taken', 'added', 'changed', 'unchanged'] as const;
export type Becomes = (typeof BECOMES)[number];

/** What there is to say of a row beyond what becomes of it. */
export interface RowDetail {
  /** of a changed row: the tag of that name */
  known: string | null;
  /** `type: INT, was REAL` */
  differs: readonly string[];
  /** what is bound to it, and so is touched */
  bound: readonly string[];
  /** a text that cannot be read and is kept as typed, or why the row is not taken */
  problem: string | null;
}

/** What would come of a list. Of a hundred thousand rows only what is worth a word is kept, row by row. */
export interface ImportPlan {
  /** of each row of the list, an index into BECOMES */
  becomes: Uint8Array;
  /** by the index of the row */
  details: ReadonlyMap<number, RowDetail>;
  /** tags of earlier imports that the file does not have */
  gone: readonly { tag: Tag; bound: readonly string[] }[];
  faults: readonly FileFault[];
  /** structures that the file brings and the project does not have */
  structures: readonly Structure[];
}

/** One row of the file against the station's tags. */
export interface PlannedTag extends RowDetail {
  line: number;
  cells: Cells;
  name: string;
  what: Becomes;
}

const NONE: readonly string[] = [];
/** rows between two words of how far it is */
const STEP = 10_000;
const NOTHING: RowDetail = { known: null, differs: NONE, bound: NONE, problem: null };

export const plannedTag = (list: TagList, { becomes, details }: ImportPlan, at: number): PlannedTag => ({
  ...(details.get(at) ?? NOTHING),
  line: list.lines[at]!,
  cells: list.rows[at]!,
  name: said(list, list.rows[at]!, 'name'),
  what: BECOMES[becomes[at]!]!,
});

const EMPTY = BECOMES.indexOf('empty');
const NOT_TAKEN = BECOMES.indexOf('not taken');
const ADDED = BECOMES.indexOf('added');
const CHANGED = BECOMES.indexOf('changed');
const UNCHANGED = BECOMES.indexOf('unchanged');

/**
 * What a list of tags would do to a station: matched by name, by the station's own rule of case. A field that the file has
 * no room for stays as it is. Nothing is changed by this; `importChanges` makes the changes of what was chosen.
 */
export function planImport(
  project: Project,
  station: string,
  list: TagList,
  newId: () => string,
  /** told the rows that are done, of all */
  progress: (done: number, all: number) => void = () => undefined,
): ImportPlan {
  const keyOf = groupedKeys(project, station, list);
  const known = new KnownTags(childrenOf(project, 'tag', station), keyOf);
  const made = structuresFrom(project, list.structures, newId);
  const context = rowContext(project, station, list, made.created);
  const becomes = new Uint8Array(list.rows.length);
  const details = new Map<number, Detail>();
  const fresh = new Set<string>();
  const twice: number[] = [];
  const nameAt = list.columns.name ?? 0;
  const groupAt = list.columns.group;
  list.rows.forEach((cells, i) => {
    if (i % STEP === 0 && list.rows.length > STEP) progress(i, list.rows.length);
    const name = (cells[nameAt] ?? '').trim();
    const group = groupAt === undefined ? '' : (cells[groupAt] ?? '').trim();
    const tag = name === '' ? undefined : known.find(name, group);
    if (name === '') {
      becomes[i] = saysSomething(cells, context) ? NOT_TAKEN : EMPTY;
      if (becomes[i] === NOT_TAKEN) detailOf(details, i).problem = 'it has no name';
    } else if (tag === 'again' || (tag === undefined && fresh.size === fresh.add(keyOf(name, group)).size)) {
      becomes[i] = NOT_TAKEN;
      twice.push(i);
    } else if (tag === undefined) becomes[i] = ADDED;
    else {
      becomes[i] = UNCHANGED;
      const before = details.size;
      if (name !== tag.name) detailOf(details, i).differs.push(`name: ${name}, was ${tag.name}`);
      for (const { field, at } of context.fields) compare(context, field, cells[at], tag, i, details);
      if (details.size > before && changed(project, detailOf(details, i), tag)) becomes[i] = CHANGED;
    }
  });
  for (const { field, at } of context.fields) {
    if (fresh.size > 0 && !takesAnyText(field)) readColumn(context, field, at, becomes, details);
  }
  nameTwice(list, twice, keyOf, details);
  const gone = known.left.filter((tag) => tag.import).map((tag) => ({ tag, bound: boundTo(project, tag.id) }));
  return { becomes, details, gone, faults: [...list.faults, ...made.faults], structures: made.created };
}

interface Detail extends RowDetail {
  known: string | null;
  differs: string[];
  bound: readonly string[];
  problem: string | null;
}

function detailOf(details: Map<number, Detail>, at: number): Detail {
  let detail = details.get(at);
  if (!detail) details.set(at, (detail = { known: null, differs: [], bound: NONE, problem: null }));
  return detail;
}

/** Column by column, not row by row: the same few lines of code a hundred thousand times over are what engines do best. */
function readColumn(
  context: RowContext,
  field: TagField,
  at: number,
  becomes: Uint8Array,
  details: Map<number, Detail>,
): void {
  const { rows } = context.list;
  for (let i = 0; i < rows.length; i++) {
    const read = becomes[i] === ADDED ? readCell(context, field, rows[i]![at]) : null;
    if (read && read.problem !== null) addProblem(details, i, read.problem);
  }
}

/** A tag that is there, on the other hand, is looked at once, with all that its row says. */
function compare(
  context: RowContext,
  field: TagField,
  cell: string | undefined,
  tag: Tag,
  at: number,
  details: Map<number, Detail>,
): void {
  const differs = compareCell(context, field, cell, tag);
  if (!differs) return;
  const { text, was, taken, problem } = differs;
  if (problem !== null) addProblem(details, at, problem);
  if (taken) {
    const words = `${FIELD_WORDS[field] ?? field}: ${text || 'nothing'}, was ${was || 'nothing'}`;
    detailOf(details, at).differs.push(words);
  }
}

/** Whether its row says a tag otherwise; which it is, and what is bound to it, is then kept. */
function changed(project: Project, detail: Detail, tag: Tag): boolean {
  if (detail.differs.length === 0) return false;
  detail.known = tag.id;
  detail.bound = boundTo(project, tag.id);
  return true;
}

function addProblem(details: Map<number, Detail>, at: number, problem: string): void {
  const detail = detailOf(details, at);
  detail.problem = detail.problem === null ? problem : `${detail.problem}; ${problem}`;
}

/** Upper and lower case are the same unless the station's type tells them apart. */
export function keyRule(project: Reader, stationId: string): (name: string) => string {
  const station = project.get('station', stationId);
  const profile = station?.profile ? project.get('profile', station.profile) : undefined;
  return profile?.nameRule.caseMatters ? (name) => name : (name) => name.toLowerCase();
}

/** What tells one row from another: its name, and in a file that has groups its group, too. */
function groupedKeys(project: Reader, station: string, list: TagList): (name: string, group: string) => string {
  const keyOf = keyRule(project, station);
  if (list.columns.group === undefined) return keyOf;
  return (name, group) => (group === '' ? keyOf(name) : `${group.toLowerCase()}\n${keyOf(name)}`);
}

const FIELD_WORDS: Partial<Record<TagField, string>> = {
  place: 'address',
  asks: 'refers to',
  open: 'access from others',
};

const saysSomething = (cells: Cells, { fields }: RowContext) => fields.some(({ at }) => cells[at]?.trim());

/** Says of each row that has the name of an earlier one, of which. */
function nameTwice(
  list: TagList,
  twice: readonly number[],
  keyOf: (name: string, group: string) => string,
  details: Map<number, Detail>,
): void {
  if (twice.length === 0) return;
  const first = new Map<string, number>();
  list.rows.forEach((cells, i) => {
    const key = keyOf(said(list, cells, 'name'), said(list, cells, 'group'));
    if (!first.has(key)) first.set(key, list.lines[i]!);
  });
  for (const at of twice) {
    const cells = list.rows[at]!;
    const line = first.get(keyOf(said(list, cells, 'name'), said(list, cells, 'group')));
    detailOf(details, at).problem = `it has the name of row ${line}`;
  }
}
