import fc from 'fast-check';
import { crc16, hex, readAnswer, readRequest, rtuFrame, tcpFrame, writeRequest } from './modbus-frame.js';

const bits = (text: string) => [...text.replace(/ /g, '')].map(Number);

test('reads as in the examples of the specification [published: MODBUS Application Protocol V1.1b3, 6.1 to 6.4] [from memory]', () => {
  // Coils 20 to 38, discrete inputs 197 to 218, holding registers 108 to 110, input register 9.
  expect(hex(readRequest('coils', 19, 19))).toBe('01 00 13 00 13');
  expect(hex(readRequest('discrete inputs', 196, 22))).toBe('02 00 C4 00 16');
  expect(hex(readRequest('holding registers', 107, 3))).toBe('03 00 6B 00 03');
  expect(hex(readRequest('input registers', 8, 1))).toBe('04 00 08 00 01');
});

test('their answers: bits from the lowest place on, registers high byte first [published: MODBUS Application Protocol V1.1b3, 6.1 to 6.4] [from memory]', () => {
  // Coils 27–20 are 1100 1101, 35–28 are 0110 1011, 38–36 are 101.
  expect(hex(readAnswer('coils', bits('10110011 11010110 101')))).toBe('01 03 CD 6B 05');
  expect(hex(readAnswer('discrete inputs', bits('00110101 11011011 101011')))).toBe('02 03 AC DB 35');
  expect(hex(readAnswer('holding registers', [0x022b, 0, 100]))).toBe('03 06 02 2B 00 00 00 64');
  expect(hex(readAnswer('input registers', [10]))).toBe('04 02 00 0A');
});

test('writes as in the examples of the specification [published: MODBUS Application Protocol V1.1b3, 6.5, 6.6, 6.11, 6.12] [from memory]', () => {
  // Coil 173 on, register 2 to 3, coils 20 to 29, registers 2 and 3.
  expect(hex(writeRequest('coils', 172, [1]))).toBe('05 00 AC FF 00');
  expect(hex(writeRequest('holding registers', 1, [3]))).toBe('06 00 01 00 03');
  expect(hex(writeRequest('coils', 19, bits('10110011 10')))).toBe('0F 00 13 00 0A 02 CD 01');
  expect(hex(writeRequest('holding registers', 1, [10, 0x0102]))).toBe('10 00 01 00 02 04 00 0A 01 02');
});

test('the check value of CRC-16/MODBUS over “123456789” is 4B37 [common practice]', () => {
  expect(crc16([...'123456789'].map((c) => c.charCodeAt(0)))).toBe(0x4b37);
  expect(hex(rtuFrame(1, readRequest('holding registers', 0, 10)))).toBe('01 03 00 00 00 0A C5 CD');
});

test('over what was framed the CRC is 0, and one changed bit is noticed', () => {
  const pdu = fc.array(fc.integer({ min: 0, max: 255 }), { minLength: 1, maxLength: 60 });
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 247 }),
      pdu,
      fc.nat(),
      fc.integer({ min: 0, max: 7 }),
      (unit, bytes, at, bit) => {
        const frame = rtuFrame(unit, bytes);
        expect(crc16(frame)).toBe(0);
        frame[at % frame.length]! ^= 1 << bit;
        expect(crc16(frame)).not.toBe(0);
      },
    ),
  );
});

test('over TCP seven bytes come before: transaction, protocol 0, length, unit [published: MODBUS Messaging on TCP/IP Guide V1.0b, 3.1.3] [from memory]', () => {
  expect(hex(tcpFrame(0x1501, 0xff, readRequest('holding registers', 4, 1)))).toBe(
    '15 01 00 00 00 06 FF 03 00 04 00 01',
  );
});
