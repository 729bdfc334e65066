import { inspectEntity } from '../model/inspect.js';
import { PROTOCOLS } from '../protocol/catalogue.js';
import { replaceProfile } from './replace-profile.js';
import { applied, twoStations } from '../testing/two-stations.testing.js';
import { profilesToChoose, SHIPPED_PROFILES } from './shipped.js';
import { editField } from '../fields/field.js';
import { STATION } from '../fields/station.js';
import { typing } from '../testing/typing.testing.js';

test('every profile that comes with Dialoga is whole, named once, and each figure has its source', () => {
  for (const profile of SHIPPED_PROFILES) {
    expect(inspectEntity('profile', profile)).toEqual([]);
    const figures = [
      ...Object.values(profile.limits),
      ...Object.values(profile.speaks ?? {}),
      ...Object.values(profile.forwards ?? {}),
      ...Object.values(profile.presets ?? {}),
    ];
    for (const { source } of figures) expect(source).not.toBe('');
    for (const id of Object.keys(profile.speaks ?? {})) expect(PROTOCOLS.some((p) => p.id === id)).toBe(true);
  }
  expect(new Set(SHIPPED_PROFILES.map((p) => p.name)).size).toBe(SHIPPED_PROFILES.length);
});

test('small and large controllers are there in both byte orders', () => {
  for (const size of ['Small', 'Large']) {
    const orders = SHIPPED_PROFILES.filter((p) => p.name.startsWith(size)).map((p) => p.layout.byteOrder);
    expect([...new Set(orders)].sort()).toEqual(['high first', 'low first']);
  }
});

test('the first station of a type takes its profile into the project, the second finds it there', () => {
  const project = twoStations();
  expect(project.get('profile', 'profile-panel')).toBeUndefined();
  const edit = editField(STATION, 'profile', project.get('station', 'sa')!, 'operator panel', typing(project));
  expect(edit.problem).toBeNull();
  const taken = applied(project, { id: 'c', label: '', changes: edit.changes });
  expect(taken.get('station', 'sa')?.profile).toBe('profile-panel');
  expect(taken.get('profile', 'profile-panel')?.name).toBe('Operator panel');
  const second = editField(STATION, 'profile', taken.get('station', 'sb')!, 'Operator panel', typing(taken));
  expect(second.changes).toHaveLength(1);
  expect(profilesToChoose(taken).filter((p) => p.name === 'Operator panel')).toHaveLength(1);
});

test('replacing a type by one that comes with Dialoga takes it in, too', () => {
  const project = twoStations();
  const panel = SHIPPED_PROFILES.find((p) => p.id === 'profile-panel')!;
  const plan = replaceProfile(project, project.get('station', 'sa')!, panel);
  expect(plan.lost.length).toBeGreaterThan(0);
  const after = applied(project, { id: 'c', label: '', changes: [...plan.changes] });
  expect(after.get('profile', 'profile-panel')).toEqual(panel);
});
