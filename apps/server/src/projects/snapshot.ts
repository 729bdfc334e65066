/** A project at one revision, compressed, as it comes from the thread that reads it: many can read it at their own pace. */
export class Snapshot {
  readonly revision: Promise<number>;
  bytes = 0;
  readers = 0;
  state: 'coming' | 'whole' | 'broken' = 'coming';
  private readonly chunks: Uint8Array[] = [];
  private error: unknown = null;
  private waiting: (() => void)[] = [];
  private revisionIs!: (revision: number) => void;
  private revisionFailed!: (error: unknown) => void;

  constructor() {
    this.revision = new Promise((resolve, reject) => {
      this.revisionIs = resolve;
      this.revisionFailed = reject;
    });
    this.revision.catch(() => undefined);
  }

  began(revision: number): void {
    this.revisionIs(revision);
  }

  took(chunk: Uint8Array): void {
    this.chunks.push(chunk);
    this.bytes += chunk.byteLength;
    this.wake();
  }

  ended(): void {
    this.state = 'whole';
    this.wake();
  }

  broke(error: unknown): void {
    if (this.state !== 'coming') return;
    this.state = 'broken';
    this.error = error;
    this.revisionFailed(error);
    this.wake();
  }

  /** Its bytes from the first on, as they come. */
  async *read(): AsyncGenerator<Uint8Array> {
    this.readers++;
    try {
      for (let at = 0; ; at++) {
        while (at >= this.chunks.length && this.state === 'coming') {
          await new Promise<void>((resolve) => this.waiting.push(resolve));
        }
        if (at < this.chunks.length) yield this.chunks[at]!;
        else if (this.state === 'broken') throw this.error;
        else return;
      }
    } finally {
      this.readers--;
    }
  }

  private wake(): void {
    for (const resolve of this.waiting.splice(0)) resolve();
  }
}
