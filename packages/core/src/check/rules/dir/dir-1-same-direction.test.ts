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

// [common practice] A two-way slot of a coupler is one output and one input on each side.
test('what is the stations’ own I/O goes one way by a lane: a slot both ways is two', () => {
  const both: Parameters<typeof edited>[1][] = [
    ['claim', 'ca', 'direction', 'both'],
    ['claim', 'cb', 'direction', 'both'],
  ];
  expect(codesOf(edited(twoStations(), ...both))).not.toContain('DIR 1');
  const project = edited(twoStations(), ...both, ['exchange', 'x', 'protocol', 'cyclic-ethernet-io']);
  const finding = theFinding(project, 'DIR 1');
  expect([finding.message, finding.severity]).toEqual(['together', 'blocker']);
  expect(wordsOf(finding)).toContain('A and B both send and receive in one lane');
  expect(codesOf(fixed(project, finding))).not.toContain('DIR 1');
});
