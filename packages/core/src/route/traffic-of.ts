import type { Exchange } from '../model/exchange.js';
import type { Traffic } from '../model/words.js';

/** What the data of an exchange travels as. */
export const trafficOf = ({ kind, transfer }: Pick<Exchange, 'kind' | 'transfer'>): Traffic =>
  kind === 'service link' ? 'looking on' : transfer === 'cyclic blocks' ? 'cyclic data' : 'requests';
