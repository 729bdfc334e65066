import type { Reader } from '../../model/project.js';
import type { ReferenceTable } from '../../model/words.js';
import type { Link } from '../link.js';
import { placesIn } from './tables.js';

/**
 * One request as it goes over the wire: so many registers or coils from a protocol address (from 0) on, and the bits of the
 * caller that they are: of a register sixteen, the least significant first, of a coil one; −1: not his. `mask`: of one register
 * only those bits are set, the others stay.
 */
export interface ModbusRequest {
  does: 'reads' | 'writes' | 'masks';
  table: ReferenceTable;
  start: number;
  count: number;
  bits: Int32Array;
}

/** Entries of one request at most. [published: MODBUS Application Protocol Specification V1.1b3, 6.1 to 6.4, 6.11, 6.12] [from memory] */
const MOST = { reads: { bit: 2000, register: 125 }, writes: { bit: 1968, register: 123 } } as const;

/**
 * The requests with which the caller of a link gets or sets what the link carries; longer ones are cut into several. Null: it
 * carries no bits, or what is asked for lies in no table of whoever answers.
 */
export function requestsOf(reader: Reader, { path: { source, sink, moves } }: Link): ModbusRequest[] | null {
  if (!moves || moves === 'values') return null;
  const sets = source.end.calling === 'calls';
  const [own, there] = sets ? [moves.from, moves.to] : [moves.to, moves.from];
  const places = placesIn(reader, (sets ? sink : source).station.id, there.area, there.bits);
  if (!places) return null;
  const { table, width, units } = places;
  const rows = new Map<number, Int32Array>();
  units.forEach((at, i) => {
    if (at < 0) return;
    const unit = Math.floor(at / width);
    let row = rows.get(unit);
    if (!row) rows.set(unit, (row = new Int32Array(width).fill(-1)));
    row[at % width] = own.bits[i]!;
  });
  const all = [...rows].sort(([a], [b]) => a - b);
  const whole = ([, row]: [number, Int32Array]) => row.every((bit) => bit >= 0);
  const requests: ModbusRequest[] = [];
  for (const entry of all) {
    const [unit, row] = entry;
    const does = !sets ? 'reads' : whole(entry) ? 'writes' : 'masks';
    const last = requests.at(-1);
    const most = does === 'masks' ? 1 : MOST[does][width === 1 ? 'bit' : 'register'];
    if (last && last.does === does && last.start + last.count === unit && last.count < most) {
      last.bits = Int32Array.of(...last.bits, ...row);
      last.count += 1;
    } else requests.push({ does, table, start: unit, count: 1, bits: row });
  }
  return requests;
}
