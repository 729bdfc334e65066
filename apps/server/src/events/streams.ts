import { HttpException } from '@nestjs/common';
import { MOST_STREAMS, MOST_STREAMS_OF_ONE } from '../edge/limits.js';

/** Streams that are open, by who asked for them. */
export class Streams {
  private readonly open = new Map<string, number>();
  private all = 0;

  /** One more of this caller; gives how it is closed again. Throws the answer, 429, where there are enough. */
  add(caller: string): () => void {
    const own = this.open.get(caller) ?? 0;
    if (own >= MOST_STREAMS_OF_ONE || this.all >= MOST_STREAMS) {
      throw new HttpException({ message: 'Too many streams of news are open; close one first.' }, 429);
    }
    this.open.set(caller, own + 1);
    this.all++;
    return () => {
      const left = this.open.get(caller)! - 1;
      if (left === 0) this.open.delete(caller);
      else this.open.set(caller, left);
      this.all--;
    };
  }
}
