import { childrenOf } from '../model/order.js';
import { taggedPlant } from '../testing/random-edits.testing.js';
import { applied } from '../testing/two-stations.testing.js';
import { pasteTags } from './paste-tags.js';

test('a block lands in what stands there, and rows beyond become tags; what cannot be read stays as typed', () => {
  const project = taggedPlant();
  let next = 0;
  const text = 'Gate_1\tINT\ta40\r\nGate_2\tNUMBER\ta41\nGate_3\t\ta42\n';
  const edit = pasteTags(
    project,
    'sa',
    text,
    { tags: ['tag1'], columns: ['name', 'type', 'place'] },
    () => `new${next++}`,
  );
  expect(edit.problem).toContain('“NUMBER” is not a type known here');
  const after = applied(project, { id: 'p', label: '', changes: edit.changes });
  expect(after.get('tag', 'tag1')).toMatchObject({ name: 'Gate_1', type: { base: 'INT' }, place: { number: 40 } });
  const fresh = childrenOf(after, 'tag', 'sa').filter((tag) => tag.id.startsWith('new'));
  expect(fresh.map((tag) => [tag.name, tag.type, tag.place])).toEqual([
    ['Gate_2', { typed: 'NUMBER' }, expect.objectContaining({ number: 41 })],
    ['Gate_3', null, expect.objectContaining({ number: 42 })],
  ]);
});
