import { numberingUnit } from '../data/layout.js';
import { readable } from '../model/as-typed.js';
import type { Exchange } from '../model/exchange.js';
import type { Reader } from '../model/project.js';
import { memoryOf } from '../place/memory.js';
import { readPlace } from '../place/read-place.js';
import { realPlace } from '../place/tag-place.js';
import { protocolOf } from '../protocol/catalogue.js';
import { blockAt, payloadOf, wireOf, type Block, type Way } from './block.js';
import { tableRefusal } from './let-in.js';
import type { Party } from './party.js';

/** Bits of one memory that arrive in another: the n-th of the one is the n-th of the other. */
export interface Moves {
  from: { area: string; bits: Int32Array };
  to: { area: string; bits: Int32Array };
}

/** What comes of a way: what moves on it, or what stops it. */
export interface Outcome {
  /** values: each is read and set by its type, and no bits are carried */
  moves?: Moves | 'values' | null;
  stopped?: string | null;
  /** what the caller asks for, where he says so */
  asks?: string | null;
}

export const stop = (stopped: string): Outcome => ({ stopped });

/** Blocks that go over as they are: what the one sends is what the other takes, or the connection is refused. */
export function whole(exchange: Exchange, source: Party, sink: Party): Outcome {
  const usual = protocolOf(exchange).carries(exchange.transfer);
  if (usual === 'values') return { moves: 'values' };
  const single = source.moved.single || sink.moved.single;
  const carries = single ? 'bits' : usual;
  const wire = ({ moved: block, swap }: Party) =>
    wireOf(block, { carries, counted: block.single || single }, usual === 'bits' || !single ? swap : 'none');
  return moves(source.moved, wire(source), sink.moved, wire(sink), source, sink);
}

const BIT_TABLES: readonly string[] = ['coils', 'discrete inputs'];

/**
 * A request as the caller makes it: as many bits as he says, from the place that he was told, which the station that
 * answers reads in its own notations. Coils and discrete inputs are asked for bit by bit.
 * [published: MODBUS Application Protocol Specification V1.1b3, 6.1, 6.2, 6.5 and 6.11] [from memory]
 */
export function asked(
  reader: Reader,
  exchange: Exchange,
  { caller, other, source }: { caller: Party; other: Party; source: Party },
  text: string,
  values: boolean,
): Outcome {
  const { station, claim } = other;
  const read = readPlace(reader, station.id, text, other.block.memory.area.id);
  if (!read.ok) return stop(`${station.name} has no place “${text}”`);
  const place = realPlace(reader, read.value);
  const memory = memoryOf(reader, place.area);
  const usual = protocolOf(exchange).carries(exchange.transfer);
  const named =
    memory &&
    blockAt({
      memory,
      place,
      bits: caller.block.bits + other.block.header,
      header: other.block.header,
      layout: claim.layout ?? null,
      usual,
      inBits: readable(claim.length)?.unit === 1,
    });
  const table = usual === 'words' && memory !== null && BIT_TABLES.includes(memory.area.kind);
  const byBits = other.block.single || (caller.block.single && !table);
  const block = named && !byBits ? inWholeUnits(named, other.block) : named;
  if (!memory || !block) return stop(`${station.name} has no place “${text}”`);
  if (values) {
    const [there] = payloadOf(block, block.single);
    const [meant] = payloadOf(other.block, other.block.single);
    const same = memory.area.id === other.block.memory.area.id && there === meant;
    return same ? { moves: 'values' } : stop(`${caller.station.name} asks for ${text}, which is not what is meant`);
  }
  const single = caller.block.single || block.single || other.block.single;
  const refused = source === caller ? tableRefusal(place, block, station.name) : null;
  if (refused) return stop(refused);
  const way = (one: Block): Way => ({
    carries: table || single ? 'bits' : usual,
    counted: one.single || (table ? one.frame.unit > 1 && one.bits % numberingUnit(one.frame) !== 0 : single),
  });
  const swap = (party: Party) => (usual === 'bits' || !(table || single) ? party.swap : 'none');
  const own = wireOf(caller.block, way(caller.block), swap(caller));
  const theirs = wireOf(block, way(block), swap(other));
  const past = theirs.find((bit) => bit >= memory.bits);
  if (past !== undefined) return stop(`${station.name} answers: illegal data address, its memory ends before that`);
  return source === caller
    ? moves(caller.block, own, block, theirs, caller, other)
    : moves(block, theirs, caller.block, own, other, caller);
}

/** Where both ends move whole units, a place that names the first bit of them stands for them. */
function inWholeUnits(named: Block, own: Block): Block {
  const first = (block: Block) => payloadOf(block, block.frame.unit > 1)[0];
  if (!named.single || named.memory !== own.memory || first(named) !== first(own)) return named;
  return { ...own, bits: named.bits };
}

function moves(from: Block, sent: Int32Array, to: Block, taken: Int32Array, source: Party, sink: Party): Outcome {
  if (sent.length !== taken.length) {
    return stop(
      `${source.station.name} sends ${inBytes(sent.length)}, ${sink.station.name} takes ${inBytes(taken.length)}`,
    );
  }
  const beyond = ({ memory }: Block, bits: Int32Array) => bits.some((bit) => bit >= memory.bits);
  if (beyond(from, sent)) return stop(`the memory of ${source.station.name} ends before that`);
  if (beyond(to, taken)) return stop(`the memory of ${sink.station.name} ends before that`);
  return { moves: { from: { area: from.memory.area.id, bits: sent }, to: { area: to.memory.area.id, bits: taken } } };
}

const inBytes = (bits: number): string => (bits % 8 === 0 ? `${bits / 8} bytes` : `${bits} bits`);
