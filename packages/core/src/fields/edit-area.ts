import { set } from '../change/make.js';
import type { Area, Reservation } from '../model/area.js';
import { newView } from '../create/new-entities.js';
import { entriesInOrder, orderAfter } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { View } from '../model/view.js';
import {
  ACCESSES,
  AREA_KINDS,
  BYTE_ORDERS,
  NOTATIONS,
  NUMBERINGS,
  OWN_WRITERS,
  TABLES,
  UNITS,
  WORD_BITS,
  type NotationId,
  type OwnWriter,
} from '../model/words.js';
import { parseAddress } from '../place/parse-address.js';
import { memoryOf } from '../place/memory.js';
import { formatBits, lengthBits, parseLength } from '../place/length.js';
import { spanAddresses } from '../place/format-address.js';
import { locate, spansOf } from '../place/resolve.js';
import { changed, parseWhole, parseWord, parseYes, refused, type FieldEdit } from '../text/field-edit.js';

export type AreaColumn = 'name' | 'kind' | 'wordBits' | 'words' | 'writers' | 'lastWord';

const MOST_WORDS = 100_000_000;

/** Typed text into one field of an area. Writers are separated by commas; none means: exchanges only. */
export function editArea(area: Area, column: AreaColumn, text: string): FieldEdit {
  const clean = text.trim();
  switch (column) {
    case 'name':
      return changed(set('area', area, ['name'], clean));
    case 'lastWord':
      return changed(set('area', area, ['lastWord'], clean || undefined));
    case 'kind': {
      const kind = parseWord(clean, AREA_KINDS, 'kind of area');
      if (!kind.ok) return refused(kind);
      const changes = [set('area', area, ['kind'], kind.value)];
      // A gateway's memory has no program behind it: what was only assumed of a new area goes.
      const assumed = area.writers.length === 1 && area.writers[0] === 'program';
      if (kind.value === 'gateway memory' && assumed) changes.push(set('area', area, ['writers'], []));
      return changed(...changes);
    }
    case 'wordBits': {
      const bits = parseWord(clean.replace(/\s*bits?$/, ''), WORD_BITS, 'number of bits a word');
      return bits.ok ? changed(set('area', area, ['wordBits'], bits.value)) : refused(bits);
    }
    case 'words': {
      const words = parseWhole(clean.replace(/\s*words?$/, ''), 1, MOST_WORDS, 'the size of an area in words');
      return words.ok ? changed(set('area', area, ['words'], words.value)) : refused(words);
    }
    case 'writers': {
      const writers: OwnWriter[] = [];
      const plain = clean === 'exchanges only' ? '' : clean;
      for (const part of plain.split(',').filter((p) => p.trim() !== '')) {
        const writer = parseWord(part, OWN_WRITERS, 'writer of its own');
        if (!writer.ok) return refused(writer);
        if (!writers.includes(writer.value)) writers.push(writer.value);
      }
      return changed(set('area', area, ['writers'], writers));
    }
  }
}

export type ViewColumn =
  'name' | 'notation' | 'prefix' | 'unit' | 'first' | 'written' | 'byteOrder' | 'bitNumbering' | 'access';

/** Notations that write a table of Modbus where others have a prefix. */
export const writesTable = (notation: NotationId): boolean =>
  notation.startsWith('reference') || notation === 'table and number' || notation === 'protocol address';

/** `decimal`, `4 digits`, `hexadecimal, 4 digits`: how numbers after a prefix are written. */
export function formatWritten({ radix, digits }: View): string {
  const filled = digits === undefined ? '' : `${digits} digits`;
  return radix === 'hexadecimal' ? ['hexadecimal', filled].filter(Boolean).join(', ') : filled || 'decimal';
}

