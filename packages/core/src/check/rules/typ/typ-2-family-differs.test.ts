import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

test('real against integer is a Blocker', () => {
  const finding = theFinding(edited(twoStations(), ['claim', 'cb', 'type', { base: 'DINT', count: 2 }]), 'TYP 2');
  expect(finding.severity).toBe('blocker');
  expect(wordsOf(finding)).toContain('REAL ×2 at A, DINT ×2 at B');
});

test('signed against unsigned is a Doubt', () => {
  const project = edited(
    twoStations(),
    ['claim', 'ca', 'type', { base: 'DINT', count: 2 }],
    ['claim', 'cb', 'type', { base: 'UDINT', count: 2 }],
  );
  expect(theFinding(project, 'TYP 2').severity).toBe('doubt');
  expect(codesOf(project)).toEqual(['TYP 2']);
});
