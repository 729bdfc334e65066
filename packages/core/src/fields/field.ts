import { isTyped, type AsTyped } from '../model/as-typed.js';
import type { Entity, EntityOf, Kind } from '../model/kinds.js';
import { entriesInOrder, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';

/** What a text is read with: the project as it is by then, and ids for what is made with it. */
export interface Editing {
  project: Project;
  newId: () => string;
  /** who types, and when (ISO 8601), for fields that keep it */
  by?: string;
  at?: string;
}

/**
 * All that is said of one field of a row: tables, forms, links, comparisons and the help for a cell read it. A row is an
 * entity, or an entry of a list that an entity has.
 */
export interface Field<Row> {
  title: string;
  /** of its column: exactly so many px, or at least so many and a share of what is left */
  width: number | readonly [least: number, share: number];
  /** where it stands in the row, as findings and links name it; its own name where nothing is said; null: nowhere */
  path?: readonly string[] | null;
  /** as it is edited and copied; a text that could not be read, as it was typed */
  text: (row: Row, project: Project) => string | AsTyped;
  /** what is seen instead, where that is another text */
  shown?: (row: Row, project: Project) => string | undefined;
  /** what a text without spaces around it does; a field without is only read */
  edit?: (row: Row, text: string, editing: Editing) => FieldEdit;
  /** whether this row has the field; all have it where nothing is said */
  has?: (row: Row, project: Project) => boolean;
  /** what may be typed, where that is a choice, or a help */
  options?: readonly string[] | ((row: Row, project: Project) => readonly string[]);
  /** texts that it takes in some row; each is tried */
  examples?: readonly string[];
  /** what it is for and how it is written, in a sentence */
  help?: string;
  mono?: boolean;
  right?: boolean;
  /** less strong, always or in some rows */
  muted?: boolean | ((row: Row, project: Project) => boolean);
  /** holds names: one too long for it is cut off in its middle */
  names?: boolean;
  /** filling down counts on: `Pump 1`, `Pump 2` */
  counts?: boolean;
  /** the title is for assistive technology only */
  quiet?: boolean;
}

/** Which row: an entity, or the entry of a list in it, by its path there. */
export interface RowRef {
  kind: Kind;
  id: string;
  path: readonly string[];
}

/** Rows of one sort, and all their fields in the order of their columns. */
export interface Rows<Row, Id extends string = string> {
  /** the word for one: `port` */
  one: string;
  kind: Kind;
  /** of entries: the path of the list that they are in */
  list: readonly string[];
  /** all that are in a project */
  all: (project: Project) => readonly Row[];
  refOf: (row: Row) => RowRef;
  /** the row as it is in this project; undefined where it is gone */
  find: (project: Project, ref: RowRef) => Row | undefined;
  /** why this row is only read here; null where it is not */
  locked?: (row: Row) => { found: string; expected: string } | null;
  fields: Readonly<Record<Id, Field<Row>>>;
}

export interface Entry<K extends Kind, E> {
  entity: EntityOf[K];
  key: string;
  entry: E;
}

/** Entities of one kind as rows. */
export function entityRows<K extends Kind, Id extends string>(kind: K, one: string, fields: Record<Id, Field<EntityOf[K]>>): Rows<EntityOf[K], Id> {
  return {
    one,
    kind,
    list: [],
    fields,
    all: (project) => inOrder(project, kind),
    refOf: ({ id }) => ({ kind, id, path: [] }),
    find: (project, { id }) => project.get(kind, id),
  };
}

/** The entries of a list that entities of one kind have, as rows. */
export const entryRows =
  <K extends Kind, E>(kind: K, list: readonly string[], one: string) =>
  <Id extends string>(fields: Record<Id, Field<Entry<K, E>>>): Rows<Entry<K, E>, Id> => ({
    one,
    kind,
    list,
    fields,
    all: (project) => inOrder(project, kind).flatMap((entity) => entriesOf<K, E>(entity, list)),
    refOf: ({ entity, key }) => ({ kind, id: entity.id, path: [...list, key] }),
    find: (project, { id, path }) => {
      const entity = project.get(kind, id);
      const entry = entity && (valueAt(entity, path) as E | undefined);
      return entity && entry !== undefined ? { entity, key: path.at(-1)!, entry } : undefined;
    },
  });

/** The entries of a list that an entity has, in order, as rows. */
export function entriesOf<K extends Kind, E>(entity: EntityOf[K], list: readonly string[]): Entry<K, E>[] {
  const entries = (valueAt(entity, list) ?? {}) as Record<string, E & { order: number }>;
  return entriesInOrder(entries).map(([key, entry]) => ({ entity, key, entry }));
}

function valueAt(entity: Entity, path: readonly string[]): unknown {
  let value: unknown = entity;
  for (const step of path) {
    value = typeof value === 'object' && value !== null && Object.hasOwn(value, step) ? value[step as never] : undefined;
  }
  return value;
}

/** What a typed or pasted text does to a field of a row. */
export function editField<Row, Id extends string>(rows: Rows<Row, Id>, id: Id, row: Row, text: string, editing: Editing): FieldEdit {
  const { edit } = rows.fields[id];
  const lock = rows.locked?.(row) ?? null;
  if (!edit) return changed();
  return lock ? refused(lock) : edit(row, text.trim(), editing);
}

/** A field as it is edited. */
export function fieldText<Row, Id extends string>(rows: Rows<Row, Id>, id: Id, row: Row, project: Project): string {
  const text = rows.fields[id].text(row, project);
  return isTyped(text) ? text.typed : text;
}

/** Where a field stands in its row, as findings and links name it; null where they cannot. */
export const pathOf = <Row>(id: string, { path }: Field<Row>): readonly string[] | null => (path === undefined ? [id] : path);
