import type { Tag } from '../../model/tag.js';
import { taggedPlant } from '../../testing/random-edits.testing.js';
import { added, applied, codesOf, edited, type FieldEdit } from '../../testing/two-stations.testing.js';
import { bindChanges } from './bind.js';
import { reconcileTags } from './reconcile-tags.js';

const tag = (id: string, station: string, name: string, rest: Partial<Tag> = {}): Tag => ({
  id,
  order: 100,
  station,
  name,
  type: { base: 'INT', count: 1 },
  place: null,
  access: 'read',
  ...rest,
});
/** A asks C: two that match, one in another case, one that is nowhere, one not used; C has one more. */
const lists = (...edits: FieldEdit[]) =>
  edited(
    added(
      taggedPlant(),
      'tag',
      tag('mine1', 'sa', 'Level_1', { asks: 'b10' }),
      tag('mine2', 'sa', 'Level_2', { asks: 'b12' }),
      tag('mine3', 'sa', 'Flow', { asks: 'Yard.Flow' }),
      tag('mine4', 'sa', 'Gone'),
      tag('mine5', 'sa', 'Later', { notUsed: { reason: 'phase two', by: 'R. Vale' } }),
      tag('t1', 'sc', 'Level_1', { place: { area: 'areac', view: 'vb', number: 10 } }),
      tag('t2', 'sc', 'Level_02'),
      tag('t3', 'sc', 'FLOW'),
      tag('t4', 'sc', 'Extra'),
    ),
    ['station', 'sa', 'groups', { g: { order: 1, name: 'Yard', station: 'sc' } }],
    ...edits,
  );
const reconciled = (project = lists(), by: 'by name' | 'by address' | 'by item text' = 'by name') => {
  const ends = [project.get('end', 'mapa')!, project.get('end', 'mapc')!] as const;
  return reconcileTags(project, project.get('exchange', 'map')!, ends, by);
};
const rows = (...args: Parameters<typeof reconciled>) =>
  reconciled(...args).pairs.map((p) => [p.mine?.name ?? null, p.theirs?.name ?? null, p.state, p.why]);

test('face to face by name: bound, matched, nearly with why, left over on either side, not used; internal ones are not there', () => {
  expect(rows()).toEqual([
    ['Duty', 'Duty', 'bound', ''],
    ['Level_1', 'Level_1', 'matched', ''],
    ['Flow', 'FLOW', 'nearly', 'upper and lower case differ'],
    ['Level_2', 'Level_02', 'nearly', 'leading zeros differ'],
    ['Gone', null, 'left over', ''],
    ['Later', null, 'not used', 'phase two'],
    [null, 'Extra', 'not asked for', ''],
  ]);
  expect(reconciled().counts).toEqual({
    bound: 1,
    matched: 1,
    nearly: 2,
    'left over': 1,
    'not asked for': 1,
    'not used': 1,
  });
});

test('by address: a tag that stands there, or an address without one; by item text: what the text names', () => {
  expect(rows(lists(), 'by address').filter(([, , state]) => state === 'matched')).toEqual([
    ['Level_1', 'Level_1', 'matched', ''],
    ['Level_2', null, 'matched', 'an address without a tag'],
  ]);
  const texts = rows(lists(), 'by item text');
  expect(texts).toContainEqual(['Flow', 'FLOW', 'matched', '']);
  expect(texts).toContainEqual(['Gone', null, 'left over', 'it asks by no text']);
});

test('what is accepted becomes a lane with a claim of each; by its exact name it is agreed at once', () => {
  const project = lists();
  const ends = [project.get('end', 'mapa')!, project.get('end', 'mapc')!] as const;
  const { pairs } = reconciled(project);
  const accepted = pairs
    .filter((p) => p.state === 'matched')
    .map((p) => ({ mine: p.mine!, theirs: p.theirs, place: p.place }));
  let next = 0;
  const changes = bindChanges(
    project,
    project.get('exchange', 'map')!,
    ends,
    'by name',
    accepted,
    () => `bind${++next}`,
  );
  const after = applied(project, { id: 'bind', label: '', changes });
  expect(rows(after).filter(([, , state]) => state === 'bound')).toHaveLength(2);
  // What is still open is asked about; the lane itself has nothing to find.
  expect(codesOf(after)).toEqual(['NAM 4', 'NAM 6']);
  expect(changes.filter((c) => c.kind === 'claim').map((c) => (c.after as { direction: string }).direction)).toEqual([
    'reads',
    'writes',
  ]);
});

test('a tag that may be set is bound to be read and set, with its told address', () => {
  const project = lists(['tag', 'mine2', 'access', 'read and set']);
  const ends = [project.get('end', 'mapa')!, project.get('end', 'mapc')!] as const;
  const pair = reconciled(project, 'by address').pairs.find((p) => p.mine?.id === 'mine2')!;
  let next = 0;
  const bind = { mine: pair.mine!, theirs: null, place: pair.place };
  const changes = bindChanges(
    project,
    project.get('exchange', 'map')!,
    ends,
    'by address',
    [bind],
    () => `bind${++next}`,
  );
  expect(changes.map((c) => c.after)).toMatchObject([
    { binding: 'by address' },
    { direction: 'both', toldPlace: 'b12', length: { count: 1, unit: 16 } },
    { direction: 'both', place: { area: 'areac', number: 12 } },
  ]);
});
