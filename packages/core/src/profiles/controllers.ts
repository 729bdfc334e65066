import type { Profile } from '../model/profile.js';
import { ASSUMED } from '../model/words.js';
import { beginning, bytes, ETHERNET, rackOf, words } from './beginnings.js';
import { MODULE_BLOCK, NAMED_MODULE_BLOCK } from './module-block.js';

/** The CPU in the first slot, and beside it the module that the network is on. */
const LARGE_RACK = rackOf([
  { name: 'CPU', slot: 0, kind: 'CPU' },
  { name: 'Ethernet module', slot: 1, kind: 'communication', port: 'ethernet' },
]);

/** The CPU, two slots for communication, and the others for inputs and outputs. */
const SMALL_RACK = rackOf(
  [
    { name: 'CPU', slot: 0, kind: 'CPU' },
    { name: 'Communication module', slot: 1, kind: 'communication', port: 'ethernet' },
  ],
  {
    size: 8,
    zones: {
      communication: { order: 10, name: 'communication', slot: 1, size: 2, kinds: ['communication'], gaps: true },
      io: {
        order: 20,
        name: 'in and out',
        slot: 3,
        size: 5,
        kinds: ['digital input', 'digital output', 'analogue input', 'analogue output', 'counter'],
      },
    },
  },
);

const REGISTERS: Profile['views'] = {
  r: {
    order: 10,
    name: 'registers',
    areaKind: 'memory',
    notation: 'prefix and number',
    prefix: 'R',
    unit: 16,
    first: 0,
  },
};

/** Numbers of ports and addresses by turns: `1,1,2,10.0.0.1`. */
const ROUTES: Profile['routeText'] = {
  separator: ',',
  joint: ',',
  hopOrder: 'way first',
  named: false,
  firstPort: true,
  quote: '',
  source: ASSUMED,
};

const NAMES = { caseMatters: false, source: ASSUMED };

const HIGH_FIRST: Profile['layout'] = {
  byteOrder: 'high first',
  registerOrder: 'high first',
  boolPacking: 'bit',
  boolNumbering: 'from the bottom',
  stringHeader: 'capacity and length',
  alignment: '2',
};

