import { dequal } from 'dequal/lite';
import { formatAddress } from '../../place/format-address.js';
import { memoriesOf } from '../../place/memory.js';
import { samePlace } from '../../place/resolve.js';
import { sameType } from '../../data/types.js';
import { withPoint } from '../../formats/decimal.js';
import { fieldsOf, type TagField, type TagList } from '../../formats/tag-list.js';
import type { Place, TypeRef } from '../../model/claim.js';
import type { Project } from '../../model/project.js';
import type { Structure } from '../../model/structure.js';
import type { Tag } from '../../model/tag.js';
import { readTagField, tagFieldText, type FieldContext, type FieldRead } from '../../fields/tag-field.js';
import { typeReader } from './type-reader.js';

/** What the rows of one list are read with. */
export interface RowContext extends FieldContext {
  project: Project;
  list: TagList;
  /** the fields that the file has room for, and the cells that hold them */
  fields: readonly { field: TagField; at: number }[];
}

/** `created`: structures that come with the list. */
export const rowContext = (
  project: Project,
  station: string,
  list: TagList,
  created: readonly Structure[],
): RowContext => ({
  project,
  list,
  memories: memoriesOf(project, station),
  type: typeReader(project, created),
  fields: fieldsOf(list).map((field) => ({ field, at: list.columns[field]! })),
});

/** What a cell says of a field of a new tag; null: nothing. */
export function readCell(context: RowContext, field: TagField, cell: string | undefined): FieldRead | null {
  return cell ? readTagField(field, textOf(cell, field, context), context) : null;
}

/** A field that a row says otherwise than the tag has it. */
export interface Difference extends FieldRead {
  text: string;
  was: string;
}

/** The same for a tag that is there; null: it says what the tag has. */
export function compareCell(
  context: RowContext,
  field: TagField,
  cell: string | undefined,
  known: Tag,
): Difference | null {
  const before = known[field] ?? null;
  // Mostly it is a text that is as it was: nothing has to be made of it to see that.
  if (cell === before) return null;
  const text = textOf(cell ?? '', field, context);
  if (text === (before ?? '')) return null;
  if (field === 'place' && known.place && text === addressOf(known.place, context)) return null;
  const read = readTagField(field, text, context);
  if (read.taken && sameValue(field, read.value ?? null, before)) return null;
  // Written out only where they differ: of a hundred thousand tags most do not.
  const was = tagFieldText(context.project, known, field);
  if (text === was) return null;
  if (context.list.directOnly && field === 'place' && text === '' && !was.startsWith('%')) return null;
  return { ...read, text, was };
}

/** In one of the station's own areas; null: it is elsewhere. */
function addressOf(place: NonNullable<Tag['place']>, { memories }: RowContext): string | null {
  if ('typed' in place) return place.typed;
  const memory = memories.find(({ area }) => area.id === place.area);
  return memory ? formatAddress(memory, place) : null;
}

function sameValue(field: TagField, read: unknown, before: unknown): boolean {
  if (read === before) return true;
  if (!isWhole(read) || !isWhole(before)) return dequal(read, before);
  if (field === 'place') return samePlace(read as Place, before as Place);
  return field === 'type' ? sameType(read as TypeRef, before as TypeRef) : dequal(read, before);
}

/** Neither empty nor kept as typed. */
const isWhole = (value: unknown): value is object => typeof value === 'object' && value !== null && !('typed' in value);

const textOf = (cell: string, field: TagField, { list }: RowContext): string =>
  field === 'scaling' ? withPoint(cell.trim(), list.decimal) : cell.trim();
