/** What says again and again that it is still there has gone when it says nothing for so long. */
export class Silence {
  private readonly seen = new Map<string, { beat: number; since: number }>();

  constructor(private readonly ms: number) {}

  /** Whether nothing was heard since: by its beats changing while somebody looks, never by what a clock says: those jump. */
  isSilent(id: string, beat: Date): boolean {
    const [now, is] = [performance.now(), beat.getTime()];
    const known = this.seen.get(id);
    if (known?.beat !== is) this.seen.set(id, { beat: is, since: now });
    return known?.beat === is && now - known.since > this.ms;
  }

  forget(id: string): void {
    this.seen.delete(id);
  }
}
