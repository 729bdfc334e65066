import { childrenOf, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { checkedPlant, newId, pastedPlant, withLanes } from '../testing/pasted-plant.testing.js';
import { added, applied } from '../testing/two-stations.testing.js';
import { pasteLanes } from './paste.js';

const plant = (words = '') =>
  pastedPlant(
    'PackCtl\tlarge tags by name\t10.8.3.1/24',
    'PackPanel\toperator panel\t10.8.3.2',
    `PackCtl → PackPanel, peer connection, CIP, cyclic${words}`,
  ).project;
const tagsOf = (project: Project) =>
  inOrder(project, 'tag')
    .map((tag) => `${project.get('station', tag.station)!.name} ${tag.name}: ${JSON.stringify(tag.type)}`)
    .sort();

test('names at a station without addresses become tags, as long as the furthest element that is named', () => {
  const project = withLanes(
    plant(),
    'Buttons\treads\tIn[0]\tDINT x2\tButtons\twrites\tKeys\tDINT x2',
    'More\treads\tIn[4]\tDINT\tMore\twrites\tMore\tDINT',
  );
  expect(tagsOf(project)).toEqual([
    'PackCtl In: {"base":"DINT","count":5}',
    'PackPanel Keys: {"base":"DINT","count":2}',
    'PackPanel More: {"base":"DINT","count":1}',
  ]);
});

test('of a bit the element is as wide as the connection counts; where that is not said no tag is made', () => {
  const bit = 'Start\treads\tIn[1].19\tBOOL\tStart\twrites\tStart\tBOOL';
  expect(tagsOf(withLanes(plant(', 32-bit elements'), bit))).toContain('PackCtl In: {"base":"DINT","count":2}');
  const open = withLanes(plant(), bit);
  expect(tagsOf(open)).toEqual(['PackPanel Start: {"base":"BOOL","count":1}']);
  const kept = inOrder(open, 'claim').map(({ place }) => place);
  expect(kept).toContainEqual({ typed: 'In[1].19' });
});

test('a line in which no end writes or reads is a value of the lane above it, by the same key at both ends', () => {
  const project = withLanes(
    plant(', 32-bit elements'),
    'Buttons\treads\tIn[0]\tDINT x2\tButtons\twrites\tOut[0]\tDINT x2',
    'Start\t\tIn[0].19\tBOOL\tStart\t\tOut[0].19\tBOOL',
    'Stop\t\tIn[1].0\tBOOL\tStop\t\tOut[1].0\tBOOL',
  );
  const [lane, ...others] = inOrder(project, 'lane');
  expect(others).toEqual([]);
  expect(Object.keys(lane!.items)).toHaveLength(2);
  const names = childrenOf(project, 'claim', lane!.id).map(({ items }) =>
    Object.values(items)
      .map(({ name }) => name)
      .sort(),
  );
  expect(names).toEqual([
    ['Start', 'Stop'],
    ['Start', 'Stop'],
  ]);
  // The two count bytes from opposite sides: what remains is a swap, which is proposed.
  const { fixed } = checkedPlant(project);
  expect(checkedPlant(fixed).verdicts).toEqual(['agreed']);
});

test('a row without an address there is the tag of its name', () => {
  const project = plant();
  const [exchange] = inOrder(project, 'exchange');
  const [end] = childrenOf(project, 'end', exchange!.id);
  const pasted = pasteLanes(
    project,
    end!,
    { lane: null, column: 0 },
    [
      ['Name', 'Direction', 'Type'],
      ['Level', 'reads', 'INT'],
    ],
    newId,
  );
  expect([pasted.tags, pasted.problems]).toEqual([1, []]);
  const after = applied(project, { id: 'p', label: '', changes: pasted.changes });
  const [tag] = inOrder(after, 'tag');
  expect(inOrder(after, 'claim')).toMatchObject([{ place: { area: tag!.id }, length: { count: 1, unit: 16 } }]);
});

test('a list that was brought in is the whole list: a name that it lacks is a slip, and is kept as typed', () => {
  const project = plant();
  const station = inOrder(project, 'station')[0]!;
  const became = { added: 1, changed: 0, dropped: 0, unchanged: 0 };
  const file = { id: 'list', order: 10, station: station.id, file: 'list.csv', format: 'CSV', at: '', became };
  const listed = added(added(project, 'import', file), 'tag', {
    id: 't',
    order: 10,
    station: station.id,
    name: 'Known',
    type: { base: 'INT', count: 1 },
    place: null,
    import: 'list',
  });
  const after = withLanes(
    listed,
    'A\treads\tKnown\tINT\tA\twrites\tA\tINT',
    'B\treads\tUnknown\tINT\tB\twrites\tB\tINT',
  );
  expect(tagsOf(after).filter((text) => text.startsWith('PackCtl'))).toHaveLength(1);
  expect(inOrder(after, 'claim').map(({ place }) => place)).toContainEqual({ typed: 'Unknown' });
});

test('pages of three ends, with headings: a closed array is found at the one that keeps it closed only', () => {
  const { project } = pastedPlant(
    'WestCtl\tlarge tags by name\t10.8.5.1/24',
    'EastCtl\tlarge tags by name\t10.8.5.2',
    'NorthCtl\tlarge tags by name\t10.8.5.3',
    'WestCtl → EastCtl or NorthCtl, CIP, requests',
  );
  const head = 'Name\tDirection\tAddress\tType\tOpen';
  const row = (does: string, open: string) => `Totals\t${does}\tTotals\tDINT x20\t${open}`;
  const laned = withLanes(
    project,
    [head, head, head].join('\t'),
    [row('reads', ''), row('writes', 'closed'), row('writes', 'may read')].join('\t'),
  );
  const { codes, fixed } = checkedPlant(laned);
  expect(codes).toEqual(['ADR 13 address entered', 'ADR 13 address entered', 'DIR 3 closed']);
  expect(checkedPlant(fixed).codes).toEqual([]);
});
