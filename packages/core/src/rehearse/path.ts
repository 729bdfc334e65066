import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Reader } from '../model/project.js';
import type { Binding } from '../model/words.js';
import { protocolOf } from '../protocol/catalogue.js';
import { askedByName, isName } from './asked-by-name.js';
import { closed, refusal } from './let-in.js';
import { partiesOf, type Party } from './party.js';
import { callOf } from './reach/call.js';
import { asked, stop, whole, type Moves, type Outcome } from './request.js';

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
  const parties = partiesOf(reader, exchange, lane);
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
  const idle = [source, sink].find((party) => party.idle !== null);
  const stopped = fault ?? refused ?? (idle ? `${idle.station.name}: ${idle.idle}` : null);
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
