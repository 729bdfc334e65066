import type { SinksOnLoss, SourceOnLoss } from '../model/words.js';
import type { Link } from './link.js';

/** µs in a millisecond */
const MS = 1000;

/** What each side knows of a link, which need not be one truth. */
export interface LinkTruths {
  /** what the sink has */
  sink: string;
  /** what the source’s program believes */
  source: string;
  /** what its status says */
  status: string;
}

/** What each side of a link knows of it. */
export function truthsOf({ arrived, lost, stopped, exchange, path }: Link, now: number): LinkTruths {
  const since = (at: number | null) => (at === null ? 'never' : `${Math.round((now - at) / MS)} ms ago`);
  if (lost === null && stopped === null) {
    const source = 'link up';
    return { sink: `as it came ${since(arrived)}`, source, status: 'present' };
  }
  const { sinks, source } = exchange.onLoss ?? {};
  return {
    sink: lost === null ? `as it came ${since(arrived)}` : sinkWords(sinks, since(arrived)),
    source: lost === null ? 'link up, it is not noticed yet' : sourceWords(source, path.source.station.name),
    status:
      lost === null
        ? 'present'
        : exchange.watchedBy
          ? `lost since ${Math.round((now - lost) / MS)} ms`
          : 'nobody watches it',
  };
}

const sinkWords = (sinks: SinksOnLoss | undefined, since: string): string =>
  sinks === 'go to zero'
    ? 'zero'
    : sinks === 'go to a set value'
      ? 'its set value'
      : sinks === 'hold the last value'
        ? `held as it came ${since}`
        : `not decided; as it came ${since}`;

const sourceWords = (source: SourceOnLoss | undefined, name: string): string =>
  source === 'is told by a status'
    ? 'link down, by its status'
    : source === 'goes on commanding'
      ? `${name} goes on commanding, and knows of nothing`
      : 'not decided';
