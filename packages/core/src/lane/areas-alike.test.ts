import { newArea } from '../create/new-entities.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { added, applied, codesOf, edited, theFinding, twoStations, wordsOf } from '../testing/two-stations.testing.js';
import { editLaneCell } from '../sheet/edit-cell.js';
import { editSheet } from '../sheet/edit-sheet.js';
import { pasteLanes } from '../sheet/paste.js';
import { splitBlock } from '../formats/split-block.js';
import { editField } from '../fields/field.js';
import { COPY, newCopy } from '../fields/copy.js';
import { typing } from '../testing/typing.testing.js';

/** At both stations an area stands first in which addresses are written as in the one that is used: as data blocks do. */
function alike(): Project {
  const first = (id: string, station: string) => ({ ...newArea(id, 5, station, `Block ${id}`), words: 1000 });
  return added(twoStations(), 'area', first('firsta', 'sa'), first('firstb', 'sb'));
}
const claimA = (project: Project) => project.get('claim', 'ca')!;
const endA = (project: Project) => project.get('end', 'ea')!;

test('what was told is read in the area in which the other end has its data: no difference is made up', () => {
  expect(codesOf(alike())).toEqual([]);
  const project = edited(alike(), ['claim', 'ca', 'toldPlace', 'b208']);
  expect(wordsOf(theFinding(project, 'POS 1'))).toMatch(/b208[\s\S]*b200/);
});

test('an address that is typed stays in the area of its lane, and an item’s in that of its claim', () => {
  const project = alike();
  const lane = editLaneCell(project, endA(project), claimA(project), 'address', 'a120').claim;
  expect(lane.place).toMatchObject({ area: 'areaa', number: 120 });
  const lanes = { ...project.get('lane', 'lane')!, items: { one: { order: 10 } } };
  const withItem = edited(project, ['lane', 'lane', 'items', lanes.items]);
  const { changes, problems } = editSheet(
    withItem,
    [{ end: endA(withItem), lane: 'lane', key: 'one', column: 'address', text: 'a102' }],
    () => 'n',
  );
  expect(problems).toEqual([]);
  expect(applied(withItem, { id: 'i', label: '', changes }).get('claim', 'ca')!.items.one!.offset).toEqual({
    bits: 32,
  });
});

test('an address of its own area is another place than the same text in the area that is named beside it', () => {
  const project = alike();
  const pasted = (text: string) => {
    let n = 0;
    const { changes, problems } = pasteLanes(
      project,
      endA(project),
      { lane: null, column: 0 },
      splitBlock(text),
      () => `n${n++}`,
    );
    expect(problems).toEqual([]);
    const after = applied(project, { id: 'p', label: '', changes });
    const made = childrenOf(after, 'lane', 'x').find((l) => l.id !== 'lane')!;
    return childrenOf(after, 'claim', made.id)[0]!.place;
  };
  expect(pasted('Valves\twrites\tMemory\ta200\t2 words\tWORD ×2')).toMatchObject({ area: 'areaa', number: 200 });
  expect(pasted('Valves\twrites\tBlock firsta\ta200\t2 words\tWORD ×2')).toMatchObject({ area: 'firsta', number: 200 });
  expect(pasted('Valves\twrites\t\ta200\t2 words\tWORD ×2')).toMatchObject({ area: 'firsta', number: 200 });
});

test('what stands in a cell, typed again, changes nothing', () => {
  const project = edited(alike(), ['claim', 'ca', 'place', { area: 'areaa', view: 'va', number: 100 }]);
  const claim = claimA(project);
  for (const [column, text] of [
    ['address', 'a100'],
    ['area', 'Memory'],
    ['told', 'b200'],
    ['length', '4 words'],
    ['type', 'REAL ×2'],
    ['direction', 'writes'],
    ['name', 'Block ca'],
  ] as const) {
    expect([column, editLaneCell(project, endA(project), claim, column, ` ${text} `)]).toEqual([
      column,
      { claim, problem: null },
    ]);
  }
});

test('a copy that is typed again stays in its area, too', () => {
  const from = { area: 'areaa', view: 'va', number: 7 };
  const project = added(alike(), 'copy', { ...newCopy(alike(), 'copy', 'sa'), from });
  expect(editField(COPY, 'from', project.get('copy', 'copy')!, 'a7', typing(project)).changes).toEqual([]);
  expect(editField(COPY, 'from', project.get('copy', 'copy')!, 'a8', typing(project)).changes).toMatchObject([
    { after: { area: 'areaa', number: 8 } },
  ]);
});
