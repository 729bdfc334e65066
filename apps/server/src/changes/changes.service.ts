import { Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { journalText } from '../database/journal-text.js';
import { COMMITS_AT_ONCE } from '../database/data-source.js';
import { TooMuchToRead, type ReadsAtMost } from '../database/row-reader.js';
import {
  MOST_NEWS_BODY,
  MOST_SMALL_BODY,
  MOST_SMALL_CHANGES,
  MOST_SMALL_ENTITIES,
  MOST_SMALL_ENTITY,
} from '../edge/limits.js';
import { EventsService, type News } from '../events/events.service.js';
import { Disk } from '../disk/disk.js';
import { ownMemory } from '../work/own-memory.js';
import { WorkService } from '../work/work.service.js';
import { commitChangeSet } from './commit.js';
import { readChangeSet, type SentChangeSet } from './read-change-set.js';
import { Turns } from './turns.js';

const HERE: ReadsAtMost = { entity: MOST_SMALL_ENTITY, all: MOST_SMALL_ENTITIES };

@Injectable()
export class ChangesService {
  private readonly turns = new Turns(COMMITS_AT_ONCE);

  constructor(
    private readonly database: DataSource,
    private readonly events: EventsService,
    private readonly work: WorkService,
    private readonly disk: Disk,
  ) {}

  /**
   * Commits the body of a request. Edits as people make them are committed here; what is large, or touches something
   * large, in another thread.
   */
  async commitBody(project: string, body: Buffer): Promise<number> {
    await this.disk.refuseWithoutRoom(body.length);
    if (body.length <= MOST_SMALL_BODY) {
      const sent = readChangeSet(body);
      if (sent.set.changes.length <= MOST_SMALL_CHANGES) return this.commit(project, sent);
    }
    return this.commitElsewhere(project, body);
  }

  async commit(project: string, sent: SentChangeSet): Promise<number> {
    try {
      const { revision } = await this.turns.take(project, () => commitChangeSet(this.database, project, sent, HERE));
      return this.stored(project, revision, entryOf(revision, sent));
    } catch (error) {
      if (!(error instanceof TooMuchToRead)) throw error;
      const { set, author } = sent;
      return this.commitElsewhere(project, Buffer.from(JSON.stringify({ ...set, ...(author ? { author } : {}) })));
    }
  }

  private async commitElsewhere(project: string, bytes: Buffer): Promise<number> {
    const large = () => {
      const body = ownMemory(bytes);
      return this.work.run('commitLarge', { project, body }, [body.buffer]);
    };
    const { revision } = await this.turns.take(project, large, true);
    return this.stored(project, revision, null);
  }

  private stored(project: string, revision: number, entry: News['entry']): number {
    this.disk.stored();
    this.events.announce(project, { revision, entry });
    return revision;
  }

  /** The change sets after a revision, in order, as the text of a list; or compressed, where they are large. */
  async since(project: string, revision: number): Promise<{ text: string } | { compressed: Uint8Array }> {
    const text = await journalText(this.database.manager, project, revision, 'little');
    if (text !== null) return { text };
    const { list } = await this.work.run('readJournal', { project, since: revision });
    return { compressed: list };
  }
}

/** What goes along with the news of a revision; null where it is too much. */
function entryOf(revision: number, { set, author }: SentChangeSet): News['entry'] {
  return JSON.stringify(set.changes).length > MOST_NEWS_BODY ? null : { revision, author, set };
}
