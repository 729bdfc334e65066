/** Something that is due at a time. */
interface Due<T> {
  at: number;
  /** of those that are due at one time, the one that was entered first comes first */
  order: number;
  what: T;
}

/** Events in the order of their times; a heap. */
export class EventQueue<T> {
  private readonly heap: Due<T>[] = [];
  private count = 0;

  add(at: number, what: T): void {
    const { heap } = this;
    heap.push({ at, order: this.count++, what });
    for (let i = heap.length - 1; i > 0;) {
      const up = (i - 1) >> 1;
      if (before(heap[up]!, heap[i]!)) break;
      [heap[i], heap[up]] = [heap[up]!, heap[i]!];
      i = up;
    }
  }

  /** The time of the next event; Infinity: there is none. */
  get next(): number {
    return this.heap[0]?.at ?? Infinity;
  }

  take(): T | undefined {
    const { heap } = this;
    const [first] = heap;
    const last = heap.pop();
    if (heap.length > 0 && last) {
      heap[0] = last;
      for (let i = 0; ;) {
        let least = i;
        for (const down of [2 * i + 1, 2 * i + 2])
          if (down < heap.length && before(heap[down]!, heap[least]!)) least = down;
        if (least === i) break;
        [heap[i], heap[least]] = [heap[least]!, heap[i]!];
        i = least;
      }
    }
    return first?.what;
  }
}

const before = <T>(a: Due<T>, b: Due<T>): boolean => a.at < b.at || (a.at === b.at && a.order < b.order);
