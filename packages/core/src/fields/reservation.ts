import { set } from '../change/make.js';
import type { Area, Reservation } from '../model/area.js';
import { orderAfter } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { spanAddresses } from '../place/format-address.js';
import { formatBits, lengthBits, parseLength } from '../place/length.js';
import { memoryOf } from '../place/memory.js';
import { parseAddress } from '../place/parse-address.js';
import { locate, spansOf } from '../place/resolve.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';
import { entryRows, type Entry } from './field.js';
import { ofEntry } from './simple-fields.js';

type ReservationRow = Entry<'area', Reservation>;
const LIST = ['reservations'];
const { text, put, yes } = ofEntry<'area', Reservation>('area', LIST);

/** Parts of areas that something else takes. */
export const RESERVATION = entryRows<'area', Reservation>(
  'area',
  LIST,
  'reserved range',
)({
  area: { title: 'Area', width: [90, 1], path: null, muted: true, text: ({ entity }) => entity.name },
  from: {
    title: 'From',
    width: 80,
    mono: true,
    path: ['start'],
    text: ({ entity, entry }, project) => {
      const memory = memoryOf(project, entity.id);
      return memory ? spanAddresses(memory, { start: entry.start, end: entry.start + entry.length }).first : '';
    },
    edit: (row, typed, { project }) => {
      const start = startOf(project, row.entity, typed);
      return typeof start === 'number' ? put(row, 'start', start) : start;
    },
    examples: ['w1200'],
    help: 'The address that it begins at.',
  },
  length: {
    title: 'Length',
    width: 80,
    right: true,
    mono: true,
    text: ({ entity, entry }) => formatBits(entry.length, entity.wordBits),
    edit: (row, typed) => {
      const length = parseLength(typed, row.entity.wordBits);
      return length.ok ? put(row, 'length', lengthBits(length.value)) : refused(length);
    },
    examples: ['16 words', '4 bytes'],
    help: 'How long it is; a number alone counts words of the area.',
  },
  owner: {
    title: 'Taken by',
    width: [110, 1],
    ...text('owner'),
    examples: ['serial module'],
    help: 'What takes the range.',
  },
  reason: {
    title: 'Reason',
    width: [120, 1.4],
    ...text('reason'),
    examples: ['its block of states'],
    help: 'Why nothing else may lie there.',
  },
  puts: {
    title: 'It writes there',
    width: 104,
    muted: ({ entry }) => !entry.puts,
    ...yes('puts'),
    edit: (row, typed, editing) => (typed === '' || typed.toLowerCase().startsWith('n') ? put(row, 'puts', undefined) : yes('puts').edit(row, typed, editing)),
    examples: ['yes', 'no'],
    help: 'Whether the owner puts data there: exchanges may then send it on, but put nothing there.',
  },
  mayStart: {
    title: 'May start at',
    width: [120, 0.8],
    mono: true,
    path: ['firstStart'],
    text: ({ entity, entry }, project) => mayStartText(project, entity, entry),
    shown: ({ entry }) => (typeof entry.firstStart === 'number' ? undefined : 'anywhere'),
    edit: (row, typed, { project }) => editMayStart(project, row, typed),
    examples: ['w1200', 'w1200 to w1680 every 16 words'],
    help: 'The first and last address at which it may start, and the step between; empty: anywhere.',
  },
});

/** The changes that reserve a new range of an area: its first word, until somebody says more. */
export function addReservation(area: Area, key: string): FieldEdit {
  const order = orderAfter(Object.values(area.reservations));
  const fresh: Reservation = { order, start: 0, length: area.wordBits, owner: '' };
  return changed(set('area', area, ['reservations', key], fresh));
}

/** `w1200 to w1680 every 16 words`: where a reserved range may start; empty: anywhere. */
function mayStartText(reader: Reader, area: Area, { firstStart, lastStart, startStep }: Reservation): string {
  const memory = memoryOf(reader, area.id);
  if (typeof firstStart !== 'number' || !memory) return '';
  const at = (start: number) => spanAddresses(memory, { start, end: start + area.wordBits }).first;
  const to = typeof lastStart === 'number' ? ` to ${at(lastStart)}` : '';
  const every = typeof startStep === 'number' ? ` every ${formatBits(startStep, area.wordBits)}` : '';
  return `${at(firstStart)}${to}${every}`;
}

const MAY_START = /^(.+?)(?:\s+to\s+(.+?))?(?:\s+every\s+(.+))?$/i;

function editMayStart(reader: Reader, { entity: area, key, entry }: ReservationRow, text: string): FieldEdit {
  const store = (next: Partial<Reservation>) => changed(set('area', area, ['reservations', key], { ...entry, ...next }));
  if (text === '') return store({ firstStart: null, lastStart: null, startStep: null });
  const [, first = '', last, every] = MAY_START.exec(text) ?? [];
  const firstStart = startOf(reader, area, first);
  if (typeof firstStart !== 'number') return firstStart;
  const lastStart = last === undefined ? null : startOf(reader, area, last);
  if (lastStart !== null && typeof lastStart !== 'number') return lastStart;
  if (lastStart !== null && lastStart < firstStart) {
    return refused({ found: `${last} lies before ${first}`, expected: 'the first start stands first' });
  }
  if (every === undefined) return store({ firstStart, lastStart, startStep: null });
  const step = parseLength(every, area.wordBits);
  return step.ok ? store({ firstStart, lastStart, startStep: lengthBits(step.value) }) : refused(step);
}

/** The bit of the area at which the word of this address begins, or why it is none. */
function startOf(reader: Reader, area: Area, text: string): number | FieldEdit {
  const memory = memoryOf(reader, area.id);
  const place = memory ? parseAddress(text, [memory]) : null;
  const located = place?.ok && memory ? locate(memory, place.value) : null;
  if (place && !place.ok) return refused(place);
  if (!located) return refused({ found: `“${text}” is not there`, expected: 'type an address of this area' });
  return spansOf(located.row, located.linear, area.wordBits)[0]!.start;
}
