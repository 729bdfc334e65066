import {
  IN_TAG,
  type Claim,
  type End,
  type Exchange,
  type Lane,
  type Place,
  type Tag,
  type TagImport,
  type TagSeries,
} from '@dialoga/core/model';
import { seriesName } from '@dialoga/core/tags';
import { end, told } from './ends.js';
import { PANEL_FIRST_FILE, panelPoints } from './panel-points.js';

const ON_ENTRY = { notRepeated: 'set-points are entered again by hand' };

/** Panels, stations and a simulator, bound to what lies in the controllers. */
export const TAG_EXCHANGES: Exchange[] = [
  {
    id: 'panel',
    order: 70,
    name: 'Dock panel tags',
    kind: 'tag map',
    protocol: 'modbus-tcp',
    transfer: 'requests',
    cadence: 500,
    timeout: 1000,
    onLoss: ON_ENTRY,
    binding: 'by address',
  },
  {
    id: 'room',
    order: 72,
    name: 'Control room tags',
    kind: 'tag map',
    protocol: 'modbus-tcp',
    transfer: 'requests',
    cadence: 1000,
    timeout: 2000,
    onLoss: ON_ENTRY,
    binding: 'by address',
  },
  {
    id: 'items',
    order: 74,
    name: 'Control room items',
    kind: 'tag map',
    protocol: 'cip',
    transfer: 'requests',
    cadence: 1000,
    timeout: 2000,
    binding: 'by item text',
    comment: 'what the tag server asks for by text; the lamps by their exact names',
  },
  {
    id: 'trial',
    order: 76,
    name: 'Aisle trial',
    kind: 'tag map',
    protocol: 'cip',
    transfer: 'requests',
    cadence: 100,
    timeout: 1000,
    binding: 'by name',
    comment: 'the aisles as long as they are not built',
  },
];

const plantAt = { address: '10.48.10.11' };
const asked = { ...plantAt, slot: '0' };

export const TAG_ENDS: End[] = [
  end('panel', 'dockpanel', 10, 'port-dockpanel', 'calls', { 'panel-plantctl': told(plantAt) }),
  end('panel', 'plantctl', 20, 'port-plantctl', 'listens'),
  end('room', 'controlroom', 10, 'port-controlroom', 'calls', { 'room-plantctl': told(plantAt) }),
  end('room', 'plantctl', 20, 'port-plantctl', 'listens'),
  end('items', 'controlroom', 10, 'port-controlroom', 'calls', { 'items-plantctl': told(asked) }),
  end('items', 'plantctl', 20, 'port-plantctl', 'listens'),
  end('trial', 'aislesim', 10, 'port-aislesim', 'calls', { 'trial-plantctl': told(asked) }),
  end('trial', 'plantctl', 20, 'port-plantctl', 'listens'),
];

type ExchangeId = 'panel' | 'room' | 'items' | 'trial';
const CALLER = { panel: 'dockpanel', room: 'controlroom', items: 'controlroom', trial: 'aislesim' } as const;
const TURNED = { reads: 'writes', writes: 'reads', both: 'both' } as const;

/** A point of a station that asks, and the tag of PlantCtl that it stands for. */
export interface Bound {
  id: string;
  exchange: ExchangeId;
  mine: Partial<Tag> & { name: string };
  theirs: Partial<Tag> & { name: string };
  type: string;
  count: number;
  does: 'reads' | 'writes' | 'both';
  /** what it asks for, as typed; null: its own name stands for both */
  told: string | null;
  /** what it is taken as at the panel, where that is wrong */
  taken?: string;
  lane?: Partial<Lane>;
  swap?: Claim['swap'];
}

const mw = (number: number): Place => ({ area: 'plantctl-memory', view: 'mw', number, width: 16 });
const bitOf = (area: 'input' | 'output', byte: number, bit: number): Place => ({
  area: `plantctl-${area}`,
  view: area === 'input' ? 'ib' : 'qb',
  number: byte + (bit >> 3),
  width: 1,
  bit: bit & 7,
});

