/** Decisions that come out the same for the same seed (mulberry32). */
export class Dice {
  constructor(private state: number) {}

  /** A whole number from 0 up to, and without, `end`. */
  below(end: number): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return Math.floor((((t ^ (t >>> 14)) >>> 0) / 2 ** 32) * end);
  }

  from(least: number, most: number): number {
    return least + this.below(most - least + 1);
  }

  pick<T>(list: readonly T[]): T {
    if (list.length === 0) throw new Error('nothing to pick from');
    return list[this.below(list.length)]!;
  }

  /** Whether something comes true that does so once in `of`. */
  once(of: number): boolean {
    return this.below(of) === 0;
  }
}
