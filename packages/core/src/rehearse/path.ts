import { readable } from '../model/as-typed.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Reader } from '../model/project.js';
import type { Binding } from '../model/words.js';
import { judgeItemText } from '../place/item-text.js';
import { memoriesOf, memoryOf, viewOf } from '../place/memory.js';
import { openOf, tagOf } from '../place/open-of.js';
import { parseAddress } from '../place/parse-address.js';
import { placeText } from '../place/place-text.js';
import { readPlace } from '../place/read-place.js';
import { caseMattersBetween, parseTagPlace, realPlace } from '../place/tag-place.js';
import { protocolOf } from '../protocol/catalogue.js';
import { numberingUnit } from '../data/layout.js';
import type { Place } from '../model/claim.js';
import { blockAt, payloadOf, wireOf, type Block, type Way } from './block.js';
import { partiesOf, type Party } from './party.js';
import { callOf } from './reach/call.js';

/** Bits of one memory that arrive in another: the n-th of the one is the n-th of the other. */
export interface Moves {
  from: { area: string; bits: Int32Array };
  to: { area: string; bits: Int32Array };
}

/** From one source to one sink: what moves on the way there, or the hop that stops all of it. */
export interface Path {
  source: Party;
  sink: Party;
  /** values: each is read and set by its type, and no bits are carried */
  moves: Moves | 'values' | null;
  /** where a call is stopped, `moves` says what would go over once it gets through */
  stopped: string | null;
  /** what the caller asks for, where he says so */
  asks: string | null;
}

/** Every way on which data of a lane is meant to go; or why it cannot be rehearsed yet. */
export function pathsOf(reader: Reader, exchange: Exchange, lane: Lane): Path[] | string {
  const parties = partiesOf(reader, exchange, lane.id);
  if (typeof parties === 'string') return parties;
  const gives = (p: Party) => p.direction !== 'reads';
  const takes = (p: Party) => p.direction !== 'writes';
  const paths: Path[] = [];
  for (const source of parties.filter(gives)) {
    for (const sink of parties.filter(takes)) {
      if (source === sink || !together(exchange, source, sink)) continue;
      const path = { source, sink, moves: null, stopped: null, asks: null };
      paths.push({ ...path, ...wayOf(reader, exchange, lane, source, sink) });
    }
  }
  const alone = (party: Party, other: Party, stopped: string) =>
    paths.push({ source: party, sink: other, moves: null, stopped, asks: null });
  for (const party of parties) {
    const others = parties.filter((other) => other !== party && together(exchange, party, other));
    const [other] = others;
    const { name } = party.station;
    if (!other) {
      const [any] = parties.filter((one) => one !== party && !(one.end.permitted && party.end.permitted));
      const both = party.end.calling === 'calls' ? 'each calls, and nobody answers' : 'each waits to be called';
      if (any) alone(party, any, `${name} and ${any.station.name}: ${both}`);
    } else if (gives(party) && !others.some(takes)) alone(party, other, `${name} sends it, and nobody takes it`);
    else if (takes(party) && !others.some(gives)) alone(other, party, `${name} waits for it, and nobody sends it`);
  }
  return paths;
}

/** Of partners that are chosen from at run time none has to do with another; nor have two that take from the same one. */
function together(exchange: Exchange, a: Party, b: Party): boolean {
  if (a.end.permitted && b.end.permitted) return false;
  return Boolean(exchange.via) || a.end.calling !== b.end.calling || a.end.calling === null;
}

type Outcome = Partial<Pick<Path, 'moves' | 'stopped' | 'asks'>>;
const stop = (stopped: string): Outcome => ({ stopped });

