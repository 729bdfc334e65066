import type { Change, Json } from '../change/change.js';
import { dropWithDependents, put, set } from '../change/make.js';
import { emptyClaim } from '../sheet/edit-cell.js';
import {
  newAcceptance,
  newArea,
  newEnd,
  newExchange,
  newNetwork,
  newPort,
  newStation,
} from '../create/new-entities.js';
import type { Offset } from '../model/claim.js';
import type { Kind } from '../model/kinds.js';
import type { Landing } from '../model/landing.js';
import type { Module } from '../model/module.js';
import { inOrder } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import type { ModuleKind } from '../model/words.js';
import { noWayBack, ROUTE_FIELDS, routedPlant } from './routed-plant.testing.js';
import { added, edited, twoStations } from './two-stations.testing.js';

const DECIDED = { sinks: 'hold the last value', source: 'is told by a status', back: 'wait for a release' } as const;

/** A few stations with shared areas and several exchanges: enough for every rule to have something to say. */
export function smallPlant(): Project {
  const base = twoStations();
  const ca = base.get('claim', 'ca')!;
  const cb = base.get('claim', 'cb')!;
  const third = added(base, 'station', { ...newStation('sc', 30, 'C'), profile: 'pb' });
  const port = added(third, 'port', { ...newPort('portc', 10, 'sc', 'net'), address: '10.0.0.3' });
  const area = added(port, 'area', { ...newArea('areac', 10, 'sc', 'Memory'), words: 400 });
  const exchange = added(area, 'exchange', {
    ...newExchange('y', 20, 'Second', 'other'),
    cadence: 100,
    onLoss: DECIDED,
    watchedBy: 'lane3',
  });
  const ends = added(
    exchange,
    'end',
    { ...newEnd('ya', 10, 'y', 'sa', 'porta', 'calls'), told: { yc: { address: '10.0.0.3', tcpPort: '', unit: '' } } },
    newEnd('yc', 20, 'y', 'sc', 'portc', 'listens'),
  );
  const lanes = added(
    ends,
    'lane',
    {
      id: 'lane2',
      order: 20,
      exchange: 'x',
      items: { k1: { order: 10 }, k2: { order: 20 }, k3: { order: 30 }, k4: { order: 40 } },
    },
    { id: 'lane3', order: 10, exchange: 'y', items: {} },
  );
  const items = (prefix: string) => ({
    k1: { name: `${prefix}1`, type: { base: 'INT', count: 1 }, offset: { bits: 0 }, unit: 'bar' },
    k2: { name: `${prefix}2`, type: { base: 'DINT', count: 1 }, offset: { bits: 16 } },
    k3: { name: `${prefix}3`, type: { base: 'BOOL', count: 1 }, offset: { bits: 48, bit: 9 } },
    k4: { name: `${prefix}4`, type: { base: 'STRING', count: 1, capacity: 8 }, offset: { bits: 64 } },
  });
  const at = (areaId: string, view: string, number: number) => ({ area: areaId, view, number });
  const wired = withInside(withService(withWiring(lanes)));
  return added(
    added(wired, 'acceptance', ACCEPTANCE),
    'claim',
    {
      ...ca,
      id: 'ca2',
      lane: 'lane2',
      direction: 'reads',
      place: at('areaa', 'va', 300),
      toldPlace: 'b300',
      length: { count: 8, unit: 16 },
      items: items('L'),
      type: null,
    },
    {
      ...cb,
      id: 'cb2',
      lane: 'lane2',
      direction: 'writes',
      place: at('areab', 'vb', 300),
      length: { count: 8, unit: 16 },
      items: items('R'),
      type: null,
    },
    {
      ...ca,
      id: 'ca3',
      lane: 'lane3',
      end: 'ya',
      direction: 'reads',
      place: at('areaa', 'va', 320),
      toldPlace: 'b20',
      slot: 1,
    },
    { ...cb, id: 'cb3', lane: 'lane3', end: 'yc', direction: 'writes', place: at('areac', 'vb', 20), slot: 1 },
  );
}

