import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Observable, Subject } from 'rxjs';
import type { ChangeSet } from '@dialoga/core/change';
import { DataSource, In } from 'typeorm';
import { journalText } from '../database/journal-text.js';
import { projectTable } from '../database/tables.js';

const FOLLOW_MS = 500;

/** A revision as the journal has it. */
export interface Entry {
  revision: number;
  author: string | null;
  set: ChangeSet;
}

/** A new revision, with what it stored where that is small; otherwise it is to be fetched. */
export interface News {
  revision: number;
  entry: Entry | null;
}

interface Followed {
  revision: number;
  subject: Subject<News>;
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
  news(project: string): Observable<News> {
    return new Observable<News>((subscriber) => {
      const entry = this.followed.get(project) ?? { revision: -1, subject: new Subject<News>(), watchers: 0 };
      this.followed.set(project, entry);
      entry.watchers++;
      const subscription = entry.subject.subscribe(subscriber);
      if (entry.revision >= 0) subscriber.next({ revision: entry.revision, entry: null });
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

  /** A revision that was stored; each is told once, whoever hears of it first. */
  announce(project: string, news: News): void {
    const followed = this.followed.get(project);
    if (!followed || news.revision <= followed.revision) return;
    followed.revision = news.revision;
    followed.subject.next(news);
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
      for (const { id, revision } of await this.revisionsOf(ids)) await this.catchUp(id, revision);
    } catch {
      // The database is away; the next round asks again.
    }
  }

  /** What another process stored since. */
  private async catchUp(project: string, revision: number): Promise<void> {
    const known = this.followed.get(project)?.revision ?? revision;
    if (known >= revision) return;
    if (known >= 0) {
      const text = await journalText(this.database.manager, project, known, 'news');
      const entries = text === null ? [] : (JSON.parse(text) as Entry[]);
      for (const entry of entries) this.announce(project, { revision: entry.revision, entry });
    }
    this.announce(project, { revision, entry: null });
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
