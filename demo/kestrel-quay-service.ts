import { IN_TAG, type Claim, type End, type Exchange, type Lane, type Tag } from '@dialoga/core/model';
import { end, told } from './ends.js';

/** The engineer's tools, and the telemetry that one of them looks at. */
export const SERVICE_EXCHANGES: Exchange[] = [
  {
    id: 'brine',
    order: 100,
    name: 'Brine telemetry',
    kind: 'peer connection',
    protocol: 'dnp3',
    transfer: 'requests',
    cadence: 5000,
    timeout: 2000,
  },
  {
    id: 'service',
    order: 120,
    name: 'Service visits',
    kind: 'service link',
    protocol: 'service-access',
    transfer: 'requests',
    cadence: null,
    comment: 'what the tools on the laptop were told',
  },
];

export const serviceEnds = (agreed: boolean): End[] => [
  end('brine', 'controlroom', 10, 'port-controlroom', 'calls', {
    'brine-brinertu': told({ address: '10.48.10.31', telemetry: '31' }),
  }),
  end('brine', 'brinertu', 20, 'port-brinertu', 'listens'),
  end('service', 'servicelaptop', 10, 'port-servicelaptop', 'calls', {
    'service-plantctl': told({ address: '10.48.10.11', slot: '0' }),
    'service-brinertu': told({ address: '10.48.10.31', telemetry: agreed ? '31' : '0' }),
    'service-defrostctl': told({ node: '9' }),
  }),
  end('service', 'plantctl', 20, 'port-plantctl', 'listens'),
  end('service', 'brinertu', 30, 'port-brinertu', 'listens'),
  end('service', 'defrostctl', 40, 'port-defrostctl-defrost-bus', 'listens'),
];

/** Points of the brine plant: levels, and what runs. */
const POINTS = [
  { id: 'brine-levels', tag: 'BrineLevel', there: 'Brine_Levels', type: 'REAL', count: 6, bits: 192 },
  { id: 'brine-pumps', tag: 'PumpRuns', there: 'Brine_Pumps', type: 'BOOL', count: 6, bits: 6 },
] as const;

export const BRINE_TAGS: Tag[] = POINTS.flatMap(({ id, tag, there, type, count }, i) =>
  [
    { station: 'brinertu', name: tag },
    { station: 'controlroom', name: there },
  ].map(({ station, name }) => ({
    id: `${id}-${station}-tag`,
    order: 200 + i * 10,
    station,
    name,
    type: { base: type, count },
    place: null,
  })),
);
export const BRINE_LANES: Lane[] = POINTS.map(({ id }, i) => ({
  id,
  order: (i + 1) * 10,
  exchange: 'brine',
  items: {},
}));
export const BRINE_CLAIMS: Claim[] = POINTS.flatMap(({ id, tag, there, type, count, bits }) =>
  [
    { station: 'controlroom', name: there, direction: 'reads' as const },
    { station: 'brinertu', name: tag, direction: 'writes' as const },
  ].map(({ station, name, direction }): Claim => ({
    id: `${id}-${station}`,
    lane: id,
    end: `brine-${station}`,
    name,
    direction,
    swap: null,
    items: {},
    place: { area: `${id}-${station}-tag`, view: IN_TAG, number: 0 },
    length: { count: bits, unit: 1 },
    type: { base: type, count },
    toldPlace: null,
  })),
);
