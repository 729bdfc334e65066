import fc from 'fast-check';
import { nextFreeNumber, parseInSpace, SPACES } from './address-spaces.js';
import { BUS_RATES, formatBusRate, parseBusRate } from './bus-rates.js';
import { deviceNameFault, deviceNameFor } from './device-name.js';
import { bitsPerCharacter, formatSerial, parseSerial, type SerialSettings } from './serial-settings.js';

const settings: fc.Arbitrary<SerialSettings> = fc.record({
  rate: fc.constantFrom(1200, 9600, 19200, 115200),
  dataBits: fc.constantFrom(7 as const, 8 as const),
  parity: fc.constantFrom('none' as const, 'even' as const, 'odd' as const),
  stopBits: fc.constantFrom(1 as const, 2 as const),
});
const serial = (text: string) => {
  const read = parseSerial(text);
  return read.ok ? formatSerial(read.value) : read.found;
};

test('serial settings are read as people write them, and written in one way', () => {
  for (const text of ['9600 8E1', '9600,8,E,1', '9.6k 8e1', '9600 bit/s 8E1', ' 9600/8-E-1']) {
    expect(serial(text)).toBe('9600 8E1');
  }
  expect(serial('9600')).toContain('is not a valid serial setting');
  expect(serial('9600 9N1')).toBe('9 data bits');
  expect(serial('20 8N1')).toBe('20 bit/s is out of range');
  fc.assert(fc.property(settings, (s) => expect(parseSerial(formatSerial(s))).toEqual({ ok: true, value: s })));
});

// 8E1 and 8N2 are 11 bits on the line, 8N1 is 10. [published: Modbus over Serial Line V1.02, 2.5.1] [from memory]
test('bits per character', () => {
  const bits = (text: string) => {
    const read = parseSerial(text);
    return read.ok ? bitsPerCharacter(read.value) : null;
  };
  expect(['9600 8E1', '9600 8N2', '9600 8N1', '9600 7E1'].map(bits)).toEqual([11, 11, 10, 10]);
});

// [published: IEC 61158 type 3] [from memory]
test('rates of the token bus, and no others', () => {
  const read = (text: string) => {
    const rate = parseBusRate(text);
    return rate.ok ? rate.value : rate.found;
  };
  expect(['9.6 kbit/s', '500k', '45,45 kbit/s', '1.5 Mbit/s', '12M', '19200'].map(read)).toEqual([
    9600, 500_000, 45_450, 1_500_000, 12_000_000, 19_200,
  ]);
  expect(read('600k')).toBe('600 kbit/s is none');
  for (const rate of BUS_RATES) expect(read(formatBusRate(rate))).toBe(rate);
});

// 1–247 with 0 for all and 248–255 reserved; 0–125, 126 and 127; 0–65519. [published: Modbus over Serial Line V1.02,
// 2.2 · IEC 61158 type 3 · IEEE 1815] [from memory]
test('the ranges of unit, node and telemetry addresses, with the meaning of what lies outside', () => {
  const fault = (text: string, space: keyof typeof SPACES) => {
    const read = parseInSpace(text, SPACES[space]);
    return read.ok ? read.value : read.found;
  };
  expect([1, 247, 0, 248, 300].map((n) => fault(String(n), 'unit'))).toEqual([
    1,
    247,
    '0 is for all units at once',
    '248 is reserved',
    '300 is out of range',
  ]);
  expect([0, 125, 126, 127].map((n) => fault(String(n), 'node'))).toEqual([
    0,
    125,
    '126 is for nodes not yet addressed',
    '127 is for all nodes at once',
  ]);
  expect([0, 65519, 65520].map((n) => fault(String(n), 'telemetry'))).toEqual([
    0,
    65519,
    '65520 is reserved, or for all units at once',
  ]);
  expect(fault('1x', 'unit')).toBe('“1x” is not a whole number');
});

test('the number that is proposed is free and inside; none only where all are taken', () => {
  const space = { ...SPACES.unit, least: 1, most: 9 };
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 12 })), (list) => {
      const taken = new Set(list);
      const free = nextFreeNumber(space, taken);
      const inside = list.filter((n) => n >= 1 && n <= 9);
      if (free === null) expect(inside).toHaveLength(9);
      else expect(!taken.has(free) && free >= 1 && free <= 9).toBe(true);
    }),
  );
  expect(nextFreeNumber(SPACES.unit, new Set([11, 12, 13]))).toBe(14);
});

// [published: IEC 61158-6-10, names of stations] [from memory]
test('names of devices of cyclic Ethernet I/O', () => {
  for (const name of ['evap-head', 'a', 'x1.line-2', 'a'.repeat(63), 'port-1', 'port-12']) {
    expect(deviceNameFault(name)).toBeNull();
  }
  const faults: [string, string][] = [
    ['Evap', '“E” is not allowed'],
    ['evap_head', '“_” is not allowed'],
    ['-evap', 'begins or ends with a hyphen'],
    ['evap-', 'begins or ends with a hyphen'],
    ['evap..head', 'is empty'],
    ['10.48.10.45', 'shaped like an IP address'],
    ['port-001', 'taken for a port'],
    ['a'.repeat(64), 'at most 63'],
    [Array.from({ length: 5 }, () => 'a'.repeat(60)).join('.'), 'at most 240'],
  ];
  for (const [name, fault] of faults) expect(deviceNameFault(name)).toContain(fault);
});

test('a name that is proposed for a station is legal, whatever the station is called', () => {
  expect(deviceNameFor('EvapHead')).toBe('evap-head');
  expect(deviceNameFor('Kühlraum 2')).toBe('kuhlraum-2');
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), (name) => expect(deviceNameFault(deviceNameFor(name))).toBeNull()),
  );
});
