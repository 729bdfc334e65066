import { KINDS, PROJECT_ID, type Entity, type EntityOf, type Kind } from './kinds.js';
import type { ProjectInfo } from './project-info.js';
import { listsOf } from './references.js';
import { Table } from './table.js';

/** What an entity looked like before and after an edit; undefined where it was not there. */
export interface EntityChange<K extends Kind = Kind> {
  kind: K;
  id: string;
  before: EntityOf[K] | undefined;
  after: EntityOf[K] | undefined;
}

/**
 * Reading a project. `apply`, the checks and the sheet read through this only, so that the same code runs over a
 * whole project in the browser and over a few fetched rows on the server.
 */
export interface Reader {
  /** it gives the same answers for ever, so that what was read of it may be kept */
  readonly fixed?: true;
  get<K extends Kind>(kind: K, id: string): EntityOf[K] | undefined;
  /** ids of the entities of one kind that refer to this id, or of tags by a `nameKey`; in no particular order */
  referrers(kind: Kind, id: string): readonly string[];
}

const NONE: readonly string[] = [];
/** The name of the list of those of a kind that refer to an id. */
export const listKey = (kind: Kind, id: string) => `${kind}>${id}`;

/** A whole project: immutable; `with` gives the next one. */
export class Project implements Reader {
  readonly fixed = true;

  private constructor(
    private readonly tables: Readonly<Record<Kind, Table<Entity>>>,
    private readonly references: Table<readonly string[]>,
  ) {}

  /** Ids are unique over all kinds; the caller has checked that (see `inspectProject`). */
  static of(entities: Partial<Record<Kind, Iterable<Entity>>>): Project {
    const tables = {} as Record<Kind, Table<Entity>>;
    const references = new Map<string, string[]>();
    for (const kind of KINDS) {
      const list = [...(entities[kind] ?? [])];
      tables[kind] = Table.from(list.map((entity) => [entity.id, entity] as const));
      for (const entity of list) {
        for (const id of new Set(listsOf(kind, entity))) {
          const key = listKey(kind, id);
          const known = references.get(key);
          if (known) known.push(entity.id);
          else references.set(key, [entity.id]);
        }
      }
    }
    return new Project(tables, Table.from(references));
  }

  get info(): ProjectInfo {
    return this.get('project', PROJECT_ID) ?? { id: PROJECT_ID, name: '' };
  }

  get<K extends Kind>(kind: K, id: string): EntityOf[K] | undefined {
    return this.tables[kind].get(id) as EntityOf[K] | undefined;
  }

  referrers(kind: Kind, id: string): readonly string[] {
    return this.listed(listKey(kind, id));
  }

  /** The same by the name of the list. */
  listed(key: string): readonly string[] {
    return this.references.get(key) ?? NONE;
  }

  all<K extends Kind>(kind: K): IterableIterator<EntityOf[K]> {
    return this.tables[kind].values() as IterableIterator<EntityOf[K]>;
  }

  count(kind: Kind): number {
    return this.tables[kind].size;
  }

  /** The project after these changes; which were made by `apply`, and so fit. */
  with(changes: readonly EntityChange[]): Project {
    const perKind = new Map<Kind, [string, Entity | undefined][]>();
    const lists = new Map<string, Set<string>>();
    const list = (key: string) => {
      let ids = lists.get(key);
      if (!ids) lists.set(key, (ids = new Set(this.references.get(key) ?? NONE)));
      return ids;
    };
    for (const { kind, id, before, after } of changes) {
      const entries = perKind.get(kind) ?? [];
      entries.push([id, after]);
      perKind.set(kind, entries);
      for (const target of before ? listsOf(kind, before) : []) list(listKey(kind, target)).delete(id);
      for (const target of after ? listsOf(kind, after) : []) list(listKey(kind, target)).add(id);
    }
    const tables = { ...this.tables };
    for (const [kind, entries] of perKind) tables[kind] = tables[kind].with(entries);
    const references = this.references.with(
      [...lists].map(([key, ids]) => [key, ids.size > 0 ? [...ids] : undefined] as const),
    );
    return new Project(tables, references);
  }
}
