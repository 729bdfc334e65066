import { tcpFrame } from '@dialoga/core/protocol';

/** Bytes before function and data. [published: MODBUS Messaging on TCP/IP Implementation Guide V1.0b, 3.1.3] [from memory] */
const HEADER = 7;
/** Bytes of unit, function and data at most. */
const MOST = 254;

/** One request as it came over TCP. */
export interface TcpRequest {
  transaction: number;
  unit: number;
  pdu: Uint8Array;
}

/** Takes requests out of a stream of bytes, however it was cut. */
export class MbapReader {
  private rest: Buffer = Buffer.alloc(0);

  /** The requests that are whole by now; null: this is no such stream, and the connection is to be closed. */
  take(more: Buffer): TcpRequest[] | null {
    this.rest = Buffer.concat([this.rest, more]);
    const found: TcpRequest[] = [];
    while (this.rest.length >= HEADER - 1) {
      const length = this.rest.readUInt16BE(4);
      if (this.rest.readUInt16BE(2) !== 0 || length < 2 || length > MOST) return null;
      const end = 6 + length;
      if (this.rest.length < end) break;
      const pdu = Uint8Array.from(this.rest.subarray(HEADER, end));
      found.push({ transaction: this.rest.readUInt16BE(0), unit: this.rest[6]!, pdu });
      this.rest = this.rest.subarray(end);
    }
    return found;
  }
}

/** An answer as it is sent. */
export const mbapFrame = ({ transaction, unit }: Pick<TcpRequest, 'transaction' | 'unit'>, pdu: Uint8Array): Buffer =>
  Buffer.from(tcpFrame(transaction, unit, [...pdu]));
