import { IN_TAG, type Claim, type End, type Exchange, type Lane, type Place, type Tag } from '@dialoga/core';
import { end, told } from './ends.js';

const ON_ENTRY = { notRepeated: 'set-points are entered again by hand' };

/** Panels, stations and a simulator, bound to what lies in the controllers. */
export const TAG_EXCHANGES: Exchange[] = [
  {
    ...{ id: 'panel', order: 70, name: 'Dock panel tags', kind: 'tag map', protocol: 'modbus-tcp' },
    ...{ transfer: 'requests', cadence: 500, timeout: 1000, onLoss: ON_ENTRY },
  },
  {
    ...{ id: 'room', order: 72, name: 'Control room tags', kind: 'tag map', protocol: 'modbus-tcp' },
    ...{ transfer: 'requests', cadence: 1000, timeout: 2000, onLoss: ON_ENTRY },
  },
  {
    ...{ id: 'trial', order: 76, name: 'Aisle trial', kind: 'tag map', protocol: 'cip' },
    ...{ transfer: 'requests', cadence: 100, timeout: 1000 },
    comment: 'the aisles as long as they are not built',
  },
];

const plantAt = { address: '10.48.10.11' };

export const TAG_ENDS: End[] = [
  end('panel', 'dockpanel', 10, 'port-dockpanel', 'calls', { 'panel-plantctl': told(plantAt) }),
  end('panel', 'plantctl', 20, 'port-plantctl', 'listens'),
  end('room', 'controlroom', 10, 'port-controlroom', 'calls', { 'room-plantctl': told(plantAt) }),
  end('room', 'plantctl', 20, 'port-plantctl', 'listens'),
  end('trial', 'aislesim', 10, 'port-aislesim', 'calls', { 'trial-plantctl': told({ ...plantAt, slot: '0' }) }),
  end('trial', 'plantctl', 20, 'port-plantctl', 'listens'),
];

interface Bound {
  id: string;
  exchange: 'panel' | 'room' | 'trial';
  /** the tag of the panel, the station or the simulator */
  tag: string;
  type: string;
  count: number;
  words: number;
  does: 'reads' | 'writes' | 'both';
  /** where it is in PlantCtl */
  at: { name: string; place: Place; told: string };
  unit?: string;
  /** what the tag is taken as, where that is wrong */
  taken?: { type: string; words: number };
}

const mw = (number: number): Place => ({ area: 'plantctl-memory', view: 'mw', number, width: 16 });
const ib = (number: number): Place => ({ area: 'plantctl-input', view: 'ib', number, width: 8 });
const qb = (number: number): Place => ({ area: 'plantctl-output', view: 'qb', number, width: 8 });

/** A row of a panel or a station: its tag, and the words of PlantCtl that it stands for. */
const row = (
  exchange: 'panel' | 'room',
  tag: string,
  does: Bound['does'],
  name: string,
  number: number,
  [type, count, words]: [string, number, number],
  rest: Partial<Bound> = {},
): Bound => ({
  ...{ id: `${exchange}-${name.toLowerCase()}`, exchange, tag, type, count, words, does },
  at: { name, place: mw(number), told: `%MW${number}` },
  ...rest,
});

const bound = (agreed: boolean): Bound[] => [
  row('panel', 'Dock_States', 'reads', 'DockStates', 700, ['WORD', 4, 4]),
  row('panel', 'Dock_Temperature', 'reads', 'DockTemp', 704, ['REAL', 1, 2], {
    ...(agreed ? {} : { taken: { type: 'INT', words: 1 } }),
    unit: '°C',
  }),
  row('panel', 'Door_Open_Time', 'both', 'DoorOpenTime', 710, ['INT', 1, 1], { unit: 's' }),
  row('panel', 'Store_Setpoint', 'both', 'StoreSetpoint', 720, ['INT', 1, 1], { unit: '0.1 °C' }),
  row('panel', 'Lamp_Test', 'both', 'LampTest', 712, ['WORD', 1, 1]),
  row('room', 'Room_States', 'reads', 'RoomStates', 730, ['WORD', 8, 8]),
  row('room', 'Room_Humidity', 'reads', 'RoomHumidity', 738, ['INT', 4, 4], { unit: '%' }),
  // The panel sets it, too: somebody has to have the last word.
  row('room', 'Room_Setpoint', 'both', 'StoreSetpoint', 720, ['INT', 1, 1], { unit: '0.1 °C' }),
  {
    ...{ id: 'trial-see', exchange: 'trial', tag: 'Aisle_See', type: 'BOOL', count: 48, words: 3, does: 'writes' },
    // Bytes that the digital inputs of slot 2 fill.
    at: { name: 'Aisle_See', place: ib(agreed ? 42 : 2), told: '' },
  },
  {
    ...{ id: 'trial-do', exchange: 'trial', tag: 'Aisle_Do', type: 'BOOL', count: 24, words: 0, does: 'reads' },
    at: { name: 'Aisle_Do', place: qb(20), told: '' },
  },
];

const OWNER = { panel: 'dockpanel', room: 'controlroom', trial: 'aislesim' } as const;
const TURNED = { reads: 'writes', writes: 'reads', both: 'both' } as const;

export const TAGS: Tag[] = bound(true).map(({ id, exchange, tag, type, count, does, unit }, i) => ({
  ...{ id: `tag-${id}`, order: (i + 1) * 10, station: OWNER[exchange], name: tag, place: null },
  type: { base: type, count },
  access: does === 'reads' ? 'read' : 'read and set',
  ...(unit ? { unit } : {}),
}));

export const TAG_LANES: Lane[] = bound(true).map(({ id, exchange }, i) => ({
  ...{ id, order: (i + 1) * 10, exchange, items: {} },
}));

export const tagClaims = (agreed: boolean): Claim[] =>
  bound(agreed).flatMap(({ id, exchange, tag, type, count, words, does, at, taken }): Claim[] => {
    const bits = type === 'BOOL';
    const claim = (who: string, rest: Pick<Claim, 'name' | 'direction' | 'place' | 'toldPlace'>): Claim => ({
      ...{ id: `${id}-${who}`, lane: id, end: `${exchange}-${who}`, swap: null, items: {} },
      length: bits ? { count, unit: 1 } : { count: words, unit: 16 },
      type: { base: type, count },
      ...rest,
    });
    const own = claim(OWNER[exchange], {
      ...{ name: tag, direction: does, place: { area: `tag-${id}`, view: IN_TAG, number: 0 } },
      toldPlace: at.told || null,
    });
    if (taken) Object.assign(own, { type: { base: taken.type, count }, length: { count: taken.words, unit: 16 } });
    if (does === 'both') own.trigger = 'on change';
    const theirs = { name: at.name, direction: TURNED[does], place: at.place, toldPlace: null };
    return [own, claim('plantctl', theirs)];
  });