/** Typed text into one field of an area's own view. Another notation brings its usual unit and first number along. */
export function editView(area: Area, viewId: string, column: ViewColumn, text: string): FieldEdit {
  const view = area.views[viewId];
  const clean = text.trim();
  if (!view) return refused({ found: 'this view is one of the profile', expected: 'change it there' });
  const path = (field: string) => ['views', viewId, field];
  switch (column) {
    case 'notation': {
      const notation = parseWord(clean, NOTATIONS, 'notation');
      if (!notation.ok) return refused(notation);
      if (notation.value === view.notation) return changed();
      return changed(set('area', area, ['views', viewId], newView(view.order, notation.value)));
    }
    case 'unit': {
      const unit = parseWord(clean.replace(/\s*bits?$/, ''), UNITS, 'number of bits a number');
      if (unit.ok && view.notation === 'byte offset' && unit.value !== 8) {
        return refused({
          found: `“${text}” for a notation in bytes`,
          expected: 'a byte has 8 bits; choose another notation',
        });
      }
      return unit.ok ? changed(set('area', area, path('unit'), unit.value)) : refused(unit);
    }
    case 'first': {
      const first = parseWhole(clean, 0, 1_000_000, 'the first number');
      return first.ok ? changed(set('area', area, path('first'), first.value)) : refused(first);
    }
    case 'prefix': {
      if (!writesTable(view.notation)) return changed(set('area', area, path('prefix'), clean));
      const table = parseWord(clean, TABLES, 'table');
      return table.ok ? changed(set('area', area, path('table'), table.value)) : refused(table);
    }
    case 'written': {
      const match = /^(dec\w*|hex\w*)?\W*(?:([1-9])(?:\s*digits?)?)?$/i.exec(clean);
      if (!match) {
        const expected = 'write decimal, hexadecimal, 4 digits, or hexadecimal, 4 digits';
        return refused({ found: `“${text}” is no way to write numbers`, expected });
      }
      const digits = match[2] === undefined ? undefined : Number(match[2]);
      return changed(
        set('area', area, path('radix'), /^hex/i.test(clean) ? 'hexadecimal' : undefined),
        set('area', area, path('digits'), digits),
      );
    }
    case 'byteOrder':
      return oneOf(area, path('byteOrder'), clean, BYTE_ORDERS, 'order of bytes');
    case 'bitNumbering':
      return oneOf(area, path('bitNumbering'), clean, NUMBERINGS, 'numbering of bits');
    case 'access':
      return oneOf(area, path('access'), clean, ACCESSES, 'access');
    default:
      return changed(set('area', area, path(column), clean));
  }
}

/** One of these words, or nothing: then it is as the layout rule or the usual has it. */
function oneOf(area: Area, path: string[], text: string, words: readonly string[], what: string): FieldEdit {
  if (text === '') return changed(set('area', area, path, undefined));
  const word = parseWord(text, words, what);
  return word.ok ? changed(set('area', area, path, word.value)) : refused(word);
}

export type ReservationColumn = 'from' | 'length' | 'owner' | 'reason' | 'puts' | 'mayStart';

const MAY_START = /^(.+?)(?:\s+to\s+(.+?))?(?:\s+every\s+(.+))?$/i;

/** `w1200 to w1680 every 16 words`: where a reserved range may start; empty: anywhere. */
export function mayStartText(reader: Reader, area: Area, { firstStart, lastStart, startStep }: Reservation): string {
  const memory = memoryOf(reader, area.id);
  if (typeof firstStart !== 'number' || !memory) return '';
  const at = (start: number) => spanAddresses(memory, { start, end: start + area.wordBits }).first;
  const to = typeof lastStart === 'number' ? ` to ${at(lastStart)}` : '';
  const every = typeof startStep === 'number' ? ` every ${formatBits(startStep, area.wordBits)}` : '';
  return `${at(firstStart)}${to}${every}`;
}

/** Typed text into one field of a reservation: the start as an address of the area, the length with its unit. */
export function editReservation(
  reader: Reader,
  area: Area,
  id: string,
  column: ReservationColumn,
  text: string,
): FieldEdit {
  const known = area.reservations[id];
  const order = orderAfter(entriesInOrder(area.reservations).map(([, r]) => r));
  const reservation: Reservation = known ?? { order, start: 0, length: area.wordBits, owner: '' };
  const store = (next: Reservation) => changed(set('area', area, ['reservations', id], next));
  const clean = text.trim();
  if (column === 'puts') {
    const yes = parseYes(clean);
    return yes.ok ? store({ ...reservation, puts: yes.value || undefined }) : refused(yes);
  }
  if (column === 'from') {
    const start = startOf(reader, area, clean);
    return typeof start === 'number' ? store({ ...reservation, start }) : start;
  }
  if (column === 'mayStart') {
    if (clean === '') return store({ ...reservation, firstStart: null, lastStart: null, startStep: null });
    const [, first = '', last, every] = MAY_START.exec(clean) ?? [];
    const firstStart = startOf(reader, area, first);
    if (typeof firstStart !== 'number') return firstStart;
    const lastStart = last === undefined ? null : startOf(reader, area, last);
    if (lastStart !== null && typeof lastStart !== 'number') return lastStart;
    if (lastStart !== null && lastStart < firstStart) {
      return refused({ found: `${last} lies before ${first}`, expected: 'the first start stands first' });
    }
    if (every === undefined) return store({ ...reservation, firstStart, lastStart, startStep: null });
    const step = parseLength(every, area.wordBits);
    const stepBits = step.ok ? lengthBits(step.value) : 0;
    return step.ok ? store({ ...reservation, firstStart, lastStart, startStep: stepBits }) : refused(step);
  }
  if (column === 'length') {
    const length = parseLength(clean, area.wordBits);
    return length.ok ? store({ ...reservation, length: lengthBits(length.value) }) : refused(length);
  }
  return store({ ...reservation, [column]: clean });
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
