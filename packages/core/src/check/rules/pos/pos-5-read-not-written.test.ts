import type { Project } from '../../../model/project.js';
import { smallPlant } from '../../../testing/random-edits.testing.js';
import {
  codesOf,
  edited,
  findingsOf,
  theFinding,
  twoStations,
  wordsOf,
  type FieldEdit,
} from '../../../testing/two-stations.testing.js';

test('an area with a writer of its own is silent', () => {
  expect(codesOf(twoStations())).toEqual([]);
});

test('what is sent from where nothing puts data is a Doubt', () => {
  const finding = theFinding(edited(twoStations(), ['area', 'areaa', 'writers', []]), 'POS 5');
  expect(finding.severity).toBe('doubt');
  expect(wordsOf(finding)).toContain('a100–a103 of Memory');
});

/** B is a gateway: A writes four words to it, and C looks at eight from the same place. */
const looked = (claim: Record<string, unknown>) =>
  edited(
    smallPlant(),
    ['area', 'areab', 'writers', []],
    ['claim', 'cb2', 'direction', 'writes'],
    ['claim', 'cb2', 'place', { area: 'areab', view: 'vb', number: 200 }],
    ['claim', 'cb2', 'length', { count: 8, unit: 16 }],
    // Both ends of that lane mean the same values: what they differ in comes first.
    ['claim', 'ca2', 'toldPlace', 'b200'],
    ...['ca2', 'cb2'].flatMap((id) =>
      Object.entries(claim).map(([field, value]): FieldEdit => ['claim', id, field, value]),
    ),
  );
const openOf = (project: Project) => findingsOf(project).filter((f) => f.code === 'POS 5' && f.cells[0]?.id === 'cb2');

test('the unused rest of a window is no finding; a named value that nobody writes is, once for all of them', () => {
  expect(openOf(looked({ items: {}, type: { base: 'WORD', count: 8 } }))).toEqual([]);
  const named = (...words: number[]) => ({
    items: Object.fromEntries(
      words.map((word, i) => [
        `k${i + 1}`,
        { name: `V${word}`, type: { base: 'INT', count: 1 }, offset: { bits: word * 16 } },
      ]),
    ),
  });
  expect(openOf(looked(named(0, 3)))).toEqual([]);
  const [finding, ...others] = openOf(looked(named(0, 5, 6)));
  expect(others).toEqual([]);
  expect(wordsOf(finding!)).toContain('V5, V6');
  // A block of numbers: the last of them is of nobody.
  expect(openOf(looked({ items: {}, type: { base: 'REAL', count: 4 } }))).toHaveLength(1);
});
