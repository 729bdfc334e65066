import type { Profile } from '../model/profile.js';
import { ASSUMED } from '../model/words.js';
import { beginning, bytes, ETHERNET, words } from './beginnings.js';

/** What a communication module of a small controller keeps in its memory: 16 bytes, at one of several places. */
const BLOCKS: Profile['blocks'] = {
  communication: {
    order: 10,
    name: 'Communication module',
    areaKind: 'memory',
    length: 128,
    firstStart: 3200,
    startStep: 128,
    source: ASSUMED,
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
        meaning: 'answers while it is set',
      },
      start: {
        order: 20,
        name: 'Start',
        offset: 1,
        bits: 1,
        use: 'to start',
        role: 'calls',
        signal: 'pulse',
        access: 'read and set',
        meaning: 'sets the connection up',
      },
      ready: {
        order: 30,
        name: 'Ready',
        offset: 16,
        bits: 1,
        use: 'interlock',
        access: 'read',
        meaning: 'the module has its settings',
      },
      up: { order: 40, name: 'Link up', offset: 17, bits: 1, use: 'status', access: 'read' },
      error: { order: 50, name: 'Error code', offset: 32, bits: 16, use: 'status', access: 'read' },
      settings: {
        order: 60,
        name: 'Settings',
        offset: 64,
        bits: 64,
        use: 'settings',
        access: 'read and set',
        atStart: true,
        meaning: 'written by the start values',
      },
    },
  },
};

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
    blocks: BLOCKS,
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
    blocks: BLOCKS,
  },
  {
    id: 'profile-large',
    order: 60,
    name: 'Large controller, tags by name',
    views: {},
    begins: beginning('controller', [ETHERNET]),
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
    begins: beginning('controller', [ETHERNET]),
    words: {},
    layout: { byteOrder: 'high first', registerOrder: 'high first', boolPacking: 'bit' },
    limits: { connections: { value: 32, source: ASSUMED }, nodes: { value: 126, source: ASSUMED } },
    nameRule: { longest: 40, form: 'identifier', ...NAMES },
  },
];