/** The same with what tag lists need: a tag map from A to C whose lanes are bound by tags, a series, and an import. */
export function taggedPlant(): Project {
  const base = smallPlant();
  const tag = (id: string, station: string, name: string, base_: string, rest: object = {}) => ({
    id,
    order: 20,
    station,
    name,
    type: { base: base_, count: base_ === 'REAL' ? 2 : 1 },
    place: null,
    ...rest,
  });
  const series = added(base, 'series', {
    id: 'doors',
    order: 10,
    station: 'sb',
    sample: 'Door_1',
    count: 2,
    type: { base: 'BOOL', count: 1 },
    place: null,
  });
  const imported = added(series, 'import', {
    id: 'imp',
    order: 10,
    station: 'sc',
    file: 'c.csv',
    format: 'CSV',
    at: '2026-05-01T08:00:00Z',
    became: { added: 1, changed: 0, dropped: 0, unchanged: 0 },
  });
  const tags = added(
    imported,
    'tag',
    tag('tag2', 'sc', 'Duty', 'REAL', { import: 'imp' }),
    tag('door1', 'sb', 'Door_1', 'BOOL', { series: 'doors' }),
    tag('door2', 'sb', 'Door_2', 'BOOL', { series: 'doors' }),
    tag('spare', 'sa', 'Spare', 'INT', { internal: true }),
  );
  const exchange = added(tags, 'exchange', {
    ...newExchange('map', 25, 'Map', 'other'),
    kind: 'tag map',
    binding: 'by name',
    cadence: 100,
    onLoss: DECIDED,
    watchedBy: 'lane6',
  });
  const ends = added(
    exchange,
    'end',
    {
      ...newEnd('mapa', 10, 'map', 'sa', 'porta', 'calls'),
      told: { mapc: { address: '10.0.0.3', tcpPort: '', unit: '' } },
    },
    newEnd('mapc', 20, 'map', 'sc', 'portc', 'listens'),
  );
  const lane = added(ends, 'lane', { id: 'lane6', order: 10, exchange: 'map', items: {} });
  const bound = (id: string) => ({ area: id, view: 'tag', number: 0 });
  const [ca, cb] = [base.get('claim', 'ca')!, base.get('claim', 'cb')!];
  return added(
    lane,
    'claim',
    { ...ca, id: 'ca6', lane: 'lane6', end: 'mapa', direction: 'reads', place: bound('tag1'), toldPlace: null },
    { ...cb, id: 'cb6', lane: 'lane6', end: 'mapc', direction: 'writes', place: bound('tag2') },
  );
}

/** A line, a bus, a radio network, and a rack whose modules two controllers speak of. */
function withWiring(project: Project): Project {
  const port = (id: string, order: number, station: string, network: string | null, rest: Partial<Port>): Port => ({
    ...newPort(id, order, station, network),
    name: id,
    ...rest,
  });
  const landing = (id: string, station: string, module: string, rest: Partial<Landing>): Landing => ({
    id,
    order: 10,
    station,
    module,
    role: 'owner',
    inputsAt: null,
    outputsAt: null,
    slot: null,
    inputs: null,
    outputs: null,
    orderCode: 'DO-16',
    accepted: '4.6',
    ...rest,
  });
  const module = (id: string, slot: number, kind: ModuleKind, outputs: number): Module => ({
    id,
    order: slot,
    name: id,
    rack: 'rack',
    slot,
    kind,
    orderCode: 'DO-16',
    inputs: 0,
    outputs,
    found: { orderCode: 'DO-16', revision: '4.6' },
  });
  const networks = added(
    project,
    'network',
    { ...newNetwork('line', 20, 'Line'), kind: 'serial line', wiring: 'two-wire' },
    { ...newNetwork('bus', 30, 'Bus'), kind: 'token bus', busRate: '500 kbit/s', highestAddress: '126' },
    { ...newNetwork('air', 40, 'Air'), kind: 'radio', radio: { id: '7', endUnits: 1 } },
  );
  const line = { serial: '9600 8E1', electrical: 'RS-485' } as const;
  const ports = added(
    networks,
    'port',
    port('pl1', 20, 'sa', 'line', { ...line, lineRole: 'calls' }),
    port('pl2', 30, 'sb', 'line', { ...line, lineRole: 'answers', unit: 11 }),
    port('pl3', 40, 'sc', 'line', { ...line, lineRole: 'answers', unit: 12 }),
    port('pn1', 50, 'sa', 'bus', { node: '5', busActive: true, busRate: '500 kbit/s' }),
    port('pn2', 60, 'sb', 'bus', { node: '9', busRate: '500 kbit/s' }),
    port('pr1', 70, 'sa', 'air', { radio: { sort: 'base', id: '7', number: '1' } }),
    port('pr2', 80, 'sb', 'air', { radio: { sort: 'end unit', id: '7', number: '2' } }),
    port('pe2', 90, 'sa', null, { address: '10.9.0.1', unit: 9 }),
    port('pe3', 100, 'sc', 'net', { address: '10.0.0.44', hardware: '02:00:00:00:00:01', enabled: false }),
  );
  const head = added(ports, 'station', { ...newStation('sd', 40, 'D'), roles: ['remote I/O head'] });
  const rack = added(head, 'rack', {
    id: 'rack',
    order: 10,
    name: 'Rack',
    station: 'sd',
    size: 4,
    first: 0,
    gaps: false,
    zones: {},
    takes: [],
  });
  const modules = added(rack, 'module', module('m1', 0, 'head', 0), module('m2', 1, 'digital output', 2));
  const more = added(modules, 'module', module('m3', 2, 'digital output', 2));
  const at = (number: number) => ({ area: 'areaa', view: 'va', number });
  return added(
    more,
    'landing',
    landing('l2', 'sa', 'm2', { outputsAt: at(700), slot: 1 }),
    landing('l3', 'sa', 'm3', { outputsAt: at(702) }),
    landing('l4', 'sb', 'm2', { role: 'listener' }),
  );
}

