import { newNetwork, newPort } from '../../../create/new-entities.js';
import { plannedOf } from '../../../setting/planned.js';
import { smallPlant } from '../../../testing/random-edits.testing.js';
import { mended, plant, words } from '../../../testing/edited-plant.testing.js';
import {
  added,
  codesOf,
  edited,
  fixed,
  theFinding,
  wordsOf,
  type FieldEdit,
} from '../../../testing/two-stations.testing.js';

test('ADR 7: two adapters of one computer whose subnets overlap, even where one is attached to nothing', () => {
  const wide: FieldEdit[] = [
    ['port', 'pe2', 'address', '10.0.0.200'],
    ['port', 'pe2', 'mask', '255.255.248.0'],
  ];
  const said = words('ADR 7', ...wide);
  expect(said).toContain('10.0.0.0/24');
  expect(said).toContain('10.0.0.0/21');
  const coupler = edited(plant(...wide), ['station', 'sa', 'roles', ['coupler']]);
  expect(codesOf(coupler)).not.toContain('ADR 7');
});

test('ADR 8: a unit twice on a line, with a free one; the later one is moved', () => {
  const twice: FieldEdit = ['port', 'pl3', 'unit', 11];
  const said = words('ADR 8', twice);
  expect(said).toContain('both have unit address 11');
  expect(said).toContain('12 is free');
  const after = fixed(plant(twice), theFinding(plant(twice), 'ADR 8'));
  expect(after.get('port', 'pl3')?.unit).toBe(12);
  expect(codesOf(after)).toEqual([]);
});

test('ADR 8: dials of one direction on one radio network', () => {
  const turned = (kind: string) =>
    edited(
      added(smallPlant(), 'port', { ...newPort('air3', 1, 'sd', 'air'), radio: { sort: 'repeater', id: '7' } }),
      ['module', 'm2', 'dial', '3'],
      ['module', 'm3', 'dial', '3'],
      ['module', 'm3', 'kind', kind],
    );
  expect(wordsOf(theFinding(turned('digital output'), 'ADR 8'))).toContain(
    'rotary switch 3 twice among digital output modules',
  );
  // An input and an output module of equal dials are a pair that is meant.
  expect(codesOf(turned('digital input'))).not.toContain('ADR 8');
});

test('ADR 9: node 127 is for all nodes; unit 300 is out of range', () => {
  expect(words('ADR 9', ['port', 'pn2', 'node', '127'])).toContain('127 is for all nodes at once');
  expect(words('ADR 9', ['port', 'pl2', 'unit', 300])).toContain('300 is out of range');
  expect(words('ADR 9', ['port', 'pn2', 'node', 'nine'])).toContain('“nine” is not a whole number');
});

test('ADR 10: what the type comes with is not yet set', () => {
  const preset = { p: { field: 'unit', value: '11', source: 'data sheet, 4.2' } };
  expect(words('ADR 10', ['profile', 'pb', 'presets', preset])).toContain('unit 11 is still the factory value');
});

test('ADR 10: a number without which nobody on the network can call it', () => {
  expect(words('ADR 10', ['port', 'pn2', 'node', ''])).toContain('on Bus it needs a node address, and has none yet');
  expect(words('ADR 10', ['port', 'portb', 'telemetry', '0'])).toContain('it needs a telemetry address');
  expect(words('ADR 10', ['port', 'pl3', 'unit', null])).toContain('on Line it needs a unit address');
  expect(words('ADR 10', ['port', 'pr2', 'radio.number', ''])).toContain('on Air it needs a radio number');
  // Who only calls on a line needs none.
  expect(codesOf(plant(['port', 'pl1', 'unit', null]))).toEqual([]);
});

test('ADR 3: an address outside the subnet of its own network, before any exchange exists', () => {
  const subnet: FieldEdit = ['network', 'net', 'subnet', '10.0.0.0/24'];
  expect(codesOf(plant(subnet))).toEqual([]);
  const outside: FieldEdit = ['port', 'pe3', 'address', '10.0.1.44'];
  expect(words('ADR 3', subnet, outside)).toContain('10.0.1.44 is outside 10.0.0.0/24, the subnet of Net');
  // A public address is outside, too: that is the one finding of it.
  expect(codesOf(plant(subnet, ['port', 'pe3', 'address', '8.8.4.4']))).toEqual(['ADR 3']);
  // A second address inside it will do, and so will a router that makes another subnet on the same wire.
  const further = { f: { order: 1, address: '10.0.0.44', mask: '/24', how: 'by hand' } };
  expect(codesOf(plant(subnet, outside, ['port', 'pe3', 'further', further]))).toEqual([]);
  const router: FieldEdit[] = [
    ['station', 'sd', 'roles', ['router']],
    ['port', 'pe2', 'station', 'sd'],
    ['port', 'pe2', 'network', 'net'],
    ['port', 'pe2', 'address', '10.0.1.1'],
  ];
  expect(codesOf(plant(subnet, outside, ...router))).not.toContain('ADR 3');
});

