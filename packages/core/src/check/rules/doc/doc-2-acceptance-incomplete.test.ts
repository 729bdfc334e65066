import { newAcceptance } from '../../../create/new-entities.js';
import {
  added,
  codesOf,
  edited,
  fixed,
  theFinding,
  twoStations,
  wordsOf,
} from '../../../testing/two-stations.testing.js';
import { CheckEngine } from '../../engine.js';
import { acceptancesOf, counting, restsOn } from '../../acceptance.js';

const sign = () =>
  edited(
    twoStations(),
    ['claim', 'ca', 'type', { base: 'DINT', count: 2 }],
    ['claim', 'cb', 'type', { base: 'UDINT', count: 2 }],
  );
const doubt = () => theFinding(sign(), 'TYP 2');
const accepted = (reason = 'never above 2 000', name = 'R. Vale') =>
  added(
    sign(),
    'acceptance',
    newAcceptance('acc', 10, doubt().key, restsOn(doubt()), { reason, name, at: '2026-11-25' }),
  );
const counted = (project: ReturnType<typeof sign>) =>
  counting(new CheckEngine(project).findings, project).map((f) => f.code);

test('an accepted Doubt no longer counts', () => {
  expect(counted(sign())).toEqual(['TYP 2']);
  expect(counted(accepted())).toEqual([]);
});

test('it counts again when what it rests on changes, and the acceptance is known as lapsed', () => {
  const changed = edited(accepted(), ['claim', 'cb', 'type', { base: 'DWORD', count: 2 }]);
  expect(counted(changed)).toEqual(['TYP 2']);
  const engine = new CheckEngine(changed);
  expect(acceptancesOf(engine.findings, changed).get(doubt().key)).toMatchObject({ lapsed: true });
  const back = edited(changed, ['claim', 'cb', 'type', { base: 'UDINT', count: 2 }]);
  expect(counted(back)).toEqual([]);
});

test('an edit elsewhere does not lapse it', () => {
  expect(counted(edited(accepted(), ['port', 'porta', 'name', 'Other']))).toEqual([]);
});

test.each([
  ['', 'R. Vale', 'reason'],
  ['fits', ' ', 'name'],
  [' ', '', 'reason and name'],
])('reason “%s”, name “%s”: found, and the Doubt counts', (reason, name, lacks) => {
  const project = accepted(reason, name);
  expect(codesOf(project)).toEqual(['DOC 2', 'TYP 2']);
  expect(wordsOf(theFinding(project, 'DOC 2'))).toContain(`An acceptance of TYP 2 has no ${lacks}`);
  expect(counted(project)).toContain('TYP 2');
  expect(codesOf(fixed(project, theFinding(project, 'DOC 2')))).toEqual(['TYP 2']);
});

test('a Blocker cannot be accepted', () => {
  const project = edited(twoStations(), ['claim', 'cb', 'length.count', 5]);
  const blocker = theFinding(project, 'SIZ 1');
  const acceptance = newAcceptance('acc', 10, blocker.key, restsOn(blocker), {
    reason: 'so be it',
    name: 'R. Vale',
    at: '',
  });
  expect(counted(added(project, 'acceptance', acceptance))).toEqual(['SIZ 1']);
});
