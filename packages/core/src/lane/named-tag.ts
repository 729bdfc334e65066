import { areaBit } from '../data/linear.js';
import { memoriesOf, memoryOf } from '../place/memory.js';
import { parseAddress } from '../place/parse-address.js';
import { locate } from '../place/resolve.js';
import type { Place } from '../model/claim.js';
import { readable } from '../model/as-typed.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Reader } from '../model/project.js';
import { judgeItemText, type ItemFault } from '../place/item-text.js';
import { protocolOf } from '../protocol/catalogue.js';
import { tagOf } from '../place/open-of.js';
import { placeText } from '../place/place-text.js';
import { caseMattersBetween, parseTagPlace, realPlace, tagsOf } from '../place/tag-place.js';
import { bindingOf } from './places-of.js';
import type { Side } from './side.js';

/** What a calling end names the other's data by, and what comes of it. */
export interface NamedTag {
  by: 'by name' | 'by item text';
  /** as typed here, or the name of its own tag */
  text: string;
  /** nothing was typed: its own name stands for both */
  isDefault: boolean;
  fault: ItemFault | null;
  /** it names something, but not what the other end says of the lane */
  elsewhere: string | null;
}

/** Null where the lane is not bound by name or text, where this end does not call, or where nothing is named yet. */
export function namedTag(reader: Reader, exchange: Exchange, lane: Lane, caller: Side, other: Side): NamedTag | null {
  const typed = caller.claim.toldPlace?.trim() ?? '';
  const by = bindingOf(exchange, lane) ?? (asksByName(reader, exchange, typed, other) ? 'by name' : null);
  if ((by !== 'by name' && by !== 'by item text') || caller.end.calling !== 'calls') return null;
  const own = by === 'by name' ? (tagOf(reader, caller.claim)?.name ?? caller.claim.name) : '';
  const text = typed || own;
  if (text === '') return null;
  const judged =
    by === 'by name'
      ? judgeName(reader, caller, text, other)
      : judgeItemText(reader, caller.station, text, other.station.id);
  const there = readable(other.claim.place);
  const same = !judged.place || !there || isSame(reader, judged.place, there);
  return {
    by,
    text,
    isDefault: typed === '',
    fault: judged.fault,
    elsewhere: same ? null : placeText(reader, there),
  };
}

/** Outside tag maps: what is typed for the other's place is a name where values are asked for, unless it is an address. */
const asksByName = (reader: Reader, exchange: Exchange, typed: string, other: Side): boolean =>
  typed !== '' &&
  // A name begins with a letter; `10001` or `%MW4` is an address that the other end does not have.
  !/^[\d%]/.test(typed) &&
  exchange.kind !== 'tag map' &&
  protocolOf(exchange).carries(exchange.transfer) === 'values' &&
  !parseAddress(typed, memoriesOf(reader, other.station.id)).ok;

/** Whether both are one place: the same element of a tag, or the same bit of an area. */
function isSame(reader: Reader, a: Place, b: Place): boolean {
  if (a.view === b.view && a.area === b.area && a.number === b.number && (a.bit ?? null) === (b.bit ?? null))
    return true;
  const [bitA, bitB] = [a, b].map((place) => firstBitOf(reader, realPlace(reader, place)));
  return bitA !== undefined && bitA === bitB;
}

function firstBitOf(reader: Reader, place: Place): string | undefined {
  const memory = memoryOf(reader, place.area);
  const located = memory && locate(memory, place);
  return located ? `${place.area} ${areaBit(located.row, located.linear)}` : undefined;
}

function judgeName(reader: Reader, caller: Side, text: string, other: Side) {
  const read = parseTagPlace(reader, other.station.id, text, caseMattersBetween(reader, caller.station, other.station));
  if (read?.ok) return { place: read.value, fault: null };
  const names = tagsOf(reader, other.station.id).map((tag) => tag.name);
  const found = read ? read.found : `${other.station.name} has no tag “${text}”`;
  const expected = read ? read.expected : 'the exact name of one of its tags';
  return { place: null, fault: { part: read ? 'element' : 'tag', found, expected, names } satisfies ItemFault };
}
