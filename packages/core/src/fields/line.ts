import { set } from '../change/make.js';
import type { Network } from '../model/network.js';
import type { Port, RadioUnit } from '../model/port.js';
import { ELECTRICAL, LINE_ROLES, RADIO_SORTS } from '../model/words.js';
import { parseInSpace, SPACES } from '../wiring/address-spaces.js';
import { formatBusRate, parseBusRate } from '../wiring/bus-rates.js';
import { formatSerial, parseSerial } from '../wiring/serial-settings.js';
import { changed, parseWord, refused } from '../text/field-edit.js';
import { entityRows, type Field, type Rows } from './field.js';
import { RADIO_WORDS } from './radio-words.js';
import { ofEntity } from './simple-fields.js';

const { note, chosen, put } = ofEntity('port');
const width = [52, 1] as const;

const station: Field<Port> = {
  title: 'Station',
  width: [84, 1],
  names: true,
  path: null,
  text: (port, project) => project.get('station', port.station)?.name ?? '',
};

const SERIAL_LINE = entityRows('port', 'port', {
  station,
  lineRole: {
    title: 'Role',
    width,
    ...chosen('lineRole', LINE_ROLES, 'role'),
    examples: [...LINE_ROLES],
    help: 'Whether it asks on this line, or answers.',
  },
  unit: {
    title: 'Unit',
    width: [40, 0.6],
    mono: true,
    text: ({ unit }) => (unit === null ? '' : String(unit)),
    edit: (port, typed) => {
      if (typed === '') return put(port, 'unit', null);
      const unit = parseInSpace(typed, { ...SPACES.unit, least: 0, most: 65535 });
      return unit.ok ? put(port, 'unit', unit.value) : refused(unit);
    },
    examples: ['17'],
    help: 'The unit address that it answers to on this line.',
  },
  serial: {
    title: 'Rate, framing',
    width: [82, 1.2],
    mono: true,
    text: ({ serial }) => serial ?? '',
    edit: (port, typed) => {
      const serial = parseSerial(typed);
      return put(port, 'serial', serial.ok ? formatSerial(serial.value) : typed || undefined);
    },
    examples: ['9600 8E1', '19200 8N1'],
    help: 'Bits a second, then data bits, parity and stop bits.',
  },
  electrical: {
    title: 'Standard',
    width,
    ...chosen('electrical', ELECTRICAL, 'standard'),
    examples: [ELECTRICAL[0]],
    help: 'The electrical standard of its connector.',
  },
});

const TOKEN_BUS_PORT = entityRows('port', 'port', {
  station,
  node: {
    title: 'Node',
    width,
    mono: true,
    ...note('node'),
    examples: ['4'],
    help: 'Its node address on the bus.',
  },
  busRate: {
    title: 'Rate',
    width,
    mono: true,
    text: ({ busRate }) => busRate ?? '',
    edit: (port, typed) => {
      const rate = parseBusRate(typed);
      return put(port, 'busRate', rate.ok ? formatBusRate(rate.value) : typed || undefined);
    },
    examples: ['187.5 kbit/s'],
    help: 'The rate that is set at this port.',
  },
  busProfile: {
    title: 'Bus profile',
    width,
    mono: true,
    ...note('busProfile'),
    examples: ['standard'],
    help: 'The set of times that is set at this port.',
  },
  busActive: {
    title: 'Takes the token',
    width,
    text: ({ busActive }) => (busActive === undefined ? '' : busActive ? 'yes' : 'no'),
    options: ['yes', 'no'],
    edit: (port, typed) => {
      if (typed === '') return put(port, 'busActive', undefined);
      const yes = parseWord(typed, ['yes', 'no'], 'answer');
      return yes.ok ? put(port, 'busActive', yes.value === 'yes') : refused(yes);
    },
    examples: ['yes', 'no'],
    help: 'Whether it takes the token itself; one that only answers does not.',
  },
});

const radio = (field: Exclude<keyof RadioUnit, 'sort'>, title: string, example: string, help: string): Field<Port> => ({
  title,
  width,
  mono: true,
  path: ['radio', field],
  ...(RADIO_WORDS[field] ? { options: RADIO_WORDS[field] } : {}),
  examples: [example],
  help,
  text: (port) => port.radio?.[field] ?? '',
  edit: (port, typed) => {
    if (!port.radio && typed === '') return changed();
    return port.radio ? changed(set('port', port, ['radio', field], typed || undefined)) : put(port, 'radio', { sort: 'end unit', [field]: typed });
  },
});

const RADIO_PORT = entityRows('port', 'port', {
  station,
  sort: {
    title: 'Sort',
    width,
    path: ['radio', 'sort'],
    text: (port) => port.radio?.sort ?? '',
    options: RADIO_SORTS,
    edit: (port, typed) => {
      const sort = parseWord(typed, RADIO_SORTS, 'sort of unit');
      if (!sort.ok) return refused(sort);
      return port.radio ? changed(set('port', port, ['radio', 'sort'], sort.value)) : put(port, 'radio', { sort: sort.value });
    },
    examples: [...RADIO_SORTS],
    help: 'What the unit is in its radio network.',
  },
  number: radio('number', 'Number', '3', 'Its number in the network.'),
  id: radio('id', 'Network id', '12', 'The network id that is set at it.'),
  band: radio('band', 'Band', '868', 'The band that is set at it.'),
  rate: radio('rate', 'Rate', '19.2k', 'The rate on the air that is set at it.'),
  mode: radio('mode', 'Mode', 'hop', 'The mode that is set at it.'),
});

/** What is set at each port of a network besides IP addresses, to be read side by side. */
export const LINE_PORT = {
  'serial line': SERIAL_LINE as Rows<Port>,
  'token bus': TOKEN_BUS_PORT as Rows<Port>,
  radio: RADIO_PORT as Rows<Port>,
};
export type LineKind = keyof typeof LINE_PORT;

export const isLine = <N extends Pick<Network, 'kind'>>(network: N): network is N & { kind: LineKind } => network.kind in LINE_PORT;
