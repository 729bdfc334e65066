import { apply, type Change, type ChangeSet } from '@dialoga/core/change';
import { KINDS, referencesOf, type Entity, type EntityOf, type Kind, type Reader } from '@dialoga/core/model';
import type { EntityManager } from 'typeorm';
import { chunks } from './parts.js';
import { entityTable, referenceTable } from './tables.js';

/** Bytes of stored entities that may be read: of one, and in all. */
export interface ReadsAtMost {
  entity: number;
  all: number;
}

/** What is touched is larger than may be read here. */
export class TooMuchToRead extends Error {}

const MOST_REFERRERS = 2000;
const WITHOUT_LIMIT: ReadsAtMost = { entity: 2 ** 31, all: Number.MAX_SAFE_INTEGER };

/**
 * A reader over the few rows that a change set touches. What was asked for and is not here yet is fetched by `fetch`,
 * and the work done again, until nothing new was asked for.
 */
export class RowReader implements Reader {
  private readonly entities = new Map<string, { kind: Kind; entity: Entity } | undefined>();
  private readonly lists = new Map<string, string[]>();
  private wanted = new Set<string>();
  private wantedLists = new Set<string>();
  private misses = 0;
  private bytes = 0;
  private get limited(): boolean {
    return this.atMost !== WITHOUT_LIMIT;
  }

  constructor(
    private readonly manager: EntityManager,
    private readonly project: string,
    private readonly atMost: ReadsAtMost = WITHOUT_LIMIT,
  ) {}

  get<K extends Kind>(kind: K, id: string): EntityOf[K] | undefined {
    if (!this.entities.has(id)) {
      this.misses++;
      this.wanted.add(id);
    }
    const known = this.entities.get(id);
    return known?.kind === kind ? (known.entity as EntityOf[K]) : undefined;
  }

  referrers(kind: Kind, id: string): readonly string[] {
    const known = this.lists.get(`${kind}>${id}`);
    if (!known) {
      this.misses++;
      this.wantedLists.add(id);
    }
    return known ?? [];
  }

  /**
   * Fetches what the changes ask for one by one, many at a time. Without it a large change set would be stopped at each
   * of its entities in turn, and begun again.
   */
  async fetchFor(set: ChangeSet): Promise<void> {
    for (const { kind, path, after } of set.changes) {
      if (path.length > 0 || after === undefined) continue;
      for (const named of referencesOf(kind, after as unknown as Entity)) this.get(named.kind, named.id);
    }
    let waiting: readonly Change[] = set.changes;
    do {
      waiting = waiting.filter((change) => {
        const before = this.misses;
        apply(this, { ...set, changes: [change] });
        return this.misses > before;
      });
    } while (await this.fetch());
  }

  /** Fetches what was asked for since the last call; false where nothing was. */
  async fetch(): Promise<boolean> {
    if (this.wanted.size === 0 && this.wantedLists.size === 0) return false;
    for (const id of this.wanted) this.entities.set(id, undefined);
    for (const chunk of chunks([...this.wanted], this.limited ? 20 : 500)) {
      const rows = await this.manager
        .createQueryBuilder(entityTable, 'e')
        .select('e.id', 'id')
        .addSelect('e.kind', 'kind')
        .addSelect('IF(LENGTH(e.body) > :most, NULL, e.body)', 'body')
        .where('e.project = :project AND e.id IN (:...chunk)', {
          project: this.project,
          chunk,
          most: this.atMost.entity,
        })
        .getRawMany<{ id: string; kind: Kind; body: string | null }>();
      for (const { id, kind, body } of rows) {
        this.bytes += body?.length ?? 0;
        if (body === null || this.bytes > this.atMost.all) throw new TooMuchToRead();
        this.entities.set(id, { kind, entity: JSON.parse(body) as Entity });
      }
    }
    for (const id of this.wantedLists) for (const kind of KINDS) this.lists.set(`${kind}>${id}`, []);
    for (const chunk of chunks([...this.wantedLists], 500)) {
      const rows = await this.manager
        .createQueryBuilder(referenceTable, 'r')
        .select('r.target', 'target')
        .addSelect('r.kind', 'kind')
        .addSelect('r.source', 'source')
        .where('r.project = :project AND r.target IN (:...chunk)', { project: this.project, chunk })
        .limit(this.limited ? MOST_REFERRERS + 1 : undefined)
        .getRawMany<{ target: string; kind: Kind; source: string }>();
      if (this.limited && rows.length > MOST_REFERRERS) throw new TooMuchToRead();
      for (const row of rows) this.lists.get(`${row.kind}>${row.target}`)?.push(row.source);
    }
    this.wanted = new Set();
    this.wantedLists = new Set();
    return true;
  }
}
