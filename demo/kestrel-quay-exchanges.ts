import type { Area, Claim, End, Exchange, Lane, MemoryCopy, OnLoss, Place } from '@dialoga/core/model';
import { end, told } from './ends.js';

const SAFE: OnLoss = { sinks: 'go to zero', source: 'is told by a status', back: 'wait for a release' };
const HELD: OnLoss = { ...SAFE, sinks: 'hold the last value' };

/** Temperatures to whoever wants them, the docks through a coupler, and the evaporators' modules. */
export const moreExchanges = (agreed: boolean): Exchange[] => [
  {
    id: 'temperatures',
    order: 30,
    name: 'Store temperatures',
    kind: 'shared variables',
    protocol: 'cip',
    transfer: 'cyclic blocks',
    cadence: 1000,
    timeout: 5000,
    onLoss: HELD,
    watchedBy: 'store-temperatures',
  },
  {
    id: 'docks',
    order: 40,
    name: 'Dock interlocks',
    kind: 'coupler area',
    protocol: 'cyclic-ethernet-io',
    transfer: 'cyclic blocks',
    cadence: 16,
    timeout: 100,
    via: 'quaylink',
    onLoss: SAFE,
    watchedBy: 'dock-states',
  },
  {
    id: 'meters',
    order: 50,
    name: 'Energy meters',
    kind: 'gateway memory',
    protocol: 'modbus-rtu',
    transfer: 'requests',
    cadence: agreed ? 500 : 250,
    timeout: 200,
    responseDelay: 30,
  },
  {
    id: 'readings',
    order: 55,
    name: 'Meter readings',
    kind: 'gateway memory',
    protocol: 'modbus-tcp',
    transfer: 'requests',
    cadence: 1000,
    timeout: 500,
  },
  {
    id: 'evaporators',
    order: 60,
    name: 'Evaporator I/O',
    kind: 'remote I/O',
    protocol: 'cyclic-ethernet-io',
    transfer: 'cyclic blocks',
    cadence: 8,
    timeout: 40,
    ...(agreed ? { onLoss: SAFE } : {}),
  },
];

const plantAt = { 'temperatures-plantctl': told({ address: '10.48.10.11', slot: '0' }) };

const hubAt = { 'readings-meterhub': told({ address: '10.48.10.30' }) };
const METERS = ['meter1', 'meter2', 'meter3', 'watermeter'] as const;
const UNITS = ['11', '12', '13', '14'];

export const moreEnds: End[] = [
  end(
    'meters',
    'meterhub',
    10,
    'port-meterhub-meter-line',
    'calls',
    Object.fromEntries(METERS.map((meter, i) => [`meters-${meter}`, told({ unit: UNITS[i]! })])),
  ),
  ...METERS.map((meter, i) => end('meters', meter, 20 + i * 10, `port-${meter}-meter-line`, 'listens', {})),
  end('temperatures', 'plantctl', 10, 'port-plantctl', 'listens', {}),
  end('temperatures', 'skidctl', 20, 'port-skidctl', 'calls', plantAt),
  end('temperatures', 'controlroom', 30, 'port-controlroom', 'calls', plantAt),
  end('temperatures', 'aislesim', 40, 'port-aislesim', 'calls', plantAt),
  end(
    'docks',
    'plantctl',
    10,
    'port-plantctl',
    'calls',
    { 'docks-dockctl': told({ address: '10.48.10.40' }) },
    {
      protocol: 'cip',
    },
  ),
  end('docks', 'dockctl', 20, 'port-dockctl-quay-lan', 'calls', { 'docks-plantctl': told({ name: 'quay-link' }) }),
  end('readings', 'meterhub', 5, 'port-meterhub', 'listens', {}),
  end('readings', 'plantctl', 10, 'port-plantctl', 'calls', hubAt),
  end('readings', 'controlroom', 20, 'port-controlroom', 'calls', hubAt),
  end('evaporators', 'plantctl', 10, 'port-plantctl', 'calls', { 'evaporators-evaphead': told({ name: 'evap-head' }) }),
  end('evaporators', 'evaphead', 20, 'port-evaphead', 'listens', {}),
];

const area = (id: string, station: string, name: string, wordBits: Area['wordBits'], views: Area['views']): Area => ({
  id,
  order: 40,
  name,
  station,
  kind: 'memory',
  wordBits,
  words: 2048,
  writers: ['program'],
  views,
  reservations: {},
});

/** Ten values of two registers, low register first, as the meters give them. */
const REGISTERS = 20;
/** The words of the gateway's memory at which the readings arrive, and at which its readers find them. */
const ARRIVES = 100;
const FIRST_READING = 800;
/** Where the gateway keeps the state of its line, and where the control room looks for it. */
const LINE_STATUS = 40;
const STATUS_READ = 880;
const LOW_FIRST = { registerOrder: 'low first' } as const;

