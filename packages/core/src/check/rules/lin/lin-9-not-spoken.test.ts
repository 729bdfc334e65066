import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const speaks = (what: unknown) => edited(twoStations(), ['profile', 'pb', 'speaks', what]);
const speech = { roles: ['calls', 'listens'], media: ['ethernet'], source: 'data sheet' };

test('what is not known of a type is not found; what it speaks in this role is silent', () => {
  for (const known of [undefined, {}, { 'modbus-tcp': speech }]) expect(codesOf(speaks(known))).toEqual([]);
});

test('a type that does not speak the protocol, with what it speaks and where that is said', () => {
  const words = wordsOf(theFinding(speaks({ other: speech }), 'LIN 9'));
  expect(words).toContain('B does not speak Modbus TCP');
  expect(words).toContain('B speaks Other');
});

test('not in this role', () => {
  const words = wordsOf(theFinding(speaks({ 'modbus-tcp': { ...speech, roles: ['calls'] } }), 'LIN 9'));
  expect(words).toContain('B cannot be the one that listens in Modbus TCP');
  expect(words).toContain('it can be the one that calls (data sheet)');
});

test('its variant has no port of this medium', () => {
  const words = wordsOf(theFinding(speaks({ 'modbus-tcp': { ...speech, media: ['serial line'] } }), 'LIN 9'));
  expect(words).toContain('B speaks Modbus TCP over serial line, and Net is ethernet');
});

test('a protocol over TCP does not run on a serial line; addresses are then not looked at', () => {
  const project = edited(twoStations(), ['network', 'net', 'kind', 'serial line'], ['port', 'porta', 'address', 'x']);
  // Once for the network, however many ends are on it.
  expect(codesOf(project).filter((c) => c === 'LIN 9')).toHaveLength(1);
  expect(codesOf(project)).not.toContain('ADR 2');
});
