import { readable } from '../model/as-typed.js';
import type { Exchange } from '../model/exchange.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { lengthBits } from '../place/length.js';
import { protocolOf } from '../protocol/catalogue.js';
import { formatSerial, parseSerial } from '../wiring/serial-settings.js';
import { rtuRequestTime, type RequestTime } from './rtu-request.js';

/** One pass of the caller of a line over all its lanes, one request each. */
export interface LinePass {
  /** rate and character, as `9600 8E1` */
  settings: string;
  requests: readonly RequestTime[];
  /** ms */
  total: number;
}

/** How long the caller of an RTU exchange needs to ask for everything once. Null where that cannot be said yet. */
export function linePassOf(reader: Reader, exchange: Exchange): LinePass | null {
  if (protocolOf(exchange).framing !== 'RTU') return null;
  const caller = childrenOf(reader, 'end', exchange.id).find((e) => e.calling === 'calls');
  const port = caller?.port ? reader.get('port', caller.port) : undefined;
  const settings = parseSerial(port?.serial ?? '');
  if (!caller || !settings.ok) return null;
  const requests: RequestTime[] = [];
  for (const lane of childrenOf(reader, 'lane', exchange.id)) {
    const claim = childrenOf(reader, 'claim', lane.id).find((c) => c.end === caller.id);
    const length = claim && readable(claim.length);
    const direction = claim && readable(claim.direction);
    if (!length || !direction) continue;
    const registers = Math.ceil(lengthBits(length) / 16);
    const does = direction === 'both' ? (['reads', 'writes'] as const) : ([direction] as const);
    const delay = exchange.responseDelay ?? 0;
    requests.push(...does.map((what) => rtuRequestTime(settings.value, what, registers, delay)));
  }
  if (requests.length === 0) return null;
  const total = requests.reduce((sum, r) => sum + r.total, 0);
  return { settings: formatSerial(settings.value), requests, total };
}

/** The next of 1, 2, 5, 10, 20, 50 … ms that is not below. */
export function roundCadence(ms: number): number {
  const power = 10 ** Math.floor(Math.log10(Math.max(ms, 1)));
  return [1, 2, 5, 10].map((n) => n * power).find((n) => n >= ms)!;
}
