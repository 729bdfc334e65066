import type { ReferenceTable } from '../model/words.js';

/** Function codes by table and by what is done: read, write one, write several. */
const FUNCTIONS: Record<ReferenceTable, { reads: number; one?: number; several?: number }> = {
  coils: { reads: 1, one: 5, several: 15 },
  'discrete inputs': { reads: 2 },
  'holding registers': { reads: 3, one: 6, several: 16 },
  'input registers': { reads: 4 },
};

const word = (value: number): number[] => [(value >> 8) & 0xff, value & 0xff];

/**
 * The request for so many entries of a table from a protocol address (from 0): function code, address, count.
 * [published: MODBUS Application Protocol Specification V1.1b3, 6.1 to 6.4] [from memory]
 */
export const readRequest = (table: ReferenceTable, first: number, count: number): number[] => [
  FUNCTIONS[table].reads,
  ...word(first),
  ...word(count),
];

/** The answer to it: function code, number of bytes, and the registers or bits, of bits the first in the lowest place. */
export function readAnswer(table: ReferenceTable, values: readonly number[]): number[] {
  const bytes = table === 'coils' || table === 'discrete inputs' ? packed(values) : values.flatMap(word);
  return [FUNCTIONS[table].reads, bytes.length, ...bytes];
}

/**
 * The request that writes one entry of a table, or several from a protocol address on. A coil is set by FF00.
 * [published: MODBUS Application Protocol Specification V1.1b3, 6.5, 6.6, 6.11, 6.12] [from memory]
 */
export function writeRequest(table: 'coils' | 'holding registers', first: number, values: readonly number[]): number[] {
  const { one, several } = FUNCTIONS[table];
  const [single = 0] = values;
  if (values.length === 1) {
    return [one!, ...word(first), ...word(table === 'coils' ? (single ? 0xff00 : 0) : single)];
  }
  const bytes = table === 'coils' ? packed(values) : values.flatMap(word);
  return [several!, ...word(first), ...word(values.length), bytes.length, ...bytes];
}

function packed(bits: readonly number[]): number[] {
  const bytes = new Array<number>(Math.ceil(bits.length / 8)).fill(0);
  bits.forEach((bit, i) => (bytes[i >> 3]! |= bit << (i & 7)));
  return bytes;
}

/** CRC-16 over a serial frame: polynomial A001 reflected, all ones to begin with; sent low byte first. */
export function crc16(bytes: readonly number[]): number {
  let crc = 0xffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit++) crc = crc & 1 ? (crc >> 1) ^ 0xa001 : crc >> 1;
  }
  return crc;
}

/** On a serial line: unit address, request, CRC. [published: MODBUS over Serial Line V1.02, 2.5.1] [from memory] */
export function rtuFrame(unit: number, pdu: readonly number[]): number[] {
  const frame = [unit, ...pdu];
  const crc = crc16(frame);
  return [...frame, crc & 0xff, crc >> 8];
}

/** Over TCP: transaction, protocol 0, length, unit, request. [published: MODBUS Messaging on TCP/IP Guide V1.0b, 3.1.3] [from memory] */
export const tcpFrame = (transaction: number, unit: number, pdu: readonly number[]): number[] => [
  ...word(transaction),
  ...word(0),
  ...word(pdu.length + 1),
  unit,
  ...pdu,
];

/** `03 00 6B 00 03` */
export const hex = (bytes: readonly number[]): string =>
  bytes.map((byte) => byte.toString(16).toUpperCase().padStart(2, '0')).join(' ');
