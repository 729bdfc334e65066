import { apply } from '@dialoga/core/change';
import { lanesFromDials, lanesFromLandings } from '@dialoga/core/exchange';
import {
  Project,
  PROJECT_ID,
  type Area,
  type Claim,
  type End,
  type Exchange,
  type Lane,
  type Port,
  type Station,
} from '@dialoga/core/model';
import { SHIPPED_PROFILES } from '@dialoga/core/profiles';
import { ROOF_AREAS, ROOF_CLAIMS, ROOF_ENDS, ROOF_EXCHANGES, ROOF_LANES } from './kestrel-quay-roof.js';
import { tagClaims, tags, TAG_ENDS, TAG_EXCHANGES, TAG_IMPORTS, TAG_LANES, TAG_SERIES } from './kestrel-quay-tags.js';
import { copies, MORE_AREAS, MORE_LANES, moreClaims, moreEnds, moreExchanges } from './kestrel-quay-exchanges.js';
import { BRINE_CLAIMS, BRINE_LANES, BRINE_TAGS, SERVICE_EXCHANGES, serviceEnds } from './kestrel-quay-service.js';
import { expectations, HELPERS, routes } from './kestrel-quay-routes.js';
import { landings, MODULES, MORE_STATIONS, morePorts, networks, RACKS } from './kestrel-quay-wiring.js';

/**
 * Kestrel Quay cold store: a refrigerated warehouse on a harbour quay, where several suppliers' controls must talk.
 * Invented. `agreed` false holds the seeded faults; true is the same project with the faults mended.
 */
export function kestrelQuay(agreed: boolean): Project {
  // The lanes of the evaporators follow from the landings that were agreed.
  const settled = typed(true);
  let count = 0;
  const changes = [
    ...lanesFromLandings(settled, settled.get('exchange', 'evaporators')!, () => `evap-io-${++count}`),
    // Those of the roof from the dials.
    ...lanesFromDials(settled, settled.get('exchange', 'weather')!, () => `roof-io-${++count}`),
  ];
  const made = apply(typed(agreed), { id: 'made', label: 'Lanes from the landings and the dials', changes });
  if (!made.ok) throw new Error(made.refusal.sentence);
  return typed(agreed).with(made.entities);
}

/** All of it that somebody typed. */
function typed(agreed: boolean): Project {
  return Project.of({
    project: [{ id: PROJECT_ID, name: agreed ? 'Kestrel Quay, as agreed' : 'Kestrel Quay cold store' }],
    profile: [...SHIPPED_PROFILES],
    station: [...STATIONS, ...MORE_STATIONS],
    rack: RACKS,
    module: MODULES,
    network: networks(agreed),
    port: [...ports(agreed), ...morePorts(agreed)],
    area: [...areas(agreed), ...MORE_AREAS, ...ROOF_AREAS],
    series: TAG_SERIES,
    import: TAG_IMPORTS,
    tag: [...tags(agreed), ...BRINE_TAGS],
    copy: copies(agreed),
    landing: landings(agreed),
    exchange: [...EXCHANGES, ...moreExchanges(agreed), ...TAG_EXCHANGES, ...ROOF_EXCHANGES, ...SERVICE_EXCHANGES],
    end: [...ends(agreed), ...moreEnds, ...TAG_ENDS, ...ROOF_ENDS, ...serviceEnds(agreed)],
    lane: [
      ...DUTY.map((l) => l.lane),
      ...STARTUP.map((l) => l.lane),
      ...MORE_LANES,
      ...TAG_LANES,
      ...ROOF_LANES,
      ...BRINE_LANES,
    ],
    route: routes(agreed),
    helper: HELPERS,
    expectation: expectations(agreed),
    claim: [
      ...[...DUTY, ...STARTUP].flatMap((l) => [l.left(agreed), l.right(agreed)]),
      ...[...moreClaims(agreed), ...tagClaims(agreed), ...ROOF_CLAIMS, ...BRINE_CLAIMS],
    ],
  });
}

