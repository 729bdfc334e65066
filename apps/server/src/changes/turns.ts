import { ServiceUnavailableException } from '@nestjs/common';

/** Commits that may wait for one project before more are put off. */
const MOST_WAITING = 200;

/**
 * Commits to one project take turns here, before they take a connection: those that wait for its lock would otherwise
 * hold all of them, and nobody else could be answered. Of all projects only a few commit at once, for the same reason.
 */
export class Turns {
  private readonly lines = new Map<string, { last: Promise<unknown>; length: number }>();
  private free: number;
  private readonly waiting: (() => void)[] = [];

  constructor(most: number) {
    this.free = most;
  }

  /** `elsewhere`: the work takes no connection of this thread. Throws the answer, 503, where too many wait. */
  async take<T>(project: string, work: () => Promise<T>, elsewhere = false): Promise<T> {
    const line = this.lines.get(project) ?? { last: Promise.resolve(), length: 0 };
    if (line.length >= MOST_WAITING) {
      throw new ServiceUnavailableException({ message: 'Too many edits of this project wait; try again in a moment.' });
    }
    this.lines.set(project, line);
    line.length++;
    const mine = line.last.catch(() => undefined).then(() => (elsewhere ? work() : this.atOnce(work)));
    line.last = mine;
    try {
      return await mine;
    } finally {
      line.length--;
      if (line.length === 0) this.lines.delete(project);
    }
  }

  private async atOnce<T>(work: () => Promise<T>): Promise<T> {
    if (this.free === 0) await new Promise<void>((resolve) => this.waiting.push(resolve));
    else this.free--;
    try {
      return await work();
    } finally {
      const next = this.waiting.shift();
      if (next) next();
      else this.free++;
    }
  }
}
