import { lengthBits } from '../place/length.js';
import { readable } from '../model/as-typed.js';
import type { Exchange } from '../model/exchange.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { protocolOf } from '../protocol/catalogue.js';

/** Which way of transfer suits an exchange, why, and what each way costs to set up. */
export interface Advice {
  suits: 'cyclic blocks' | 'requests';
  /** each with the figure that it rests on */
  because: readonly string[];
  /** what speaks for the other way all the same */
  but: readonly string[];
  costs: Record<'cyclic blocks' | 'requests', readonly string[]>;
  /** the way that it has now is another one */
  differs: boolean;
  /** the protocol has the way that suits */
  possible: boolean;
}

/** Data that is asked for less often than that is rare. ms */
const RARE = 10_000;
/** Less than that is little. bytes */
const LITTLE = 64;

/**
 * Cyclic in the background, or requests from the program: requests where the partner is chosen at run time, where data
 * goes on demand or on change, or where it is little and rare; else cyclic. [common practice]
 */
export function adviseTransfer(reader: Reader, exchange: Exchange): Advice {
  const ends = childrenOf(reader, 'end', exchange.id);
  const claims = childrenOf(reader, 'lane', exchange.id).map((lane) => childrenOf(reader, 'claim', lane.id));
  const bytes = claims.reduce((sum, [first]) => {
    const length = first ? readable(first.length) : null;
    return sum + (length ? Math.ceil(lengthBits(length) / 8) : 0);
  }, 0);
  const permitted = ends.filter((end) => end.permitted).length;
  const triggered = claims.filter((list) => list.some((c) => c.trigger && c.trigger !== 'cyclic')).length;
  const rare = exchange.cadence === null || exchange.cadence >= RARE;
  const forRequests = [
    ...(permitted > 0
      ? [
          `${permitted === 1 ? '1 partner is' : `${permitted} partners are`} permitted, and which one is chosen while it runs`,
        ]
      : []),
    ...(triggered > 0 ? [`${triggered} of ${claims.length} blocks go on change or on demand`] : []),
    ...(rare && bytes <= LITTLE && bytes > 0 ? [`${bytes} bytes, ${rhythm(exchange)}: small and infrequent`] : []),
  ];
  const forCyclic = [
    ...(exchange.cadence !== null && exchange.cadence < RARE ? [`${bytes} bytes, ${rhythm(exchange)}`] : []),
    ...(bytes > LITTLE ? [`${bytes} bytes are more than a program should pass on by hand`] : []),
    ...(permitted === 0 ? ['the partner is always the same'] : []),
  ];
  const suits = forRequests.length > 0 ? 'requests' : 'cyclic blocks';
  const { transfers } = protocolOf(exchange);
  return {
    suits,
    because: suits === 'requests' ? forRequests : forCyclic,
    but: suits === 'requests' ? forCyclic.filter((why) => !why.startsWith('the partner')) : [],
    costs: {
      'cyclic blocks': [
        `both ends reserve ${bytes} bytes for good, and agree on ${claims.length} blocks before they run`,
        'nothing to program; a status for the lost link has to be looked at',
        'another partner, or another length, means loading both ends again',
      ],
      requests: [
        `${claims.length} calls in the program of each end that calls, with start, done and error of each`,
        'one call at a time to one partner; the next waits for its answer',
        'another partner or another length is another parameter of the call',
      ],
    },
    differs: exchange.transfer !== suits,
    possible: transfers.includes(suits),
  };
}

const rhythm = ({ cadence }: Exchange): string => (cadence === null ? 'on request' : `every ${cadence} ms`);