export const MORE_AREAS: Area[] = [
  {
    ...area('meterhub-memory', 'meterhub', 'Memory', 16, {
      words: { order: 10, name: 'words', notation: 'prefix and number', prefix: 'G', unit: 16, first: 0 },
      bytes: { order: 20, name: 'bytes', notation: 'byte offset', unit: 8, first: 0 },
    }),
    kind: 'gateway memory',
    words: 3072,
    writers: [],
    layout: LOW_FIRST,
    reservations: {
      line: {
        order: 10,
        start: LINE_STATUS * 16,
        length: 32,
        owner: 'MeterHub itself',
        puts: true,
        reason: 'state of the meter line: one bit a meter, set while it answers',
      },
    },
  },
  ...METERS.map((meter): Area => ({
    ...area(`${meter}-inputs`, meter, 'Readings', 16, {
      ref: {
        order: 10,
        name: 'references',
        notation: 'reference 5',
        table: 'input registers',
        unit: 16,
        first: 1,
      },
    }),
    kind: 'input registers',
    words: REGISTERS,
    writers: ['firmware'],
    layout: LOW_FIRST,
  })),
  area('dockctl-memory', 'dockctl', 'Memory', 8, {
    mb: { order: 10, name: 'bytes', notation: 'iec bytes', prefix: 'M', unit: 8, first: 0 },
  }),
  area('controlroom-points', 'controlroom', 'Points', 16, {
    points: { order: 10, name: 'points', notation: 'name and element', prefix: 'Point', unit: 16, first: 0 },
  }),
  area('aislesim-points', 'aislesim', 'Points', 16, {
    points: { order: 10, name: 'points', notation: 'name and element', prefix: 'Sim', unit: 16, first: 0 },
  }),
];

const PLACES = {
  plantctl: { area: 'plantctl-memory', view: 'mw', width: 16 },
  skidctl: { area: 'skidctl-registers', view: 'w' },
  dockctl: { area: 'dockctl-memory', view: 'mb', width: 8 },
  controlroom: { area: 'controlroom-points', view: 'points' },
  aislesim: { area: 'aislesim-points', view: 'points' },
} as const;

type Who = keyof typeof PLACES;
interface Part {
  name: string;
  direction: 'writes' | 'reads';
  at: number;
  count: number;
  unit: 8 | 16;
  type: string;
  /** values that it declares, where they do not fill the length */
  declared?: number;
  rest?: Partial<Claim>;
}

const claim = (exchange: string, lane: string, who: Who, part: Part): Claim => ({
  id: `${lane}-${who}`,
  lane,
  end: `${exchange}-${who}`,
  name: part.name,
  direction: part.direction,
  place: { ...PLACES[who], number: part.at },
  length: { count: part.count, unit: part.unit },
  type: { base: part.type, count: part.declared ?? part.count },
  swap: null,
  items: {},
  toldPlace: null,
  ...part.rest,
});

const lane = (exchange: string, id: string, order: number): Lane => ({ id, order, exchange, items: {} });

/** Six slots of the coupler, the sixth in both directions. */
const SLOTS: readonly [slot: number, id: string, name: string, dock: string, from: Who, bytes: number][] = [
  [1, 'dock-permits', 'Dock permits', 'Permits', 'plantctl', 8],
  [2, 'dock-states', 'Dock states', 'States', 'dockctl', 8],
  [3, 'door-releases', 'Door releases', 'Releases', 'plantctl', 4],
  [4, 'air-curtains', 'Air curtains', 'Curtains', 'plantctl', 4],
  [5, 'door-times', 'Door times', 'Times', 'dockctl', 14],
  [6, 'dock-requests', 'Requests', 'Request', 'plantctl', 2],
  [6, 'dock-answers', 'Answers', 'Answer', 'dockctl', 2],
];

export const MORE_LANES: Lane[] = [
  lane('temperatures', 'store-temperatures', 10),
  lane('temperatures', 'door-counts', 20),
  ...SLOTS.map(([, id], i) => lane('docks', id, (i + 1) * 10)),
  lane('readings', 'all-readings', 10),
  lane('readings', 'line-status', 20),
  ...METERS.map((meter, i) => lane('meters', `${meter}-readings`, (i + 1) * 10)),
];

const ints = (
  name: string,
  direction: Part['direction'],
  at: number,
  count: number,
  rest: Partial<Claim> = {},
): Part => ({
  name,
  direction,
  at,
  count,
  unit: 16,
  type: 'INT',
  rest,
});
/** Its bytes lie the other way round in a word, so it exchanges them as they arrive. */
const SWAPPED = { swap: 'bytes' } as const;

const reading = (meter: string, end: string, rest: Pick<Claim, 'direction' | 'place' | 'toldPlace'>): Claim => ({
  id: `${meter}-readings-${end}`,
  lane: `${meter}-readings`,
  end: `meters-${end}`,
  name: `${meter[0]!.toUpperCase()}${meter.slice(1)}Readings`,
  length: { count: REGISTERS, unit: 16 },
  type: { base: 'REAL', count: REGISTERS / 2 },
  swap: null,
  items: {},
  ...rest,
});

