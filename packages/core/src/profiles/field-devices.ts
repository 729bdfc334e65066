import type { Profile, Speech } from '../model/profile.js';
import { ASSUMED, TABLES, type ReferenceTable } from '../model/words.js';
import { beginning, ETHERNET, SERIAL, words } from './beginnings.js';

const profile = (
  id: string,
  order: number,
  name: string,
  limits: Record<string, number>,
  rest: Partial<Profile> = {},
): Profile => ({
  id,
  order,
  name,
  layout: {},
  views: {},
  words: {},
  limits: Object.fromEntries(Object.entries(limits).map(([key, value]) => [key, { value, source: ASSUMED }])),
  nameRule: { caseMatters: false, source: ASSUMED },
  ...rest,
});

const speech = (roles: Speech['roles'], media: Speech['media']): Speech => ({ roles, media, source: ASSUMED });

const TABLE_UNITS: Record<ReferenceTable, 1 | 16> = {
  coils: 1,
  'discrete inputs': 1,
  'input registers': 16,
  'holding registers': 16,
};

/** The four tables of Modbus, numbered from 1 in five digits. */
const TABLE_VIEWS: Profile['views'] = Object.fromEntries(
  TABLES.map((table, i) => [
    table.replace(' ', '-'),
    {
      order: (i + 1) * 10,
      name: 'references',
      areaKind: table,
      notation: 'reference 5',
      table,
      unit: TABLE_UNITS[table],
      first: 1,
    },
  ]),
);
const TABLE_AREAS = [
  words('Coils', 'coils', 64),
  words('Discrete inputs', 'discrete inputs', 64),
  words('Input registers', 'input registers', 1000),
  words('Holding registers', 'holding registers', 1000),
];

/** What a memory gateway says of itself and of its lines, near the end of its memory. */
const STATUS_WORDS: NonNullable<Profile['blocks']>[string] = {
  order: 10,
  name: 'Status words',
  areaKind: 'gateway memory',
  length: 16 * 16,
  firstStart: 4000 * 16,
  puts: true,
  members: {
    lines: {
      order: 10,
      name: 'Status of the lines',
      offset: 0,
      bits: 16,
      use: 'status',
      access: 'read',
      meaning: 'bit 0: all units answer',
    },
  },
  source: ASSUMED,
};

const RADIO = ['Radio', 'radio'] as const;

