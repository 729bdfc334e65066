/**
 * The check of a frame on a line: CRC-16 with the polynomial A001, begun with FFFF, its low byte first.
 * [published: MODBUS over Serial Line Specification and Implementation Guide V1.02, 6.2.2] [from memory]
 */
export function crc16(bytes: Uint8Array): number {
  let crc = 0xffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let i = 0; i < 8; i++) crc = crc & 1 ? (crc >> 1) ^ 0xa001 : crc >> 1;
  }
  return crc;
}

/** Unit, function and data with their check. */
export function rtuFrame(unit: number, pdu: Uint8Array): Buffer {
  const frame = Buffer.from([unit, ...pdu, 0, 0]);
  frame.writeUInt16LE(crc16(frame.subarray(0, -2)), frame.length - 2);
  return frame;
}

/** Bytes of a request with this function, unit and check among them; null: more have to be there to know; 0: not known. */
function lengthOf(frame: Buffer): number | null {
  const code = frame[1];
  if (code === undefined) return null;
  if (code >= 1 && code <= 6) return 8;
  if (code === 15 || code === 16) return frame[6] === undefined ? null : 9 + frame[6];
  if (code === 22) return 10;
  if (code === 23) return frame[10] === undefined ? null : 13 + frame[10];
  return 0;
}

/** Takes frames out of a stream of bytes, where no silence on a line parts them. */
export class RtuReader {
  private rest: Buffer = Buffer.alloc(0);

  /** The requests that are whole by now; null: a check is wrong, or a function is not known, so that no end can be found. */
  take(more: Buffer): { unit: number; pdu: Uint8Array }[] | null {
    this.rest = Buffer.concat([this.rest, more]);
    const found: { unit: number; pdu: Uint8Array }[] = [];
    for (;;) {
      const length = lengthOf(this.rest);
      if (length === null || (length > 0 && this.rest.length < length)) return found;
      const end = length === 0 ? this.rest.length : length;
      const frame = this.rest.subarray(0, end);
      if (frame.length < 4 || crc16(frame.subarray(0, -2)) !== frame.readUInt16LE(end - 2)) return null;
      found.push({ unit: frame[0]!, pdu: Uint8Array.from(frame.subarray(1, -2)) });
      this.rest = this.rest.subarray(end);
    }
  }
}