/** An engineer's tool, requests on the line, and a value that was sent and is in force. */
function withService(project: Project): Project {
  const exchanges = added(
    project,
    'exchange',
    { ...newExchange('svc', 30, 'Service', 'service-access'), kind: 'service link' },
    newExchange('rtu', 40, 'Line requests', 'modbus-rtu'),
  );
  const told = { address: '', tcpPort: '', unit: '' };
  const ends = added(
    exchanges,
    'end',
    { ...newEnd('svca', 10, 'svc', 'sa', 'porta', 'calls'), told: { svcb: { ...told, address: '10.0.0.2' } } },
    newEnd('svcb', 20, 'svc', 'sb', 'portb', 'listens'),
    { ...newEnd('rtua', 10, 'rtu', 'sa', 'pl1', 'calls'), told: { rtub: { ...told, unit: '11' } } },
    newEnd('rtub', 20, 'rtu', 'sb', 'pl2', 'listens'),
  );
  const requested = added(ends, 'lane', { id: 'lane5', order: 10, exchange: 'rtu', items: {} });
  const [ca, cb] = [requested.get('claim', 'ca')!, requested.get('claim', 'cb')!];
  const at = (area: string, view: string, number: number) => ({ area, view, number });
  const asked = added(
    requested,
    'claim',
    {
      ...ca,
      id: 'ca5',
      lane: 'lane5',
      end: 'rtua',
      direction: 'reads',
      place: at('areaa', 'va', 800),
      toldPlace: 'b340',
    },
    { ...cb, id: 'cb5', lane: 'lane5', end: 'rtub', direction: 'writes', place: at('areab', 'vb', 340) },
  );
  const stated = edited(
    asked,
    ['station', 'sb', 'typeText', 'small'],
    ['station', 'sb', 'actsAs', 'large'],
    ['station', 'sb', 'firmware', { cpu: { order: 10, part: 'CPU', version: '4.1' } }],
  );
  return added(stated, 'setting', {
    id: 'set1',
    order: 10,
    station: 'sb',
    field: 'port portb address',
    state: 'in force',
    sent: '10.0.0.2',
    by: 'R. Vale',
    at: '2026-05-12T08:00:00Z',
  });
}

/** A copy inside C, a tag of A, and a structure; nothing is bound to any of them. */
function withInside(project: Project): Project {
  const at = (number: number) => ({ area: 'areac', view: 'vb', number });
  const copied = added(project, 'copy', {
    id: 'copy1',
    order: 10,
    station: 'sc',
    name: 'Handed on',
    from: at(200),
    to: at(240),
    length: { count: 4, unit: 16 },
    reader: null,
  });
  const structure = added(copied, 'structure', {
    id: 'str1',
    order: 10,
    name: 'Drive',
    members: {
      m1: { order: 10, name: 'State', type: { base: 'BYTE', count: 1 } },
      m2: { order: 20, name: 'Speed', type: { base: 'INT', count: 1 } },
    },
  });
  const level = edited(structure, ['project', 'project', 'loadLevel', 1]);
  return added(level, 'tag', {
    id: 'tag1',
    order: 10,
    station: 'sa',
    name: 'Duty',
    type: { base: 'REAL', count: 2 },
    place: null,
  });
}

type Values = readonly unknown[];

const limit = (value: number) => ({ value, source: 's' });

const ACCEPTANCE = newAcceptance('acc', 10, 'TYP 2 · x', '0', { reason: 'fits', name: 'R. Vale', at: '' });

const WITH_IP = /^(port|pe)/;
const WITH_UNIT = /^(portb|pl)/;
const ON_LINE = /^pl/;
const ON_BUS = /^pn/;
const ON_AIR = /^pr/;

/** Fields that random edits set, each with values of which some fire a rule and some clear it. */
type Field = readonly [kind: Kind, path: string, values: Values, whose?: RegExp];

