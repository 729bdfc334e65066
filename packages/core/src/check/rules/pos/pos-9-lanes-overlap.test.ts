import { added, codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

/** A second lane of the same exchange that reads into B at the number given. */
const second = (number: number) => {
  const first = twoStations();
  const at = (area: string, view: string, n: number) => ({ area, view, number: n });
  return added(
    added(first, 'lane', { id: 'lane2', order: 20, exchange: 'x', items: {} }),
    'claim',
    { ...first.get('claim', 'ca')!, id: 'ca2', lane: 'lane2', place: at('areaa', 'va', 300), toldPlace: `b${number}` },
    { ...first.get('claim', 'cb')!, id: 'cb2', lane: 'lane2', place: at('areab', 'vb', number) },
  );
};

test('lanes side by side are silent, and so are two that take data from one place', () => {
  expect(codesOf(second(204))).toEqual([]);
  expect(codesOf(edited(second(204), ['claim', 'ca2', 'place.number', 100]))).toEqual([]);
});

test('two that arrive in one word are one finding, a Blocker, with what they share', () => {
  const project = second(203);
  expect(codesOf(project)).toEqual(['POS 9']);
  const finding = theFinding(project, 'POS 9');
  expect(finding.severity).toBe('blocker');
  expect(wordsOf(finding)).toContain('both arrive in b203 of B');
});
