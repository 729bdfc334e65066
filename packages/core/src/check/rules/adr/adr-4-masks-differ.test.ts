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

const three = () =>
  added(added(twoStations(), 'station', newStation('sc', 30, 'C')), 'port', {
    ...newPort('portc', 10, 'sc', 'net'),
    address: '10.0.0.3',
  });

test('one mask, written in two ways, is silent', () => {
  expect(codesOf(edited(three(), ['port', 'portc', 'mask', '/24']))).toEqual([]);
});

test('the one that differs from most is named, and given theirs by the fix', () => {
  const project = edited(three(), ['port', 'portc', 'mask', '255.255.0.0']);
  const finding = theFinding(project, 'ADR 4');
  expect(wordsOf(finding)).toContain('C has the mask 255.255.0.0, most have 255.255.255.0');
  expect(codesOf(fixed(project, finding))).toEqual([]);
});