/** Controllers, small and large, in both byte orders. */
export const CONTROLLERS: Profile[] = [
  {
    id: 'profile-plant',
    order: 10,
    name: 'Controller with byte images and word memory',
    layout: HIGH_FIRST,
    views: {
      mw: { order: 10, name: 'words', areaKind: 'memory', notation: 'iec elements', prefix: 'M', unit: 16, first: 0 },
      ib: { order: 20, name: 'bytes', areaKind: 'input image', notation: 'iec bytes', prefix: 'I', unit: 8, first: 0 },
      qb: { order: 30, name: 'bytes', areaKind: 'output image', notation: 'iec bytes', prefix: 'Q', unit: 8, first: 0 },
    },
    begins: beginning(
      'controller',
      [ETHERNET],
      [words('Memory', 'memory', 4096), bytes('Inputs', 'input image', 256), bytes('Outputs', 'output image', 256)],
    ),
    limits: { connections: { value: 16, source: ASSUMED } },
    speaks: {
      'modbus-tcp': { roles: ['calls', 'listens'], media: ['ethernet'], source: ASSUMED },
      'modbus-rtu': { roles: ['calls'], media: ['serial line'], source: ASSUMED },
      cip: { roles: ['calls', 'listens'], media: ['ethernet'], source: ASSUMED },
      'cyclic-ethernet-io': { roles: ['calls'], media: ['ethernet'], source: ASSUMED },
    },
    nameRule: { longest: 32, caseMatters: false, source: ASSUMED },
    pointText: { text: '{station}:{slot}:{kind}.{channel}', source: ASSUMED },
    routeText: ROUTES,
    words: {
      writes: { word: 'send' },
      reads: { word: 'receive' },
      calls: { word: 'active' },
      listens: { word: 'passive' },
    },
  },
  {
    id: 'profile-bytes',
    order: 15,
    name: 'Controller with byte memory, high byte first',
    layout: HIGH_FIRST,
    views: {
      m: { order: 10, name: 'bytes', areaKind: 'memory', notation: 'iec bytes', prefix: 'M', unit: 8, first: 0 },
      i: { order: 20, name: 'bytes', areaKind: 'input image', notation: 'iec bytes', prefix: 'I', unit: 8, first: 0 },
      q: { order: 30, name: 'bytes', areaKind: 'output image', notation: 'iec bytes', prefix: 'Q', unit: 8, first: 0 },
    },
    begins: beginning(
      'controller',
      [ETHERNET],
      [bytes('Memory', 'memory', 8192), bytes('Inputs', 'input image', 256), bytes('Outputs', 'output image', 256)],
    ),
    limits: { connections: { value: 16, source: ASSUMED } },
    speaks: {
      'modbus-tcp': { roles: ['calls', 'listens'], media: ['ethernet'], source: ASSUMED },
      'iso-transport': { roles: ['calls', 'listens'], media: ['ethernet'], source: ASSUMED },
      'cyclic-ethernet-io': { roles: ['calls', 'listens'], media: ['ethernet'], source: ASSUMED },
    },
    nameRule: { longest: 24, caseMatters: false, source: ASSUMED },
    pointText: { text: '{station}:{slot}:{kind}.{channel}', source: ASSUMED },
    words: {},
  },
  {
    id: 'profile-skid',
    order: 20,
    name: 'Controller with registers, low register first',
    layout: {
      byteOrder: 'high first',
      registerOrder: 'low first',
      boolPacking: 'bit',
      boolNumbering: 'from the bottom',
      stringHeader: 'capacity and length',
      alignment: '2',
    },
    views: {
      w: {
        order: 10,
        name: 'registers',
        areaKind: 'memory',
        notation: 'prefix and number',
        prefix: 'w',
        unit: 16,
        first: 0,
      },
      ref: {
        order: 20,
        name: 'references',
        areaKind: 'memory',
        notation: 'reference 6',
        table: 'holding registers',
        unit: 16,
        first: 1,
      },
    },
    begins: beginning('controller', [ETHERNET], [words('Registers', 'memory', 10_000)]),
    limits: { connections: { value: 8, source: ASSUMED } },
    speaks: {
      'modbus-tcp': { roles: ['calls', 'listens'], media: ['ethernet'], source: ASSUMED },
      cip: { roles: ['calls'], media: ['ethernet'], source: ASSUMED },
    },
    nameRule: { longest: 24, caseMatters: false, source: ASSUMED },
    words: {
      writes: { word: 'provides' },
      reads: { word: 'takes' },
      calls: { word: 'client' },
      listens: { word: 'server' },
    },
  },
  {
    id: 'profile-small',
    order: 50,
    name: 'Small controller, low byte first',
    views: REGISTERS,
    begins: beginning('controller', [ETHERNET], [words('Registers', 'memory', 2048)]),
    words: {},
    layout: { byteOrder: 'low first', registerOrder: 'low first', boolPacking: 'bit' },
    limits: { connections: { value: 4, source: ASSUMED }, nodes: { value: 32, source: ASSUMED } },
    nameRule: { longest: 12, ...NAMES },
    blocks: { communication: MODULE_BLOCK },
  },
  {
    id: 'profile-small-module',
    order: 52,
    name: 'Small controller with a communication module',
    views: REGISTERS,
    begins: beginning('controller', [ETHERNET], [words('Registers', 'memory', 2048)], SMALL_RACK, ['communication']),
    words: {},
    layout: { byteOrder: 'low first', registerOrder: 'low first', boolPacking: 'bit' },
    limits: { connections: { value: 4, source: ASSUMED }, nodes: { value: 32, source: ASSUMED } },
    speaks: { 'modbus-tcp': { roles: ['calls', 'listens'], media: ['ethernet'], source: ASSUMED } },
    nameRule: { longest: 12, ...NAMES },
    blocks: { communication: NAMED_MODULE_BLOCK },
  },
  {
    id: 'profile-small-high',
    order: 54,
    name: 'Small controller, high byte first',
    views: REGISTERS,
    begins: beginning('controller', [ETHERNET], [words('Registers', 'memory', 2048)]),
    words: {},
    layout: { byteOrder: 'high first', registerOrder: 'high first', boolPacking: 'bit' },
    limits: { connections: { value: 4, source: ASSUMED }, nodes: { value: 32, source: ASSUMED } },
    nameRule: { longest: 12, ...NAMES },
    blocks: { communication: MODULE_BLOCK },
  },
  {
    id: 'profile-large',
    order: 60,
    name: 'Large controller, tags by name',
    views: {},
    begins: beginning('controller', [ETHERNET], [], LARGE_RACK),
    words: {},
    layout: { byteOrder: 'low first', registerOrder: 'low first', boolPacking: 'word' },
    limits: { connections: { value: 32, source: ASSUMED }, nodes: { value: 126, source: ASSUMED } },
    nameRule: { longest: 40, form: 'identifier', ...NAMES },
  },
  {
    id: 'profile-large-high',
    order: 64,
    name: 'Large controller, high byte first',
    views: {},
    begins: beginning('controller', [ETHERNET], [], LARGE_RACK),
    words: {},
    layout: { byteOrder: 'high first', registerOrder: 'high first', boolPacking: 'bit' },
    limits: { connections: { value: 32, source: ASSUMED }, nodes: { value: 126, source: ASSUMED } },
    nameRule: { longest: 40, form: 'identifier', ...NAMES },
  },
];
