import type { JournalEntry } from '../api/client';

/** What the server tells of a project: its newest revision, and what that stored, where it is small. */
export interface Told {
  project: string;
  revision: number;
  entry: JournalEntry | null;
}

const RETRY_MS = 5000;

/**
 * One stream for any number of projects. A stream that broke is taken up again by the browser; one that was refused
 * (a proxy whose server is away) is asked for again after a while.
 */
export class Stream {
  private source: EventSource | null = null;
  private asked = '';
  private retry: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly tell: (told: Told) => void) {}

  /** Follows these projects and no others; what is newest is told again of all where there is another one. */
  follow(projects: Iterable<string>): void {
    const wanted = [...new Set(projects)].sort().join(',');
    if (wanted === this.asked) return;
    this.asked = wanted;
    this.open();
  }

  private open(): void {
    clearTimeout(this.retry);
    this.source?.close();
    this.source = null;
    if (this.asked === '') return;
    const source = new EventSource(`/api/events?projects=${encodeURIComponent(this.asked)}`);
    source.onmessage = ({ data }: MessageEvent<string>) => this.tell(JSON.parse(data) as Told);
    source.onerror = () => {
      if (source.readyState === EventSource.CLOSED) this.retry = setTimeout(() => this.open(), RETRY_MS);
    };
    this.source = source;
  }
}