// [published: RFC 1122, 3.2.1.3: a host address is neither all zeros nor all ones] [from memory]
test('ADR 5: a gateway that is the subnet itself, or its broadcast address; ADR 2: a mask of no bit', () => {
  expect(words('ADR 5', ['port', 'porta', 'gateway', '10.0.0.0'])).toContain('10.0.0.0 is the address of 10.0.0.0/24');
  expect(words('ADR 5', ['port', 'porta', 'gateway', '10.0.0.255'])).toContain('the broadcast address of 10.0.0.0/24');
  expect(words('ADR 5', ['port', 'porta', 'gateway', '10.0.1.255'])).toContain('is outside 10.0.0.0/24');
  for (const mask of ['/0', '0.0.0.0']) {
    expect(codesOf(plant(['port', 'porta', 'mask', mask]))).toContain('ADR 2');
    const project = plant(['port', 'porta', 'mask', mask]);
    expect(wordsOf(theFinding(project, 'ADR 2'))).toContain('the mask has no bit set');
  }
});

test('LIN 7: a port that is set aside for one purpose serves that one', () => {
  const purpose = (purpose: string, kind: string, transfer = 'requests'): string[] =>
    codesOf(
      plant(
        ['port', 'portb', 'purpose', purpose],
        ['exchange', 'x', 'kind', kind],
        ['exchange', 'x', 'transfer', transfer],
      ),
    ).filter((code) => code === 'LIN 7');
  expect(purpose('general', 'peer connection')).toEqual([]);
  expect(purpose('programming', 'peer connection')).toEqual(['LIN 7']);
  expect(purpose('panel', 'peer connection')).toEqual(['LIN 7']);
  expect(purpose('panel', 'tag map')).toEqual([]);
  expect(purpose('I/O', 'tag map')).toEqual(['LIN 7']);
  expect(purpose('I/O', 'remote I/O')).toEqual([]);
  expect(purpose('I/O', 'peer connection', 'cyclic blocks')).toEqual([]);
});

test('ADR 11: one node twice on a token bus, mended with the next free one', () => {
  const twice: FieldEdit = ['port', 'pn2', 'node', '5'];
  expect(words('ADR 11', twice)).toContain('both have node 5');
  expect(mended('ADR 11', twice)).toEqual([]);
});

test('ADR 14: only where the profile has the custom', () => {
  const custom: FieldEdit = ['profile', 'pa', 'unitIsLastOctet', { source: 'data sheet, 2.1' }];
  expect(words('ADR 14', custom)).toContain('unit 9 at 10.9.0.1; by custom 1');
  expect(mended('ADR 14', custom)).toEqual([]);
  // Where none is set it is proposed at the port that is called by its unit, and not at one that only calls.
  const called: FieldEdit = ['profile', 'pb', 'unitIsLastOctet', { source: 'data sheet, 2.1' }];
  const project = plant(called);
  expect(wordsOf(theFinding(project, 'ADR 14'))).toContain('no unit at 10.0.0.2, where the custom is unit 2');
  expect(fixed(project, theFinding(project, 'ADR 14')).get('port', 'portb')!.unit).toBe(2);
});

test('ADR 15: one hardware address twice, however it is written', () => {
  expect(words('ADR 15', ['port', 'portb', 'hardware', '02-00-00-00-00-01'])).toContain(
    'both have hardware address 02:00:00:00:00:01',
  );
});

