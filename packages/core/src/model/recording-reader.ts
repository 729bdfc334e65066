import type { EntityOf, Kind } from './kinds.js';
import { listKey, type Project, type Reader } from './project.js';

/**
 * A reader that writes down what was read: that is what a check depends on, so that nobody has to say by hand which
 * rule an edit makes stale.
 */
export class RecordingReader implements Reader {
  private readonly seen = new Set<string>();

  constructor(private readonly source: Project) {}

  get<K extends Kind>(kind: K, id: string): EntityOf[K] | undefined {
    this.seen.add(id);
    return this.source.get(kind, id);
  }

  referrers(kind: Kind, id: string): readonly string[] {
    const key = listKey(kind, id);
    this.seen.add(key);
    return this.source.listed(key);
  }

  /** Something that is not an entity: the occupancy of an area, all entities of a kind. */
  note(key: string): void {
    this.seen.add(key);
  }

  /** What was read since the last call. */
  take(): string[] {
    const seen = [...this.seen];
    this.seen.clear();
    return seen;
  }
}
