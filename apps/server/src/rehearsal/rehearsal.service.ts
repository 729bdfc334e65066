import type { ChangeSet } from '@dialoga/core/change';
import type { Kind } from '@dialoga/core/model';
import {
  BadRequestException,
  ConflictException,
  Injectable,
  NotFoundException,
  type OnModuleDestroy,
} from '@nestjs/common';
import type { Subscription } from 'rxjs';
import { DataSource } from 'typeorm';
import { loadProject } from '../database/stored-project.js';
import { EventsService, type News } from '../events/events.service.js';
import { ProjectsService } from '../projects/projects.service.js';
import type { DoDto, LinkView, RehearsalState, RehearsalView } from './rehearsal.dto.js';
import { Running } from './running.js';
import { WhoRunsIt } from './who-runs-it.js';

/** Plants that one process lets run at once. */
const MOST_RUNNING = 8;

/** Kinds that the plant does not play: what was found, done and held on site, and what was said of findings. */
const NOT_PLAYED: ReadonlySet<Kind> = new Set([
  'found',
  'work',
  'temporary',
  'acceptance',
  'tick',
  'setting',
  'import',
]);

const changesNothingPlayed = ({ changes }: ChangeSet): boolean => changes.every(({ kind }) => NOT_PLAYED.has(kind));

interface Entry {
  running: Running;
  /** edits of the project, which it goes on with */
  edits: Subscription;
}

/** The rehearsals that this process runs. They end with it, and nothing else is lost then. */
@Injectable()
export class RehearsalService implements OnModuleDestroy {
  private readonly entries = new Map<string, Entry>();
  /** what begins, ends and goes on, one after the other for each project */
  private readonly turns = new Map<string, Promise<unknown>>();

  constructor(
    private readonly database: DataSource,
    private readonly projects: ProjectsService,
    private readonly events: EventsService,
    private readonly who: WhoRunsIt,
  ) {}

  async onModuleDestroy(): Promise<void> {
    await Promise.all([...this.entries.values()].map((one) => this.close(one)));
    this.entries.clear();
  }

  /** Lets the newest revision run; one that runs already begins anew on it. */
  start(id: string, by: string): Promise<RehearsalView> {
    return this.inTurn(id, async () => {
      const { revision } = await this.projects.get(id);
      await this.endNow(id);
      await this.who.ended(id);
      if (this.entries.size >= MOST_RUNNING) {
        throw new ConflictException({ message: `${MOST_RUNNING} rehearsals run already; end one of them first.` });
      }
      const project = await loadProject(this.database.manager, id);
      const running = await Running.begin(project, revision, by);
      const edits = this.events.news(id).subscribe((news) => void this.goOn(id, news));
      this.entries.set(id, { running, edits });
      await this.who.began(id, by);
      return running.view();
    });
  }

  end(id: string): Promise<void> {
    return this.inTurn(id, async () => {
      await this.endNow(id);
      await this.who.ended(id);
    });
  }

  async view(id: string): Promise<RehearsalState> {
    await this.isThere(id);
    const running = this.entries.get(id)?.running.view() ?? null;
    return { running, elsewhere: running ? null : await this.who.elsewhere(id) };
  }

  async links(id: string, exchange: string): Promise<LinkView[]> {
    return (await this.of(id)).linksOf(exchange);
  }

  async do(id: string, asked: DoDto): Promise<RehearsalView> {
    const one = await this.of(id);
    const refused = one.do(asked);
    if (refused) throw new BadRequestException({ message: refused });
    return one.view();
  }

  /** After an edit the plant goes on with the project as it is now: only what the edit touches begins anew. */
  private goOn(id: string, { revision, entry }: News): Promise<void> {
    return this.inTurn(id, async () => {
      const running = this.entries.get(id)?.running;
      if (!running || running.revision >= revision) return;
      if (entry && running.revision === revision - 1 && changesNothingPlayed(entry.set)) {
        running.revision = revision;
        return;
      }
      await running.goOn(await loadProject(this.database.manager, id), revision);
    }).catch(() => undefined);
  }

  private inTurn<T>(id: string, work: () => Promise<T>): Promise<T> {
    const turn = (this.turns.get(id) ?? Promise.resolve()).then(work, work);
    this.turns.set(id, turn);
    const done = () => this.turns.get(id) === turn && this.turns.delete(id);
    turn.then(done, done);
    return turn;
  }

  private async endNow(id: string): Promise<void> {
    const one = this.entries.get(id);
    this.entries.delete(id);
    if (one) await this.close(one);
  }

  private async close({ running, edits }: Entry): Promise<void> {
    edits.unsubscribe();
    await running.end();
  }

  private async of(id: string): Promise<Running> {
    await this.isThere(id);
    const one = this.entries.get(id);
    if (!one) throw new NotFoundException({ message: 'No rehearsal runs.' });
    return one.running;
  }

  /** The project may have been deleted under its rehearsal, which then ends. */
  private async isThere(id: string): Promise<void> {
    await this.projects.get(id).catch(async (error: unknown) => {
      if (error instanceof NotFoundException) await this.end(id);
      throw error;
    });
  }
}
