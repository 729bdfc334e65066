import { newPort, newStation } from '../../../create/new-entities.js';
import {
  added,
  codesOf,
  edited,
  fixed,
  theFinding,
  twoStations,
  wordsOf,
} from '../../../testing/two-stations.testing.js';

const twice = () =>
  edited(twoStations(), ['port', 'portb', 'address', '10.0.0.1'], ['end', 'ea', 'told.eb.address', '10.0.0.1']);

test('one address at two stations is found once, with both and a free one', () => {
  const words = wordsOf(theFinding(twice(), 'ADR 1'));
  expect(words).toContain('A and B both have 10.0.0.1');
  expect(words).toContain('10.0.0.2 is free');
});

test('the fix moves the later one', () => {
  const after = fixed(twice(), theFinding(twice(), 'ADR 1'));
  expect(after.get('port', 'portb')?.address).toBe('10.0.0.2');
  expect(codesOf(after)).toEqual(['ADR 13']);
});

test('0.0.0.0 is not yet set and clashes with nobody', () => {
  const project = edited(
    twoStations(),
    ['port', 'porta', 'address', '0.0.0.0'],
    ['port', 'portb', 'address', '0.0.0.0'],
  );
  expect(codesOf(project)).not.toContain('ADR 1');
});

test('a program has its host’s address: the two are one, and so are two programs of one host', () => {
  const host = added(twoStations(), 'station', newStation('host', 30, 'Host'));
  const wired = added(host, 'port', { ...newPort('ph', 10, 'host', 'net'), address: '10.0.0.2' });
  expect(codesOf(wired)).toContain('ADR 1');
  expect(codesOf(edited(wired, ['station', 'sb', 'runsOn', 'host']))).not.toContain('ADR 1');
  const programs = edited(twice(), ['station', 'sa', 'runsOn', 'sb']);
  expect(codesOf(programs)).not.toContain('ADR 1');
});

test('a further address of a port stands twice as its first does, and its own cell is mended', () => {
  const further = { f: { order: 1, address: '10.0.0.1', mask: '/24', how: 'by hand' } };
  const project = edited(twoStations(), ['port', 'portb', 'further', further]);
  const finding = theFinding(project, 'ADR 1');
  expect(finding.cells.map((cell) => cell.path)).toEqual([['address'], ['further', 'f', 'address']]);
  expect(fixed(project, finding).get('port', 'portb')!.further!.f!.address).toBe('10.0.0.3');
});
