import { smallPlant } from '../../../testing/random-edits.testing.js';
import { codesOf, edited, fixed, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const listening = (listens: unknown) => edited(twoStations(), ['port', 'portb', 'listens', listens]);

test('Modbus is port 502 unless somebody says otherwise [published: IANA Service Name and Transport Protocol Port Number Registry] [from memory]', () => {
  expect(codesOf(listening({}))).toEqual([]);
  expect(codesOf(listening({ 'modbus-tcp': { tcpPort: 502 } }))).toEqual([]);
});

test('called on the default, listening elsewhere: found once, with both, and mended', () => {
  const project = listening({ 'modbus-tcp': { tcpPort: 1502 } });
  expect(codesOf(project)).toEqual(['ADR 12']);
  const finding = theFinding(project, 'ADR 12');
  expect(wordsOf(finding)).toContain('A calls TCP port 502 of B, which listens on 1502');
  expect(wordsOf(finding)).toContain('the default');
  expect(codesOf(fixed(project, finding))).toEqual([]);
});

test('two servers on one port of one computer are a Doubt', () => {
  const project = listening({ 'some-server': { tcpPort: 502 } });
  const finding = theFinding(project, 'ADR 12');
  expect(finding.severity).toBe('doubt');
  expect(wordsOf(finding)).toContain('both listen on TCP port 502');
});

test('of a tool, too: the TCP port that it was told is compared where the device says its own, and may be left out', () => {
  const told = (tcpPort: string) =>
    edited(
      smallPlant(),
      ['port', 'portb', 'listens', { 'service-access': { tcpPort: 5000 } }],
      ['end', 'svca', 'told.svcb.tcpPort', tcpPort],
    );
  expect([codesOf(told('')), codesOf(told('5000'))]).toEqual([[], []]);
  expect(wordsOf(theFinding(told('102'), 'ADR 12'))).toContain('listens on 5000');
  expect(codesOf(edited(smallPlant(), ['end', 'svca', 'told.svcb.tcpPort', '102']))).toEqual([]);
});
