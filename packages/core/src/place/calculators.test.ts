import { identifierFault, sameIdentifier } from './identifier.js';
import { overlaidElement, protocolAddressOf, referenceOf, USUAL_TABLE } from './modbus-tables.js';
import { describePort, KNOWN_PORTS } from '../wiring/tcp-ports.js';
import { inUnits, unitsTaken, windowOf } from './units.js';

test('well-known ports [published: IANA Service Name and Transport Protocol Port Number Registry] [from memory]', () => {
  const ports = new Map(KNOWN_PORTS.map((p) => [p.port, p.transport]));
  for (const tcp of [502, 20000, 102, 44818, 4840]) expect(ports.get(tcp)).toBe('TCP');
  expect(ports.get(2222)).toBe('UDP');
  expect(describePort(502)).toBe('502, Modbus');
  expect(describePort(1502)).toBe('1502');
});

test('reference n is protocol address n − 1, in a table of 65536 [published: MODBUS Application Protocol V1.1b3, 4.4] [from memory]', () => {
  expect([1, 101, 65_536].map(protocolAddressOf)).toEqual([0, 100, 65_535]);
  expect([0, 65_537, 1.5].map(protocolAddressOf)).toEqual([null, null, null]);
  expect([0, 65_535, 65_536, -1].map(referenceOf)).toEqual([1, 65_536, null, null]);
});

test('which table for which signal [common practice]', () => {
  expect(USUAL_TABLE['discrete in']).toBe('discrete inputs');
  expect(USUAL_TABLE['discrete out']).toBe('coils');
  expect(USUAL_TABLE['analogue in']).toBe('input registers');
  expect(USUAL_TABLE['counter in']).toBe('input registers');
  expect(USUAL_TABLE['analogue out']).toBe('holding registers');
});

test('16-bit element n is register n + 1 and bits 16n + 1 to 16n + 16; 32-bit element k is words 2k and 2k + 1 [common practice]', () => {
  expect(overlaidElement(0, 16)).toEqual({ registers: [1, 1], bits: [1, 16] });
  expect(overlaidElement(7, 16)).toEqual({ registers: [8, 8], bits: [113, 128] });
  expect(overlaidElement(3, 32)).toEqual({ registers: [7, 8], bits: [97, 128] });
});

test.each(['Door_07', '_x', 'a1', 'Ab_C_d'])(
  '%s is an identifier [published: IEC 61131-3, identifiers] [from memory]',
  (name) => {
    expect(identifierFault(name)).toBeNull();
  },
);

test.each([
  ['', 'empty'],
  ['1Door', 'begins with a digit'],
  ['Door__1', 'two underscores'],
  ['Door_', 'ends with an underscore'],
  ['Door 1', 'a space'],
  ['Tür', '“ü”'],
  ['a-b', '“-”'],
])('“%s” is none: %s', (name, why) => {
  expect(identifierFault(name)).toContain(why);
});

test('case does not distinguish identifiers', () => {
  expect(sameIdentifier('Door_1', 'DOOR_1')).toBe(true);
  expect(sameIdentifier('Door_1', 'Door_2')).toBe(false);
});

test('units: 32 bytes are 16 words, 100 words are 200 bytes and 1,600 bits, a 32-bit element is 2 words [common practice]', () => {
  expect(inUnits(32, 8, 16)).toBe(16);
  expect(inUnits(100, 16, 8)).toBe(200);
  expect(inUnits(100, 16, 1)).toBe(1600);
  expect(inUnits(1, 32, 16)).toBe(2);
  expect(inUnits(3000, 8, 16)).toBe(1500);
});

test('a window of n elements at s ends at s + n − 1, the next begins at s + n [common practice]', () => {
  expect(windowOf(1264, 5)).toEqual({ last: 1268, next: 1269 });
});

test('a REAL at register 56 takes 56 and 57; an IPv4 address kept one byte a register takes 4 registers [common practice]', () => {
  expect(unitsTaken(56, 32, 16)).toEqual({ first: 56, last: 57 });
  expect(unitsTaken(100, 4 * 16, 16)).toEqual({ first: 100, last: 103 });
});
