import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Observable, Subject } from 'rxjs';
import { DataSource, In } from 'typeorm';
import { projectTable } from '../database/tables.js';

const FOLLOW_MS = 500;

interface Followed {
  revision: number;
  subject: Subject<number>;
  watchers: number;
}

/**
 * Tells every open window of each new revision. Whoever watches a project is told at once of what this process commits,
 * and within half a second of what another process did: each follows the table, so no broker is needed. However many
 * watch, one question to the database serves them all.
 */
@Injectable()
export class EventsService implements OnModuleDestroy {
  private readonly followed = new Map<string, Followed>();
  private timer: NodeJS.Timeout | null = null;
  private asking: Promise<void> | null = null;

  constructor(private readonly database: DataSource) {}

  /** Which of these ids are those of projects. */
  async known(ids: readonly string[]): Promise<Set<string>> {
    const rows = await this.revisionsOf(ids);
    return new Set(rows.map(({ id }) => id));
  }

  /** Revisions of a project as they come, the present one first. */
  revisions(project: string): Observable<number> {
    return new Observable<number>((subscriber) => {
      const entry = this.followed.get(project) ?? { revision: -1, subject: new Subject<number>(), watchers: 0 };
      this.followed.set(project, entry);
      entry.watchers++;
      const subscription = entry.subject.subscribe(subscriber);
      if (entry.revision >= 0) subscriber.next(entry.revision);
      this.timer ??= setInterval(() => this.follow(), FOLLOW_MS);
      this.follow();
      return () => {
        subscription.unsubscribe();
        entry.watchers--;
        if (entry.watchers === 0) this.followed.delete(project);
        if (this.followed.size === 0) this.rest();
      };
    });
  }

  /** A revision that was committed here. */
  announce(project: string, revision: number): void {
    const entry = this.followed.get(project);
    if (!entry || revision <= entry.revision) return;
    entry.revision = revision;
    entry.subject.next(revision);
  }

  onModuleDestroy(): void {
    this.rest();
    for (const { subject } of this.followed.values()) subject.complete();
  }

  private follow(): void {
    this.asking ??= this.ask().finally(() => (this.asking = null));
  }

  private async ask(): Promise<void> {
    // Whoever comes in the same moment is asked for with the others.
    await new Promise((resolve) => setImmediate(resolve));
    try {
      const ids = [...this.followed.keys()];
      if (ids.length === 0) return;
      for (const { id, revision } of await this.revisionsOf(ids)) this.announce(id, revision);
    } catch {
      // The database is away; the next round asks again.
    }
  }

  private revisionsOf(ids: readonly string[]) {
    return this.database.getRepository(projectTable).find({
      select: { id: true, revision: true },
      where: { id: In([...ids]) },
    });
  }

  private rest(): void {
    if (this.timer) clearInterval(this.timer);
    this.timer = null;
  }
}