const FIELDS: readonly Field[] = [
  ['acceptance', 'reason', ['fits', '', 'fits']],
  ['station', 'name', ['A', 'B', 'a', '', 'Z']],
  ['station', 'party', ['own', 'outside']],
  [
    'station',
    'layout',
    [null, null, { registerOrder: 'low first' }, { byteOrder: 'low first' }, { boolPacking: 'word' }],
  ],
  ['station', 'layout', [null, { byteOrder: 'low first' }]],
  ['station', 'profile', ['pa', 'pb', null]],
  [
    'profile',
    'nameRule',
    [
      { caseMatters: true, source: 's', longest: 1 },
      { caseMatters: false, source: 's' },
    ],
  ],
  ['profile', 'layout', [{}, {}, { registerOrder: 'low first' }]],
  ['network', 'name', ['Net', 'Net', '']],
  ['network', 'kind', ['ethernet', 'ethernet', 'serial line']],
  [
    'profile',
    'speaks',
    [
      {},
      { 'modbus-tcp': { roles: ['calls', 'listens'], media: ['ethernet'], source: 's' } },
      { 'modbus-tcp': { roles: ['calls', 'listens'], media: ['ethernet'], firmware: '4.2', source: 's' } },
      { 'modbus-tcp': { roles: ['calls', 'listens'], media: ['ethernet'], firmware: '4.10', source: 's' } },
      { 'modbus-tcp': { roles: ['listens'], media: ['ethernet'], source: 's' } },
    ],
  ],
  ['profile', 'views.vb.access', ['read and set', 'read']],
  ['port', 'listens', [{}, { 'modbus-tcp': { tcpPort: 503 } }, { x: { tcpPort: 502 } }], WITH_IP],
  ['port', 'listens', [{ 'modbus-tcp': { tcpPort: 503 } }], /^portb/],
  [
    'port',
    'address',
    ['10.0.0.1', '10.0.0.2', '10.0.0.3', '10.0.0.7', '10.0.0.300', '10.0.1.2', '10.0.0.255', '8.8.4.4', ''],
    WITH_IP,
  ],
  ['port', 'mask', ['255.255.255.0', '255.0.255.0', '/24', '/16'], WITH_IP],
  ['port', 'gateway', ['', '10.0.0.9', 'x', '10.0.9.9', '10.0.0.1'], WITH_IP],
  ['port', 'unit', [null, 7, 11, 12], WITH_UNIT],
  ['port', 'purpose', ['general', 'general', 'I/O', 'programming'], WITH_IP],
  ['port', 'deviceName', ['', 'a', 'A_'], WITH_IP],
  ['port', 'how', ['by hand', 'temporary', 'automatic'], WITH_IP],
  ['port', 'off', [null, { 'modbus-tcp': { roles: ['listens'] } }], WITH_IP],
  ['setting', 'state', ['not sent', 'sent', 'in force']],
  ['setting', 'found', ['', '10.0.0.9']],
  ['end', 'told.svcb.type', ['large', 'Small', 'medium'], /^svca/],
  ['station', 'firmware', [null, { cpu: { order: 10, part: 'CPU', version: '4.9' } }]],
  ['port', 'hardware', ['', '02:00:00:00:00:01'], WITH_IP],
  ['port', 'enabled', [true, true, false], WITH_IP],
  ['port', 'serial', ['9600 8E1', '9600 8N1', '9600', '9600 7E1'], ON_LINE],
  ['port', 'electrical', ['RS-485', 'RS-232'], ON_LINE],
  ['port', 'lineRole', ['calls', 'answers'], ON_LINE],
  ['port', 'node', ['5', '9', '127'], ON_BUS],
  ['port', 'busRate', ['500 kbit/s', '1.5 Mbit/s', 'fast'], ON_BUS],
  [
    'port',
    'radio',
    [
      { sort: 'end unit', id: '7', number: '2' },
      { sort: 'base', id: '8', number: '300' },
      { sort: 'repeater', id: '8', number: '1' },
    ],
    ON_AIR,
  ],
  ['network', 'radio', [{ endUnits: 1 }, { endUnits: 2, repeaters: 0 }]],
  ['network', 'highestAddress', ['126', '3']],
  ['station', 'supplier', ['', 'Coldside']],
  ['station', 'guard', [null, 'open', 'default password']],
  ['station', 'roles', [['controller'], ['remote I/O head']]],
  [
    'profile',
    'limits',
    [{}, { connections: limit(1) }, { nodes: limit(1) }, { bytes: limit(8) }, { connections: limit(9) }],
  ],
  ['profile', 'presets', [null, { p: { field: 'unit', value: '11', source: 's' } }]],
  ['profile', 'unitIsLastOctet', [null, { source: 's' }]],
  ['profile', 'checksUnit', [null, { source: 's' }]],
  ['rack', 'found', [null, 4, 5]],
  ['rack', 'size', [4, 2]],
  ['rack', 'takes', [[], ['AI-8']]],
  ['rack', 'zones', [{}, { z: { order: 1, name: 'Head', slot: 0, size: 2, kinds: ['head'] } }]],
  ['module', 'slot', [0, 1, 2, 3, 9, null]],
  ['module', 'orderCode', ['DO-16', 'DO-32']],
  ['module', 'description', ['', '2.1']],
  ['landing', 'role', ['owner', 'listener']],
  ['landing', 'accepted', ['4.6', '5.2', 'any', '?']],
  ['landing', 'slot', [null, 1, 2]],
  ['landing', 'outputsAt', [{ area: 'areaa', view: 'va', number: 700 }, null]],
  ['port', 'former', [[], ['10.0.0.9']], WITH_IP],
  ['port', 'network', ['net', 'net', null], WITH_IP],
  ['area', 'name', ['Memory', 'Memory', '', 'Other']],
  ['area', 'writers', [['program'], ['program'], []]],
  ['area', 'words', [1000, 1000, 301]],
  ['area', 'reservations', [{}, {}, { r: { order: 1, start: 4800, length: 64, owner: 'module' } }]],
  ['exchange', 'name', ['Exchange', 'Second', '']],
  ['exchange', 'cadence', [null, 100]],
  ['exchange', 'timeout', [null, 50, 500, 5]],
  ['exchange', 'responseDelay', [null, 30, 900], /^rtu/],
  ['exchange', 'cadence', [null, 10, 10, 5000], /^rtu/],
  ['exchange', 'via', [null, 'sd', 'sd'], /^y/],
  [
    'exchange',
    'onLoss',
    [
      { sinks: 'go to zero', source: 'is told by a status' },
      { sinks: 'go to zero' },
      { sinks: 'go to zero', source: 'goes on commanding' },
      { sinks: 'go to zero', back: 'come back by themselves' },
      null,
    ],
    /^y/,
  ],
  ['station', 'scan', [null, 20, 500]],
  ['claim', 'open', [null, 'closed', 'may read', 'may set']],
  ['claim', 'slot', [null, 1, 2], /3$/],
  [
    'claim',
    'length',
    [
      { count: 200, unit: 16 },
      { count: 4, unit: 16 },
    ],
    /^ca/,
  ],
  ['exchange', 'protocol', ['modbus-tcp', 'other']],
  ['exchange', 'transfer', ['requests', 'cyclic blocks']],
  ['end', 'calling', ['calls', 'listens', null]],
  ['end', 'swap', ['none', 'none', 'words', 'bytes']],
  ['end', 'port', ['porta', 'portb', 'portc', null]],
  ['claim', 'name', ['', 'Block', 'Other']],
  ['claim', 'direction', ['writes', 'reads', 'both', null, { typed: 'in' }]],
  [
    'claim',
    'length',
    [
      { count: 4, unit: 16 },
      { count: 4, unit: 16 },
      { count: 8, unit: 8 },
      { count: 5, unit: 16 },
      { count: 9, unit: 8 },
      { typed: '4,5' },
      null,
    ],
  ],
  [
    'claim',
    'length',
    [
      { count: 8, unit: 16 },
      { count: 4, unit: 16 },
      { count: 2, unit: 16 },
    ],
    /3$/,
  ],
  ['claim', 'toldPlace', ['b20', 'b40', 'b160'], /3$/],
  [
    'claim',
    'type',
    [
      { base: 'REAL', count: 2 },
      { base: 'DINT', count: 2 },
      { base: 'WORD', count: 4 },
      { base: 'BOOL', count: 8 },
      { base: 'REAL', count: 1 },
      { base: 'STRING', count: 1, capacity: 8 },
      { base: 'STRING', count: 1, capacity: 6 },
    ],
  ],
  ['claim', 'swap', [null, null, 'words', 'none']],
  ['claim', 'toldPlace', ['b200', 'b20', 'b300', 'w?', null]],
  ['claim', 'header', [undefined, undefined, 16]],
  ['claim', 'place', [{ typed: 'b1.99' }, { area: 'areaa', view: 'va', number: 100 }]],
  ['claim', 'place.number', [20, 100, 200, 300, 302, 320, 999]],
  ['claim', 'items', [{}, { k1: { name: 'x', type: { base: 'INT', count: 1 }, offset: { bits: 0 } } }]],
  [
    'claim',
    'items.k1.type',
    [{ base: 'INT', count: 1 }, { base: 'INT', count: 2 }, { base: 'UINT', count: 1 }, { typed: '?' }],
  ],
  [
    'claim',
    'items.k4.type',
    [
      { base: 'STRING', count: 1, capacity: 8 },
      { base: 'STRING', count: 1, capacity: 6 },
    ],
  ],
  ['claim', 'items.k2.offset', [{ bits: 32 }, { bits: 112 }, { bits: 16 }]],
  ['claim', 'items.k2.name', ['L2', 'L1', 'R1']],
  ['lane', 'items', [{ k1: { order: 10 }, k2: { order: 20 } }, { k1: { order: 10 } }]],
];

