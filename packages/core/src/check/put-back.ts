import { dequal } from 'dequal/lite';
import { formatAddress } from '../place/format-address.js';
import { formatLength } from '../place/length.js';
import { memoryOf } from '../place/memory.js';
import { type Change, type Json, fieldWords } from '../change/change.js';
import { put, set } from '../change/make.js';
import { isTyped } from '../model/as-typed.js';
import { IN_TAG, type Length, type Place, type TypeRef } from '../model/claim.js';
import { kindWord, type Entity, type EntityOf, type Kind } from '../model/kinds.js';
import type { Reader } from '../model/project.js';
import { typeText } from '../structure/type-text.js';
import type { Fix } from './rule.js';

/** The fix that gives cells what stood in them before these edits; null where nothing did, or they were edited since. */
export function putBack(reader: Reader, edits: readonly Change[]): Fix | null {
  const changes = edits.flatMap((edit) => inverse(reader, edit) ?? []);
  const [first] = edits;
  if (!first || changes.length !== edits.length) return null;
  if (first.path.length === 0) return { label: `put back the ${kindWord(first.kind)}`, changes };
  const whole = asTyped(reader, first);
  const words = valueWords(reader, whole);
  const field = fieldWords(whole.path) || kindWord(first.kind);
  return { label: `${field}: back to ${words ?? 'what it was'}`, changes };
}

/** Fields that are typed as one text and stored in parts. */
const TYPED_WHOLE = ['place', 'length', 'type', 'offset', 'from', 'to', 'inputsAt', 'outputsAt'];

/** The edit of a part as one of the field that was typed: of a place of which only the number changed, the place. */
function asTyped(reader: Reader, edit: Change): Change {
  const at = edit.path.findIndex((key) => TYPED_WHOLE.includes(key)) + 1;
  if (at === 0 || at === edit.path.length) return edit;
  const path = edit.path.slice(0, at);
  const entity = reader.get(edit.kind, edit.id);
  const now = entity && set(edit.kind, entity, path, undefined).before;
  if (typeof now !== 'object' || now === null || edit.path.length !== at + 1) return edit;
  return { ...edit, path, before: { ...now, [edit.path[at]!]: edit.before ?? null } };
}

function inverse(reader: Reader, { kind, id, path, before, after }: Change): Change | null {
  const entity = reader.get(kind, id);
  if (path.length === 0) return entity || before === undefined ? null : put(kind, before as unknown as EntityOf[Kind]);
  if (!entity || before === undefined || before === null || before === '') return null;
  const change = set(kind, entity, path, before);
  return dequal(change.before, after) ? change : null;
}

/** What stood there, as its end writes it; null where that has no short words. */
function valueWords(reader: Reader, { path, before }: Change): string | null {
  const field = path.at(-1) ?? '';
  if (before === undefined || before === null) return null;
  if (isTyped(before)) return before.typed;
  if (typeof before === 'string') return nameOf(reader, field, before) ?? before;
  if (typeof before !== 'object') return String(before);
  if (field === 'type') return typeText(reader, before as unknown as TypeRef);
  if (field === 'length') return formatLength(before as unknown as Length);
  return isPlace(before) ? placeWords(reader, before) : null;
}

const isPlace = (value: Json): value is Json & Place => typeof value === 'object' && value !== null && 'area' in value;

function placeWords(reader: Reader, place: Place): string | null {
  if (place.view === IN_TAG) return reader.get('tag', place.area)?.name ?? null;
  const memory = memoryOf(reader, place.area);
  return memory ? formatAddress(memory, place) : null;
}

/** Fields that hold the id of something with a name. */
const NAMED: Readonly<Record<string, Kind>> = {
  port: 'port',
  network: 'network',
  via: 'station',
  to: 'station',
  station: 'station',
  profile: 'profile',
};

function nameOf(reader: Reader, field: string, id: string): string | null {
  const kind = NAMED[field];
  const entity: (Entity & { name?: string }) | undefined = kind && reader.get(kind, id);
  return entity?.name || null;
}
