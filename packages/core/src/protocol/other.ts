import type { OwnFacts } from '../model/exchange.js';
import type { Protocol, ToldField } from './protocol.js';

export const OTHER_ID = 'other';

/** What a new exchange of protocol `other` starts with; all of it is edited on the exchange. */
export const OTHER_FACTS: OwnFacts = {
  name: 'other protocol',
  carries: 'bytes',
  places: 'free',
  tcpPort: null,
  unitTold: false,
};

/** A protocol that is described on the exchange itself, every fact editable. */
export function other(facts: OwnFacts): Protocol {
  const told: ToldField[] = [
    { field: 'address', fallback: null },
    { field: 'tcpPort', fallback: facts.tcpPort === null ? null : String(facts.tcpPort) },
  ];
  if (facts.unitTold) told.push({ field: 'unit', fallback: null });
  return {
    id: OTHER_ID,
    name: facts.name,
    source: 'as described on the exchange',
    media: facts.media?.length ? facts.media : ['ethernet'],
    transfers: ['requests', 'cyclic blocks'],
    carries: () => facts.carries,
    places: (transfer) => (transfer === 'requests' ? facts.places : facts.places === 'named' ? 'free' : facts.places),
    tcpPort: facts.tcpPort,
    told: { calls: facts.tcpPort === null ? told.slice(0, 1).concat(told.slice(2)) : told, listens: [] },
    declares: 'what is agreed with its supplier',
    limit: facts.limit ? { reads: facts.limit * 8, writes: facts.limit * 8 } : null,
  };
}
