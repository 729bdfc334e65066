import type { Area, Claim, End, Exchange, Lane, View } from '@dialoga/core/model';
import { end, told } from './ends.js';

/** Weather and hatches by radio into the registers of the base, and from there to the plant over its line. */
export const ROOF_EXCHANGES: Exchange[] = [
  {
    id: 'weather',
    order: 80,
    name: 'Roof weather',
    kind: 'gateway memory',
    protocol: 'radio-mirror',
    transfer: 'cyclic blocks',
    cadence: 1000,
    onLoss: { sinks: 'hold the last value', source: 'is told by a status', back: 'wait for a release' },
    watchedBy: 'roof-io-28',
  },
  {
    id: 'roof',
    order: 85,
    name: 'Roof readings',
    kind: 'gateway memory',
    protocol: 'modbus-rtu',
    transfer: 'requests',
    cadence: 500,
    timeout: 200,
    responseDelay: 20,
  },
];

export const ROOF_ENDS: End[] = [
  end('weather', 'roofbase', 10, 'port-roofbase-roof-radio', 'listens'),
  end('weather', 'roofa', 20, 'port-roofa-roof-radio', 'calls'),
  end('weather', 'roofb', 30, 'port-roofb-roof-radio', 'calls'),
  end('roof', 'plantctl', 10, 'port-plantctl-roof-line', 'calls', { 'roof-roofbase': told({ unit: '21' }) }),
  end('roof', 'roofbase', 20, 'port-roofbase-roof-line', 'listens'),
];

const table = (kind: 'discrete inputs' | 'input registers', unit: 1 | 16, order: number): Area => ({
  id: `roofbase-${unit === 1 ? 'inputs' : 'registers'}`,
  order,
  station: 'roofbase',
  kind,
  name: unit === 1 ? 'Discrete inputs' : 'Input registers',
  wordBits: 16,
  words: 64,
  writers: [],
  views: {
    ref: { order: 10, name: 'references', notation: 'reference 5', table: kind, unit, first: 1 } satisfies View,
  },
  reservations: {},
});
export const ROOF_AREAS: Area[] = [table('discrete inputs', 1, 10), table('input registers', 16, 20)];

/** What PlantCtl asks for: registers and inputs of the modules, dial by dial. */
const READINGS = [
  { id: 'wind', name: 'Wind', area: 'roofbase-registers', number: 13, told: '30013', word: 760, type: 'INT', count: 2 },
  { id: 'wind-alarms', name: 'WindAlarms', area: 'roofbase-inputs', number: 49, told: '10049', word: 764, bits: 8 },
  { id: 'hatches', name: 'Hatches', area: 'roofbase-inputs', number: 97, told: '10097', word: 765, bits: 8 },
] as const;

export const ROOF_LANES: Lane[] = READINGS.map(({ id }, i) => ({
  id: `roof-${id}`,
  order: (i + 1) * 10,
  exchange: 'roof',
  items: {},
}));

export const ROOF_CLAIMS: Claim[] = READINGS.flatMap((reading): Claim[] => {
  const bits = 'bits' in reading;
  const claim = (who: string, direction: 'writes' | 'reads', rest: Pick<Claim, 'place' | 'toldPlace'>): Claim => ({
    id: `roof-${reading.id}-${who}`,
    lane: `roof-${reading.id}`,
    end: `roof-${who}`,
    name: reading.name,
    direction,
    swap: null,
    items: {},
    length: bits ? { count: reading.bits, unit: 1 } : { count: reading.count, unit: 16 },
    type: bits ? { base: 'BOOL', count: reading.bits } : { base: reading.type, count: reading.count },
    ...rest,
  });
  return [
    claim('plantctl', 'reads', {
      place: { area: 'plantctl-memory', view: 'mw', number: reading.word, width: 16 },
      toldPlace: reading.told,
    }),
    claim('roofbase', 'writes', {
      place: { area: reading.area, view: 'ref', number: reading.number },
      toldPlace: null,
    }),
  ];
});
