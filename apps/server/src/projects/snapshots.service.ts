import { MessageChannel } from 'node:worker_threads';
import { Injectable, ServiceUnavailableException } from '@nestjs/common';
import { MOST_ANSWER_BYTES } from '../edge/limits.js';
import { WorkService } from '../work/work.service.js';
import { Snapshot } from './snapshot.js';
import type { SectionMessage } from './stream-sections.js';

/** Bytes of snapshots that are kept though nobody reads them just now. */
const MOST_KEPT = 32 * 1024 * 1024;

/**
 * Projects as they are opened. One reading serves everyone who opens the same revision, and it is kept for the next one
 * until there are too many.
 */
@Injectable()
export class SnapshotsService {
  /** by project, the one asked for last last */
  private readonly kept = new Map<string, Snapshot>();
  private readonly all = new Set<Snapshot>();

  constructor(private readonly work: WorkService) {}

  /** The project at this revision or a later one. 503 where slow readers hold too much already. */
  async of(project: string, revision: number): Promise<Snapshot> {
    const known = this.kept.get(project);
    if (known && known.state !== 'broken' && (await known.revision.catch(() => -1)) >= revision) {
      this.kept.delete(project);
      this.kept.set(project, known);
      return known;
    }
    this.forget();
    const held = [...this.all].reduce((sum, one) => sum + one.bytes, 0);
    if (held > MOST_ANSWER_BYTES) {
      throw new ServiceUnavailableException({ message: 'Too many answers wait to be read; try again in a moment.' });
    }
    return this.begin(project);
  }

  private begin(project: string): Snapshot {
    const snapshot = new Snapshot();
    this.kept.set(project, snapshot);
    this.all.add(snapshot);
    const { port1, port2 } = new MessageChannel();
    const done = () => port1.close();
    port1.on('message', (message: SectionMessage) => {
      if (message === 'end') {
        snapshot.ended();
        done();
      } else if (ArrayBuffer.isView(message)) snapshot.took(message);
      else snapshot.began(message.revision);
    });
    this.work.run('openProject', { project, port: port2 }, [port2]).catch((error: unknown) => {
      snapshot.broke(error);
      if (this.kept.get(project) === snapshot) this.kept.delete(project);
      done();
    });
    return snapshot;
  }

  /** Lets go of what nobody reads: what is not kept any more, and of what is kept the oldest over the most. */
  private forget(): void {
    let bytes = [...this.kept.values()].reduce((sum, one) => sum + one.bytes, 0);
    for (const [project, snapshot] of this.kept) {
      if (bytes <= MOST_KEPT) break;
      if (snapshot.readers > 0 || snapshot.state === 'coming') continue;
      this.kept.delete(project);
      bytes -= snapshot.bytes;
    }
    const kept = new Set(this.kept.values());
    for (const snapshot of this.all) {
      if (!kept.has(snapshot) && snapshot.readers === 0 && snapshot.state !== 'coming') this.all.delete(snapshot);
    }
  }
}
