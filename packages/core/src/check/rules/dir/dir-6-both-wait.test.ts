import { newArea, newEnd, newPort, newStation, newView } from '../../../create/new-entities.js';
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

test('two that listen never start', () => {
  const project = edited(twoStations(), ['end', 'ea', 'calling', 'listens']);
  const finding = theFinding(project, 'DIR 6');
  expect(wordsOf(finding)).toContain('A and B both listen');
  expect(codesOf(fixed(project, finding, 1))).toEqual([]);
});

test('two that call find nobody listening', () => {
  expect(wordsOf(theFinding(edited(twoStations(), ['end', 'eb', 'calling', 'calls']), 'DIR 6'))).toContain('both call');
});

test('undecided is a Doubt', () => {
  expect(theFinding(edited(twoStations(), ['end', 'eb', 'calling', null]), 'DIR 6').severity).toBe('doubt');
});

test('of several on a line the one that calls where it must answer is named with whom it meets; takers of one block are not', () => {
  // C and D exchange nothing: both may call B.
  const three = (calling: 'calls' | 'listens') => {
    const station = added(twoStations(), 'station', newStation('sc', 30, 'C'));
    const port = added(station, 'port', { ...newPort('portc', 10, 'sc', 'net'), address: '10.0.0.3' });
    const end = added(port, 'end', {
      ...newEnd('ec', 30, 'x', 'sc', 'portc', calling),
      told: { eb: { address: '10.0.0.2', tcpPort: '', unit: '' } },
    });
    const lane = added(end, 'lane', { id: 'lane2', order: 20, exchange: 'x', items: {} });
    const cb = lane.get('claim', 'cb')!;
    const area = added(lane, 'area', {
      ...newArea('areac', 10, 'sc', 'Memory'),
      views: { v: newView(10, 'prefix and number') },
    });
    return added(
      area,
      'claim',
      { ...cb, id: 'cb2', lane: 'lane2', place: { area: 'areab', view: 'vb', number: 300 } },
      {
        ...cb,
        id: 'cc2',
        lane: 'lane2',
        end: 'ec',
        direction: 'writes',
        toldPlace: 'b300',
        place: { area: 'areac', view: 'v', number: 0 },
      },
    );
  };
  expect(codesOf(three('calls'))).toEqual([]);
  const finding = theFinding(three('listens'), 'DIR 6');
  expect(wordsOf(finding)).toContain('C and B both listen');
});

test('a coupler waits to be called: an end that waits, too, never meets it', () => {
  const coupler = { ...newStation('k', 90, 'K'), roles: ['coupler' as const], profile: 'profile-k' };
  const profile = {
    ...twoStations().get('profile', 'pa')!,
    id: 'profile-k',
    name: 'Coupler',
    speaks: { 'modbus-tcp': { roles: ['listens'], media: ['ethernet'], source: 'its manual' } },
  };
  const project = edited(
    added(added(twoStations(), 'profile', profile as never), 'station', coupler),
    ['exchange', 'x', 'kind', 'coupler area'],
    ['exchange', 'x', 'via', 'k'],
  );
  const finding = findingsOf(project).find((f) => f.code === 'DIR 6')!;
  expect(wordsOf(finding)).toContain('B and K both listen');
  const open = edited(project, ['exchange', 'x', 'via', null]);
  expect(findingsOf(open).map((f) => f.message)).toContain('noCoupler');
});
