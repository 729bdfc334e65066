import type { ReferenceTable } from '../../model/words.js';
import type { Tables } from './tables.js';

/** Exceptions that an answer may carry. [published: MODBUS Application Protocol Specification V1.1b3, 7] [from memory] */
export const EXCEPTION = { function: 1, address: 2, value: 3 } as const;

const READS: Record<number, { table: ReferenceTable; most: number }> = {
  1: { table: 'coils', most: 2000 },
  2: { table: 'discrete inputs', most: 2000 },
  3: { table: 'holding registers', most: 125 },
  4: { table: 'input registers', most: 125 },
};

/**
 * The answer of a station to a request: function and data, without unit and check. Quantities are looked at before addresses,
 * as the state diagrams have it. Functions 1 to 6, 15, 16, 22 and 23.
 * [published: MODBUS Application Protocol Specification V1.1b3, 6.1 to 6.6, 6.11, 6.12, 6.16 and 6.17] [from memory]
 */
export function answerPdu(tables: Tables, request: Uint8Array): Uint8Array {
  const code = request[0] ?? 0;
  const refuse = (exception: number) => Uint8Array.of(code | 0x80, exception);
  const word = (at: number) => ((request[at] ?? 0) << 8) | (request[at + 1] ?? 0);
  const [start, second] = [word(1), word(3)];
  const echo = () => request.slice(0, 5);
  const set = (table: ReferenceTable, values: number[], reply: () => Uint8Array) =>
    tables.write(table, start, values) ? reply() : refuse(EXCEPTION.address);
  const reads = READS[code];
  if (reads) {
    if (request.length !== 5 || second < 1 || second > reads.most) return refuse(EXCEPTION.value);
    const values = start + second > 65_536 ? null : tables.read(reads.table, start, second);
    if (!values) return refuse(EXCEPTION.address);
    return code <= 2 ? packed(code, values) : registers(code, values);
  }
  switch (code) {
    case 5:
      if (request.length !== 5 || (second !== 0 && second !== 0xff00)) return refuse(EXCEPTION.value);
      return set('coils', [second === 0 ? 0 : 1], echo);
    case 6:
      if (request.length !== 5) return refuse(EXCEPTION.value);
      return set('holding registers', [second], echo);
    case 15: {
      const bytes = Math.ceil(second / 8);
      if (second < 1 || second > 1968 || request[5] !== bytes || request.length !== 6 + bytes)
        return refuse(EXCEPTION.value);
      return set(
        'coils',
        Array.from({ length: second }, (_, n) => (request[6 + (n >> 3)]! >> (n & 7)) & 1),
        echo,
      );
    }
    case 16: {
      if (second < 1 || second > 123 || request[5] !== second * 2 || request.length !== 6 + second * 2)
        return refuse(EXCEPTION.value);
      return set(
        'holding registers',
        Array.from({ length: second }, (_, n) => word(6 + 2 * n)),
        echo,
      );
    }
    case 22: {
      if (request.length !== 7) return refuse(EXCEPTION.value);
      const [now] = tables.read('holding registers', start, 1) ?? [];
      if (now === undefined) return refuse(EXCEPTION.address);
      const [and, or] = [second, word(5)];
      return set('holding registers', [(now & and) | (or & ~and & 0xffff)], () => request.slice(0, 7));
    }
    case 23: {
      const [from, count, bytes] = [word(5), word(7), request[9] ?? 0];
      const bad = second < 1 || second > 125 || count < 1 || count > 121 || bytes !== count * 2;
      if (bad || request.length !== 10 + bytes) return refuse(EXCEPTION.value);
      // The write comes first, but nothing is written where the read cannot be answered.
      if (!tables.read('holding registers', start, second)) return refuse(EXCEPTION.address);
      const values = Array.from({ length: count }, (_, n) => word(10 + 2 * n));
      if (!tables.write('holding registers', from, values)) return refuse(EXCEPTION.address);
      return registers(code, tables.read('holding registers', start, second)!);
    }
    default:
      return refuse(EXCEPTION.function);
  }
}

function registers(code: number, values: readonly number[]): Uint8Array {
  return Uint8Array.of(code, values.length * 2, ...values.flatMap((value) => [value >> 8, value & 0xff]));
}

/** Bits in bytes, the first the lowest of its byte; the rest of the last byte is 0. */
function packed(code: number, values: readonly number[]): Uint8Array {
  const bytes = new Uint8Array(Math.ceil(values.length / 8));
  values.forEach((value, n) => (bytes[n >> 3]! |= (value & 1) << (n & 7)));
  return Uint8Array.of(code, bytes.length, ...bytes);
}
