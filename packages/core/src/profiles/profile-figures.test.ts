import { applied, codesOf, twoStations } from '../testing/two-stations.testing.js';
import type { FieldEdit } from '../text/field-edit.js';
import { addFigure } from './add-figure.js';
import { profileBlocks } from './member-block.js';
import { editProfile, newProfile, profileFigures } from './profile-figures.js';
import { editField } from '../fields/field.js';
import { addBlockPart, BLOCK_PART } from '../fields/block-part.js';
import { dropEntryWithWhatRests } from '../fields/entry-with-what-rests.js';
import { partOf, typing } from '../testing/typing.testing.js';

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

test('how a type writes routes is said by a sample of it, and from which firmware on it passes something on', () => {
  const form = { separator: ',', joint: ',', hopOrder: 'way first', named: false, firstPort: true, quote: '"' };
  const project = after(addFigure(profile(), 'routes "2,10.0.0.1,1,0"', 'f'));
  expect(project.get('profile', 'pa')!.routeText).toEqual({ ...form, source: '' });
  const own = project.get('profile', 'pa')!;
  expect(editProfile(own, 'routeText', 'value', '2,10.0.0.1').problem).toContain('is not the sample route');
  expect(said(addFigure(profile(), 'forwards requests; from 2.4', 'f'), 'forwards.f')?.value).toBe(
    'requests; from 2.4',
  );
  expect(addFigure(profile(), 'forwards gossip', 'f').problem).toContain('gossip');
  expect(addFigure(profile(), 'forwards requests; since May', 'f').problem).toContain('names no firmware');
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

test('a block that a type takes of its memory: added, its parts typed, never shorter than they reach', () => {
  const form = '16 bytes of memory, from byte 400 to 4080, every 16 bytes';
  let project = after(addFigure(profile(), `block Card: ${form}`, 'card'));
  const own = () => project.get('profile', 'pa')!;
  const typed = (edit: FieldEdit) => {
    expect(edit.problem).toBeNull();
    project = applied(project, { id: 's', label: '', changes: edit.changes });
  };
  expect(own().blocks!.card).toMatchObject({
    name: 'Card',
    length: 128,
    firstStart: 3200,
    lastStart: 32640,
    startStep: 128,
  });
  expect(profileFigures(own()).find((f) => f.id === 'blocks.card')?.value).toBe(form);
  const block = () => profileBlocks(own())[0]!;
  typed(addBlockPart(block(), 'm1', 'Listen'));
  typed(addBlockPart(block(), 'm2', ''));
  typed(editField(BLOCK_PART, 'offset', partOf(block(), 'm2'), '6 words', typing()));
  typed(editField(BLOCK_PART, 'bits', partOf(block(), 'm2'), '1 word', typing()));
  expect(own().blocks!.card!.members).toMatchObject({ m1: { name: 'Listen', bits: 1 }, m2: { offset: 96, bits: 16 } });
  expect(editProfile(own(), 'blocks.card', 'value', '8 bytes of memory').problem).toContain('they reach to byte 14');
  expect(editProfile(own(), 'blocks.card', 'value', 'a lot').problem).toContain(`write it as in ${form}`);
  typed(editProfile(own(), 'blocks.card', 'value', '32 bytes of memory'));
  typed({ changes: dropEntryWithWhatRests(project, BLOCK_PART.refOf(partOf(block(), 'm1'))), problem: null });
  expect(own().blocks!.card).toMatchObject({ length: 256, firstStart: null, members: { m2: { bits: 16 } } });
  typed(editProfile(own(), 'blocks.card', 'value', ''));
  expect(own().blocks).toEqual({});
});

test('each part of a text template stands in it once', () => {
  expect(addFigure(profile(), 'points {station}{station}.{channel}', 'f').problem).toBe(
    '{station} stands twice in “points {station}{station}.{channel}”; each part stands in it once',
  );
  const project = after(addFigure(profile(), 'points {station}.{channel}', 'f'));
  const own = project.get('profile', 'pa')!;
  expect(editProfile(own, 'pointText', 'value', '{slot}/{slot}').problem).toContain('{slot} stands twice in');
});
