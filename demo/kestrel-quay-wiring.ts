import type { Landing, Module, ModuleKind, Network, Port, Rack, Role, Station } from '@dialoga/core/model';

const station = (
  id: string,
  order: number,
  name: string,
  roles: Role[],
  profile: string,
  supplier: string,
  rest: Partial<Station> = {},
): Station => ({ id, order, name, roles, profile, party: 'own', supplier, ...rest });

/** Everything besides the two controllers, the panel and the control room. */
export const MORE_STATIONS: Station[] = [
  station('dockctl', 50, 'DockCtl', ['controller'], 'profile-small', 'Docks', {
    typeText: 'small controller',
    scan: 10,
  }),
  station('quaylink', 60, 'QuayLink', ['coupler'], 'profile-coupler', 'Plant controls', { typeText: 'coupler' }),
  station('meterhub', 70, 'MeterHub', ['gateway'], 'profile-memory-gateway', 'Energy', {
    typeText: 'memory gateway',
    orderCode: 'MG-30',
    revision: '2.4',
    scan: 50,
  }),
  ...['Meter1', 'Meter2', 'Meter3', 'WaterMeter'].map((name, i) =>
    station(name.toLowerCase(), 80 + 10 * i, name, ['telemetry unit'], 'profile-telemetry', 'Energy', { scan: 200 }),
  ),
  station('evaphead', 120, 'EvapHead', ['remote I/O head'], 'profile-head', 'Evaporators', {
    orderCode: 'HD-2',
    scan: 2,
  }),
  station('roofbase', 130, 'RoofBase', ['radio unit'], 'profile-radio-base', 'Roof weather', { scan: 100 }),
  station('roofa', 140, 'RoofA', ['radio unit'], 'profile-radio-unit', 'Roof weather', { scan: 500 }),
  station('roofb', 150, 'RoofB', ['radio unit'], 'profile-radio-unit', 'Roof weather', { scan: 500 }),
  station('brinertu', 160, 'BrineRtu', ['telemetry unit'], 'profile-telemetry', 'Brine', { scan: 500 }),
  station('aislesim', 170, 'AisleSim', ['simulator'], 'profile-simulator', 'Plant controls', { scan: 50 }),
  station('busbridge', 180, 'BusBridge', ['router'], 'profile-router', 'Evaporators'),
  station('defrostctl', 190, 'DefrostCtl', ['controller'], 'profile-large', 'Evaporators'),
  station('servicelaptop', 200, 'ServiceLaptop', ['workstation'], 'profile-workstation', 'Plant controls'),
];

export const networks = (agreed: boolean): Network[] => [
  { id: 'plant-lan', order: 10, name: 'Plant LAN', kind: 'ethernet', subnet: '10.48.10.0/24' },
  {
    id: 'quay-lan',
    order: 20,
    name: 'Quay LAN',
    kind: 'ethernet',
    subnet: '172.19.4.0/24',
    comment: 'of the harbour’s operator',
  },
  { id: 'meter-line', order: 30, name: 'Meter line', kind: 'serial line', wiring: 'two-wire' },
  { id: 'roof-line', order: 40, name: 'Roof line', kind: 'serial line', wiring: 'two-wire' },
  {
    id: 'roof-radio',
    order: 50,
    name: 'Roof radio',
    kind: 'radio',
    radio: { id: '21', band: '869 MHz', rate: '9.6 kbit/s', mode: 'mirror', endUnits: agreed ? 2 : 1, repeaters: 0 },
  },
  {
    id: 'defrost-bus',
    order: 60,
    name: 'Defrost bus',
    kind: 'token bus',
    busRate: '500 kbit/s',
    busProfile: 'standard',
    highestAddress: '31',
  },
];

const port = (station: string, network: string | null, order: number, name: string, rest: Partial<Port>): Port => ({
  id: `port-${station}${network === 'plant-lan' ? '' : `-${network ?? 'loose'}`}`,
  order,
  name,
  station,
  network,
  enabled: true,
  purpose: 'general',
  address: '',
  mask: '',
  gateway: '',
  former: [],
  listens: {},
  unit: null,
  ...rest,
});

const MASK = '255.255.255.0';
const lan = (name: string, order: number, last: number, rest: Partial<Port> = {}): Port =>
  port(name, 'plant-lan', order, 'Ethernet', { address: `10.48.10.${last}`, mask: MASK, ...rest });
