import { put, set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { childrenOf, inOrder, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Setting } from '../model/setting.js';
import type { Station } from '../model/station.js';
import { SETTING_STATES, SETTING_WAYS } from '../model/words.js';
import { parseAccepted } from '../rack/revisions.js';
import { fieldsToSet, type FieldToSet } from '../setting/fields-to-set.js';
import { changed, parseWord, refused, type FieldEdit } from '../text/field-edit.js';
import type { Editing, Field, Rows } from './field.js';

/** A value that has to be got into a station, and what is known of that. */
export interface SettingRow {
  station: string;
  planned: FieldToSet;
}

/** Where something is said of a row for the first time, its setting is made. Who says so is kept with it. */
function say({ station, planned }: SettingRow, next: (setting: Setting) => void, { project, newId, by = '', at = '' }: Editing): FieldEdit {
  const known: Setting = planned.setting ?? {
    id: newId(),
    order: orderAfter(childrenOf(project, 'setting', station)),
    station,
    field: planned.field,
    state: 'not sent',
    by: '',
    at: '',
  };
  const after: Setting = { ...known };
  next(after);
  if (changes(known, after).length === 0) return changed();
  const said: Setting = { ...after, by, at };
  return changed(...(planned.setting ? changes(planned.setting, said) : [put('setting', said)]));
}

function changes(before: Setting, after: Setting): Change[] {
  const fields = new Set([...Object.keys(before), ...Object.keys(after)] as (keyof Setting)[]);
  return [...fields].flatMap((f) => (before[f] === after[f] ? [] : [set('setting', before, [f], after[f])]));
}

/** What stands there is one value, not all that an end holds. */
const isOne = ({ planned }: SettingRow): boolean => planned.cell.path.length > 0;

const note = (field: 'found' | 'was'): Pick<Field<SettingRow>, 'has' | 'text' | 'edit'> => ({
  has: isOne,
  text: ({ planned }) => planned.setting?.[field] ?? '',
  edit: (row, typed, editing) =>
    say(
      row,
      (setting) => {
        if (typed === '') delete setting[field];
        else setting[field] = typed;
      },
      editing,
    ),
});

const fields = {
  what: { title: 'Setting', width: [230, 1.8], names: true, path: null, text: ({ planned }) => planned.what },
  planned: {
    title: 'Planned',
    width: [120, 1],
    path: null,
    mono: true,
    text: ({ planned }) => planned.text,
  },
  found: {
    title: 'Found',
    width: [110, 1],
    mono: true,
    ...note('found'),
    examples: ['10.48.10.99'],
    help: 'What somebody found there.',
  },
  state: {
    title: 'Sent',
    width: 160,
    muted: ({ planned }) => planned.state === 'not sent',
    text: ({ planned }) => planned.setting?.state ?? 'not sent',
    shown: ({ planned }) => planned.state,
    options: SETTING_STATES,
    edit: (row, typed, editing) => {
      const state = parseWord(typed, SETTING_STATES, 'state');
      if (!state.ok) return refused(state);
      return say(
        row,
        (setting) => {
          setting.state = state.value;
          if (state.value === 'not sent') delete setting.sent;
          else setting.sent = row.planned.value;
        },
        editing,
      );
    },
    examples: [...SETTING_STATES],
    help: 'How far the value that stands there now has come.',
  },
  how: {
    title: 'How it is changed',
    width: 160,
    text: ({ planned }) => planned.setting?.how ?? '',
    options: SETTING_WAYS,
    edit: (row, typed, editing) => {
      const how = typed === '' ? null : parseWord(typed, SETTING_WAYS, 'way to change it');
      if (how && !how.ok) return refused(how);
      return say(
        row,
        (setting) => {
          if (how) setting.how = how.value;
          else delete setting.how;
        },
        editing,
      );
    },
    examples: [SETTING_WAYS[0]],
    help: 'What has to be done so that a new value holds.',
  },
  firmware: {
    title: 'With firmware',
    width: 96,
    mono: true,
    text: ({ planned }) => planned.setting?.firmware ?? '',
    edit: (row, typed, editing) => {
      const range = typed === '' ? null : parseAccepted(typed);
      if (range && !range.ok) return refused(range);
      return say(
        row,
        (setting) => {
          if (range) setting.firmware = typed;
          else delete setting.firmware;
        },
        editing,
      );
    },
    examples: ['2.0', '2.0–2.x'],
    help: 'For which firmware that way holds, as one version or a range.',
  },
  was: {
    title: 'Restore to',
    width: [110, 1],
    mono: true,
    ...note('was'),
    examples: ['192.0.2.10 255.255.255.0'],
    help: 'What stood there before and is to be set back when the work is done.',
  },
  said: {
    title: 'Recorded by',
    width: [130, 1],
    muted: true,
    path: null,
    text: ({ planned }) => (planned.setting?.at ? planned.setting.by || 'not named' : ''),
  },
} satisfies Record<string, Field<SettingRow>>;

export const settingRows = (project: Project, station: Station): SettingRow[] =>
  fieldsToSet(project, station).map((planned) => ({ station: station.id, planned }));

/** Every value that has to be got into a station, whether it was sent since it changed, and whether it is in force. */
export const SETTING: Rows<SettingRow, keyof typeof fields> = {
  one: 'setting',
  kind: 'setting',
  list: [],
  fields,
  all: (project) => inOrder(project, 'station').flatMap((station) => settingRows(project, station)),
  refOf: ({ planned, station }) =>
    planned.setting ? { kind: 'setting', id: planned.setting.id, path: [] } : { kind: 'station', id: station, path: ['to set', planned.field] },
  find: (project, { kind, id, path }) => {
    const station = project.get('station', kind === 'setting' ? (project.get('setting', id)?.station ?? '') : id);
    const planned = station && fieldsToSet(project, station).find((row) => (kind === 'setting' ? row.setting?.id === id : row.field === path[1]));
    return station && planned ? { station: station.id, planned } : undefined;
  },
};
