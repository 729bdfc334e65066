import { formatBits, lengthBits } from '../place/length.js';
import { toldFields, TOLD_WORDS } from '../told/told.js';
import { laneName } from '../lane/compare.js';
import { readToldPlace } from '../lane/told-place.js';
import { areaBit } from '../data/linear.js';
import { locate } from '../place/resolve.js';
import { memoryOf } from '../place/memory.js';
import { readable } from '../model/as-typed.js';
import type { Claim } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { ReferenceTable } from '../model/words.js';
import { protocolAt } from '../protocol/catalogue.js';
import { hex, readRequest } from '../protocol/modbus-frame.js';
import { placeText } from '../place/place-text.js';
import { realPlace } from '../place/tag-place.js';

/** One call that a program has to make, or one block that it has to declare: parameters in order, each as it is typed. */
export interface Call {
  lane: string;
  name: string;
  /** what it does, in the end's own word where its profile has one */
  does: string;
  parameters: readonly { name: string; value: string; note?: string }[];
}

/**
 * What the program of an end calls for each block: the partner as it was told, the partner's place, how much, and its own
 * place, each in the notation of this end. An end that listens declares the same blocks and calls nothing.
 */
export function callsOf(reader: Reader, exchange: Exchange, end: End): Call[] {
  const station = reader.get('station', end.station);
  const words = station?.profile ? reader.get('profile', station.profile)?.words : undefined;
  const told = toldFields(reader, exchange, end).filter((t) => t.told !== '');
  const partner = (other: Claim | undefined) =>
    told
      .filter((t) => t.other.id === other?.end)
      .map((t) => ({ name: TOLD_WORDS[t.field], value: t.told, ...(t.isDefault ? { note: 'default' } : {}) }));
  return childrenOf(reader, 'lane', exchange.id).flatMap((lane): Call[] => {
    const claims = childrenOf(reader, 'claim', lane.id);
    const claim = claims.find((c) => c.end === end.id);
    if (!claim) return [];
    const direction = readable(claim.direction);
    const own = direction && words?.[direction]?.word;
    const name = claim.name || laneName(reader, lane);
    if (end.calling !== 'calls') return [{ lane: lane.id, name, does: 'declares', parameters: ours(reader, claim) }];
    const others = claims.filter((c) => c.end !== end.id);
    const does = own ?? (direction === 'both' ? 'reads and writes' : (direction ?? 'not said'));
    // Of partners that are chosen while it runs, each has a call with its own parameters.
    return (others.length > 0 ? others : [undefined]).map((other) => ({
      lane: lane.id,
      does,
      name: others.length > 1 ? `${name}, ${stationOf(reader, other)}` : name,
      parameters: [
        ...partner(other),
        ...(other ? theirs(reader, claim, other, exchange, end) : []),
        ...ours(reader, claim),
      ],
    }));
  });
}

const stationOf = (reader: Reader, claim: Claim | undefined): string => {
  const end = claim && reader.get('end', claim.end);
  return (end && reader.get('station', end.station)?.name) ?? '';
};

function theirs(reader: Reader, claim: Claim, other: Claim, exchange: Exchange, end: End): Call['parameters'] {
  const told = claim.toldPlace?.trim() ?? '';
  const otherEnd = reader.get('end', other.end);
  if (told === '' || !otherEnd) return [];
  const place = { name: 'from there', value: told };
  if (readable(claim.direction) === 'writes') place.name = 'to there';
  const read = readToldPlace(reader, told, otherEnd.station, other);
  const real = read.ok ? realPlace(reader, read.value) : null;
  const memory = real && memoryOf(reader, real.area);
  const located = real && memory && locate(memory, real);
  if (!located || !protocolAt(exchange, end).id.startsWith('modbus')) return [place];
  // On the wire registers are counted from 0.
  const bits = located.view.unit === 1;
  const first = Math.floor(areaBit(located.row, located.linear) / (bits ? 1 : 16));
  const sent = { name: bits ? 'first bit' : 'first register', value: String(first), note: 'as sent, from 0' };
  const table: ReferenceTable = located.view.table ?? (bits ? 'coils' : 'holding registers');
  const length = readable(claim.length);
  const count = length ? Math.ceil(lengthBits(length) / (bits ? 1 : 16)) : 0;
  if (readable(claim.direction) !== 'reads' || count === 0) return [place, sent];
  return [place, sent, { name: 'request', value: hex(readRequest(table, first, count)) }];
}

function ours(reader: Reader, claim: Claim): Call['parameters'] {
  const length = readable(claim.length);
  const place = readable(claim.place);
  return [
    ...(length ? [{ name: 'count', value: formatBits(lengthBits(length), length.unit) }] : []),
    ...(place ? [{ name: 'here', value: placeText(reader, place) }] : []),
    ...(typeof claim.slot === 'number' ? [{ name: 'slot', value: String(claim.slot) }] : []),
  ];
}

/** The calls as text to copy: one line each, parameters separated by tabs, for a spreadsheet or a program's comment. */
export function callsText(calls: readonly Call[]): string {
  return calls
    .map(({ name, does, parameters }) => [name, does, ...parameters.map((p) => `${p.name} ${p.value}`)].join('\t'))
    .join('\n');
}
