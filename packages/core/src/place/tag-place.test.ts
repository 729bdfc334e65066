import type { Tag } from '../model/tag.js';
import { editSheet } from '../sheet/edit-sheet.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import {
  added,
  applied,
  codesOf,
  edited,
  theFinding,
  wordsOf,
  fixed,
  type FieldEdit,
} from '../testing/two-stations.testing.js';
import { placeText } from './place-text.js';
import { readPlace } from './read-place.js';
import { realPlace } from './tag-place.js';
import { editField } from '../fields/field.js';
import { addTag, TAG } from '../fields/tag.js';
import { typing } from '../testing/typing.testing.js';

const tag = (id: string, name: string, rest: Partial<Tag>): Tag => ({
  id,
  order: 10,
  station: 'sa',
  name,
  type: { base: 'REAL', count: 4 },
  place: null,
  ...rest,
});
const at = { area: 'areaa', view: 'va', number: 100 };
const plant = (...edits: FieldEdit[]) =>
  edited(added(smallPlant(), 'tag', tag('t1', 'Power', { place: at }), tag('t2', 'Level', {})), ...edits);
const cellOf = (project: ReturnType<typeof plant>, column: 'address' | 'type', text: string) => {
  const edit = { end: project.get('end', 'ea')!, lane: 'lane', column, text } as const;
  let n = 0;
  return applied(project, { id: 'e', label: '', changes: editSheet(project, [edit], () => `new${n++}`).changes });
};

test('a name is read as a place and written back, in any case, with element and bit', () => {
  const project = plant();
  for (const text of ['Power', 'Level', 'Level[3]', 'Power[1]', 'Level[2].5']) {
    const read = readPlace(project, 'sa', text.toLowerCase());
    expect(read.ok && placeText(project, read.value)).toBe(text);
  }
  // An address stays an address; a name of another station, and an element that is not there, are none.
  expect(readPlace(project, 'sa', 'a100')).toMatchObject({ ok: true, value: at });
  expect(readPlace(project, 'sb', 'Power').ok).toBe(false);
  expect(readPlace(project, 'sa', 'Level[4]')).toMatchObject({ ok: false, expected: 'its last element is [3]' });
});

test('a tag with an address is at that address, element by element; one without is a memory of its own', () => {
  const project = plant();
  const real = (text: string) => {
    const read = readPlace(project, 'sa', text);
    return read.ok ? placeText(project, realPlace(project, read.value)) : read.found;
  };
  expect(real('Power')).toBe('a100');
  // A REAL takes two words.
  expect(real('Power[3]')).toBe('a106');
  expect(real('Level[3]')).toBe('Level[3]');
});

test('a claim bound to a tag is compared at the tag’s address, and moves with it', () => {
  // What the tag is itself is not said here: the claim has its own type.
  const bound = cellOf(plant(['claim', 'ca', 'place', null], ['tag', 't1', 'type', null]), 'address', 'Power');
  expect(codesOf(bound)).toEqual([]);
  const moved = edited(bound, ['tag', 't1', 'place.number', 302]);
  // There it lies where another lane already puts data, and beside a block that it overlaps.
  expect(
    codesOf(edited(moved, ['claim', 'ca', 'direction', 'reads'], ['claim', 'cb', 'direction', 'writes'])),
  ).toContain('POS 9');
});

test('a claim bound to a tag without an address takes name, type and length from it', () => {
  const project = plant(...(['place', 'length', 'type'] as const).map((f): FieldEdit => ['claim', 'ca', f, null]), [
    'claim',
    'ca',
    'name',
    '',
  ]);
  const claim = cellOf(project, 'address', 'Level').get('claim', 'ca')!;
  expect(claim).toMatchObject({ name: 'Level', type: { base: 'REAL', count: 4 }, length: { count: 8, unit: 16 } });
});

test('DIR 3: the tag says whether others may use it; a local one is hidden from them', () => {
  const bound = cellOf(plant(['tag', 't2', 'type', { base: 'REAL', count: 2 }]), 'address', 'Level');
  expect(codesOf(bound)).toEqual([]);
  const closed = edited(bound, ['tag', 't2', 'open', 'closed']);
  expect(wordsOf(theFinding(closed, 'DIR 3'))).toContain('closed to others at A, and B reads it');
  expect(codesOf(fixed(closed, theFinding(closed, 'DIR 3')))).toEqual([]);
  const local = edited(bound, ['tag', 't2', 'program', 'Main'], ['exchange', 'x', 'protocol', 'cip']);
  const finding = theFinding(local, 'DIR 3');
  expect(wordsOf(finding)).toContain('local to Main');
  expect(codesOf(fixed(local, finding))).not.toContain('DIR 3');
});

test('deleting a tag empties the places that it named; what is typed wrong stays as typed, with why', () => {
  const project = plant();
  expect(editField(TAG, 'type', project.get('tag', 't1')!, 'REEL', typing(project)).changes[0]!.after).toEqual({
    typed: 'REEL',
  });
  expect(editField(TAG, 'type', project.get('tag', 't1')!, 'REEL', typing(project)).problem).toContain(
    '“REEL” is not a type known here',
  );
  expect(editField(TAG, 'place', project.get('tag', 't1')!, 'zz9', typing(project)).problem).toContain('zz9');
  expect(editField(TAG, 'open', project.get('tag', 't1')!, 'may re', typing(project))).toMatchObject({ problem: null });
  expect(addTag(project, 'sa', 'fresh', 'New').changes[0]).toMatchObject({ kind: 'tag', path: [] });
});

test('a bit of a long element, and an element of an array of BOOLs, lie where the station keeps them', () => {
  const project = added(
    smallPlant(),
    'tag',
    tag('t1', 'Counter', { place: at, type: { base: 'DINT', count: 2 } }),
    tag('t2', 'Doors', { place: { ...at, number: 120 }, type: { base: 'BOOL', count: 20 } }),
    tag('t3', 'Hatches', { place: { ...at, number: 130, bit: 14 }, type: { base: 'BOOL', count: 4 } }),
    tag('t4', 'Shifts', { place: { ...at, number: 140 }, type: { base: 'REAL', count: 3, bounds: '1..3' } }),
  );
  const real = (text: string, now = project) => {
    const read = readPlace(now, 'sa', text);
    return read.ok ? placeText(now, realPlace(now, read.value)) : `${read.found}; ${read.expected}`;
  };
  // High register first: bits 16 to 31 are in the first word.
  expect([real('Counter.17'), real('Counter.3'), real('Counter[1].17')]).toEqual(['a100.1', 'a101.3', 'a102.1']);
  const low = edited(project, ['station', 'sa', 'layout', { registerOrder: 'low first' }]);
  expect([real('Counter.17', low), real('Counter.3', low)]).toEqual(['a101.1', 'a100.3']);
  expect(real('Counter.32')).toContain('bits are 0 to 31');
  expect([real('Doors[3]'), real('Doors[17]'), real('Hatches[1]'), real('Hatches[3]')]).toEqual([
    ...['a120.3', 'a121.1', 'a130.15', 'a131.1'],
  ]);
  // Subscripts count as they are declared.
  expect([real('Shifts[1]'), real('Shifts[3]'), real('Shifts[0]')]).toEqual([
    ...['a140', 'a144', expect.stringContaining('its first element is [1], its last element is [3]')],
  ]);
});
