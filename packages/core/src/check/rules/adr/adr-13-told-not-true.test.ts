import { newNetwork, newPort, newStation } from '../../../create/new-entities.js';
import type { ModuleKind } from '../../../model/words.js';
import {
  added,
  codesOf,
  edited,
  findingsOf,
  fixed,
  theFinding,
  twoStations,
  wordsOf,
} from '../../../testing/two-stations.testing.js';

const told = (address: string) => edited(twoStations(), ['end', 'ea', 'told.eb.address', address]);

test('the old address is recognised as old', () => {
  const project = edited(told('10.0.0.9'), ['port', 'portb', 'former', ['10.0.0.9']]);
  const words = wordsOf(theFinding(project, 'ADR 13'));
  expect(words).toContain('10.0.0.9 entered for B, its former address; it is at 10.0.0.2');
  expect(codesOf(fixed(project, theFinding(project, 'ADR 13')))).toEqual([]);
});

test('the address of another station is named as that', () => {
  const other = added(told('10.0.0.7'), 'station', newStation('s7', 30, 'Seven'));
  const project = added(other, 'port', { ...newPort('p7', 10, 's7', 'net'), address: '10.0.0.7' });
  expect(wordsOf(theFinding(project, 'ADR 13'))).toContain('which is Seven');
});

test('nothing told: a Blocker where there is no default, silent where there is', () => {
  expect(theFinding(told(''), 'ADR 13').message).toBe('notTold');
  // A Modbus server listens on 502. [published: IANA service name and port number registry, mbap 502] [from memory]
  expect(codesOf(edited(twoStations(), ['end', 'ea', 'told.eb.tcpPort', '502']))).toEqual([]);
});

// A server that is reached by its IP address alone ignores the unit; 255 is recommended, 0 accepted, and 1 is common.
// [published: MODBUS Messaging on TCP/IP Implementation Guide V1.0b, 4.4.2.1] [from memory]
test('a device that stands alone answers to any unit', () => {
  for (const told of ['', '0', '1', '255', '9']) {
    for (const unit of [null, 1, 7]) {
      const project = edited(twoStations(), ['port', 'portb', 'unit', unit], ['end', 'ea', 'told.eb.unit', told]);
      expect([told, unit, codesOf(project)]).toEqual([told, unit, []]);
    }
  }
});

test('another unit than the true one, of a type that looks at it, or with units behind it', () => {
  const unit = edited(twoStations(), ['port', 'portb', 'unit', 7]);
  const checks = edited(unit, ['profile', 'pb', 'checksUnit', { source: 'manual, 4' }]);
  const line = added(unit, 'network', { ...newNetwork('line', 20, 'Line'), kind: 'serial line' });
  const behind = added(line, 'port', { ...newPort('pl', 20, 'sb', 'line'), lineRole: 'calls' });
  for (const project of [checks, behind]) {
    expect(wordsOf(theFinding(project, 'ADR 13'))).toContain('unit 255 entered for B; it is 7');
    expect(codesOf(fixed(project, theFinding(project, 'ADR 13')))).not.toContain('ADR 13');
  }
});

test('the slot that remote I/O is asked under is that of a module which the controller has entered, or of the head', () => {
  const racked = added(twoStations(), 'rack', {
    id: 'rack',
    order: 10,
    name: 'R',
    station: 'sb',
    size: 4,
    first: 0,
    gaps: true,
    zones: {},
    takes: [],
  });
  const module = (id: string, slot: number, kind: ModuleKind) => ({
    id,
    order: slot,
    name: id,
    rack: 'rack',
    slot,
    kind,
    orderCode: '',
    inputs: 0,
    outputs: 0,
    found: { orderCode: '', revision: '' },
  });
  const plugged = added(
    racked,
    'module',
    module('cpu', 0, 'CPU'),
    module('head', 1, 'head'),
    module('di', 3, 'digital input'),
  );
  const asked = (kind: string, slot: string, project = plugged) =>
    codesOf(
      edited(
        project,
        ['exchange', 'x', 'protocol', 'cip'],
        ['exchange', 'x', 'kind', kind],
        ['end', 'ea', 'told.eb.slot', slot],
      ),
    ).includes('ADR 13');
  expect([asked('peer connection', '0'), asked('peer connection', '3')]).toEqual([false, true]);
  expect([asked('remote I/O', '1'), asked('remote I/O', '3')]).toEqual([false, true]);
  const entered = added(plugged, 'landing', {
    id: 'l',
    order: 10,
    station: 'sa',
    module: 'di',
    role: 'owner',
    inputsAt: null,
    outputsAt: null,
    slot: 3,
    inputs: 0,
    outputs: 0,
    orderCode: '',
    accepted: '',
  });
  expect([asked('remote I/O', '3', entered), asked('remote I/O', '0', entered)]).toEqual([false, true]);
});

test('what is not known yet is not fine, and what neither end says is said of both', () => {
  const project = edited(twoStations(), ['end', 'eb', 'port', null]);
  // One cause: the port is not chosen, so its address and its TCP port are not known.
  expect(findingsOf(project).map((f) => [f.code, f.message, f.severity])).toEqual([['LIN 7', 'noPort', 'doubt']]);
  const telemetry = (told: string) =>
    findingsOf(edited(twoStations(), ['exchange', 'x', 'protocol', 'dnp3'], ['end', 'ea', 'told.eb.telemetry', told]));
  expect(
    telemetry('7')
      .filter((f) => f.code === 'ADR 13')
      .map((f) => f.message),
  ).toEqual(['unknown']);
  const found = telemetry('').find((f) => f.message === 'neither')!;
  expect(wordsOf(found)).toContain('the telemetry address of B is not known yet at either end');
});

test('software that runs on another station is reached at its host’s address', () => {
  const host = added(twoStations(), 'station', newStation('host', 30, 'Host'));
  const wired = added(host, 'port', { ...newPort('ph', 10, 'host', 'net'), address: '10.0.0.50' });
  const project = edited(wired, ['port', 'portb', 'address', ''], ['station', 'sb', 'runsOn', 'host']);
  expect(wordsOf(theFinding(project, 'ADR 13'))).toContain('it is 10.0.0.50');
  expect(codesOf(fixed(project, theFinding(project, 'ADR 13')))).toEqual([]);
});

test('of two programs on one computer a loopback address is right, and another station is the other computer', () => {
  const other = added(twoStations(), 'station', newStation('host', 30, 'Host'), newStation('far', 40, 'Far'));
  const wired = added(
    other,
    'port',
    { ...newPort('ph', 10, 'host', 'net'), address: '10.0.0.50' },
    { ...newPort('pf', 10, 'far', 'net'), address: '10.0.0.60' },
  );
  const together = (told: string) =>
    edited(
      wired,
      ['port', 'portb', 'address', ''],
      ['station', 'sa', 'runsOn', 'host'],
      ['station', 'sb', 'runsOn', 'host'],
      ['end', 'ea', 'told.eb.address', told],
    );
  expect(codesOf(together('127.0.0.1'))).toEqual([]);
  expect(codesOf(together('10.0.0.50'))).toEqual([]);
  const words = wordsOf(theFinding(together('10.0.0.60'), 'ADR 13'));
  expect(words).toContain(
    'A has 10.0.0.60 entered for B: that is the other computer, Far; both run on one, at 10.0.0.50',
  );
  // On two computers a loopback address leads to the program itself.
  expect(codesOf(edited(together('127.0.0.1'), ['station', 'sb', 'runsOn', 'far']))).toEqual(['ADR 3']);
});
