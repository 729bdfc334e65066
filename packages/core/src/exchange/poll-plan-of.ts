import { lengthBits } from '../place/length.js';
import { areaBit } from '../data/linear.js';
import { memoryOf } from '../place/memory.js';
import { locate } from '../place/resolve.js';
import { laneName } from '../lane/compare.js';
import { readToldPlace } from '../lane/told-place.js';
import { readable } from '../model/as-typed.js';
import type { Claim } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { ReferenceTable } from '../model/words.js';
import { protocolAt } from '../protocol/catalogue.js';
import { hex, readRequest } from '../protocol/modbus-frame.js';
import { realPlace } from '../place/tag-place.js';
import { requestCost, type RequestCost } from '../time/request-cost.js';
import { pollPlan, type PollItem, type PollRequest } from '../time/poll-plan.js';

/** Most units of one read. [published: MODBUS Application Protocol V1.1b3, 6.1, 6.3] [from memory] */
export const MOST_OF_A_READ = { bits: 2000, registers: 125 } as const;

export interface PlannedRequest extends PollRequest {
  /** bytes of the answer's data */
  bytes: number;
  /** ms from its begin to the begin of the next */
  ms: number;
  /** as sent: function, first unit from 0, count */
  frame: string;
}

/** What a caller asks one device for, of one table. */
export interface DevicePlan {
  caller: End;
  device: End;
  table: ReferenceTable;
  /** what a unit of it is */
  unit: 'bits' | 'registers';
  requests: readonly PlannedRequest[];
  /** what is asked for, in units of the table */
  spans: readonly { start: number; length: number }[];
  /** names of what is asked for, by lane */
  names: Readonly<Record<string, string>>;
  cost: RequestCost;
}

export interface ExchangePlan {
  devices: readonly DevicePlan[];
  /** ms that one pass over all of it takes, one request after the other */
  pass: number;
  /** ms, as the exchange says; null: on request */
  cadence: number | null;
  holds: boolean | null;
  /** blocks that are asked for and cannot be planned: nothing told, or not read */
  left: number;
}

/**
 * How one caller would ask for everything that it reads in this exchange: the fewest and shortest requests for each device
 * and table. Null where the protocol does not read tables, nobody calls, or the settings of the line are not known yet.
 */
export function pollPlanOf(reader: Reader, exchange: Exchange, callerId?: string): ExchangePlan | null {
  const ends = childrenOf(reader, 'end', exchange.id);
  const caller = ends.find((end) => (callerId ? end.id === callerId : end.calling === 'calls'));
  if (!caller || exchange.transfer !== 'requests' || !protocolAt(exchange, caller).id.startsWith('modbus')) return null;
  const groups = new Map<
    string,
    { device: End; table: ReferenceTable; items: PollItem[]; names: Record<string, string> }
  >();
  let left = 0;
  for (const lane of childrenOf(reader, 'lane', exchange.id)) {
    const claims = childrenOf(reader, 'claim', lane.id);
    const own = claims.find((claim) => claim.end === caller.id);
    if (!own || readable(own.direction) === 'writes') continue;
    for (const other of claims.filter((claim) => claim.end !== caller.id)) {
      const device = ends.find((end) => end.id === other.end);
      const asked = device && askedOf(reader, own, device);
      if (!device || !asked) {
        left++;
        continue;
      }
      const key = `${device.id} ${asked.table}`;
      const group = groups.get(key) ?? { device, table: asked.table, items: [], names: {} };
      groups.set(key, group);
      group.items.push({ id: lane.id, start: asked.start, length: asked.length });
      group.names[lane.id] = own.name || laneName(reader, lane);
    }
  }
  const devices: DevicePlan[] = [];
  for (const group of groups.values()) {
    const unit = group.table === 'coils' || group.table === 'discrete inputs' ? 'bits' : 'registers';
    const cost = requestCost(reader, exchange, caller, unit);
    if (!cost) return null;
    const requests = pollPlan(group.items, MOST_OF_A_READ[unit], cost).map((request): PlannedRequest => ({
      ...request,
      bytes: unit === 'bits' ? Math.ceil(request.length / 8) : request.length * 2,
      ms: cost.perRequest + cost.perUnit * request.length,
      frame: hex(readRequest(group.table, request.start, request.length)),
    }));
    const spans = group.items.map(({ start, length }) => ({ start, length }));
    const { device, table, names } = group;
    devices.push({ caller, device, table, unit, requests, spans, names, cost });
  }
  const pass = devices.reduce((sum, device) => sum + device.requests.reduce((all, r) => all + r.ms, 0), 0);
  const holds = exchange.cadence === null ? null : pass <= exchange.cadence;
  return { devices, pass, cadence: exchange.cadence, holds, left };
}

/** Which units of which table a claim asks for, counted from 0 as they are sent; null where that is not known. */
function askedOf(
  reader: Reader,
  claim: Claim,
  device: End,
): { table: ReferenceTable; start: number; length: number } | null {
  const told = claim.toldPlace?.trim() ?? '';
  const said = childrenOf(reader, 'claim', claim.lane).find((c) => c.end === device.id);
  const place = told === '' ? null : readToldPlace(reader, told, device.station, said);
  const real = place?.ok ? realPlace(reader, place.value) : null;
  const memory = real && memoryOf(reader, real.area);
  const located = real && memory && locate(memory, real);
  const length = readable(claim.length);
  if (!located || !memory || !length) return null;
  const kind = memory.area.kind;
  const bits = located.view.unit === 1;
  const table: ReferenceTable =
    located.view.table ?? (bits ? 'coils' : kind === 'input registers' ? 'input registers' : 'holding registers');
  const unit = table === 'coils' || table === 'discrete inputs' ? 1 : 16;
  const start = Math.floor(areaBit(located.row, located.linear) / unit);
  return { table, start, length: Math.max(1, Math.ceil(lengthBits(length) / unit)) };
}
