import { sidesOf } from '../lane/sides-of.js';
import type { Project } from '../model/project.js';
import { edited, twoStations } from '../testing/two-stations.testing.js';
import { judgeStationText, stationTemplate } from './station-text-of.js';

function judged(project: Project) {
  const exchange = project.get('exchange', 'x')!;
  const [caller, other] = sidesOf(project, project.get('lane', 'lane')!, exchange);
  return judgeStationText(project, exchange, caller!, other!);
}
const row = (text: string, ...edits: Parameters<typeof edited>[1][]) =>
  judged(edited(twoStations(), ['claim', 'ca', 'toldStation', text], ['port', 'portb', 'unit', 1], ...edits));

test('a row that names nobody is not judged', () => {
  expect(judged(twoStations())).toBeNull();
  expect(row('  ')).toBeNull();
});

test('address, TCP port and unit are compared one by one, and the right text is given', () => {
  expect(row('10.0.0.2:502/1')).toEqual({ text: '10.0.0.2:502/1', unread: null, right: '10.0.0.2:502/1', differs: [] });
  expect(row('10.0.0.9:503/7')).toMatchObject({
    right: '10.0.0.2:502/1',
    differs: ['address 10.0.0.9 is 10.0.0.2', 'TCP port 503 is 502', 'unit 7 is 1'],
  });
});

test('the port at which the other really listens is the right one', () => {
  const listens = ['port', 'portb', 'listens', { 'modbus-tcp': { tcpPort: 1502 } }] as const;
  expect(row('10.0.0.2:502/1', listens)).toMatchObject({ right: '10.0.0.2:1502/1', differs: ['TCP port 502 is 1502'] });
});

test('a unit that is not set at the other end is left as it was typed', () => {
  expect(row('10.0.0.2:502/9', ['port', 'portb', 'unit', null])).toMatchObject({
    right: '10.0.0.2:502/9',
    differs: [],
  });
});

test('without an address at the other end nothing is known of what is right', () => {
  expect(row('10.0.0.2:502/1', ['port', 'portb', 'address', ''])).toMatchObject({ right: null, differs: [] });
  expect(row('10.0.0.2:502/1', ['end', 'eb', 'port', null])).toMatchObject({ right: null, differs: [] });
});

test('a text that is written otherwise says how it is written', () => {
  expect(row('ten dot nothing!')?.unread).toBe(
    '“ten dot nothing!” names no station; it is written {address}:{port}/{unit}, as in 10.0.0.1:502/1',
  );
});

test('the way of writing is the profile’s, where it has one of its own', () => {
  const own = ['profile', 'pa', 'stationText', { text: 'unit {unit} at {address}', source: 's' }] as const;
  const project = edited(twoStations(), own);
  expect(stationTemplate(project, project.get('station', 'sa')!)).toBe('unit {unit} at {address}');
  expect(stationTemplate(project, project.get('station', 'sb')!)).toBe('{address}:{port}/{unit}');
  expect(row('unit 7 at 10.0.0.2', own)).toMatchObject({ right: 'unit 1 at 10.0.0.2', differs: ['unit 7 is 1'] });
  expect(row('10.0.0.2:502/1', own)?.unread).toContain('as in unit 1 at 10.0.0.1');
});