function wayOf(reader: Reader, exchange: Exchange, lane: Lane, source: Party, sink: Party): Outcome {
  if (exchange.via) {
    for (const [party, other] of [
      [source, sink],
      [sink, source],
    ] as const) {
      const call = party.end.calling === 'calls' ? callOf(reader, exchange, party.end, other.end) : null;
      if (call && !call.ok) return stop(call.why);
    }
    const asks = [source, sink].find(({ end, claim }) => end.calling === 'calls' && claim.toldPlace?.trim());
    const rest = () =>
      asks ? placed(reader, exchange, lane, { source, sink, caller: asks }) : whole(exchange, source, sink);
    return throughSlots(source, sink) ?? rest();
  }
  const caller = source.end.calling === 'calls' ? source : sink.end.calling === 'calls' ? sink : null;
  if (!caller) return stop(`neither ${source.station.name} nor ${sink.station.name} calls`);
  const other = caller === source ? sink : source;
  const fault = callFault(reader, exchange, caller, other);
  const sets = caller === source && exchange.transfer === 'requests';
  const refused = sets ? refusal(reader, other) : closed(reader, other);
  const stopped = fault ?? refused;
  const way = placed(reader, exchange, lane, { source, sink, caller });
  return stopped ? { ...way, stopped } : way;
}

/** Why a call does not come to whom it is meant for; null: it does. */
function callFault(reader: Reader, exchange: Exchange, caller: Party, other: Party): string | null {
  const call = callOf(reader, exchange, caller.end, other.end);
  if (!call.ok) return call.why;
  if (call.station.id === other.station.id) return null;
  return `${caller.station.name} reaches ${call.station.name} in place of ${other.station.name}`;
}

/** The caller was let in: by a name, by a place that it was told, or block to block. */
function placed(
  reader: Reader,
  exchange: Exchange,
  lane: Lane,
  { source, sink, caller }: { source: Party; sink: Party; caller: Party },
): Outcome {
  const other = caller === source ? sink : source;
  const protocol = protocolOf(exchange);
  const values = protocol.carries(exchange.transfer) === 'values';
  const binding = bindingOf(exchange, lane);
  const text = caller.claim.toldPlace?.trim() ?? '';
  if (binding === 'by name' || binding === 'by item text' || (values && isName(reader, text, other))) {
    const fault = askedByName(reader, binding, caller, other, text);
    if (fault) return stop(fault);
    return values ? { moves: 'values' } : whole(exchange, source, sink);
  }
  const places = protocol.places(exchange.transfer);
  if (places === 'named' || text !== '') {
    if (text === '') return stop(`${caller.station.name} says no place at ${other.station.name}`);
    const asks = `${caller.station.name} asks for ${text}`;
    return { ...asked(reader, exchange, { caller, other, source }, text, values), asks };
  }
  const { linear } = source.block.located;
  if (places === 'same' && linear !== sink.block.located.linear) {
    return stop(`it arrives where ${source.station.name} has it, and ${sink.station.name} looks elsewhere`);
  }
  return values ? { moves: 'values' } : whole(exchange, source, sink);
}

const bindingOf = (exchange: Exchange, lane: Lane): Binding | null =>
  exchange.kind === 'tag map' ? (lane.binding ?? exchange.binding ?? null) : null;

function throughSlots(source: Party, sink: Party): Outcome | null {
  const [puts, takes] = [source.claim.slot ?? null, sink.claim.slot ?? null];
  if (puts !== null && takes !== null && puts !== takes) {
    return stop(`${source.station.name} puts it into slot ${puts}, ${sink.station.name} takes slot ${takes}`);
  }
  return source.direction === 'both' && sink.direction === 'both' ? stop('both put data into one slot') : null;
}

/** Why the answering station does not let itself be set there; null: it does. */
function refusal(reader: Reader, { station, block, claim }: Party): string | null {
  const { view } = block.located;
  if (view.access === 'read') return `${station.name} answers that this is only to be read`;
  if (view.table === 'input registers' || view.table === 'discrete inputs')
    return `${station.name} refuses it: ${view.table} cannot be set`;
  const open = openOf(reader, claim);
  if (open === 'may read') return `${station.name} refuses it: others may only read this`;
  if (station.fromOutside === 'reading') return `${station.name} lets others only read`;
  return closed(reader, { station, claim });
}

