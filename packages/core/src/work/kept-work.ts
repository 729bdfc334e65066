import { digestOf } from '../model/digest.js';
import { KeptByReads } from '../model/kept-by-reads.js';
import type { EntityChange, Project } from '../model/project.js';
import { fieldsToSet, type FieldToSet } from '../setting/fields-to-set.js';
import type { Step } from './step.js';

/** What the order of work rests on, kept while the project is edited: what has to be set at each station, and what each step rests on. */
export class KeptWork {
  private readonly ofStation = new KeptByReads((reader, id) => {
    const station = reader.get('station', id);
    return station && fieldsToSet(reader, station);
  });
  private readonly digests = new Map<string, { basis: string; digest: string }>();

  constructor(project: Project) {
    for (const { id } of project.all('station')) this.ofStation.look(project, id);
  }

  /** Takes in edits. */
  edit(project: Project, edits: readonly EntityChange[]): void {
    for (const id of this.ofStation.touched(edits, 'station')) this.ofStation.look(project, id);
  }

  fieldsAt(station: string): readonly FieldToSet[] {
    return this.ofStation.get(station) ?? [];
  }

  /** What a step rests on as a short text. */
  digestOf({ key, basis }: Pick<Step, 'key' | 'basis'>): string {
    const known = this.digests.get(key);
    if (known?.basis === basis) return known.digest;
    const digest = digestOf(basis);
    this.digests.set(key, { basis, digest });
    return digest;
  }
}