const STATIONS: Station[] = [
  {
    id: 'plantctl',
    order: 10,
    name: 'PlantCtl',
    scan: 8,
    roles: ['controller'],
    profile: 'profile-plant',
    party: 'own',
    supplier: 'Plant controls',
    typeText: 'rack controller, 8 slots',
  },
  {
    id: 'skidctl',
    order: 20,
    name: 'SkidCtl',
    scan: 20,
    roles: ['controller'],
    profile: 'profile-skid',
    party: 'own',
    supplier: 'Compressor skid',
    typeText: 'compact controller',
  },
  {
    id: 'dockpanel',
    order: 30,
    name: 'DockPanel',
    scan: 200,
    roles: ['operator panel'],
    profile: 'profile-panel',
    party: 'own',
    supplier: 'Docks',
    typeText: 'panel, 10 inch',
  },
  {
    id: 'controlroom',
    order: 40,
    name: 'ControlRoom',
    scan: 500,
    roles: ['SCADA station', 'tag server'],
    groups: {
      plant: { order: 10, name: 'Plant', station: 'plantctl' },
      skid: { order: 20, name: 'Skid', station: 'skidctl' },
    },
    profile: 'profile-scada',
    party: 'own',
    supplier: 'Plant controls',
    typeText: 'workstation',
  },
];

const port = (station: string, order: number, last: number, extra: Partial<Port> = {}): Port => ({
  id: `port-${station}`,
  order,
  name: 'Ethernet',
  station,
  network: 'plant-lan',
  enabled: true,
  purpose: 'general',
  address: `10.48.10.${last}`,
  mask: '255.255.255.0',
  gateway: '',
  former: [],
  listens: {},
  unit: null,
  ...extra,
});

const ports = (agreed: boolean): Port[] => [
  port('plantctl', 10, 11, { name: 'Ethernet module, slot 1', module: 'plant-1' }),
  port('skidctl', 10, 12, { former: ['10.48.10.14'] }),
  port('dockpanel', 20, agreed ? 46 : 45, { purpose: 'panel', ...(agreed ? { former: ['10.48.10.45'] } : {}) }),
  port('controlroom', 10, 5),
];

const areas = (agreed: boolean): Area[] => [
  {
    id: 'plantctl-input',
    order: 10,
    name: 'Input image',
    station: 'plantctl',
    kind: 'input image',
    wordBits: 16,
    words: 32,
    writers: ['firmware'],
    views: {},
    reservations: {},
  },
  {
    id: 'plantctl-output',
    order: 20,
    name: 'Output image',
    station: 'plantctl',
    kind: 'output image',
    wordBits: 16,
    words: 32,
    writers: ['program'],
    views: {},
    reservations: {},
  },
  {
    id: 'plantctl-memory',
    order: 30,
    ...(agreed ? { lastWord: 'ControlRoom' } : {}),
    name: 'Memory',
    station: 'plantctl',
    kind: 'memory',
    wordBits: 16,
    words: 4096,
    writers: ['program'],
    views: {},
    reservations: {},
  },
  {
    id: 'skidctl-registers',
    order: 10,
    name: 'Registers',
    station: 'skidctl',
    kind: 'memory',
    wordBits: 16,
    words: 6144,
    writers: ['program'],
    views: {},
    reservations: {
      ethernet: {
        order: 10,
        start: 1210 * 16,
        length: 28 * 16,
        owner: 'its Ethernet module',
        reason: 'parameters of the module, w1210–w1237',
        members: {
          listen: {
            order: 10,
            name: 'Listen',
            offset: 0,
            bits: 1,
            use: 'to listen',
            role: 'listens',
            signal: 'level',
            access: 'read and set',
            meaning: 'the module answers while it is set',
          },
          link: {
            order: 20,
            name: 'Link up',
            offset: 16,
            bits: 1,
            use: 'status',
            access: 'read',
            meaning: 'set while a caller is connected',
          },
          settings: {
            order: 30,
            name: 'Settings',
            offset: 32,
            bits: 416,
            use: 'settings',
            access: 'read and set',
            atStart: true,
            content: '10.48.10.12',
            meaning: 'written by the start values; its own address first',
          },
        },
      },
    },
  },
];

