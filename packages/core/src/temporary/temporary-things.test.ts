import type { Change } from '../change/change.js';
import { put, set } from '../change/make.js';
import { keepForSettingBack } from '../fields/setting-back.js';
import type { Project } from '../model/project.js';
import { applied, codesOf, edited, findingsOf, twoStations } from '../testing/two-stations.testing.js';
import { fixesOf } from '../check/fixes-of.js';
import { temporaryThings } from './temporary-things.js';

const done = (project: Project, changes: readonly Change[]) => applied(project, { id: 't', label: '', changes });
const SAID = { by: 'Ada', at: '2026-11-30T10:00:00.000Z' };
const held = put('temporary', {
  id: 'held',
  order: 10,
  sort: 'held in rehearsal',
  what: 'Speed at A held at 3',
  station: 'sa',
  link: 'lane 0',
  value: '',
  undo: 'Take the hand off',
  ...SAID,
});

test('a value that is held and an own adapter are named by DOC 6 with how each is undone; undone, it is silent', () => {
  const before = twoStations();
  const port = before.get('port', 'porta')!;
  const away = done(before, [
    ...keepForSettingBack(before, port, 'kept', SAID),
    set('port', port, ['address'], '10.0.0.9'),
    held,
  ]);
  const found = findingsOf(away).filter(({ code }) => code === 'DOC 6');
  expect(found.map(({ message, params }) => [message, params.what, params.undo ?? params.was])).toEqual([
    ['thing', 'Speed at A held at 3', 'Take the hand off'],
    ['adapter', expect.stringContaining('address') as string, '10.0.0.1 255.255.255.0'],
  ]);
  const adapter = found.find(({ message }) => message === 'adapter')!;
  const fixes = fixesOf(adapter, away);
  expect(fixes.map(({ label }) => label)).toEqual([
    'set back to 10.0.0.1 255.255.255.0',
    'it stays: what it had before is forgotten',
  ]);
  expect(findingsOf(done(away, fixes[1]!.changes)).map(({ message }) => message)).not.toContain('adapter');
  const things = temporaryThings(away);
  expect(things.map(({ sort, undo }) => [sort, undo])).toEqual([
    ['held in rehearsal', 'Take the hand off'],
    ['own adapter', 'set it back to 10.0.0.1 255.255.255.0'],
  ]);
  const undone = things.reduce((project, { key }) => {
    const thing = temporaryThings(project).find((one) => one.key === key)!;
    return done(project, thing.changes!);
  }, away);
  expect(codesOf(undone)).toEqual([]);
  expect(undone.get('port', 'porta')?.address).toBe('10.0.0.1');
  expect(temporaryThings(undone)).toEqual([]);
});

test('temporary addresses, helper objects and opened access stand in the same list', () => {
  const project = edited(
    twoStations(),
    ['port', 'porta', 'how', 'temporary'],
    ['station', 'sb', 'guard', 'default password'],
  );
  expect(temporaryThings(project).map(({ sort, station }) => [sort, station])).toEqual([
    ['temporary address', 'sa'],
    ['default password', 'sb'],
  ]);
});
