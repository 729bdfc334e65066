import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const gateway = (text: string) => edited(twoStations(), ['port', 'porta', 'gateway', text]);

test('a gateway in one’s own subnet, none, and 0.0.0.0 are silent', () => {
  for (const text of ['10.0.0.254', '', '0.0.0.0']) expect(codesOf(gateway(text))).toEqual([]);
});

test('outside it, both the gateway and the subnet are named', () => {
  expect(wordsOf(theFinding(gateway('10.0.1.254'), 'ADR 5'))).toContain(
    'the gateway 10.0.1.254 is outside 10.0.0.0/24',
  );
});

test('one’s own address is no gateway', () => {
  expect(theFinding(gateway('10.0.0.1'), 'ADR 5').message).toBe('itself');
});
