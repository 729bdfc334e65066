import { applied, codesOf, twoStations } from '../testing/two-stations.testing.js';
import type { FieldEdit } from './field-edit.js';
import { addFigure } from './add-figure.js';
import { editProfile, newProfile, profileFigures } from './profile-figures.js';

const profile = () => twoStations().get('profile', 'pa')!;
const after = (edit: FieldEdit) => applied(twoStations(), { id: 'e', label: '', changes: edit.changes });
const said = (edit: FieldEdit, id: string) =>
  profileFigures(after(edit).get('profile', 'pa')!).find((figure) => figure.id === id);

test('a limit is added, its source said, changed, and taken out', () => {
  const project = after(addFigure(profile(), 'connections 0', 'f'));
  expect(codesOf(project)).toEqual(['CAP 1']);
  const own = project.get('profile', 'pa')!;
  const step = (edit: FieldEdit) =>
    applied(project, { id: 's', label: '', changes: edit.changes }).get('profile', 'pa')!.limits;
  expect(step(editProfile(own, 'limits.connections', 'source', 'data sheet, 7'))).toEqual({
    connections: { value: 0, source: 'data sheet, 7' },
  });
  expect(step(editProfile(own, 'limits.connections', 'value', '8')).connections?.value).toBe(8);
  expect(step(editProfile(own, 'limits.connections', 'value', ''))).toEqual({});
  expect(editProfile(own, 'limits.connections', 'value', 'many').problem).toContain('“many” is not a whole number');
  expect(addFigure(own, '16 connections', 'f').problem).toContain('“16 connections” is not understood');
});

test('layout, names and words are edited in place', () => {
  expect(
    said(editProfile(profile(), 'layout.registerOrder', 'value', 'low first'), 'layout.registerOrder')?.value,
  ).toBe('low first');
  expect(said(editProfile(profile(), 'nameRule.longest', 'value', '12'), 'nameRule.longest')?.value).toBe('12');
  expect(said(editProfile(profile(), 'nameRule.source', 'source', 'manual'), 'nameRule.form')?.source).toBe('manual');
  expect(said(editProfile(profile(), 'nameRule.caseMatters', 'value', 'yes'), 'nameRule.caseMatters')?.value).toBe(
    'yes',
  );
  expect(said(editProfile(profile(), 'words.writes', 'value', 'sends'), 'words.writes')?.value).toBe('sends');
  expect(editProfile(profile(), 'layout.boolPacking', 'value', 'nibble').problem).toContain('write bit, byte, word');
});

test('a new profile says nothing and is legal', () => {
  const project = after(newProfile('fresh', 90, 'Fresh'));
  expect(
    profileFigures(project.get('profile', 'fresh')!)
      .filter((f) => f.value !== '')
      .map((f) => f.id),
  ).toEqual(['nameRule.form', 'nameRule.caseMatters']);
  expect(codesOf(project)).toEqual([]);
});