function closed(reader: Reader, { station, claim }: Pick<Party, 'station' | 'claim'>): string | null {
  if (station.fromOutside === 'nothing') return `${station.name} lets nobody in`;
  if (openOf(reader, claim) === 'closed') return `${station.name} answers that it is not open`;
  return null;
}

/** A name begins with a letter, and is no address of the other station. */
const isName = (reader: Reader, text: string, { station }: Party): boolean =>
  text !== '' && !/^[\d%]/.test(text) && !parseAddress(text, memoriesOf(reader, station.id)).ok;

/** Why what is asked for by name or text is not what the other station means; null: it is. */
function askedByName(reader: Reader, by: Binding | null, caller: Party, other: Party, text: string): string | null {
  const asks = text || (by === 'by item text' ? '' : (tagOf(reader, caller.claim)?.name ?? caller.claim.name));
  const { name } = other.station;
  if (asks === '') return null;
  const exact = caseMattersBetween(reader, caller.station, other.station);
  const found =
    by === 'by item text'
      ? judgeItemText(reader, caller.station, asks, other.station.id).place
      : placeNamed(reader, other, asks, exact);
  if (!found) return `${caller.station.name} asks for “${asks}”, which ${name} does not have`;
  const there = readable(other.claim.place);
  if (!there || sameTag(found, there) || sameBit(reader, found, other)) return null;
  return `${caller.station.name} asks for “${asks}”; what is meant is ${placeText(reader, there)}`;
}

function placeNamed(reader: Reader, other: Party, text: string, exact: boolean): Place | null {
  const read = parseTagPlace(reader, other.station.id, text, exact);
  return read?.ok ? read.value : null;
}

const sameTag = (a: Place, b: Place): boolean =>
  a.area === b.area && a.view === b.view && a.number === b.number && (a.bit ?? null) === (b.bit ?? null);

function sameBit(reader: Reader, found: Place, other: Party): boolean {
  const real = realPlace(reader, found);
  const memory = memoryOf(reader, real.area);
  if (!memory || real.area !== other.block.memory.area.id) return false;
  const there = blockAt({ memory, place: real, bits: 1, usual: 'bits', inBits: true });
  const here = { ...other.block, bits: 1 };
  return there !== null && payloadOf(there, there.single)[0] === payloadOf(here, here.single)[0];
}

/** Blocks that go over as they are: what the one sends is what the other takes, or the connection is refused. */
function whole(exchange: Exchange, source: Party, sink: Party): Outcome {
  const usual = protocolOf(exchange).carries(exchange.transfer);
  if (usual === 'values') return { moves: 'values' };
  const single = source.block.single || sink.block.single;
  const carries = single ? 'bits' : usual;
  const wire = ({ block, swap }: Party) =>
    wireOf(block, { carries, counted: block.single || single }, usual === 'bits' || !single ? swap : 'none');
  return moves(source.block, wire(source), sink.block, wire(sink), source, sink);
}

const BIT_TABLES: readonly string[] = ['coils', 'discrete inputs'];

/**
 * A request as the caller makes it: as many bits as he says, from the place that he was told, which the station that
 * answers reads in its own notations. Coils and discrete inputs are asked for bit by bit.
 * [published: MODBUS Application Protocol Specification V1.1b3, 6.1, 6.2, 6.5 and 6.11] [from memory]
 */
function asked(
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

function tableRefusal(place: Place, { memory }: Block, name: string): string | null {
  const view = viewOf(memory, place.view);
  if (view?.table === 'input registers' || view?.table === 'discrete inputs')
    return `${name} refuses it: ${view.table} cannot be set`;
  return view?.access === 'read' ? `${name} answers that this is only to be read` : null;
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
