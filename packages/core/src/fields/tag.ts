import { put, set } from '../change/make.js';
import type { TagField } from '../formats/tag-list.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Tag } from '../model/tag.js';
import { ACCESSES, OPENNESS, PANEL_ELEMENTS, POLARITIES, SIGNAL_KINDS } from '../model/words.js';
import { changed, type FieldEdit } from '../text/field-edit.js';
import { entityRows, type Field } from './field.js';
import { readTagContext, readTagField, tagFieldText } from './tag-field.js';

type Said = Omit<Field<Tag>, 'text' | 'edit'>;

/** What cannot be read stays as typed. */
const of = (field: TagField, said: Said): Field<Tag> => ({
  ...said,
  text: (tag, project) => {
    const value = field === 'type' || field === 'place' || field === 'scaling' ? tag[field] : null;
    return value && 'typed' in value ? value : tagFieldText(project, tag, field);
  },
  edit: (tag, typed, { project }) => {
    const { value, problem, taken } = readTagField(field, typed, readTagContext(project, tag.station));
    return taken ? { changes: [set('tag', tag, [field], value)], problem } : { changes: [], problem };
  },
});

const YES_NO = ['yes', 'no'];
const names = true;
const mono = true;

/** Named variables of a station. */
export const TAG = entityRows('tag', 'tag', {
  name: {
    title: 'Tag',
    width: [170, 1.4],
    names,
    counts: true,
    text: ({ name }) => name,
    edit: (tag, name) => changed(set('tag', tag, ['name'], name)),
    examples: ['Pump_Speed'],
    help: 'The name by which programs know it.',
  },
  group: of('group', {
    title: 'Group',
    width: 84,
    names,
    examples: ['PLANT'],
    help: 'In a list of several partners: the group in which its name stands for one thing.',
  }),
  type: of('type', {
    title: 'Type',
    width: 120,
    mono,
    examples: ['INT', 'ARRAY [0..3] OF REAL'],
    help: 'An elementary type of IEC 61131-3, an array of one, or a structure of the project.',
  }),
  place: of('place', {
    title: 'Address',
    width: 110,
    mono,
    examples: ['%MW700'],
    help: 'Where it lies, as its station writes addresses; empty: a memory of its own.',
  }),
  asks: of('asks', {
    title: 'Refers to',
    width: [120, 0.9],
    names,
    mono,
    examples: ['PLANT.Speed'],
    help: 'What it asks another station for: an address there, a name or an item text.',
  }),
  access: of('access', {
    title: 'Access',
    width: 104,
    options: ACCESSES,
    examples: ['read', 'rw'],
    help: 'Whether it is only read, or read and set.',
  }),
  open: of('open', {
    title: 'Access from others',
    width: 116,
    options: OPENNESS,
    examples: [OPENNESS[0]],
    help: 'Whether others may use it by name; empty: not known.',
  }),
  program: of('program', {
    title: 'Program',
    width: 72,
    examples: ['Main'],
    help: 'The program that it is local to, and then hidden from outside.',
  }),
  unit: of('unit', { title: 'Unit', width: 80, examples: ['bar', '°C'], help: 'Of its value.' }),
  scaling: of('scaling', {
    title: 'Scaling',
    width: 150,
    mono,
    examples: ['0..27648 = 0..100'],
    help: 'Raw numbers and what they stand for, at both ends of the range.',
  }),
  polarity: of('polarity', {
    title: 'Polarity',
    width: 124,
    options: POLARITIES,
    examples: [POLARITIES[0], 'nc'],
    help: 'What its bit is when the signal is there.',
  }),
  signal: of('signal', {
    title: 'Signal',
    width: 106,
    options: SIGNAL_KINDS,
    examples: [SIGNAL_KINDS[0]],
    help: 'Whether it lasts or is a short pulse.',
  }),
  element: of('element', {
    title: 'Element',
    width: 124,
    options: PANEL_ELEMENTS,
    examples: [PANEL_ELEMENTS[0]],
    help: 'Of a panel: what it is shown with, or set by.',
  }),
  alias: of('alias', {
    title: 'Alias',
    width: [120, 1],
    names,
    examples: ['Speed of the pump'],
    help: 'What people call it, where its name is for machines.',
  }),
  lastWord: of('lastWord', {
    title: 'Priority on conflict',
    width: 136,
    names,
    examples: ['the panel'],
    help: 'Where its program writes it and others set it: whose value stands.',
  }),
  required: of('required', {
    title: 'Required',
    width: 76,
    options: YES_NO,
    examples: ['yes', 'no'],
    help: 'Whether it must be there where it is bound by name.',
  }),
  internal: of('internal', {
    title: 'Internal',
    width: 76,
    options: YES_NO,
    examples: ['yes', 'no'],
    help: 'Whether it is never meant to be used from outside.',
  }),
  notUsed: {
    title: 'Not used, because',
    width: [140, 1],
    names,
    text: ({ notUsed }) => notUsed?.reason ?? '',
    shown: ({ notUsed }) => (notUsed ? `${notUsed.reason} (${notUsed.by})` : undefined),
    edit: (tag, reason, { by }) => changed(set('tag', tag, ['notUsed'], reason === '' ? null : { reason, by: tag.notUsed?.by || by || 'not named' })),
    examples: ['spare'],
    help: 'Why it takes no part.',
  },
  bound: { title: 'Bound to', width: [150, 1.2], names, path: null, muted: true, text: () => '' },
  from: { title: 'From', width: 140, names, path: null, muted: true, text: originOf },
  comment: of('comment', {
    title: 'Comment',
    width: [120, 1],
    names,
    examples: ['behind the filter'],
    help: 'Anything worth knowing.',
  }),
});

function originOf(tag: Tag, project: Project): string {
  if (tag.series) return `series ${project.get('series', tag.series)?.sample ?? ''}`;
  if (tag.import) return project.get('import', tag.import)?.file ?? '';
  return tag.madeBy ? 'made for a connection' : 'typed';
}

export const newTag = (project: Project, id: string, station: string): Tag => ({
  id,
  order: orderAfter(childrenOf(project, 'tag', station)),
  station,
  name: '',
  type: null,
  place: null,
});

/** The change that makes a tag of a station. */
export const addTag = (project: Project, station: string, id: string, name: string): FieldEdit =>
  changed(put('tag', { ...newTag(project, id, station), name }));
