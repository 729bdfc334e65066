import { apply } from '../change/apply.js';
import type { Project } from '../model/project.js';
import { edited, twoStations } from '../testing/two-stations.testing.js';
import { Standings } from './standing.js';
import { walkAll } from './walk-all.js';

const MARK = { by: 'Ada', at: '2026-01-01T00:00:00.000Z', revision: 7 };

/** Two stations whose lane was walked. */
function walked(): { project: Project; standings: Standings } {
  const project = twoStations();
  const { changes } = walkAll(project, {}, MARK);
  const made = apply(project, { id: 'w', label: '', changes });
  if (!made.ok) throw new Error(made.refusal.sentence);
  const after = project.with(made.entities);
  return { project: after, standings: new Standings(after) };
}

test('a walk that passes leaves its mark at the lane, with revision and name', () => {
  const { project, standings } = walked();
  expect(project.get('lane', 'lane')!.rehearsed).toMatchObject(MARK);
  expect(standings.rehearsed).toEqual(['lane']);
});

test.each([
  ['the place that it was told', ['claim', 'ca', 'toldPlace', 'b202'], false],
  ['an address that it calls', ['port', 'portb', 'address', '10.0.0.9'], false],
  ['how its values lie', ['profile', 'pb', 'layout', { registerOrder: 'low first' }], false],
  ['a name', ['station', 'sb', 'name', 'Other'], true],
  ['a comment', ['exchange', 'x', 'comment', 'nothing of it'], true],
  ['how often', ['exchange', 'x', 'cadence', 250], true],
] as const)('after an edit of %s', (_, edit, stands) => {
  const { project, standings } = walked();
  const after = edited(project, edit);
  const entities = [
    { kind: edit[0], id: edit[1], before: project.get(edit[0], edit[1]), after: after.get(edit[0], edit[1]) },
  ];
  const changed = standings.edit(after, entities as never);
  expect([standings.rehearsed.length === 1, changed]).toEqual([stands, !stands]);
  // Kept step by step it is what it is anew; and undone it stands again.
  expect(new Standings(after).rehearsed).toEqual(standings.rehearsed);
  standings.edit(
    project,
    entities.map(({ before: b, after: a, ...rest }) => ({ ...rest, before: a, after: b })) as never,
  );
  expect(standings.rehearsed).toEqual(['lane']);
});

test('a walk that fails takes the mark off, and says what one would see', () => {
  const { project } = walked();
  const wrong = edited(project, ['profile', 'pb', 'layout', { registerOrder: 'low first' }]);
  const { failed, changes, walks } = walkAll(wrong, {}, MARK);
  expect([failed, changes]).toMatchObject([1, [{ kind: 'lane', id: 'lane', after: null }]]);
  expect(walks[0]!.why).toBe('Block ca set to 1.0 arrives as 2.278E−41: the two registers are exchanged');
});
