import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import type { Reader } from '../model/project.js';
import { protocolAt } from '../protocol/catalogue.js';
import { parseSerial, type SerialSettings } from '../wiring/serial-settings.js';
import { bytesOnTheWire } from './ethernet-frame.js';
import { ASSUMED_LINK_RATE } from './network-load.js';
import type { PollCost } from './poll-plan.js';
import { rtuBytes } from './rtu-request.js';
import { characterTime, silentInterval } from './serial-time.js';

/** What one read costs in ms, with the terms of what it costs for itself. */
export interface RequestCost extends PollCost {
  terms: readonly { name: string; ms: number }[];
  /** the line that it goes over, where it is a serial one */
  serial: SerialSettings | null;
}

/** Headers of IP, TCP and MBAP around a PDU. [published: MODBUS Messaging on TCP/IP Guide V1.0b, 3.1] [from memory] */
const TCP_HEADERS = 20 + 20 + 7;
const QUESTION = 5;
const ANSWER_HEAD = 2;

/**
 * ms that a read takes for itself and for every unit that it brings: on a serial line characters, silences and the
 * response delay; on Ethernet frames at the network's rate and the delay. A delay that is not said counts as none. Null
 * where the settings of the line are not known: nothing is said of its time then.
 */
export function requestCost(
  reader: Reader,
  exchange: Exchange,
  caller: End,
  unit: 'bits' | 'registers',
): RequestCost | null {
  const delay = exchange.responseDelay ?? 0;
  const bytesPerUnit = unit === 'bits' ? 1 / 8 : 2;
  const port = caller.port ? reader.get('port', caller.port) : undefined;
  if (protocolAt(exchange, caller).framing === 'RTU') {
    const read = parseSerial(port?.serial ?? '');
    return read.ok ? serialCost(read.value, delay, bytesPerUnit) : null;
  }
  const network = port?.network ? reader.get('network', port.network) : undefined;
  const bitsPerMs = (network?.linkRate ?? ASSUMED_LINK_RATE) * 1000;
  const frame = (pdu: number) => (bytesOnTheWire(TCP_HEADERS + pdu).bytes * 8) / bitsPerMs;
  const [question, answer] = [frame(QUESTION), frame(ANSWER_HEAD)];
  const terms = [
    { name: 'question', ms: question },
    { name: 'response delay', ms: delay },
    { name: 'head of the answer', ms: answer },
  ];
  return { perRequest: question + delay + answer, perUnit: (bytesPerUnit * 8) / bitsPerMs, terms, serial: null };
}

/** The same on a line with these settings. */
export function serialCost(settings: SerialSettings, delay: number, bytesPerUnit: number): RequestCost {
  const frames = rtuBytes('reads', 0);
  const silence = silentInterval(settings);
  const [request, answer] = [characterTime(settings, frames.request), characterTime(settings, frames.response)];
  const terms = [
    { name: 'request', ms: request },
    { name: 'silence', ms: silence },
    { name: 'response delay', ms: delay },
    { name: 'frame of the answer', ms: answer },
    { name: 'silence', ms: silence },
  ];
  const perRequest = terms.reduce((sum, term) => sum + term.ms, 0);
  return { perRequest, perUnit: characterTime(settings, bytesPerUnit), terms, serial: settings };
}
