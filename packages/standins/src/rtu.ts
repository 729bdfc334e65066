import { crc16, rtuFrame as frameOf } from '@dialoga/core/protocol';

/** Unit, function and data with their check. */
export const rtuFrame = (unit: number, pdu: Uint8Array): Buffer => Buffer.from(frameOf(unit, [...pdu]));

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
      if (frame.length < 4 || crc16([...frame.subarray(0, -2)]) !== frame.readUInt16LE(end - 2)) return null;
      found.push({ unit: frame[0]!, pdu: Uint8Array.from(frame.subarray(1, -2)) });
      this.rest = this.rest.subarray(end);
    }
  }
}
