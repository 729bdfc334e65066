import {
  codesOf,
  edited,
  findingsOf,
  fixed,
  theFinding,
  twoStations,
  wordsOf,
} from '../../../testing/two-stations.testing.js';

const at = (address: string) =>
  edited(twoStations(), ['port', 'portb', 'address', address], ['end', 'ea', 'told.eb.address', address]);

test.each([
  ['10.0.0.0', 'the address of the subnet itself'],
  ['10.0.0.255', 'the broadcast address of its subnet'],
  ['224.0.0.5', 'a multicast address'],
  ['240.0.0.1', 'a reserved address'],
  ['127.0.0.1', 'a loopback address'],
])('%s is no host: %s', (address, what) => {
  const finding = findingsOf(at(address)).find((f) => f.code === 'ADR 3')!;
  expect(finding.severity).toBe('blocker');
  expect(wordsOf(finding)).toContain(`${address} is ${what}`);
});

test('the remedy names the hosts that the subnet has', () => {
  expect(wordsOf(theFinding(at('10.0.0.255'), 'ADR 3'))).toContain('10.0.0.0/24 has 10.0.0.1–10.0.0.254');
});

test.each(['169.254.3.3', '8.8.4.4'])('%s is a Doubt', (address) => {
  expect(findingsOf(at(address)).find((f) => f.code === 'ADR 3')!.severity).toBe('doubt');
});

test('private addresses are the normal case; 0.0.0.0 is not yet set [published: RFC 1918] [from memory]', () => {
  expect(codesOf(at('10.0.0.77'))).toEqual([]);
  expect(codesOf(edited(twoStations(), ['port', 'portb', 'address', '0.0.0.0']))).not.toContain('ADR 3');
});

test('a loopback address told to a station on another computer is one finding, and mended [published: RFC 6890, 2.2.2] [from memory]', () => {
  const project = edited(twoStations(), ['end', 'ea', 'told.eb.address', '127.0.0.1']);
  expect(codesOf(project)).toEqual(['ADR 3']);
  const finding = theFinding(project, 'ADR 3');
  expect(wordsOf(finding)).toContain(
    'A has 127.0.0.1 entered for B, a loopback address; B is on the other computer, at 10.0.0.2',
  );
  expect(codesOf(fixed(project, finding))).toEqual([]);
});
