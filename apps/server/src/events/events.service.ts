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
 * and within half a second of what another process did: each follows the table, so no broker is needed.
 */
@Injectable()
export class EventsService implements OnModuleDestroy {
  private readonly followed = new Map<string, Followed>();
  private timer: NodeJS.Timeout | null = null;

  constructor(private readonly database: DataSource) {}

  /** Revisions of a project as they come, the present one first. */
  revisions(project: string): Observable<number> {
    return new Observable<number>((subscriber) => {
      const entry = this.followed.get(project) ?? { revision: -1, subject: new Subject<number>(), watchers: 0 };
      this.followed.set(project, entry);
      entry.watchers++;
      const subscription = entry.subject.subscribe(subscriber);
      if (entry.revision >= 0) subscriber.next(entry.revision);
      this.timer ??= setInterval(() => void this.follow(), FOLLOW_MS);
      void this.follow();
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

  private async follow(): Promise<void> {
    try {
      const ids = [...this.followed.keys()];
      if (ids.length === 0) return;
      const rows = await this.database.getRepository(projectTable).find({
        select: { id: true, revision: true },
        where: { id: In(ids) },
      });
      for (const { id, revision } of rows) this.announce(id, revision);
    } catch {
      // The database is away; the next round asks again.
    }
  }

  private rest(): void {
    if (this.timer) clearInterval(this.timer);
    this.timer = null;
  }
}
