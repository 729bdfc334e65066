import { editSheet } from '../../../sheet/edit-sheet.js';
import type { Project } from '../../../model/project.js';
import { CheckEngine } from '../../engine.js';
import { plant } from '../../../testing/edited-plant.testing.js';
import {
  applied,
  codesOf,
  edited,
  fixed,
  theFinding,
  wordsOf,
  type FieldEdit,
} from '../../../testing/two-stations.testing.js';

/** Both ends of lane 3 get the structure Drive, by typing its name; bytes travel. */
function typed(...edits: FieldEdit[]): Project {
  let project = plant(
    ...['ca3', 'cb3'].flatMap((id): FieldEdit[] => [
      ['claim', id, 'type', null],
      ['claim', id, 'length', null],
    ]),
    ...edits,
  );
  let n = 0;
  for (const end of ['ya', 'yc']) {
    const edit = { end: project.get('end', end)!, lane: 'lane3', column: 'type', text: 'drive' } as const;
    const { changes, problems } = editSheet(project, [edit], () => `key${n++}`);
    expect(problems).toEqual([]);
    project = applied(project, { id: 'e', label: '', changes });
  }
  return project;
}
const verdict = (project: Project) => new CheckEngine(project).laneResults.get('lane3')!.verdict;

test('a structure becomes the values of a claim, under the same keys at both ends', () => {
  const project = typed();
  const [a, c] = ['ca3', 'cb3'].map((id) => project.get('claim', id)!);
  expect(Object.keys(a!.items)).toEqual(Object.keys(c!.items));
  expect(Object.values(a!.items).map((i) => [i.name, i.offset])).toEqual([
    ['State', { bits: 0 }],
    ['Speed', { bits: 16 }],
  ]);
  expect(a!.length).toEqual({ count: 2, unit: 16 });
  expect([codesOf(project), verdict(project)]).toEqual([[], 'agreed']);
});

test('POS 7: the first member that another alignment puts elsewhere, by name, once for the whole block', () => {
  const project = typed(['station', 'sc', 'layout', { alignment: '1' }]);
  const finding = theFinding(project, 'POS 7');
  expect(wordsOf(finding)).toContain('from Speed on, Drive has different offsets at A and C');
  expect(wordsOf(finding)).toContain('Speed at byte 2 of 4 bytes');
  expect(wordsOf(finding)).toContain('Speed at byte 1 of 3 bytes');
  expect(codesOf(project)).not.toContain('TYP 9');
  expect(verdict(project)).toBe('differs');
});

test('POS 7: a structure that was changed afterwards is laid out anew by its fix', () => {
  const longer = edited(typed(), ['structure', 'str1', 'members.m1.type', { base: 'DINT', count: 1 }]);
  expect(codesOf(longer).filter((c) => c === 'POS 7')).toHaveLength(2);
  const [finding] = [...new CheckEngine(longer).findings.values()].filter((f) => f.code === 'POS 7');
  const after = fixed(longer, finding!);
  expect(codesOf(after).filter((c) => c === 'POS 7')).toHaveLength(1);
});

test('POS 7: a structure that contains itself is named with its member', () => {
  const loop = plant(['structure', 'str1', 'members.m2.type', { base: 'STRUCT', count: 1, structure: 'str1' }]);
  expect(wordsOf(theFinding(loop, 'POS 7'))).toContain('Structure Drive contains itself, by its member Speed');
});

test('a structure without an address to count from is refused with what is missing', () => {
  const project = plant(['claim', 'ca3', 'place', null]);
  const edit = { end: project.get('end', 'ya')!, lane: 'lane3', column: 'type', text: 'Drive' } as const;
  expect(editSheet(project, [edit], () => 'k').problems[0]).toContain('fill in the address of the lane first');
});