const onLine = (name: string, line: string, order: number, serial: string, rest: Partial<Port>): Port =>
  port(name, line, order, 'Serial', { serial, electrical: 'RS-485', ...rest });
const METER = '9600 8E1';
const ROOF = '19200 8N1';
const BUS = { busRate: '500 kbit/s', busProfile: 'standard' } as const;

export const morePorts = (agreed: boolean): Port[] => [
  onLine('plantctl', 'roof-line', 20, ROOF, { name: 'Serial module, slot 5', lineRole: 'calls', module: 'plant-5' }),
  port('dockctl', 'quay-lan', 10, 'Ethernet', {
    address: '172.19.4.21',
    mask: MASK,
    purpose: 'I/O',
    deviceName: 'dock-ctl',
  }),
  lan('quaylink', 10, 40, { name: 'Side one', purpose: 'I/O', deviceName: 'quay-link' }),
  port('quaylink', 'quay-lan', 20, 'Side two', {
    address: '172.19.4.40',
    mask: MASK,
    purpose: 'I/O',
    deviceName: 'quay-link',
  }),
  lan('meterhub', 10, 30),
  onLine('meterhub', 'meter-line', 20, METER, { lineRole: 'calls' }),
  onLine('meter1', 'meter-line', 30, METER, { lineRole: 'answers', unit: 11 }),
  onLine('meter2', 'meter-line', 40, METER, { lineRole: 'answers', unit: 12 }),
  onLine('meter3', 'meter-line', 50, METER, { lineRole: 'answers', unit: 13 }),
  onLine('watermeter', 'meter-line', 60, METER, { lineRole: 'answers', unit: agreed ? 14 : 13 }),
  lan('evaphead', 10, 45, { purpose: 'I/O', deviceName: 'evap-head' }),
  onLine('roofbase', 'roof-line', 10, ROOF, { lineRole: 'answers', unit: 21 }),
  port('roofbase', 'roof-radio', 20, 'Radio', { radio: { sort: 'base', number: '4', ...RADIO } }),
  port('roofa', 'roof-radio', 30, 'Radio', { radio: { sort: 'end unit', number: '7', ...RADIO } }),
  port('roofb', 'roof-radio', 40, 'Radio', { radio: { sort: 'end unit', number: '9', ...RADIO } }),
  lan('brinertu', 10, 31, { telemetry: '31', listens: { dnp3: { tcpPort: 20000 } } }),
  lan('aislesim', 10, 90),
  { ...lan('busbridge', 10, 70), tunnel: '192.168.170.1–192.168.170.8' },
  port('busbridge', 'defrost-bus', 20, 'Bus', { node: '5', busActive: true, ...BUS }),
  port('defrostctl', 'defrost-bus', 30, 'Bus', { node: '9', busActive: true, ...BUS }),
  lan('servicelaptop', 10, 200, { name: 'first adapter', purpose: 'programming' }),
  port('servicelaptop', null, 20, 'second adapter', {
    ...(agreed ? { address: '192.168.7.2', mask: MASK } : { address: '10.48.8.2', mask: '255.255.248.0' }),
    purpose: 'programming',
  }),
];

const RADIO = { id: '21', band: '869 MHz', rate: '9.6 kbit/s', mode: 'mirror' } as const;

const rack = (id: string, station: string, size: number, rest: Partial<Rack> = {}): Rack => ({
  id,
  order: 10,
  name: 'Rack',
  station,
  size,
  first: 0,
  gaps: false,
  zones: {},
  takes: [],
  ...rest,
});

export const RACKS: Rack[] = [
  rack('plant-rack', 'plantctl', 8, {
    zones: {
      cpu: { order: 10, name: 'CPU', slot: 0, size: 1, kinds: ['CPU'] },
      modules: {
        order: 20,
        name: 'modules',
        slot: 1,
        size: 7,
        kinds: ['communication', 'digital input', 'digital output', 'analogue input', 'analogue output', 'counter'],
      },
    },
  }),
  rack('evap-rack', 'evaphead', 10, { addressesFollow: true }),
  rack('roofa-rack', 'roofa', 2, { gaps: true }),
  rack('roofb-rack', 'roofb', 2, { gaps: true }),
];

