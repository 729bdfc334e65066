import { lengthBits } from '../place/length.js';
import { readable } from '../model/as-typed.js';
import type { Claim } from '../model/claim.js';
import type { Exchange } from '../model/exchange.js';
import type { Network } from '../model/network.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import { protocolOf } from '../protocol/catalogue.js';
import { bytesOnTheWire } from '../time/ethernet-frame.js';
import { ASSUMED_LINK_RATE } from '../time/network-load.js';
import { rtuRequestTime } from '../time/rtu-request.js';
import { parseSerial } from '../wiring/serial-settings.js';

/** Worst-case age of a value, and what of it is not known. */
export interface Age {
  /** ms, of all that is known */
  ms: number;
  /** each with its figure: `scan of PlantCtl 20 ms` */
  terms: readonly string[];
  unknown: readonly string[];
}

export const NO_AGE: Age = { ms: 0, terms: [], unknown: [] };

const plus = (age: Age, what: string, ms: number | null | undefined): Age =>
  ms === null || ms === undefined
    ? { ...age, unknown: [...age.unknown, what] }
    : { ms: age.ms + ms, terms: [...age.terms, `${what} ${Number(ms.toFixed(1))} ms`], unknown: age.unknown };

/** A value may have waited a whole pass of the program before it was taken, or after it came. */
export const withScan = (age: Age, station: Station): Age => plus(age, `scan of ${station.name}`, station.scan);

/** A copy runs once in each pass of the station that makes it. */
export const withCopy = (age: Age, name: string, station: Station): Age =>
  plus(age, `copy ${name} in ${station.name}`.replace('  ', ' '), station.scan);

/** One lane further: it may just have missed one cadence, and then takes its transfer. [common practice] */
export function withLane(reader: Reader, age: Age, exchange: Exchange, claim: Claim): Age {
  const waited = plus(age, `interval of ${exchange.name}`, exchange.cadence);
  const transfer = transferTime(reader, exchange, claim);
  return transfer === null ? waited : plus(waited, 'transfer', transfer);
}

/** Of a request on a serial line, its terms; on Ethernet the time of its frames, with the response delay. */
function transferTime(reader: Reader, exchange: Exchange, claim: Claim): number | null {
  const length = readable(claim.length);
  const end = reader.get('end', claim.end);
  const port = end?.port ? reader.get('port', end.port) : undefined;
  const settings = parseSerial(port?.serial ?? '');
  if (protocolOf(exchange).framing !== 'RTU' || !length || !settings.ok) {
    const network = port?.network ? reader.get('network', port.network) : undefined;
    const frames = network?.kind === 'ethernet' && length ? ethernetTime(exchange, network, lengthBits(length)) : 0;
    const total = frames + (exchange.responseDelay ?? 0);
    // Less than a tenth of a millisecond says nothing beside a cadence.
    return total < 0.1 ? null : total;
  }
  const does = claim.direction === 'writes' && end?.calling === 'calls' ? 'writes' : 'reads';
  return rtuRequestTime(settings.value, does, Math.ceil(lengthBits(length) / 16), exchange.responseDelay ?? 0).total;
}

/** ms that the frames of a block take on an Ethernet network, its question included where it is asked for. */
function ethernetTime(exchange: Exchange, network: Network, bits: number): number {
  const { overhead = 0 } = protocolOf(exchange);
  const answer = bytesOnTheWire(overhead + Math.ceil(bits / 8)).bytes;
  const question = exchange.transfer === 'requests' ? bytesOnTheWire(overhead).bytes : 0;
  return ((answer + question) * 8) / ((network.linkRate ?? ASSUMED_LINK_RATE) * 1000);
}