const STRUCTURE = { base: 'STRUCT', count: 1, structure: 'str1' } as const;
const LISTEN = { order: 1, name: 'Listen', offset: 0, bits: 1, use: 'to listen', access: 'read and set' } as const;
const members = (state: Offset, speed: Offset) => ({
  k1: { name: 'State', type: { base: 'BYTE', count: 1 }, offset: state },
  k2: { name: 'Speed', type: { base: 'INT', count: 1 }, offset: speed },
});

/** The same for what lies inside stations, for times, and for what an exchange needs to run. */
const INSIDE: readonly Field[] = [
  ['copy', 'to.number', [240, 20, 398, 300]],
  ['copy', 'to', [null, { typed: 'c?' }, { area: 'areac', view: 'vb', number: 240 }]],
  ['copy', 'length', [null, { typed: '4?' }, { count: 4, unit: 16 }]],
  ['copy', 'reader', [null, 'sa']],
  ['area', 'lastWord', ['', 'the operator']],
  [
    'area',
    'reservations',
    [
      {},
      { r: { order: 1, start: 3840, length: 64, owner: 'module', firstStart: 3200, startStep: 800 } },
      { r: { order: 1, start: 3200, length: 64, owner: 'module', puts: true, members: { m: LISTEN } } },
      {
        r: { order: 1, start: 3200, length: 64, owner: 'module', members: { m: { ...LISTEN, content: '10.0.0.12' } } },
      },
    ],
  ],
  ['exchange', 'start', [null, { s: { order: 1, end: 'ya', does: 'sets it', member: 'areac r m' } }], /^y/],
  ['exchange', 'watchedBy', ['lane3', 'lane3', ''], /^y/],
  ['exchange', 'onLoss', [{ sinks: 'go to zero' }, { sinks: 'go to zero', source: 'is told by a status' }], /^y/],
  ['exchange', 'keepAlive', [null, 50, 5000], /^y/],
  ['exchange', 'inactivity', [null, 50]],
  ['exchange', 'cadence', [20, 1, 100], /^y/],
  ['exchange', 'cadence', [20, 1, 100, null], /^y/],
  ['exchange', 'protocol', ['other', 'cyclic-ethernet-io', 'cip'], /^y/],
  ['exchange', 'transfer', ['requests', 'cyclic blocks'], /^y/],
  ['exchange', 'kind', ['peer connection', 'shared variables'], /^y/],
  ['end', 'elementBits', [null, 8, 32], /^y/],
  ['end', 'references', [null, { input: '100' }, { input: '101', connection: '1' }], /^y/],
  ['end', 'told.yc.input', ['', '100', '101'], /^ya/],
  ['end', 'permitted', [false, true]],
  ['lane', 'mostAge', [null, 5, 5000]],
  ['lane', 'shortest', [null, 5, 5000]],
  ['claim', 'trigger', ['on change', null, 'on demand', 'cyclic'], /3$/],
  ['claim', 'trigger', ['on change', null], /^cb3/],
  ['claim', 'open', ['may set', 'may set', null], /^cb3/],
  ['claim', 'open', ['may set'], /^cb3/],
  ['exchange', 'watchedBy', ['lane3'], /^y/],
  ['claim', 'items.k1.unit', ['', 'bar', '0.1 bar'], /2$/],
  [
    'claim',
    'place',
    [
      { area: 'tag1', view: 'tag', number: 0 },
      { area: 'areaa', view: 'va', number: 320 },
    ],
    /^ca3/,
  ],
  ['claim', 'type', [STRUCTURE, { base: 'REAL', count: 2 }], /3$/],
  ['claim', 'items', [{}, members({ bits: 0 }, { bits: 16 }), members({ bits: 0 }, { bits: 8 })], /3$/],
  ['claim', 'layout', [null, { alignment: '1' }, { alignment: '4' }], /3$/],
  [
    'claim',
    'length',
    [
      { count: 4, unit: 16 },
      { count: 200, unit: 16 },
    ],
    /2$/,
  ],
  ['tag', 'type', [{ base: 'REAL', count: 2 }, { base: 'INT', count: 1 }, { typed: 'REEL' }, STRUCTURE]],
  ['tag', 'place', [null, { area: 'areaa', view: 'va', number: 320 }]],
  ['tag', 'program', ['', 'Main']],
  ['tag', 'open', [null, 'closed']],
  ['structure', 'members.m2.type', [{ base: 'INT', count: 1 }, { base: 'BYTE', count: 1 }, STRUCTURE]],
  ['station', 'fromOutside', [null, 'nothing', 'reading']],
  ['station', 'scan', [null, 20, 500]],
  ['station', 'layout', [null, { alignment: '4' }, { alignment: '1' }]],
  ['profile', 'limits', [{}, { characters: limit(4) }]],
  ['network', 'linkRate', [1, 1, null], /^net/],
  ['project', 'loadLevel', [1, 1, null]],
];