const plugged = (
  rackId: string,
  slot: number,
  kind: ModuleKind,
  name: string,
  orderCode: string,
  [inputs, outputs]: [number, number],
  rest: Partial<Module> = {},
): Module => ({
  id: `${rackId.replace('-rack', '')}-${slot}`,
  order: slot,
  name,
  rack: rackId,
  slot,
  kind,
  orderCode,
  inputs,
  outputs,
  ...rest,
});
const found = (orderCode: string, revision: string) => ({
  found: { orderCode, revision, source: 'read from the rack, 12 May' },
});

export const MODULES: Module[] = [
  plugged('plant-rack', 0, 'CPU', 'CPU', 'CP-400', [0, 0]),
  plugged('plant-rack', 1, 'communication', 'Ethernet', 'EN-1', [0, 0]),
  plugged('plant-rack', 2, 'digital input', 'In 32', 'DI-32', [4, 0]),
  plugged('plant-rack', 3, 'digital output', 'Out 32', 'DO-32', [0, 4]),
  plugged('plant-rack', 4, 'analogue input', 'Analogue in 8', 'AI-8', [16, 0]),
  plugged('plant-rack', 5, 'communication', 'Serial', 'SL-2', [0, 0]),
  plugged('evap-rack', 0, 'head', 'Head', 'HD-2', [0, 0], found('HD-2', '3.1')),
  plugged('evap-rack', 1, 'digital input', 'In 1', 'DI-16', [2, 0], found('DI-16', '5.2')),
  plugged('evap-rack', 2, 'digital input', 'In 2', 'DI-16', [2, 0], found('DI-16', '5.2')),
  plugged('evap-rack', 3, 'digital output', 'Fans', 'DO-16', [0, 2], found('DO-16', '5.2')),
  plugged('evap-rack', 4, 'digital output', 'Valves', 'DO-16', [0, 2], found('DO-16', '5.2')),
  plugged('evap-rack', 5, 'digital output', 'Heaters', 'DO-16', [0, 2], found('DO-16', '4.6')),
  plugged('evap-rack', 6, 'analogue input', 'Coil temperatures', 'AI-4', [8, 0], found('AI-4', '2.0')),
  plugged('evap-rack', 7, 'analogue input', 'Air temperatures', 'AI-4', [8, 0], found('AI-4', '2.0')),
  plugged('roofa-rack', 0, 'digital input', 'Wind alarms', 'RI-4', [1, 0], { dial: '3', dialRead: true }),
  plugged('roofa-rack', 1, 'analogue input', 'Wind', 'RA-2', [4, 0], { dial: '3', dialRead: true }),
  plugged('roofb-rack', 0, 'digital input', 'Hatches', 'RI-4', [1, 0], { dial: '6', dialRead: true }),
];

const landing = (station: string, moduleId: string, order: number, rest: Partial<Landing>): Landing => {
  const of = MODULES.find((m) => m.id === moduleId)!;
  return {
    id: `landing-${station}-${moduleId}`,
    order,
    station,
    module: moduleId,
    role: 'owner',
    inputsAt: null,
    outputsAt: null,
    slot: of.slot,
    inputs: of.inputs,
    outputs: of.outputs,
    orderCode: of.orderCode,
    accepted: of.found?.revision ?? '',
    ...rest,
  };
};
const inputs = (number: number) => ({ inputsAt: { area: 'plantctl-input', view: 'ib', number } });
const outputs = (number: number) => ({ outputsAt: { area: 'plantctl-output', view: 'qb', number } });

export const landings = (agreed: boolean): Landing[] => [
  landing('plantctl', 'plant-2', 10, inputs(0)),
  landing('plantctl', 'plant-3', 20, outputs(0)),
  landing('plantctl', 'plant-4', 30, inputs(48)),
  landing('plantctl', 'evap-1', 40, inputs(20)),
  landing('plantctl', 'evap-2', 50, inputs(22)),
  landing('plantctl', 'evap-3', 60, outputs(4)),
  landing('plantctl', 'evap-4', 70, { ...outputs(6), role: agreed ? 'listener' : 'owner' }),
  landing('plantctl', 'evap-5', 80, { ...outputs(8), accepted: agreed ? '4.6–4.x' : '5.2' }),
  landing('plantctl', 'evap-6', 90, inputs(24)),
  landing('plantctl', 'evap-7', 100, inputs(32)),
  landing('skidctl', 'evap-4', 110, {}),
];
