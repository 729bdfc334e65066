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
  if (lost === null && stopped === null) {
    const source = 'link up';
    return { sink: asItCame(arrived, now), source, status: 'present' };
  }
  const { sinks, source } = exchange.onLoss ?? {};
  return {
    sink: lost === null ? asItCame(arrived, now) : sinkWords(sinks, asItCame(arrived, now)),
    source: lost === null ? 'link up, it is not noticed yet' : sourceWords(source, path.source.station.name),
    status:
      lost === null
        ? 'present'
        : exchange.watchedBy
          ? `lost since ${Math.round((now - lost) / MS)} ms`
          : 'nobody watches it',
  };
}

/** `as it came 1200 ms ago`, or what it began with. */
const asItCame = (arrived: number | null, now: number): string =>
  arrived === null ? 'as it began, nothing came yet' : `as it came ${Math.round((now - arrived) / MS)} ms ago`;

const sinkWords = (sinks: SinksOnLoss | undefined, came: string): string =>
  sinks === 'go to zero'
    ? 'at zero'
    : sinks === 'go to a set value'
      ? 'at its set value'
      : sinks === 'hold the last value'
        ? `held ${came}`
        : `${came}; what it does on a loss is not decided`;

const sourceWords = (source: SourceOnLoss | undefined, name: string): string =>
  source === 'is told by a status'
    ? 'link down, by its status'
    : source === 'goes on commanding'
      ? `${name} goes on commanding, and knows of nothing`
      : 'what it is told on a loss is not decided';