/** What SkidCtl’s program has to set before its module answers. */
const LISTENS = 'sets Listen at w1210, and holds it';
const LISTEN_BIT = 'skidctl-registers ethernet listen';

const EXCHANGES: Exchange[] = [
  {
    id: 'duty',
    order: 10,
    name: 'Compressor duty',
    kind: 'peer connection',
    protocol: 'modbus-tcp',
    transfer: 'requests',
    cadence: 100,
    timeout: 500,
    start: { listen: { order: 10, end: 'duty-skid', does: LISTENS, member: LISTEN_BIT } },
  },
  {
    id: 'startup',
    order: 20,
    name: 'Skid start-up',
    kind: 'peer connection',
    protocol: 'modbus-tcp',
    transfer: 'requests',
    cadence: null,
    timeout: 1000,
    start: { listen: { order: 10, end: 'startup-skid', does: LISTENS, member: LISTEN_BIT } },
  },
];

const ends = (agreed: boolean): End[] =>
  EXCHANGES.flatMap((exchange): End[] => {
    const told = exchange.id === 'duty' && !agreed ? '10.48.10.14' : '10.48.10.12';
    return [
      {
        id: `${exchange.id}-plant`,
        order: 10,
        exchange: exchange.id,
        station: 'plantctl',
        port: 'port-plantctl',
        calling: 'calls',
        swap: 'none',
        told: { [`${exchange.id}-skid`]: { address: told, tcpPort: '502', unit: '' } },
      },
      {
        id: `${exchange.id}-skid`,
        order: 20,
        exchange: exchange.id,
        station: 'skidctl',
        port: 'port-skidctl',
        calling: 'listens',
        swap: 'none',
        told: {},
      },
    ];
  });

interface LaneSketch {
  lane: Lane;
  left: (agreed: boolean) => Claim;
  right: (agreed: boolean) => Claim;
}

interface BlockSketch {
  id: string;
  exchange: string;
  order: number;
  /** who takes data out of its memory */
  writes: 'plant' | 'skid';
  type: string;
  count: number;
  /** characters of a text */
  capacity?: number;
  plant: {
    name: string;
    word: number;
    items?: string[];
    words?: (agreed: boolean) => number;
    swapped?: (agreed: boolean) => boolean;
  };
  skid: { name: string; word: number; items?: string[]; words?: (agreed: boolean) => number };
}

const WORDS_OF: Record<string, number> = { WORD: 1, INT: 1, UINT: 1, REAL: 2, DINT: 2 };

/** A text with its capacity and its length before it, a byte each. */
const wordsOfText = (capacity: number) => (capacity + 2) / 2;

function block(sketch: BlockSketch): LaneSketch {
  const step = sketch.capacity === undefined ? WORDS_OF[sketch.type]! : wordsOfText(sketch.capacity);
  const keys = sketch.plant.items?.map((_, i) => `${sketch.id}-${'abcdefghijklmnop'[i]}`) ?? [];
  const items = (names: string[] | undefined): Claim['items'] =>
    Object.fromEntries(
      (names ?? []).map((name, i) => [
        keys[i]!,
        { name, type: { base: sketch.type, count: 1 }, offset: { bits: i * step * 16 } },
      ]),
    );
  const whole = step * sketch.count;
  const claim = (side: 'plant' | 'skid', agreed: boolean): Claim => {
    const own = sketch[side];
    return {
      id: `${sketch.id}-${side}`,
      lane: sketch.id,
      end: `${sketch.exchange}-${side}`,
      name: own.name,
      direction: sketch.writes === side ? 'writes' : 'reads',
      place:
        side === 'plant'
          ? { area: 'plantctl-memory', view: 'mw', number: own.word, width: 16 }
          : { area: 'skidctl-registers', view: 'w', number: own.word },
      length: { count: own.words?.(agreed) ?? whole, unit: 16 },
      type: own.items
        ? null
        : {
            base: sketch.type,
            count: sketch.count,
            ...(sketch.capacity === undefined ? {} : { capacity: sketch.capacity }),
          },
      swap: side === 'plant' && sketch.plant.swapped?.(agreed) ? 'words' : null,
      items: items(own.items),
      toldPlace: side === 'plant' ? `w${sketch.skid.word}` : null,
    };
  };
  return {
    lane: {
      id: sketch.id,
      order: sketch.order,
      exchange: sketch.exchange,
      items: Object.fromEntries(keys.map((key, i) => [key, { order: (i + 1) * 10 }])),
    },
    left: (agreed) => claim('plant', agreed),
    right: (agreed) => claim('skid', agreed),
  };
}