/** Gateways, couplers, telemetry, radio and what else stands between or around them. */
export const FIELD_DEVICES: Profile[] = [
  profile(
    'profile-coupler',
    70,
    'Coupler',
    { connections: 8 },
    {
      begins: beginning('coupler', [
        ['Side A', 'ethernet', 'I/O'],
        ['Side B', 'ethernet', 'I/O'],
      ]),
      speaks: { cip: speech(['listens'], ['ethernet']), 'cyclic-ethernet-io': speech(['listens'], ['ethernet']) },
    },
  ),
  profile(
    'profile-memory-gateway',
    80,
    'Memory gateway',
    { connections: 6, nodes: 32 },
    {
      begins: beginning('gateway', [ETHERNET, SERIAL], [words('Memory', 'gateway memory', 4096)], null, ['status']),
      blocks: { status: STATUS_WORDS },
      views: {
        'gateway-words': {
          order: 10,
          name: 'words',
          areaKind: 'gateway memory',
          notation: 'iec elements',
          prefix: 'M',
          unit: 16,
          first: 0,
        },
      },
      speaks: {
        'modbus-tcp': speech(['listens'], ['ethernet']),
        'modbus-rtu': speech(['calls'], ['serial line']),
      },
    },
  ),
  profile(
    'profile-passing-gateway',
    90,
    'Passing gateway',
    { connections: 16, nodes: 32 },
    {
      begins: beginning('gateway', [ETHERNET, SERIAL]),
      forwards: {
        units: { what: 'requests by unit', source: ASSUMED },
        telemetry: { what: 'requests by telemetry address', source: ASSUMED },
      },
    },
  ),
  profile(
    'profile-head',
    100,
    'Remote I/O head',
    { connections: 4 },
    {
      begins: beginning('remote I/O head', [['Ethernet', 'ethernet', 'I/O']]),
      speaks: { 'cyclic-ethernet-io': speech(['listens'], ['ethernet']) },
    },
  ),
  profile(
    'profile-modbus-tcp',
    104,
    'Modbus TCP device',
    { connections: 4 },
    {
      begins: beginning('remote I/O head', [ETHERNET], TABLE_AREAS),
      views: TABLE_VIEWS,
      speaks: { 'modbus-tcp': speech(['listens'], ['ethernet']) },
    },
  ),
  profile(
    'profile-modbus-rtu',
    106,
    'Modbus RTU device',
    {},
    {
      begins: beginning('remote I/O head', [SERIAL], TABLE_AREAS),
      views: TABLE_VIEWS,
      speaks: { 'modbus-rtu': speech(['listens'], ['serial line']) },
    },
  ),
  profile(
    'profile-io-block',
    108,
    'I/O block with four tables',
    { connections: 4 },
    {
      begins: beginning(
        'remote I/O head',
        [
          ['I/O', 'ethernet', 'I/O'],
          ['Service', 'ethernet', 'programming'],
        ],
        TABLE_AREAS,
      ),
      views: TABLE_VIEWS,
      speaks: { 'modbus-tcp': speech(['listens'], ['ethernet']) },
      unitIsLastOctet: { source: ASSUMED },
      checksUnit: { source: ASSUMED },
    },
  ),
  profile(
    'profile-telemetry',
    110,
    'Telemetry unit',
    { connections: 2 },
    {
      begins: beginning('telemetry unit', [SERIAL, ETHERNET], [words('Registers', 'holding registers', 1000)]),
      views: {
        'telemetry-ref': {
          order: 10,
          name: 'references',
          areaKind: 'holding registers',
          notation: 'reference 5',
          table: 'holding registers',
          unit: 16,
          first: 1,
        },
      },
      presets: { unit: { field: 'unit', value: '247', source: ASSUMED } },
      speaks: {
        dnp3: speech(['listens'], ['ethernet', 'serial line']),
        'modbus-tcp': speech(['listens'], ['ethernet']),
        'modbus-rtu': speech(['listens'], ['serial line']),
      },
    },
  ),
  profile(
    'profile-radio-base',
    120,
    'Radio base',
    { nodes: 16 },
    {
      begins: beginning('radio unit', [SERIAL, RADIO], TABLE_AREAS),
      views: TABLE_VIEWS,
      speaks: {
        'modbus-rtu': speech(['listens'], ['serial line']),
        'radio-mirror': speech(['listens'], ['radio']),
      },
      radioBlocks: {
        di: { kind: 'digital input', table: 'discrete inputs', first: 1, stride: 16, source: ASSUMED },
        ai: { kind: 'analogue input', table: 'input registers', first: 1, stride: 4, source: ASSUMED },
        do: { kind: 'digital output', table: 'coils', first: 1, stride: 16, source: ASSUMED },
      },
    },
  ),
  profile(
    'profile-radio-unit',
    130,
    'Radio unit',
    {},
    { begins: beginning('radio unit', [RADIO]), speaks: { 'radio-mirror': speech(['calls', 'listens'], ['radio']) } },
  ),
  profile(
    'profile-simulator',
    140,
    'Simulator',
    { tags: 2000 },
    { begins: beginning('simulator', [ETHERNET]), nameRule: { caseMatters: true, source: ASSUMED } },
  ),
  profile('profile-tag-server', 150, 'Tag server', { tags: 5000 }, { begins: beginning('tag server', [ETHERNET]) }),
  profile(
    'profile-router',
    160,
    'Router',
    { connections: 64 },
    {
      begins: beginning('router', [ETHERNET, ['Ethernet 2', 'ethernet']]),
      forwards: {
        requests: { what: 'requests', source: ASSUMED },
        service: { what: 'service access', source: ASSUMED },
      },
    },
  ),
  profile('profile-workstation', 170, 'Workstation', {}, { begins: beginning('workstation', [ETHERNET]) }),
];