/** Points of the panel, as its list has them, by the words of PlantCtl that they stand for. */
const panel = (agreed: boolean): Bound[] =>
  panelPoints().map(({ id, name, theirs, word, type, count, does, more }) => ({
    id: `panel-${id}`,
    exchange: 'panel' as const,
    type,
    count,
    does,
    told: `%MW${word}`,
    mine: { name, asks: `%MW${word}`, import: 'import-dockpanel', ...more },
    theirs: { name: theirs, place: mw(word) },
    ...(id === 'docktemp' && !agreed ? { taken: 'INT' } : {}),
  }));

type RoomFacts = Partial<Pick<Bound, 'type' | 'count' | 'does' | 'swap'>> & { unit?: string };

/** A point of the control room by its address. */
const roomPoint = (id: string, name: string, theirs: string, word: number, facts: RoomFacts): Bound => {
  const { unit, ...rest } = facts;
  return {
    id: `room-${id}`,
    exchange: 'room',
    type: 'INT',
    count: 1,
    does: 'reads',
    told: `%MW${word}`,
    mine: { name, ...(unit ? { unit } : {}) },
    theirs: { name: theirs, place: mw(word) },
    ...rest,
  };
};

const room = (): Bound[] => [
  roomPoint('roomstates', 'Room_States', 'RoomStates', 730, { type: 'WORD', count: 8 }),
  roomPoint('roomhumidity', 'Room_Humidity', 'RoomHumidity', 738, { count: 4, unit: '%' }),
  // The panel sets it, too: somebody has to have the last word.
  roomPoint('storesetpoint', 'Room_Setpoint', 'StoreSetpoint', 720, { does: 'both', unit: '0.1 °C' }),
  ...Array.from({ length: 100 }, (_, i) =>
    roomPoint(`temp${i + 1}`, seriesName('Store_Temp_001', i), seriesName('StoreTemp001', i), 1000 + 2 * i, {
      type: 'REAL',
      unit: '°C',
      swap: 'words',
    }),
  ),
];

/** What the tag server asks for by text, one of them through a group that is not there; lamps by their exact names. */
const items = (agreed: boolean): Bound[] => [
  ...Array.from({ length: 100 }, (_, i): Bound => {
    const theirs = seriesName('RoomLevel001', i);
    const group = i === 16 && !agreed ? 'Plnat' : 'Plant';
    return {
      id: `items-level${i + 1}`,
      exchange: 'items',
      type: 'INT',
      count: 1,
      does: 'reads',
      mine: { name: seriesName('Room_Level_001', i), unit: 'mm' },
      theirs: { name: theirs, unit: 'mm' },
      told: `${group}.${theirs}`,
    };
  }),
  ...Array.from({ length: 95 }, (_, i): Bound => {
    const name = seriesName('Aisle_Lamp_01', i);
    return {
      id: `items-lamp${i + 1}`,
      exchange: 'items',
      type: 'BOOL',
      count: 1,
      does: 'reads',
      told: null,
      mine: { name },
      theirs: { name },
      lane: { binding: 'by name' },
    };
  }),
];

/** Where the simulator sets its points: over the digital inputs of slot 2, or beside all modules. */
const seeFrom = (agreed: boolean): number => (agreed ? 4 : 2);

/** The simulator: every point by its exact name; its first twelve stand for contacts that are closed at rest. */
const trial = (agreed: boolean): Bound[] => [
  ...Array.from({ length: 48 }, (_, i): Bound => {
    const name = seriesName('Aisle_See_01', i);
    const closed = i < 12 ? ({ polarity: 'true at rest' } as const) : {};
    return {
      id: `trial-see${i + 1}`,
      exchange: 'trial',
      type: 'BOOL',
      count: 1,
      does: 'writes',
      told: null,
      mine: { name, series: 'series-see', ...closed },
      theirs: {
        name: i === 16 && !agreed ? 'Aisle_see_17' : name,
        open: 'may set',
        ...closed,
        place: bitOf('input', seeFrom(agreed), i),
      },
      ...(i < 12 ? { lane: { contact: 'true at rest' } } : {}),
    };
  }),
  ...Array.from({ length: 24 }, (_, i): Bound => {
    const name = seriesName('Aisle_Do_01', i);
    return {
      id: `trial-do${i + 1}`,
      exchange: 'trial',
      type: 'BOOL',
      count: 1,
      does: 'reads',
      told: null,
      mine: { name, series: 'series-do' },
      theirs: { name, open: 'may read', place: bitOf('output', 20, i) },
    };
  }),
];

