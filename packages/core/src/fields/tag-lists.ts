import { set } from '../change/make.js';
import { inOrder, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Station, TagGroup } from '../model/station.js';
import type { TagImport } from '../model/tag-import.js';
import { placeText } from '../place/place-text.js';
import { typeText } from '../structure/type-text.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';
import { entityRows, entryRows } from './field.js';
import { ofEntry } from './simple-fields.js';

const groups = ofEntry<'station', TagGroup>('station', ['groups']);

/** The groups of a tag server: the first part of an item text, each standing for one station. */
export const GROUP = entryRows<'station', TagGroup>(
  'station',
  ['groups'],
  'group',
)({
  name: {
    title: 'Group',
    width: [140, 1],
    names: true,
    ...groups.text('name'),
    examples: ['PLANT'],
    help: 'The first part of an item text.',
  },
  station: {
    title: 'Stands for',
    width: [160, 2],
    names: true,
    ...groups.station('station'),
    options: ({ entity }, project) => inOrder(project, 'station').flatMap(({ id, name }) => (id === entity.id ? [] : name)),
    examples: [],
    help: 'The station that the group stands for.',
  },
});

/** The change that makes a group. */
export function addGroup(station: Station, key: string, name: string): FieldEdit {
  const group: TagGroup = { order: orderAfter(Object.values(station.groups ?? {})), name, station: null };
  return changed(station.groups ? set('station', station, ['groups', key], group) : set('station', station, ['groups'], { [key]: group }));
}

/** The series of tags of a station; changing one shows first what it would do. */
export const SERIES = entityRows('series', 'series', {
  open: { title: 'Change', width: 70, quiet: true, path: null, text: () => 'Change' },
  sample: { title: 'First', width: [160, 1], names: true, text: ({ sample }) => sample },
  count: { title: 'Points', width: 70, right: true, text: ({ count }) => String(count) },
  type: {
    title: 'Type',
    width: 120,
    text: ({ type }, project) => (!type ? '' : 'typed' in type ? type : typeText(project, type)),
  },
  place: {
    title: 'First address',
    width: 120,
    mono: true,
    text: ({ place }, project) => (!place ? '' : 'typed' in place ? place : placeText(project, place)),
  },
  has: { title: 'Tags', width: 70, right: true, path: null, text: hasTags },
});

function hasTags({ id, station }: { id: string; station: string }, project: Project): string {
  const tags = project.referrers('tag', station);
  return String(tags.filter((tag) => project.get('tag', tag)?.series === id).length);
}

const FORM = /^(\d{4}-\d{2}-\d{2})(?:[ T](\d{2}:\d{2}))?$/;
const when = (iso: string | null | undefined) => (iso ? iso.slice(0, 16).replace('T', ' ') : '');

/** What was brought in; when its source was changed since can be noted. */
export const IMPORT = entityRows('import', 'import', {
  file: { title: 'File', width: [160, 1], names: true, text: ({ file }) => file },
  at: { title: 'Imported', width: 130, text: ({ at }) => when(at) },
  became: { title: 'What it did', width: [220, 1.4], text: becameWords },
  saved: { title: 'File saved', width: 130, text: ({ saved }) => when(saved) },
  source: {
    title: 'Source changed',
    width: 130,
    muted: ({ source }) => !source,
    text: ({ source }) => when(source),
    shown: ({ source }) => (source ? undefined : 'not known'),
    edit: editSource,
    examples: ['2026-05-31', '2026-05-31 14:30'],
    help: 'When the source of the list was last changed.',
  },
});

function becameWords({ became }: TagImport): string {
  return `${became.added} added, ${became.changed} changed, ${became.dropped} dropped, ${became.unchanged} unchanged`;
}

function editSource(entry: TagImport, text: string): FieldEdit {
  if (text === '') return changed(set('import', entry, ['source'], null));
  const [, day = '', time = '00:00'] = FORM.exec(text) ?? [];
  const at = Date.parse(`${day}T${time}:00Z`);
  // A day that the month does not have would become one of the next.
  if (Number.isNaN(at) || !new Date(at).toISOString().startsWith(day))
    return refused({ found: `“${text}” is not a valid date`, expected: 'write it as 2026-05-31 or 2026-05-31 14:30' });
  return changed(set('import', entry, ['source'], new Date(at).toISOString()));
}
