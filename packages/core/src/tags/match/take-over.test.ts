import { childrenOf, inOrder } from '../../model/order.js';
import { checkedPlant, newId, pastedPlant } from '../../testing/pasted-plant.testing.js';
import { added, applied } from '../../testing/two-stations.testing.js';
import { takeOverChanges } from './take-over.js';

const { project } = pastedPlant(
  'MillCtl\tword memory\t10.8.8.1/24',
  'MillPanel\toperator panel\t10.8.8.9',
  'MillPanel → MillCtl',
);
const [mill, panel] = inOrder(project, 'station');
const [memory] = childrenOf(project, 'area', mill!.id);
const tag = (id: string, name: string, number: number, more = {}) => ({
  id,
  order: number,
  station: mill!.id,
  name,
  type: { base: 'INT', count: 1 },
  place: { area: memory!.id, view: 'mw', number, width: 16 as const },
  ...more,
});
const listed = added(project, 'tag', tag('t1', 'Speed', 40), tag('t2', 'Limit', 41, { access: 'read and set' }));

test('names of the other list become own tags, bound, with their type and their access', () => {
  const exchange = inOrder(listed, 'exchange')[0]!;
  const ends = childrenOf(listed, 'end', exchange.id) as never as Parameters<typeof takeOverChanges>[2];
  const own = added(listed, 'tag', { ...tag('p1', 'speed', 1), station: panel!.id, place: null });
  for (const by of ['by address', 'by name'] as const) {
    const changes = takeOverChanges(listed, exchange, ends, by, inOrder(listed, 'tag'), newId);
    const after = applied(listed, { id: newId(), label: '', changes });
    const made = childrenOf(after, 'tag', panel!.id).map(({ name, access, type }) => [name, access, type]);
    expect(made).toEqual([
      ['Speed', 'read', { base: 'INT', count: 1 }],
      ['Limit', 'read and set', { base: 'INT', count: 1 }],
    ]);
    expect(checkedPlant(checkedPlant(after).fixed).verdicts).toEqual(['agreed', 'agreed']);
  }
  // One that is there already is not made twice.
  const changes = takeOverChanges(own, exchange, ends, 'by name', inOrder(listed, 'tag'), newId);
  expect(changes.filter(({ kind }) => kind === 'tag')).toHaveLength(1);
});
