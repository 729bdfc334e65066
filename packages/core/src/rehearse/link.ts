import type { Exchange } from '../model/exchange.js';
import type { Trigger } from '../model/words.js';
import type { Path } from './path.js';

/** One way on which data goes, as it goes while the plant runs. */
export interface Link {
  id: string;
  exchange: Exchange;
  lane: string;
  path: Path;
  /** µs */
  every: number;
  /** µs from the last arrival on until its loss is noticed */
  timeout: number;
  /** when something last arrived; null: never yet */
  arrived: number | null;
  /** since when nothing arrives any more; null: it is up */
  lost: number | null;
  /** the hop that stops it now, in its own words; null: none does */
  stopped: string | null;
  asked: number;
  answered: number;
  /** a request is under way, and its answer is not there yet */
  waits: boolean;
  /** when it goes; null: in the cadence of the exchange */
  trigger: Trigger | null;
  /** µs from a request to its answer */
  delay: number;
  /** whether what is sent is other than when it was asked last */
  changed: () => boolean;
  move: () => void;
}

/** Carries what some links carry in a way of its own, over real sockets for one; the others are moved in the plant. */
export interface Carrier {
  carries(link: Link): boolean;
  /** Null: it arrived; otherwise why it did not. */
  carry(link: Link): Promise<string | null>;
}

/** Whether data goes in the same way on both: the same bits, on the same terms. */
export function sameWay(a: Link, b: Link): boolean {
  const terms = ({ exchange, path, every, timeout, trigger, delay }: Link) =>
    JSON.stringify([
      exchange,
      path.stopped,
      path.source.moved.memory.area.id,
      path.sink.moved.memory.area.id,
      every,
      timeout,
      trigger,
      delay,
    ]);
  const bits = ({ path: { moves } }: Link) => (moves && moves !== 'values' ? [moves.from.bits, moves.to.bits] : []);
  const [own, other] = [bits(a), bits(b)];
  return (
    terms(a) === terms(b) &&
    own.length === other.length &&
    own.every((row, i) => row.length === other[i]!.length && row.every((bit, n) => bit === other[i]![n]))
  );
}