const allReadings = (end: string, name: string, rest: Partial<Claim>): Claim => ({
  id: `all-readings-${end}`,
  lane: 'all-readings',
  end: `readings-${end}`,
  name,
  direction: 'reads',
  place: null,
  length: { count: 4 * REGISTERS, unit: 16 },
  type: { base: 'REAL', count: 2 * REGISTERS },
  swap: null,
  items: {},
  toldPlace: null,
  ...rest,
});

const statusOf = (end: string, direction: 'writes' | 'reads', place: Place): Claim => ({
  id: `line-status-${end}`,
  lane: 'line-status',
  end: `readings-${end}`,
  name: 'LineStatus',
  direction,
  place,
  length: { count: 2, unit: 16 },
  type: { base: 'WORD', count: 2 },
  swap: null,
  items: {},
  toldPlace: null,
});

/** The gateway hands the readings on to the block that is asked for, and the state of its line to the control room. */
export const copies = (agreed: boolean): MemoryCopy[] => [
  {
    id: 'copy-readings',
    order: 10,
    station: 'meterhub',
    name: 'Readings',
    length: { count: 80, unit: 16 },
    from: { area: 'meterhub-memory', view: 'words', number: ARRIVES },
    to: { area: 'meterhub-memory', view: 'words', number: FIRST_READING },
    reader: 'plantctl',
  },
  {
    id: 'copy-status',
    order: 20,
    station: 'meterhub',
    name: 'Line status',
    length: { count: 2, unit: 16 },
    from: { area: 'meterhub-memory', view: 'words', number: LINE_STATUS },
    // Ten words further than the control room reads.
    to: { area: 'meterhub-memory', view: 'words', number: agreed ? STATUS_READ : STATUS_READ + 10 },
    reader: 'controlroom',
  },
];

export const moreClaims = (agreed: boolean): Claim[] => [
  // A byte offset where the other counts words: twice as far as meant.
  allReadings('plantctl', 'MeterReadings', {
    place: { area: 'plantctl-memory', view: 'mw', number: 600, width: 16 },
    swap: 'words',
    toldPlace: agreed ? 'G800' : 'G1600',
  }),
  allReadings('controlroom', 'MeterReadings', {
    place: { area: 'controlroom-points', view: 'points', number: 100 },
    toldPlace: 'G800',
  }),
  allReadings('meterhub', 'Readings', {
    direction: 'writes',
    place: { area: 'meterhub-memory', view: 'words', number: FIRST_READING },
  }),
  {
    ...statusOf('meterhub', 'writes', { area: 'meterhub-memory', view: 'words', number: STATUS_READ }),
    toldPlace: null,
  },
  {
    ...statusOf('controlroom', 'reads', { area: 'controlroom-points', view: 'points', number: 190 }),
    toldPlace: `G${STATUS_READ}`,
  },
  ...METERS.flatMap((meter, i) => [
    reading(meter, 'meterhub', {
      direction: 'reads',
      place: { area: 'meterhub-memory', view: 'words', number: ARRIVES + i * REGISTERS },
      toldPlace: '30001',
    }),
    reading(meter, meter, {
      direction: 'writes',
      place: { area: `${meter}-inputs`, view: 'ref', number: 1 },
      toldPlace: null,
    }),
  ]),
  claim('temperatures', 'store-temperatures', 'plantctl', ints('StoreTemp', 'writes', 400, 12, { open: 'may read' })),
  claim('temperatures', 'store-temperatures', 'skidctl', {
    ...ints('StoreT', 'reads', 1600, 12),
    declared: agreed ? 12 : 10,
  }),
  claim('temperatures', 'store-temperatures', 'controlroom', ints('StoreTemperatures', 'reads', 0, 12, SWAPPED)),
  claim('temperatures', 'store-temperatures', 'aislesim', ints('StoreTemperatures', 'reads', 0, 12)),
  claim(
    'temperatures',
    'door-counts',
    'plantctl',
    ints('DoorCount', 'writes', 420, 8, { open: agreed ? 'may read' : 'closed' }),
  ),
  claim('temperatures', 'door-counts', 'controlroom', ints('DoorCounts', 'reads', 20, 8, SWAPPED)),
  ...SLOTS.flatMap(([slot, id, plant, dock, from, bytes], i) => {
    const at = SLOTS.slice(0, i).reduce((sum, [, , , , , size]) => sum + size, 0);
    const part = (name: string, writes: boolean, number: number, count: number): Part => ({
      name,
      direction: writes ? 'writes' : 'reads',
      at: number,
      count,
      unit: 8,
      type: 'BYTE',
      rest: { slot },
      ...(id === 'door-times' ? { declared: 12 } : {}),
    });
    const short = id === 'door-times' && !agreed ? 12 : bytes;
    const out = from === 'dockctl' || (id === 'door-releases' && !agreed);
    return [
      claim('docks', id, 'plantctl', part(plant, from === 'plantctl', 500 + at / 2, short)),
      claim('docks', id, 'dockctl', part(dock, out, 100 + at, bytes)),
    ];
  }),
];
