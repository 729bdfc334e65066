import { set } from '../change/make.js';
import { newView } from '../create/new-entities.js';
import type { Area } from '../model/area.js';
import { inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { View } from '../model/view.js';
import { ACCESSES, BYTE_ORDERS, NOTATIONS, NUMBERINGS, TABLES, UNITS, type NotationId } from '../model/words.js';
import { memoryOf } from '../place/memory.js';
import { NOTATION } from '../place/notations/catalogue.js';
import { changed, parseWord, refused, type FieldEdit } from '../text/field-edit.js';
import { entryRows, type Entry, type Rows } from './field.js';
import { ofEntry } from './simple-fields.js';

type ViewRow = Entry<'area', View>;
const LIST = ['views'];
const { put, text, chosen, whole } = ofEntry<'area', View>('area', LIST);

/** Those of the profile are shown, too, and are edited there. */
const isOwn = ({ entity, key }: ViewRow): boolean => entity.views[key] !== undefined;
/** Notations that write a table of Modbus where others have a prefix. */
export const writesTable = (notation: NotationId): boolean =>
  notation.startsWith('reference') || notation === 'table and number' || notation === 'protocol address';

const rows = entryRows<'area', View>(
  'area',
  LIST,
  'view',
)({
  area: { title: 'Area', width: [110, 1], path: null, muted: true, text: ({ entity }) => entity.name },
  name: {
    title: 'View',
    width: [90, 1],
    ...text('name'),
    examples: ['bytes'],
    help: 'What this way of writing addresses is called.',
  },
  notation: {
    title: 'Notation',
    width: 140,
    text: ({ entry }) => entry.notation,
    options: NOTATIONS,
    edit: editNotation,
    examples: ['iec bytes', 'reference 5'],
    help: 'How addresses of the area are written.',
  },
  prefix: {
    title: 'Prefix or table',
    width: 126,
    mono: true,
    text: ({ entry }) => (writesTable(entry.notation) ? (entry.table ?? 'holding registers') : (entry.prefix ?? '')),
    options: ({ entry }) => (writesTable(entry.notation) ? TABLES : []),
    edit: (row, typed) => {
      if (!writesTable(row.entry.notation)) return put(row, 'prefix', typed);
      const table = parseWord(typed, TABLES, 'table');
      return table.ok ? put(row, 'table', table.value) : refused(table);
    },
    examples: ['w', 'coils'],
    help: 'Letters before the number, or the Modbus table where the notation has tables.',
  },
  unit: {
    title: 'Bits a number',
    width: 92,
    right: true,
    text: ({ entry }) => String(entry.unit),
    options: UNITS.map(String),
    edit: editUnit,
    examples: ['16', '8 bits'],
    help: 'How many bits one number counts.',
  },
  first: {
    title: 'First',
    width: 52,
    right: true,
    ...whole('first', 0, 1_000_000, 'the first number'),
    examples: ['0', '1'],
    help: 'The number of the first unit, 0 or 1 as a rule.',
  },
  written: {
    title: 'Written',
    width: 92,
    path: ['digits'],
    text: ({ entry }) => formatWritten(entry),
    edit: editWritten,
    examples: ['decimal', '4 digits', 'hexadecimal, 4 digits'],
    help: 'How numbers after a prefix are written.',
  },
  byteOrder: {
    title: 'Bytes in a word',
    width: 112,
    ...chosen('byteOrder', BYTE_ORDERS, 'order of bytes'),
    options: BYTE_ORDERS,
    shown: ({ entry }) => entry.byteOrder ?? 'by layout rule',
    examples: [BYTE_ORDERS[0]],
    help: 'Which byte of a word has the lower address; empty: as the layout rule says.',
  },
  bitNumbering: {
    title: 'Bits numbered',
    width: 116,
    ...chosen('bitNumbering', NUMBERINGS, 'numbering of bits'),
    options: NUMBERINGS,
    shown: ({ entry }) => entry.bitNumbering ?? 'from the bottom',
    examples: [NUMBERINGS[0]],
    help: 'Which bit of a word has number 0.',
  },
  access: {
    title: 'Access',
    width: 92,
    ...chosen('access', ACCESSES, 'access'),
    options: ACCESSES,
    shown: ({ entry }) => entry.access ?? 'read and set',
    examples: ['read'],
    help: 'Whether it can only be read through this view.',
  },
  example: {
    title: 'For example',
    width: 96,
    path: null,
    mono: true,
    text: ({ entry }) => NOTATION[entry.notation].example(entry),
  },
  from: {
    title: 'From',
    width: 78,
    path: null,
    muted: true,
    text: (row) => (isOwn(row) ? 'this area' : 'the profile'),
  },
});

/** Every view of every area: those of the profile to read, those of the area to edit. */
export const VIEW: typeof rows & Rows<ViewRow> = {
  ...rows,
  locked: (row) => (isOwn(row) ? null : { found: 'this view is one of the profile', expected: 'change it there' }),
  all: (project) => inOrder(project, 'area').flatMap((area) => viewsOf(project, area)),
  find: (project, { id, path }) => {
    const key = path.at(-1)!;
    const entity = project.get('area', id);
    const [, entry] = memoryOf(project, id)?.views.find(([view]) => view === key) ?? [];
    return entity && entry ? { entity, key, entry } : undefined;
  },
};

/** The views of an area, those of its profile first. */
export const viewsOf = (project: Project, area: Area): ViewRow[] =>
  (memoryOf(project, area.id)?.views ?? []).map(([key, entry]) => ({ entity: area, key, entry }));

/** Another notation brings its usual unit and first number along. */
function editNotation({ entity, key, entry }: ViewRow, text: string): FieldEdit {
  const notation = parseWord(text, NOTATIONS, 'notation');
  if (!notation.ok) return refused(notation);
  if (notation.value === entry.notation) return changed();
  return changed(set('area', entity, ['views', key], newView(entry.order, notation.value)));
}

function editUnit(row: ViewRow, text: string): FieldEdit {
  const unit = parseWord(text.replace(/\s*bits?$/, ''), UNITS, 'number of bits a number');
  if (unit.ok && row.entry.notation === 'byte offset' && unit.value !== 8) {
    const expected = 'a byte has 8 bits; choose another notation';
    return refused({ found: `“${text}” for a notation in bytes`, expected });
  }
  return unit.ok ? put(row, 'unit', unit.value) : refused(unit);
}

/** `decimal`, `4 digits`, `hexadecimal, 4 digits`: how numbers after a prefix are written. */
function formatWritten({ radix, digits }: View): string {
  const filled = digits === undefined ? '' : `${digits} digits`;
  return radix === 'hexadecimal' ? ['hexadecimal', filled].filter(Boolean).join(', ') : filled || 'decimal';
}

function editWritten(row: ViewRow, text: string): FieldEdit {
  const match = /^(dec\w*|hex\w*)?\W*(?:([1-9])(?:\s*digits?)?)?$/i.exec(text);
  if (!match) {
    const expected = 'write decimal, hexadecimal, 4 digits, or hexadecimal, 4 digits';
    return refused({ found: `“${text}” is not a valid way to write numbers`, expected });
  }
  const digits = match[2] === undefined ? undefined : Number(match[2]);
  return changed(...put(row, 'radix', /^hex/i.test(text) ? 'hexadecimal' : undefined).changes, ...put(row, 'digits', digits).changes);
}