const DUTY: LaneSketch[] = [
  block({
    id: 'permissives',
    exchange: 'duty',
    order: 10,
    writes: 'plant',
    type: 'WORD',
    count: 2,
    plant: { name: 'Permissives', word: 300 },
    skid: { name: 'Permit', word: 1240 },
  }),
  block({
    id: 'setpoints',
    exchange: 'duty',
    order: 20,
    writes: 'plant',
    type: 'REAL',
    count: 4,
    plant: {
      name: 'Set-points',
      word: 302,
      items: ['SuctionSetpoint', 'DischargeLimit', 'OilTempLow', 'CapacityLimit'],
      swapped: (agreed) => agreed,
    },
    skid: { name: 'Setp', word: 1242, items: ['SuctSP', 'DiscMax', 'OilTLo', 'CapMax'] },
  }),
  block({
    id: 'status',
    exchange: 'duty',
    order: 30,
    writes: 'skid',
    type: 'WORD',
    count: 4,
    plant: { name: 'Skid status', word: 320 },
    skid: { name: 'Stat', word: 1260 },
  }),
  block({
    id: 'pressures',
    exchange: 'duty',
    order: 40,
    writes: 'skid',
    type: 'REAL',
    count: 3,
    plant: {
      name: 'Pressures',
      word: 324,
      items: ['SuctionPressure', 'DischargePressure', 'OilPressureDifference'],
      swapped: () => true,
    },
    skid: {
      name: 'Press',
      word: 1264,
      items: ['SuctP', 'DiscP', 'OilP'],
      words: (agreed) => (agreed ? 6 : 5),
    },
  }),
  block({
    id: 'alarm-text',
    exchange: 'duty',
    order: 50,
    writes: 'skid',
    type: 'STRING',
    count: 1,
    capacity: 30,
    plant: { name: 'Alarm text', word: 340 },
    skid: { name: 'AlmTxt', word: 1270 },
  }),
];

const STARTUP: LaneSketch[] = [
  block({
    id: 'start-values',
    exchange: 'startup',
    order: 10,
    writes: 'plant',
    type: 'INT',
    count: 12,
    plant: {
      name: 'Start values',
      word: 368,
      items: [
        'StartDelay',
        'StopDelay',
        'MinRunTime',
        'MinStandTime',
        'StartsPerHour',
        'LoadStep',
        'UnloadStep',
        'LoadRamp',
        'UnloadRamp',
        'OilHeaterOn',
        'OilHeaterOff',
        'FanOverrun',
      ],
    },
    skid: {
      name: 'StartVals',
      word: 1300,
      items: [
        'TStart',
        'TStop',
        'TMinOn',
        'TMinOff',
        'NStart',
        'LdStep',
        'UnStep',
        'LdRamp',
        'UnRamp',
        'OHOn',
        'OHOff',
        'FanOvr',
      ],
    },
  }),
  block({
    id: 'read-back',
    exchange: 'startup',
    order: 20,
    writes: 'skid',
    type: 'INT',
    count: 12,
    plant: { name: 'Read-back', word: 384 },
    skid: { name: 'StartEcho', word: 1320 },
  }),
];