/** The same for tags. */
const TAGS: readonly Field[] = [
  ['exchange', 'binding', ['by name', 'by item text', 'by address'], /^map/],
  ['exchange', 'kind', ['tag map', 'tag map', 'peer connection'], /^map$/],
  ['exchange', 'kind', ['tag map', 'tag map', 'peer connection'], /^x$/],
  ['lane', 'binding', [null, 'by name', 'by item text'], /^lane6/],
  ['lane', 'contact', [null, 'true at rest', 'true when active'], /^lane6/],
  ['claim', 'toldPlace', [null, 'duty', 'Duty', 'P.Duty', 'Q.Duty'], /^ca6/],
  ['claim', 'place', [{ area: 'tag1', view: 'tag', number: 0 }], /^ca$/],
  ['station', 'groups', [null, { g: { order: 1, name: 'P', station: 'sc' } }], /^sa/],
  ['station', 'takenFrom', [null, { project: 'P', station: 'S', revision: '1', newest: '2' }]],
  ['tag', 'name', ['Duty', 'Duti', 'Door_1', 'Door_2', '']],
  ['tag', 'polarity', [null, 'true when active', 'true at rest'], /^tag/],
  ['tag', 'polarity', [null, 'true at rest'], /^tag/],
  ['tag', 'alias', ['', 'Duty']],
  ['tag', 'group', ['', 'Press', 'Kiln']],
  ['tag', 'lastWord', ['', 'the panel']],
  ['tag', 'alias', ['Left', ''], /^door/],
  ['tag', 'internal', [undefined, true]],
  ['tag', 'required', [undefined, true]],
  ['tag', 'notUsed', [null, { reason: 'r', by: 'b' }]],
  ['tag', 'access', [null, 'read', 'read and set']],
  ['tag', 'element', [null, 'lamp', 'number entry']],
  ['tag', 'signal', ['discrete in', 'analogue out'], /^tag1/],
  ['tag', 'unit', ['', 'bar', 'mm'], /^tag/],
  ['tag', 'scaling', [null, { rawLow: 0, rawHigh: 100, low: 0, high: 10 }, { typed: '0?' }]],
  ['tag', 'place', [null, { area: 'areaa', view: 'va', number: 500 }], /^(tag1|spare)/],
  [
    'tag',
    'type',
    [
      { base: 'INT', count: 1 },
      { base: 'REAL', count: 2 },
    ],
    /^(tag1|spare)/,
  ],
  ['series', 'count', [2, 3, 1]],
  ['series', 'sample', ['Door_1', 'Door_0']],
  ['import', 'source', [null, '2026-06-01T08:00:00Z', '2026-04-01T08:00:00Z']],
  ['profile', 'limits', [{}, { tags: limit(0) }, { drivers: limit(0) }]],
  ['profile', 'views.vb.table', ['input registers', undefined]],
  ['profile', 'views.vb.table', ['input registers']],
  [
    'profile',
    'nameRule',
    [
      { caseMatters: true, source: 's' },
      { caseMatters: false, source: 's', longest: 3 },
    ],
  ],
];

