import type { Change } from '../../change/change.js';
import { dropWithDependents, put, set } from '../../change/make.js';
import type { TagField, TagList } from '../../formats/tag-list.js';
import { childrenOf, inOrder, orderAfter } from '../../model/order.js';
import type { Project } from '../../model/project.js';
import type { TagImport } from '../../model/tag-import.js';
import type { Tag } from '../../model/tag.js';
import { plannedTag, type Becomes, type ImportPlan, type PlannedTag } from './plan-import.js';
import { compareCell, readCell, rowContext, type RowContext } from './read-row.js';

/** The file that a list comes from. */
export interface ImportSource {
  file: string;
  format: string;
  /** ISO 8601 */
  at: string;
  saved: string | null;
  understood: string;
}

/** What of a plan is taken: all rows but these lines; whether what the file no longer has is dropped. */
export interface Chosen {
  without: ReadonlySet<number>;
  drop: boolean;
}

/** The changes of what was chosen, as one set: structures, the import itself, tags added, changed and dropped. */
export function importChanges(
  project: Project,
  station: string,
  list: TagList,
  plan: ImportPlan,
  source: ImportSource,
  { without, drop }: Chosen,
  newId: () => string,
): Change[] {
  const rows = list.rows
    .map((_, i) => plannedTag(list, plan, i))
    .filter(({ what, line }) => what !== 'not taken' && what !== 'empty' && !without.has(line));
  const count = (what: Becomes) => rows.filter((row) => row.what === what).length;
  const dropped = drop ? plan.gone : [];
  const entry: TagImport = {
    id: newId(),
    order: orderAfter(childrenOf(project, 'import', station)),
    station,
    file: source.file,
    format: source.format,
    at: source.at,
    saved: source.saved,
    became: {
      added: count('added'),
      changed: count('changed'),
      dropped: dropped.length,
      unchanged: count('unchanged'),
    },
    ...(source.understood ? { understood: source.understood } : {}),
  };
  const changes: Change[] = [...plan.structures.map((s) => put('structure', s)), put('import', entry)];
  const context = rowContext(project, station, list, plan.structures);
  let order = orderAfter(childrenOf(project, 'tag', station));
  for (const planned of rows) {
    const known = planned.known === null ? undefined : project.get('tag', planned.known);
    if (planned.what === 'added') {
      const fresh: Tag = { id: newId(), order, station, name: planned.name, type: null, place: null };
      const tag = tagOfRow(context, planned, fresh);
      changes.push(put('tag', { ...tag, import: entry.id }));
      order += 10;
    } else if (known && planned.what === 'changed') changes.push(...fieldChanges(context, planned, known));
  }
  for (const { tag } of dropped) changes.push(...dropWithDependents(project, 'tag', tag.id));
  return changes;
}

/** A tag with what its row says of it. */
export function tagOfRow(context: RowContext, { cells, name }: Pick<PlannedTag, 'cells' | 'name'>, tag: Tag): Tag {
  const said: Partial<Record<TagField, unknown>> = {};
  for (const { field, at } of context.fields) {
    const value = readCell(context, field, cells[at])?.value;
    if (value !== null && value !== undefined) said[field] = value;
  }
  return Object.assign({ ...tag, name }, said);
}

function fieldChanges(context: RowContext, { cells, name }: PlannedTag, known: Tag): Change[] {
  const changes = name === known.name ? [] : [set('tag', known, ['name'], name)];
  for (const { field, at } of context.fields) {
    const differs = compareCell(context, field, cells[at], known);
    if (differs?.taken) changes.push(set('tag', known, [field], differs.value));
  }
  return changes;
}

/** The newest import of a station; its columns are proposed again for a file with as many headings. */
export const lastImport = (project: Project, station: string): TagImport | undefined =>
  inOrder(project, 'import')
    .filter((one) => one.station === station)
    .at(-1);
