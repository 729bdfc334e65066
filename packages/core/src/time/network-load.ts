import { lengthBits } from '../place/length.js';
import { readable } from '../model/as-typed.js';
import type { Claim } from '../model/claim.js';
import type { Exchange } from '../model/exchange.js';
import type { Network } from '../model/network.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { protocolAt } from '../protocol/catalogue.js';
import { bytesOnTheWire } from './ethernet-frame.js';

/** Mbit/s of an Ethernet network that nobody said anything of. */
export const ASSUMED_LINK_RATE = 100;
/** Per cent of the rate from which on the load is a Doubt, where the project says nothing. */
export const ASSUMED_LOAD_LEVEL = 40;

/** What one exchange puts on a network. */
export interface Load {
  exchange: Exchange;
  packetsPerSecond: number;
  bitsPerSecond: number;
}

export interface NetworkLoad {
  loads: readonly Load[];
  packetsPerSecond: number;
  bitsPerSecond: number;
  /** of the network's rate, 0 to 1 */
  share: number;
}

/** A question, and what it is answered with where data goes the other way. */
const QUESTION_BYTES = 12;

/**
 * Packets and bits per second that the exchanges with a cadence put on an Ethernet network: each block once per cadence
 * and sink, requests with their question; headers and frames counted, acknowledgements of TCP not.
 */
export function networkLoad(reader: Reader, network: Network): NetworkLoad {
  const exchanges = new Set<string>();
  const here = new Set<string>();
  for (const port of childrenOf(reader, 'port', network.id)) {
    for (const end of childrenOf(reader, 'end', port.id)) {
      exchanges.add(end.exchange);
      here.add(end.id);
    }
  }
  const loads = [...exchanges].flatMap((id) => {
    const exchange = reader.get('exchange', id);
    return exchange?.cadence ? [loadOf(reader, exchange, exchange.cadence, here)] : [];
  });
  const packetsPerSecond = loads.reduce((sum, load) => sum + load.packetsPerSecond, 0);
  const bitsPerSecond = loads.reduce((sum, load) => sum + load.bitsPerSecond, 0);
  const rate = (network.linkRate ?? ASSUMED_LINK_RATE) * 1e6;
  loads.sort((a, b) => b.bitsPerSecond - a.bitsPerSecond);
  return { loads, packetsPerSecond, bitsPerSecond, share: bitsPerSecond / rate };
}

/**
 * More than that the exchanges of a network cannot put on it, as a share of its rate: by the number of their blocks and the
 * limit of their protocol only. Infinity where one of them has no limit.
 */
export function mostNetworkLoad(reader: Reader, network: Network): number {
  let bits = 0;
  for (const port of childrenOf(reader, 'port', network.id)) {
    for (const end of childrenOf(reader, 'end', port.id)) {
      const exchange = reader.get('exchange', end.exchange);
      if (!exchange?.cadence) continue;
      const { limit, overhead = 0 } = protocolAt(exchange, end);
      const blocks = reader.referrers('lane', exchange.id).length;
      if (blocks === 0) continue;
      if (!limit) return Infinity;
      const longest = Math.ceil(Math.max(limit.reads, limit.writes) / 8);
      const { bytes } = bytesOnTheWire(overhead + longest);
      // A block can go each way, with its question.
      bits += (blocks * 2 * (bytes + bytesOnTheWire(overhead + QUESTION_BYTES).bytes) * 8 * 1000) / exchange.cadence;
    }
  }
  return bits / ((network.linkRate ?? ASSUMED_LINK_RATE) * 1e6);
}

function loadOf(reader: Reader, exchange: Exchange, cadence: number, here: ReadonlySet<string>): Load {
  const perSecond = 1000 / cadence;
  let [frames, bytes] = [0, 0];
  const send = (payload: number) => {
    const wire = bytesOnTheWire(payload);
    frames += wire.frames;
    bytes += wire.bytes;
  };
  for (const lane of childrenOf(reader, 'lane', exchange.id)) {
    const claims = childrenOf(reader, 'claim', lane.id);
    const sources = claims.filter((c) => c.direction === 'writes' || c.direction === 'both');
    for (const sink of claims) {
      const source = sources.find((c) => c !== sink);
      if (!source || (sink.direction !== 'reads' && sink.direction !== 'both')) continue;
      const end = [source, sink].map((c) => here.has(c.end) && reader.get('end', c.end)).find((e) => e);
      if (!end) continue;
      const overhead = protocolAt(exchange, end).overhead ?? 0;
      send(overhead + bytesOf(source));
      if (exchange.transfer === 'requests') send(overhead + QUESTION_BYTES);
    }
  }
  return { exchange, packetsPerSecond: frames * perSecond, bitsPerSecond: bytes * 8 * perSecond };
}

const bytesOf = (claim: Claim): number => {
  const length = readable(claim.length);
  return length ? Math.ceil(lengthBits(length) / 8) : 0;
};
