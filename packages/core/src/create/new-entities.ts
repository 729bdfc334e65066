import { OTHER_FACTS, OTHER_ID } from '../protocol/other.js';
import type { Acceptance } from '../model/acceptance.js';
import type { Area } from '../model/area.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import type { Network } from '../model/network.js';
import type { Port } from '../model/port.js';
import type { Station } from '../model/station.js';
import type { View } from '../model/view.js';
import type { NotationId, OwnWriter } from '../model/words.js';

/** New entities with nothing decided that a person has to decide. Ids come from outside. */
export const newStation = (id: string, order: number, name: string): Station => ({
  id,
  order,
  name,
  roles: ['controller'],
  profile: null,
  party: 'own',
});

export const newNetwork = (id: string, order: number, name: string): Network => ({
  id,
  order,
  name,
  kind: 'ethernet',
});

export const newPort = (id: string, order: number, station: string, network: string | null): Port => ({
  id,
  order,
  name: 'Ethernet',
  station,
  network,
  enabled: true,
  purpose: 'general',
  address: '',
  mask: '255.255.255.0',
  gateway: '',
  former: [],
  listens: {},
  unit: null,
});

/**
 * Who writes an area besides the exchanges, by the kind of its station: the memory of a gateway or a coupler has nobody,
 * all other memory a program.
 */
export const writersOf = ({ roles }: Pick<Station, 'roles'>): OwnWriter[] =>
  roles.every((role) => role === 'gateway' || role === 'coupler') && roles.length > 0 ? [] : ['program'];

/** An area of 4,096 words, in which the station's own program puts data. */
export const newArea = (id: string, order: number, station: string, name: string): Area => ({
  id,
  order,
  name,
  station,
  kind: 'memory',
  wordBits: 16,
  words: 4096,
  writers: ['program'],
  views: {},
  reservations: {},
});

const VIEW_STARTS: Record<NotationId, Omit<View, 'order' | 'notation'>> = {
  'iec elements': { name: 'elements', prefix: 'M', unit: 16, first: 0 },
  'iec bytes': { name: 'bytes', prefix: 'M', unit: 8, first: 0 },
  'reference 5': { name: 'references', table: 'holding registers', unit: 16, first: 1 },
  'reference 6': { name: 'references', table: 'holding registers', unit: 16, first: 1 },
  'table and number': { name: 'tables', table: 'holding registers', unit: 16, first: 1 },
  'protocol address': { name: 'protocol addresses', table: 'holding registers', unit: 16, first: 0 },
  'prefix and number': { name: 'words', prefix: 'w', unit: 16, first: 0 },
  'byte offset': { name: 'bytes', unit: 8, first: 0 },
  'name and element': { name: 'elements', prefix: 'Data', unit: 16, first: 0 },
};

export const newView = (order: number, notation: NotationId): View => ({ order, notation, ...VIEW_STARTS[notation] });

export const newExchange = (id: string, order: number, name: string, protocol: string): Exchange => ({
  id,
  order,
  name,
  kind: 'peer connection',
  protocol,
  transfer: protocol === OTHER_ID ? 'cyclic blocks' : 'requests',
  ...(protocol === OTHER_ID ? { facts: OTHER_FACTS } : {}),
  cadence: null,
});

/** What somebody says of a Doubt. */
export const newAcceptance = (
  id: string,
  order: number,
  finding: string,
  rests: string,
  word: Pick<Acceptance, 'reason' | 'name' | 'at'>,
): Acceptance => ({ id, order, finding, rests, ...word });

export const newEnd = (
  id: string,
  order: number,
  exchange: string,
  station: string,
  port: string | null,
  calling: End['calling'],
): End => ({ id, order, exchange, station, port, calling, swap: 'none', told: {} });
