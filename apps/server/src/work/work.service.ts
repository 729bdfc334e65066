import {
  Inject,
  Injectable,
  PayloadTooLargeException,
  ServiceUnavailableException,
  type OnModuleDestroy,
} from '@nestjs/common';
import { Piscina } from 'piscina';
import type { Config } from '../base/config.js';
import { CONFIG } from '../base/config.js';
import { LONG_COMMIT_MS } from '../edge/limits.js';
import { valueOf, type Outcome } from './outcome.js';
import type { Tasks } from './tasks.js';

export type WorkName = keyof Tasks;
type Given<N extends WorkName> = Parameters<Tasks[N]>[0];
type Gives<N extends WorkName> = Awaited<ReturnType<Tasks[N]>> extends Outcome<infer T> ? T : never;

interface Lane {
  threads: { minThreads: number; maxThreads: number };
  /** pieces of work that may wait */
  waiting: number;
  /** ms that one may take */
  limitMs: number;
  /** MB of objects in one thread */
  memoryMb: number;
}

/** Work that is alike waits in one lane, so that an import does not hold up who opens a project. */
const LANES = {
  reading: { threads: { minThreads: 1, maxThreads: 2 }, waiting: 64, limitMs: 25_000, memoryMb: 512 },
  writing: { threads: { minThreads: 0, maxThreads: 1 }, waiting: 16, limitMs: LONG_COMMIT_MS, memoryMb: 768 },
  counting: { threads: { minThreads: 0, maxThreads: 1 }, waiting: 64, limitMs: 5 * 60_000, memoryMb: 768 },
  jobs: { threads: { minThreads: 0, maxThreads: 1 }, waiting: 8, limitMs: 20 * 60_000, memoryMb: 1024 },
} as const satisfies Record<string, Lane>;

const LANE_OF: Record<WorkName, keyof typeof LANES> = {
  openProject: 'reading',
  exportFile: 'reading',
  readJournal: 'reading',
  commitLarge: 'writing',
  pastRevision: 'reading',
  countFindings: 'counting',
  storeDemo: 'reading',
  importFile: 'jobs',
  copyProject: 'jobs',
};

const IDLE_MS = 60_000;
const BUSY = 'The server has too much to do just now; try again in a moment.';
const TOO_LONG = 'This took longer than the server lets anything take; nothing was changed.';
const TOO_MUCH = 'This needs more memory than the server lets anything take; nothing was changed.';

/** Hands work to other threads and gives what comes of it; refuses where too much waits, and ends what takes too long. */
@Injectable()
export class WorkService implements OnModuleDestroy {
  private readonly pools = new Map<keyof typeof LANES, Piscina>();

  constructor(@Inject(CONFIG) private readonly config: Config) {}

  /** Begins what the first who opens a project would wait a second for. */
  warm(): void {
    this.pool('reading');
  }

  /**
   * Does a piece of work elsewhere. What stands in `transfer` goes over without a copy and is no longer here.
   * Throws the answer that the work refuses with; 503 where too much waits or it took too long, 413 where it was too large.
   */
  async run<N extends WorkName>(name: N, given: Given<N>, transfer: readonly object[] = []): Promise<Gives<N>> {
    const lane = LANE_OF[name];
    const pool = this.pool(lane);
    if (pool.queueSize >= LANES[lane].waiting) throw new ServiceUnavailableException({ message: BUSY });
    const ended = AbortSignal.timeout(LANES[lane].limitMs);
    let outcome: Outcome<Gives<N>>;
    try {
      outcome = (await pool.run(given, {
        name,
        signal: ended,
        transferList: transfer as never,
      })) as Outcome<Gives<N>>;
    } catch (error) {
      if (ended.aborted) throw new ServiceUnavailableException({ message: TOO_LONG });
      if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') {
        throw new PayloadTooLargeException({ message: TOO_MUCH });
      }
      throw error;
    }
    return valueOf(outcome);
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all([...this.pools.values()].map((pool) => pool.destroy()));
  }

  private pool(lane: keyof typeof LANES): Piscina {
    const known = this.pools.get(lane);
    if (known) return known;
    const { threads, memoryMb } = LANES[lane];
    const pool = new Piscina({
      filename: this.config.threadFile,
      ...threads,
      idleTimeout: IDLE_MS,
      // The loop of a thread at rest goes on: it has connections that may break.
      atomics: 'disabled',
      resourceLimits: { maxOldGenerationSizeMb: memoryMb },
      workerData: { databaseUrl: this.config.databaseUrl, demoFolder: this.config.demoFolder },
    });
    // A thread that breaks fails its own piece of work; the pool goes on with another.
    pool.on('error', () => undefined);
    this.pools.set(lane, pool);
    return pool;
  }
}