test('ADR 16: a port for I/O without a name, with an illegal one, and with one that is taken', () => {
  const speech = { roles: ['calls', 'listens'], media: ['ethernet'], source: 'manual, 2' };
  const speaks = (...ids: string[]): FieldEdit => [
    ...(['profile', 'pb', 'speaks'] as const),
    Object.fromEntries([...ids, 'modbus-tcp', 'modbus-rtu', 'other'].map((id) => [id, speech])),
  ];
  const missing: FieldEdit[] = [['port', 'portb', 'purpose', 'I/O'], speaks('cyclic-ethernet-io')];
  expect(words('ADR 16', ...missing)).toContain('no device name');
  expect(mended('ADR 16', ...missing)).not.toContain('ADR 16');
  // Of a type that finds nobody by name, or of which that is not known, none is asked for.
  expect(codesOf(plant(missing[0]!))).not.toContain('ADR 16');
  expect(codesOf(plant(missing[0]!, speaks()))).not.toContain('ADR 16');
  expect(codesOf(plant(speaks(), ['port', 'portb', 'deviceName', 'Dock_1']))).not.toContain('ADR 16');
  const illegal: FieldEdit = ['port', 'portb', 'deviceName', 'Dock_1'];
  expect(words('ADR 16', illegal)).toContain('“D” is not allowed');
  expect(mended('ADR 16', illegal)).toEqual([]);
  const twice: FieldEdit[] = [
    ['port', 'porta', 'deviceName', 'dock'],
    ['port', 'portb', 'deviceName', 'dock'],
  ];
  expect(words('ADR 16', ...twice)).toContain('device name dock twice');
  expect(mended('ADR 16', ...twice)).toEqual([]);
});

test('ADR 18: an address for the moment only, unless another one is there for good', () => {
  const moment: FieldEdit = ['port', 'pe2', 'how', 'temporary'];
  expect(words('ADR 18', moment)).toContain('10.9.0.1 is set for the moment only');
  const further = { f: { order: 1, address: '10.9.0.2', mask: '/24', how: 'by hand' } };
  expect(codesOf(plant(moment, ['port', 'pe2', 'further', further]))).toEqual([]);
});

test('ADR 8: one unit on two lines behind a gateway that passes requests by unit', () => {
  const line = { ...newNetwork('line2', 50, 'Second line'), kind: 'serial line' as const };
  const project = added(
    added(smallPlant(), 'network', line),
    'port',
    { ...newPort('q1', 200, 'sa', 'line2'), lineRole: 'calls' },
    { ...newPort('q2', 210, 'sd', 'line2'), lineRole: 'answers', unit: 12 },
  );
  expect(codesOf(project)).not.toContain('ADR 8');
  const forwards = { u: { what: 'requests by unit', source: 'manual, 3.2' } };
  const passing = edited(project, ['profile', 'pa', 'forwards', forwards]);
  expect(wordsOf(theFinding(passing, 'ADR 8'))).toContain('A passes requests to unit address 12 twice: C and D');
});

test('ADR 17: a tool that works through a port for I/O is led to another', () => {
  const project = plant(['port', 'portb', 'purpose', 'I/O'], ['port', 'portb', 'deviceName', 'b']);
  const finding = theFinding(project, 'ADR 17');
  expect(finding.severity).toBe('doubt');
  expect(wordsOf(finding)).toContain('Service: the port of B is meant for I/O');
});

test('ADR 18: changed since it was sent, sent and not in force, in force and found otherwise', () => {
  expect(words('ADR 18', ['port', 'portb', 'address', '10.0.0.7'])).toContain(
    'planned 10.0.0.7; 10.0.0.2 sent by R. Vale',
  );
  expect(words('ADR 18', ['setting', 'set1', 'state', 'in force after a restart'])).toContain(
    'in force after a restart',
  );
  expect(words('ADR 18', ['setting', 'set1', 'found', '10.0.0.9'])).toContain('10.0.0.9 was found');
  expect(codesOf(plant(['setting', 'set1', 'state', 'not sent']))).toEqual([]);
  // What was sent may well be in force: that nobody has looked is what is said.
  const sent = words('ADR 18', ['setting', 'set1', 'state', 'sent'], ['setting', 'set1', 'by', '']);
  expect(sent).toContain('10.0.0.2 was sent; nobody has seen yet that it is in force');
  expect(sent).not.toContain('somebody');
});

test('ADR 18: any edit of what an end holds comes after it was sent', () => {
  const sent = (project: ReturnType<typeof plant>) => {
    const value = plannedOf(project, 'end ea')!.value;
    const word = { by: 'R. Vale', at: '2026-05-12T08:00:00Z' };
    const held = { id: 'set2', order: 20, station: 'sa', field: 'end ea', state: 'in force' as const, sent: value };
    return added(project, 'setting', { ...held, ...word });
  };
  const project = sent(smallPlant());
  expect(codesOf(project)).toEqual([]);
  const edits: FieldEdit[] = [
    ['claim', 'ca', 'name', 'Other'],
    ['claim', 'ca', 'swap', 'bytes'],
    ['end', 'ea', 'told.eb.tcpPort', '502'],
    ['exchange', 'x', 'cadence', 250],
  ];
  for (const edit of edits) expect(codesOf(edited(project, edit))).toContain('ADR 18');
  expect(codesOf(edited(project, ['claim', 'cb', 'name', 'Other']))).not.toContain('ADR 18');
});