export const bound = (agreed: boolean): Bound[] => [...panel(agreed), ...room(), ...items(agreed), ...trial(agreed)];

/** Two points may stand for one tag of PlantCtl: it has it once. */
const theirId = ({ theirs }: Bound): string => `tag-plantctl-${theirs.name.toLowerCase().replace(/_/g, '-')}`;

export function tags(agreed: boolean): Tag[] {
  const all = bound(agreed);
  const plant = new Map<string, Tag>();
  for (const one of all) {
    const id = theirId(one);
    if (plant.has(id)) continue;
    plant.set(id, {
      id,
      order: (plant.size + 1) * 10,
      station: 'plantctl',
      place: null,
      type: { base: one.type, count: one.count },
      ...one.theirs,
    });
  }
  const own = all.map(({ id, exchange, mine, type, count, does }, i): Tag => ({
    id: `tag-${id}`,
    order: (i + 1) * 10,
    station: CALLER[exchange],
    place: null,
    type: { base: type, count },
    access: does === 'reads' ? 'read' : 'read and set',
    ...mine,
  }));
  return [...own, ...plant.values()];
}

const SIM_SERIES = { order: 10, station: 'aislesim', type: { base: 'BOOL', count: 1 }, place: null };

export const TAG_SERIES: TagSeries[] = [
  { ...SIM_SERIES, id: 'series-see', sample: 'Aisle_See_01', count: 48, access: 'read and set' },
  { ...SIM_SERIES, id: 'series-do', order: 20, sample: 'Aisle_Do_01', count: 24, access: 'read' },
];

export const TAG_IMPORTS: TagImport[] = [
  {
    id: 'import-dockpanel',
    order: 10,
    station: 'dockpanel',
    file: PANEL_FIRST_FILE,
    format: 'CSV',
    at: '2026-04-14T09:20:00.000Z',
    saved: '2026-04-13T15:02:00.000Z',
    became: { added: panelPoints().length, changed: 0, dropped: 0, unchanged: 0 },
  },
];

export const TAG_LANES: Lane[] = bound(true).map(({ id, exchange, lane }, i) => ({
  id,
  order: (i + 1) * 10,
  exchange,
  items: {},
  ...lane,
}));

/** What a value takes where words are exchanged. */
const lengthOf = (type: string, count: number): Claim['length'] =>
  type === 'BOOL' ? { count, unit: 1 } : { count: count * (type === 'REAL' ? 2 : 1), unit: 16 };

export const tagClaims = (agreed: boolean): Claim[] =>
  bound(agreed).flatMap((one): Claim[] => {
    const { id, exchange, mine, theirs, type, count, does, taken } = one;
    const claim = (who: string, rest: Partial<Claim>): Claim => ({
      id: `${id}-${who}`,
      lane: id,
      end: `${exchange}-${who}`,
      name: '',
      direction: does,
      place: null,
      length: lengthOf(type, count),
      type: { base: type, count },
      swap: null,
      items: {},
      toldPlace: null,
      ...rest,
    });
    const own = claim(CALLER[exchange], {
      name: mine.name,
      place: { area: `tag-${id}`, view: IN_TAG, number: 0 },
      toldPlace: one.told,
      ...(taken ? { type: { base: taken, count }, length: lengthOf(taken, count) } : {}),
      ...(does === 'both' ? { trigger: 'on change' } : {}),
      ...(one.swap ? { swap: one.swap } : {}),
    });
    const place = { area: theirId(one), view: IN_TAG, number: 0 };
    // Of the trial both ends call a point alike; whether the tags do is what is checked.
    const name = exchange === 'trial' ? mine.name : theirs.name;
    return [own, claim('plantctl', { name, direction: TURNED[does], place })];
  });
