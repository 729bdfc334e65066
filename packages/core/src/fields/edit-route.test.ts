import { TRAFFICS } from '../model/words.js';
import { added, applied } from '../testing/two-stations.testing.js';
import { routedPlant } from '../testing/routed-plant.testing.js';
import type { FieldEdit } from '../text/field-edit.js';
import type { Project } from '../model/project.js';
import { letsText } from '../route/hop.js';
import { waysOf } from '../route/ways-of.js';
import { editField } from './field.js';
import { EXPECTATION, HELPER, ROUTE, readPair } from './route.js';
import { stationNamed } from './simple-fields.js';
import { typing } from '../testing/typing.testing.js';

const start = routedPlant();
const after = (edit: FieldEdit, project: Project = start) => {
  if (edit.problem !== null) throw new Error(edit.problem);
  return applied(project, { id: 'e', label: '', changes: edit.changes });
};
const routeId = 'to-t';
const route = (column: keyof typeof ROUTE.fields, text: string) => editField(ROUTE, column, start.get('route', routeId)!, text, typing(start));

test.each([
  ['from', ' r ', { from: 'r', port: null }],
  ['to', 'D', { to: 'd', port: 'a1' }],
  ['port', 'A2', { port: 'a2' }],
  ['port', '10.0.2.1', { port: 'a2' }],
  ['port', 'any', { port: null }],
  ['port', '', { port: null }],
  ['traffic', 'prog', { traffic: 'program transfer' }],
  ['slot', ' 3 ', { slot: 3 }],
  ['slot', '', { slot: null }],
  ['stated', ' Net 1 > 10.0.1.2 ', { stated: 'Net 1 > 10.0.1.2' }],
  ['comment', ' by night ', { comment: 'by night' }],
] as const)('a route’s %s takes “%s”', (column, text, expected) => {
  expect(after(route(column, text)).get('route', routeId)).toMatchObject(expected);
});

test.each([
  ['from', 'Nobody', 'there is no station “Nobody”; name one that is, as A, R, T, D'],
  ['port', 'r1', 'A has no port “r1”; its ports are a1, a2'],
  ['traffic', 'gossip', '“gossip” is not a valid kind of traffic; write cyclic data, requests, '],
  ['slot', '-1', '“-1” is not a whole number; a slot is a whole number from 0 to 1000'],
  ['slot', '1001', '1001 is out of range'],
] as const)('a route’s %s refuses “%s”', (column, text, sentence) => {
  const edit = route(column, text);
  expect(edit.changes).toEqual([]);
  expect(edit.problem).toContain(sentence);
});

test('the first hop stays where it left by while the asking station is the same', () => {
  expect(after(route('from', 'A')).get('route', routeId)!.port).toBe('a1');
});

test('a station is meant by its very name before one that differs in case', () => {
  const project = added(start, 'station', { ...start.get('station', 'a')!, id: 'small', order: 5, name: 'a' });
  expect(stationNamed(project, 'a')!.id).toBe('small');
  expect(stationNamed(project, 'A')!.id).toBe('a');
  expect(stationNamed(start, 'a')!.id).toBe('a');
  expect(stationNamed(start, 'none')).toBeUndefined();
});

test.each(['A → T', 'A -> T', 'a > t', 'A, T', 'A to T', 'A TO T'])('two stations are read from “%s”', (text) => {
  expect(readPair(start, text)).toMatchObject({ from: { id: 'a' }, to: { id: 't' } });
});

test.each([
  ['A', 'names no two stations; write who asks and who is asked, as A → B'],
  ['A → ', 'names no two stations'],
  ['A → R → T', 'names no two stations'],
  ['A → X', 'there is no station “X”'],
  ['X → A', 'there is no station “X”'],
  ['', 'names no two stations'],
])('“%s” is not a valid pair', (text, sentence) => {
  const pair = readPair(start, text) as FieldEdit;
  expect(pair.problem).toContain(sentence);
  expect(pair.changes).toEqual([]);
});

describe('an expectation', () => {
  const project = start;
  const edit = (column: keyof typeof EXPECTATION.fields, text: string) =>
    editField(EXPECTATION, column, project.get('expectation', 'not')!, text, typing(project));

  test.each([
    ['from', 't', { from: 't' }],
    ['to', 'D', { to: 'd' }],
    ['must', 'must r', { must: 'must reach' }],
    ['traffic', 'cyc', { traffic: 'cyclic data' }],
    ['reason', ' by contract ', { reason: 'by contract' }],
  ] as const)('its %s takes “%s”', (column, text, fields) => {
    expect(after(edit(column, text), project).get('expectation', 'not')).toMatchObject(fields);
  });

  test('a word that is none, or a station that is not, is refused', () => {
    expect(edit('must', 'perhaps').problem).toContain('“perhaps” is not a valid expectation');
    expect(edit('traffic', 'x').problem).toContain('“x” is not a valid kind of traffic');
    expect(edit('to', 'Nobody').problem).toContain('there is no station “Nobody”');
    expect(after(edit('reason', ' '), project).get('expectation', 'not')).not.toHaveProperty('reason');
  });

  test('what was expected beside what is: it is not reached, and why', () => {
    const { reach, routes } = waysOf(project);
    expect(reach.not).toMatchObject({ holds: true });
    expect(reach.not!.why).toContain('coupler');
    const other = after(edit('to', 'T'), project);
    expect(waysOf(other).reach.not!.holds).toBe(false);
    expect(Object.keys(routes).sort()).toEqual([...project.all('route')].map((r) => r.id).sort());
  });
});

describe('a helper object', () => {
  const edit = (column: keyof typeof HELPER.fields, text: string) => editField(HELPER, column, start.get('helper', 'helper')!, text, typing());

  test.each([
    ['drawnAs', ' dummy station ', { drawnAs: 'dummy station' }],
    ['drawnAs', '', { drawnAs: '' }],
    ['address', '10.0.1.2', { address: '10.0.1.2' }],
    ['brings', 'its description file', { brings: 'its description file' }],
    ['comment', 'copied', { comment: 'copied' }],
  ] as const)('its %s takes “%s”', (column, text, fields) => {
    expect(after(edit(column, text)).get('helper', 'helper')).toMatchObject(fields);
  });

  test('its presence is one of the words', () => {
    expect(after(edit('presence', 'found')).get('helper', 'helper')!.presence).toBe('found');
    expect(edit('presence', 'maybe').problem).toMatch(/“maybe” is not a valid presence; write /);
  });
});

test('what gets over a hop is said as short as can be', () => {
  const but = (...left: string[]) => letsText({ lets: TRAFFICS.filter((traffic) => !left.includes(traffic)) });
  expect(but()).toBe('all');
  expect(but('requests')).toBe('all but requests');
  expect(but('cyclic data', 'requests')).toBe('all but cyclic data and requests');
  expect(letsText({ lets: ['requests'] })).toBe('requests');
  expect(letsText({ lets: [] })).toBe('nothing');
});
