import { newPort, newStation } from '../../../model/create.js';
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
  expect(words).toContain('at 10.0.0.9, its former address; it is at 10.0.0.2');
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

test('another unit than the true one', () => {
  const unit = edited(twoStations(), ['port', 'portb', 'unit', 7]);
  expect(wordsOf(theFinding(unit, 'ADR 13'))).toContain('told unit 255 for B; it is 7');
  expect(codesOf(fixed(unit, theFinding(unit, 'ADR 13')))).toEqual([]);
});

test('what is not known yet is not fine', () => {
  const project = edited(twoStations(), ['end', 'eb', 'port', null]);
  expect(findingsOf(project).map((f) => [f.code, f.message, f.severity])).toEqual([
    ['ADR 13', 'unknown', 'doubt'],
    ['ADR 13', 'unknown', 'doubt'],
  ]);
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
  expect(words).toContain('A was told B at 10.0.0.60: that is the other computer, Far; both run on one, at 10.0.0.50');
  // On two computers a loopback address leads to the program itself.
  expect(codesOf(edited(together('127.0.0.1'), ['station', 'sb', 'runsOn', 'far']))).toEqual(['ADR 3']);
});
