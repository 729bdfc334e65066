import {
  BadRequestException,
  ConflictException,
  Injectable,
  NotFoundException,
  type OnModuleDestroy,
} from '@nestjs/common';
import { DataSource } from 'typeorm';
import { loadProject } from '../database/stored-project.js';
import { ProjectsService } from '../projects/projects.service.js';
import type { DoDto, LinkView, RehearsalView } from './rehearsal.dto.js';
import { Running } from './running.js';

/** Plants that one process lets run at once. */
const MOST_RUNNING = 8;

/** The rehearsals that this process runs. They end with it, and nothing else is lost then. */
@Injectable()
export class RehearsalService implements OnModuleDestroy {
  private readonly running = new Map<string, Running>();

  constructor(
    private readonly database: DataSource,
    private readonly projects: ProjectsService,
  ) {}

  async onModuleDestroy(): Promise<void> {
    await Promise.all([...this.running.values()].map((one) => one.end()));
    this.running.clear();
  }

  /** Lets the newest revision run; one that runs already begins anew on it. */
  async start(id: string, by: string): Promise<RehearsalView> {
    const { revision } = await this.projects.get(id);
    await this.end(id);
    if (this.running.size >= MOST_RUNNING) {
      throw new ConflictException({ message: `${MOST_RUNNING} rehearsals run already; end one of them first.` });
    }
    const project = await loadProject(this.database.manager, id);
    const one = await Running.begin(project, revision, by);
    this.running.set(id, one);
    return one.view();
  }

  async end(id: string): Promise<void> {
    const one = this.running.get(id);
    this.running.delete(id);
    await one?.end();
  }

  /** Null: none runs. */
  async view(id: string): Promise<RehearsalView | null> {
    await this.isThere(id);
    return this.running.get(id)?.view() ?? null;
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

  private async of(id: string): Promise<Running> {
    await this.isThere(id);
    const one = this.running.get(id);
    if (!one) throw new NotFoundException({ message: 'No rehearsal runs.' });
    return one;
  }

  /** The project may have been deleted under its rehearsal, which then ends. */
  private async isThere(id: string): Promise<void> {
    await this.projects.get(id).catch(async (error: unknown) => {
      if (error instanceof NotFoundException) await this.end(id);
      throw error;
    });
  }
}