/** What a run of edits is mostly about: there are too many fields for one run to meet any of them twice. */
export const THEMES = ['exchanges', 'wiring', 'hardware', 'inside', 'tags', 'routes'] as const;
export type Theme = (typeof THEMES)[number];

const KINDS_OF: Record<Exclude<Theme, 'inside' | 'tags' | 'routes'>, readonly Kind[]> = {
  exchanges: ['acceptance', 'station', 'profile', 'area', 'exchange', 'end', 'claim', 'lane'],
  wiring: ['station', 'profile', 'network', 'port', 'end', 'setting'],
  hardware: ['station', 'rack', 'module', 'landing'],
};
function fieldsOf(theme: Theme): readonly Field[] {
  if (theme === 'routes') return ROUTE_FIELDS;
  if (theme === 'inside' || theme === 'tags') return theme === 'tags' ? TAGS : INSIDE;
  return FIELDS.filter(([kind]) => KINDS_OF[theme].includes(kind));
}

/** The plant that a theme's edits begin with. */
export const plantOf = (theme: Theme): Project =>
  theme === 'routes' ? routedPlant() : theme === 'tags' ? taggedPlant() : smallPlant();

/** A random edit by three numbers: what, whose, and to what. Null where there is nothing to edit. */
export function randomEdit(
  project: Project,
  theme: Theme,
  what: number,
  whose: number,
  value: number,
  fresh: string,
): Change[] | null {
  if (what % 12 === 0) return structural(project, whose, value, fresh);
  if (theme === 'tags' && what % 12 > 9) return together(project, value);
  if (theme === 'routes' && what % 12 > 9) return noWayBack(project);
  const fields = fieldsOf(theme);
  const [kind, path, values, which] = fields[what % fields.length]!;
  const entities = inOrder(project, kind).filter(({ id }) => which?.test(id) ?? true);
  const entity = entities[whose % Math.max(entities.length, 1)];
  const next = values[value % values.length];
  if (!entity) return null;
  const keys = path.split('.');
  const parent = keys.slice(0, -1).reduce<unknown>((at, key) => (at as Record<string, unknown> | null)?.[key], entity);
  if (keys.length > 1 && (typeof parent !== 'object' || parent === null || 'typed' in parent)) return null;
  if (next === null && path === 'profile' && kind !== 'station') return null;
  return [set(kind, entity, keys, next)];
}

