import { codesOf, edited, fixed, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

test.each(['writes', 'reads'] as const)('both ends that say %s are found', (direction) => {
  const project = edited(
    twoStations(),
    ['claim', 'ca', 'direction', direction],
    ['claim', 'cb', 'direction', direction],
  );
  const finding = theFinding(project, 'DIR 1');
  expect(wordsOf(finding)).toContain(`A and B both ${direction === 'writes' ? 'write' : 'read'}`);
  expect(codesOf(fixed(project, finding))).toEqual([]);
});
