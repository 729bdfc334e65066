import { edited } from '../testing/two-stations.testing.js';
import { mended, plant, words } from '../testing/edited-plant.testing.js';
import type { FieldEdit } from '../testing/two-stations.testing.js';
import { codesOf } from '../testing/two-stations.testing.js';
import { parseSerial, type SerialSettings } from '../wiring/serial-settings.js';
import { bytesOnTheWire } from './ethernet-frame.js';
import { mostNetworkLoad, networkLoad } from './network-load.js';
import { linePassOf, roundCadence } from './line-pass.js';
import { rtuBytes, rtuRequestTime } from './rtu-request.js';
import { bitsPerCharacter, characterTime, silentInterval } from './serial-time.js';

const serial = (text: string): SerialSettings => {
  const read = parseSerial(text);
  if (!read.ok) throw new Error(read.found);
  return read.value;
};

test('a character of RTU has 11 bits: 8E1 and 8N2; 8N1 has 10 [published: MODBUS over Serial Line V1.02, 2.5.1] [from memory]', () => {
  expect(['9600 8E1', '9600 8O1', '9600 8N2', '9600 8N1', '9600 7E1'].map((s) => bitsPerCharacter(serial(s)))).toEqual([
    11, 11, 11, 10, 10,
  ]);
});

test('frames are 3.5 characters apart, 1.750 ms above 19,200 bit/s [published: MODBUS over Serial Line V1.02, 2.5.1.1] [from memory]', () => {
  expect(silentInterval(serial('9600 8E1'))).toBeCloseTo((3.5 * 11 * 1000) / 9600, 9);
  expect(silentInterval(serial('19200 8E1'))).toBeCloseTo(2.005, 3);
  expect(silentInterval(serial('38400 8E1'))).toBe(1.75);
  expect(silentInterval(serial('115200 8N1'))).toBe(1.75);
});

test('at 9,600 bit/s a character of 11 bits takes 1.146 ms [common practice]', () => {
  expect(characterTime(serial('9600 8E1'), 1)).toBeCloseTo(1.146, 3);
});

test('frames: read 3 registers, write 2, as in the examples of the specification [published: MODBUS Application Protocol V1.1b3, 6.3 and 6.12] [from memory]', () => {
  // Function, address and count are 5 bytes; unit address and CRC make 8. The answer has a byte count and 6 bytes.
  expect(rtuBytes('reads', 3)).toEqual({ request: 8, response: 11 });
  // Function, address, count, byte count and 4 bytes of data; the answer repeats address and count.
  expect(rtuBytes('writes', 2)).toEqual({ request: 13, response: 8 });
});

test('frames a second on 100 Mbit/s: 148,809 of 64 bytes, 8,127 of 1518 [common practice]', () => {
  const perSecond = (payload: number) => Math.floor(100e6 / (bytesOnTheWire(payload).bytes * 8));
  expect(perSecond(46)).toBe(148_809);
  expect(perSecond(1500)).toBe(8_127);
  // What does not fill a frame is filled up; what does not fit goes in two.
  expect(perSecond(1)).toBe(148_809);
  expect(bytesOnTheWire(1501)).toEqual({ frames: 2, bytes: 1538 + 84 });
});

test('the load of a network: one frame per block and interval, by hand', () => {
  const project = plant();
  const { loads, packetsPerSecond, bitsPerSecond, share } = networkLoad(project, project.get('network', 'net')!);
  // Only the exchange y has a cadence on it: 8 bytes every 100 ms, in a frame of 84 bytes on the wire.
  expect(loads.map((l) => [l.exchange.id, l.packetsPerSecond])).toEqual([['y', 10]]);
  expect([packetsPerSecond, bitsPerSecond]).toEqual([10, 10 * 84 * 8]);
  expect(share).toBeCloseTo((10 * 84 * 8) / 100e6, 12);
  const requests = edited(project, ['exchange', 'x', 'cadence', 50]);
  const asked = networkLoad(requests, requests.get('network', 'net')!).loads.find((l) => l.exchange.id === 'x')!;
  // Two lanes, a question and an answer each, 20 times a second.
  expect(asked.packetsPerSecond).toBe(80);
});

test('the most that a network can carry is never less than what it carries', () => {
  for (const cadence of [1, 50, 1000]) {
    const project = edited(plant(), ['exchange', 'x', 'cadence', cadence], ['exchange', 'y', 'cadence', null]);
    const network = project.get('network', 'net')!;
    expect(mostNetworkLoad(project, network)).toBeGreaterThanOrEqual(networkLoad(project, network).share);
  }
  // Of a protocol without a limit it is not known.
  expect(mostNetworkLoad(plant(), plant().get('network', 'net')!)).toBe(Infinity);
});

test('the terms of one request add up', () => {
  const time = rtuRequestTime(serial('9600 8E1'), 'reads', 20, 30);
  const { request, silence, delay, response, total } = time;
  expect(total).toBeCloseTo(request + silence + delay + response + silence, 9);
  expect([request, silence, response].map((t) => t.toFixed(2))).toEqual(['9.17', '4.01', '51.56']);
  // Four such requests: what a pass over four meters takes.
  expect((4 * total).toFixed(0)).toBe('395');
});

test('the next interval that is not below', () => {
  expect([395, 100, 101, 0.3, 1999].map(roundCadence)).toEqual([500, 100, 200, 1, 2000]);
});

test('a pass is the sum over the lanes; nothing is said of other protocols', () => {
  // The requests on the line of the small plant ask B for four words.
  const project = plant();
  const pass = linePassOf(project, project.get('exchange', 'rtu')!);
  expect(pass?.requests).toHaveLength(1);
  expect(pass?.settings).toBe('9600 8E1');
  expect(linePassOf(project, project.get('exchange', 'x')!)).toBeNull();
  const unread = edited(project, ['port', 'pl1', 'serial', '9600']);
  expect(linePassOf(unread, unread.get('exchange', 'rtu')!)).toBeNull();
});

test('TIM 3: a pass that does not fit, with its terms; the proposed interval holds it', () => {
  const slow: FieldEdit[] = [
    ['exchange', 'rtu', 'cadence', 20],
    ['exchange', 'rtu', 'responseDelay', 30],
  ];
  expect(words('TIM 3', ...slow)).toContain('30.0 ms delay');
  expect(mended('TIM 3', ...slow)).not.toContain('TIM 3');
});

test('TIM 2: given up before an answer can be there', () => {
  const short: FieldEdit[] = [
    ['exchange', 'rtu', 'timeout', 20],
    ['exchange', 'rtu', 'responseDelay', 30],
  ];
  expect(words('TIM 2', ...short)).toContain('timeout 20 ms is shorter');
  expect(mended('TIM 2', ...short)).not.toContain('TIM 2');
  expect(codesOf(plant(['exchange', 'rtu', 'timeout', 200]))).not.toContain('TIM 2');
});
