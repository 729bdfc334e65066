import { memoriesOf, type Memory } from '../place/memory.js';
import { parseAddress } from '../place/parse-address.js';
import { read, unreadSentence, type Read } from '../text/read.js';
import type { AsTyped } from '../model/as-typed.js';
import type { Project, Reader } from '../model/project.js';
import type { Scaling, Tag } from '../model/tag.js';
import { ACCESSES, OPENNESS, PANEL_ELEMENTS, POLARITIES, SIGNAL_KINDS, type Access, type Openness, type Polarity } from '../model/words.js';
import { parseWord } from '../text/field-edit.js';
import { readType, typeText } from '../structure/type-text.js';
import type { TypeRef } from '../model/claim.js';
import type { TagField } from '../formats/tag-list.js';
import { placeText } from '../place/place-text.js';
import { formatScaling, parseScaling } from '../data/scaling.js';

/** The value of a field, and why its text could not be read; it is then kept as typed, or not taken at all. */
export interface FieldRead {
  value: unknown;
  problem: string | null;
  /** false: a text that is no such word cannot be kept */
  taken: boolean;
}

/** What texts are read with: the memories of the tag's station, and how a type is read. */
export interface FieldContext {
  memories: readonly Memory[];
  type: (text: string) => Read<TypeRef>;
}

/** Fields that take any text: there is nothing in them to be read. */
const ANY_TEXT: ReadonlySet<TagField> = new Set(['group', 'asks', 'program', 'unit', 'alias', 'lastWord', 'comment']);
export const takesAnyText = (field: TagField): boolean => ANY_TEXT.has(field);

/** What the fields of a station's tags are read with. */
export const readTagContext = (project: Project, station: string): FieldContext => ({
  memories: memoriesOf(project, station),
  type: (text) => readType(project, text),
});

const ACCESS_WORDS: Record<string, Access> = {
  r: 'read',
  ro: 'read',
  'read only': 'read',
  'read-only': 'read',
  lesen: 'read',
  lecture: 'read',
  rw: 'read and set',
  'r/w': 'read and set',
  'read/write': 'read and set',
  w: 'read and set',
  write: 'read and set',
  'read write': 'read and set',
  'lesen/schreiben': 'read and set',
  schreiben: 'read and set',
};
const OPEN_WORDS: Record<string, Openness> = {
  none: 'closed',
  no: 'closed',
  'read only': 'may read',
  read: 'may read',
  'read/write': 'may set',
  yes: 'may set',
};
const POLARITY_WORDS: Record<string, Polarity> = {
  no: 'true when active',
  'normally open': 'true when active',
  'open at rest': 'true when active',
  nc: 'true at rest',
  'normally closed': 'true at rest',
  'closed at rest': 'true at rest',
};
const YES = ['yes', 'y', 'true', '1', 'x', 'ja', 'oui', 'sí', 'si'];
const NO = ['no', 'n', 'false', '0', '', 'nein', 'non'];

const fine = (value: unknown): FieldRead => ({ value, problem: null, taken: true });
const EMPTY = fine(null);

/** Words that were read before: a list has the same few a hundred thousand times. */
const WORDS = new Map<string, Map<string, FieldRead>>();

function remembered(what: string, text: string, read: FieldRead): FieldRead {
  let words = WORDS.get(what);
  if (!words) WORDS.set(what, (words = new Map()));
  if (words.size < 200) words.set(text, read);
  return read;
}

const kept = (clean: string, read: Read<unknown>): FieldRead =>
  read.ok ? fine(read.value) : { value: { typed: clean }, problem: unreadSentence(read), taken: true };

function word(clean: string, words: readonly string[], others: Record<string, string>, what: string): FieldRead {
  if (clean === '') return EMPTY;
  const before = WORDS.get(what)?.get(clean);
  if (before) return before;
  const low = clean.toLowerCase();
  const other = Object.hasOwn(others, low) && !words.includes(low) ? others[low] : undefined;
  const known = other === undefined ? parseWord(clean, words, what) : read(other);
  if (!known.ok) return { value: null, problem: unreadSentence(known), taken: false };
  return remembered(what, clean, fine(known.value));
}

/** Typed text as the value of a field of a tag. Emptied, nothing is said of it any more. */
export function readTagField(field: TagField, text: string, { memories, type }: FieldContext): FieldRead {
  const clean = text.trim();
  switch (field) {
    case 'type':
      return clean === '' ? EMPTY : kept(clean, type(clean));
    case 'place':
      return clean === '' ? EMPTY : kept(clean, parseAddress(clean, memories));
    case 'scaling':
      return clean === '' ? EMPTY : kept(clean, parseScaling(clean));
    case 'access':
      return word(clean, ACCESSES, ACCESS_WORDS, 'access');
    case 'open':
      return word(clean, OPENNESS, OPEN_WORDS, 'kind of openness');
    case 'polarity':
      return word(clean, POLARITIES, POLARITY_WORDS, 'polarity');
    case 'signal':
      return word(clean, SIGNAL_KINDS, {}, 'kind of signal');
    case 'element':
      return word(clean, PANEL_ELEMENTS, {}, 'element of a panel');
    case 'internal':
    case 'required': {
      const low = clean.toLowerCase();
      if (NO.includes(low)) return fine(undefined);
      return YES.includes(low) ? fine(true) : { value: null, problem: `“${clean}” is neither yes nor no`, taken: false };
    }
    default:
      return fine(clean || undefined);
  }
}

/** A field of a tag as it is written. The inverse of `readTagField`. */
export function tagFieldText(reader: Reader, tag: Tag, field: TagField): string {
  const typedOr = <T extends object>(value: T | AsTyped | null | undefined, format: (value: T) => string): string =>
    !value ? '' : 'typed' in value ? value.typed : format(value);
  switch (field) {
    case 'type':
      return typedOr(tag.type, (type) => typeText(reader, type));
    case 'place':
      return typedOr(tag.place, (place) => placeText(reader, place));
    case 'scaling':
      return typedOr<Scaling>(tag.scaling, formatScaling);
    case 'internal':
    case 'required':
      return tag[field] ? 'yes' : '';
    default:
      return tag[field] ?? '';
  }
}