/** Several fields at once, where a rule needs all of them. */
function together(project: Project, value: number): Change[] | null {
  const [mine, theirs, spare] = ['tag1', 'tag2', 'spare'].map((id) => project.get('tag', id));
  const [asked, x, profile] = [project.get('claim', 'ca'), project.get('exchange', 'x'), project.get('profile', 'pb')];
  if (!mine || !theirs || !spare || !asked || !x || !profile) return null;
  const at = { area: 'areaa', view: 'va', number: 500 };
  switch (value % 3) {
    case 0:
      return [spare, mine].flatMap((tag) => [set('tag', tag, ['place'], at), set('tag', tag, ['type'], mine.type)]);
    case 1:
      return [set('tag', mine, ['polarity'], 'true at rest'), set('tag', theirs, ['polarity'], 'true when active')];
    default:
      return [
        set('claim', asked, ['place'], { area: 'tag1', view: 'tag', number: 0 }),
        set('tag', mine, ['signal'], 'analogue out'),
        set('exchange', x, ['kind'], 'tag map'),
        set('profile', profile, ['views', 'vb', 'table'], 'input registers'),
      ];
  }
}

/** Entities that come and go. */
function structural(project: Project, whose: number, value: number, fresh: string): Change[] | null {
  const pick = (kind: Kind) => {
    const list = inOrder(project, kind);
    return list[whose % Math.max(list.length, 1)];
  };
  switch (value % 8) {
    case 0: {
      const kind = (['claim', 'lane', 'port', 'area', 'exchange', 'station'] as const)[whose % 6]!;
      const entity = pick(kind);
      return entity ? dropWithDependents(project, kind, entity.id) : null;
    }
    case 1: {
      const lane = pick('lane');
      const end = lane && inOrder(project, 'end').find((e) => e.exchange === (lane as { exchange: string }).exchange);
      const taken =
        end && lane && project.referrers('claim', lane.id).some((c) => project.get('claim', c)?.end === end.id);
      return lane && end && !taken ? [put('claim', emptyClaim(fresh, lane.id, end.id))] : null;
    }
    case 2: {
      const exchange = pick('exchange');
      return exchange ? [put('lane', { id: fresh, order: whose, exchange: exchange.id, items: {} })] : null;
    }
    case 5: {
      const length = { count: 9, unit: 8 } as const;
      const lane = pick('lane');
      const claims = inOrder(project, 'claim').filter((c) => c.lane === lane?.id);
      if (whose % 2 === 0) return claims.map((c) => set('claim', c, ['length'], length));
      const bools = { base: 'BOOL', count: 8 };
      return claims.flatMap((c, i) => [
        set('claim', c, ['type'], bools),
        ...(i === 0 ? [set('claim', c, ['layout'], { boolPacking: 'byte' })] : []),
      ]);
    }
    case 4: {
      const told = inOrder(project, 'claim').filter((c) => /^b\d+$/.test(c.toldPlace ?? ''));
      return told.map((c) => set('claim', c, ['toldPlace'], `b${Number(c.toldPlace!.slice(1)) + (whose % 3) - 1}`));
    }
    case 7:
      return Array.from({ length: 33 }, (_, i) => put('port', newPort(`${fresh}p${i}`, i, 'sa', 'line')));
    case 3: {
      const [y, claim] = [project.get('exchange', 'y'), project.get('claim', 'cb3')];
      if (y && claim && project.get('station', 'sd') && whose % 2 === 1) {
        return [set('exchange', y, ['via'], 'sd'), set('claim', claim, ['slot'], 1 + (whose % 3))];
      }
      return [put('station', newStation(fresh, whose, 'Fresh'))];
    }
    default: {
      const claim = pick('claim') as unknown as { end: string; lane: string } | undefined;
      const copy = claim && project.get('claim', (claim as unknown as { id: string }).id);
      const lane = copy && project.get('lane', copy.lane);
      if (!copy || !lane) return null;
      const twin = { ...lane, id: fresh } as unknown as Json;
      return [
        { kind: 'lane', id: fresh, path: [], after: twin },
        put('claim', { ...copy, id: `${fresh}c`, lane: fresh }),
      ];
    }
  }
}
