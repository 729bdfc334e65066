import { copying } from '../testing/copying.testing.js';
import type { Verdict } from '../lane/compare.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { edited } from '../testing/two-stations.testing.js';
import { endToEndMatrix } from './end-to-end.js';

const made = (project: ReturnType<typeof copying>, verdicts: Record<string, Verdict> = {}) =>
  endToEndMatrix(project, (lane) => verdicts[lane] ?? 'agreed', []).cells.map((c) => [
    `${c.source} ${c.sink}`,
    c.bits / 16,
    c.lanes.map((l) => l.lane),
    c.verdict,
  ]);

test('what C writes to A, and A copies on to B, goes from C to B; A is on the way only', () => {
  const cells = made(copying());
  expect(cells).toContainEqual(['sc sb', 4, ['lane3', 'on'], 'agreed']);
  expect(cells.map(([way]) => way)).not.toContain('sc sa');
  // What begins in A itself is A’s.
  expect(cells).toContainEqual(['sa sb', 4, ['lane'], 'agreed']);
});

test('the worst of all lanes on the way counts', () => {
  const cells = made(copying(), { on: 'differs' });
  expect(cells.find(([way]) => way === 'sc sb')![3]).toBe('differs');
});

test('without the copy it ends in A, and the lane that read it there begins in A', () => {
  const cells = made(edited(copying(), ['copy', 'copy', 'length', null]));
  expect(cells).toContainEqual(['sc sa', 4, ['lane3'], 'agreed']);
  expect(cells.find(([way]) => way === 'sa sb')![2]).toEqual(expect.arrayContaining(['lane', 'on']));
  expect(made(smallPlant()).map(([way]) => way)).toEqual(expect.arrayContaining(['sc sa', 'sa sb', 'sb sa']));
});
