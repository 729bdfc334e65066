import type { EntityOf, Kind } from '../model/kinds.js';
import type { Reader } from '../model/project.js';

/** The name of a list of referrers, as a dependency. */
export const listKey = (kind: Kind, id: string) => `${kind}>${id}`;

/**
 * A reader that writes down what was read: that is what a check depends on, so that nobody has to say by hand which
 * rule an edit makes stale.
 */
export class RecordingReader implements Reader {
  private readonly seen = new Set<string>();

  constructor(private readonly source: Reader) {}

  get<K extends Kind>(kind: K, id: string): EntityOf[K] | undefined {
    this.seen.add(id);
    return this.source.get(kind, id);
  }

  referrers(kind: Kind, id: string): readonly string[] {
    this.seen.add(listKey(kind, id));
    return this.source.referrers(kind, id);
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
