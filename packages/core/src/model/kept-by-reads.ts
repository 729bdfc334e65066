import type { EntityChange, Project } from './project.js';
import { RecordingReader } from './recording-reader.js';
import { touchedBy } from './touched.js';

/**
 * What is worked out of each of many entities, kept while the project is edited: after an edit only those are worked out
 * anew that read something which it touches.
 */
export class KeptByReads<T> {
  private readonly known = new Map<string, T>();
  private readonly reads = new Map<string, readonly string[]>();
  private readonly readers = new Map<string, Set<string>>();

  /** `work` reads the project through its reader alone; undefined: of this one there is nothing. */
  constructor(private readonly work: (reader: RecordingReader, id: string) => T | undefined) {}

  get(id: string): T | undefined {
    return this.known.get(id);
  }

  values(): IterableIterator<T> {
    return this.known.values();
  }

  /** Works one out, and gives what was known of it before. */
  look(project: Project, id: string): T | undefined {
    const before = this.known.get(id);
    for (const key of this.reads.get(id) ?? []) this.readers.get(key)?.delete(id);
    const reader = new RecordingReader(project);
    const now = this.work(reader, id);
    if (now === undefined) this.known.delete(id);
    else this.known.set(id, now);
    const reads = reader.take();
    this.reads.set(id, reads);
    for (const key of reads) {
      const readers = this.readers.get(key);
      if (readers) readers.add(id);
      else this.readers.set(key, new Set([id]));
    }
    return before;
  }

  /** Which have to be worked out after these edits: those that read what they touch, and those that they make or change. */
  touched(edits: readonly EntityChange[], kind: EntityChange['kind']): Set<string> {
    const touched = new Set<string>();
    for (const change of edits) {
      if (change.kind === kind) touched.add(change.id);
      for (const key of touchedBy(change)) for (const id of this.readers.get(key) ?? []) touched.add(id);
    }
    return touched;
  }
}
