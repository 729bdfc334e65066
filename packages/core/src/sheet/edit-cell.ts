import { memoriesOf, layoutFor, memoryOf } from '../place/memory.js';
import { areaBit, linearBit } from '../data/linear.js';
import { formatBits, lengthBits, parseLength } from '../place/length.js';
import { NOTATION } from '../place/notations/catalogue.js';
import type { View } from '../model/view.js';
import { read, unread, unreadSentence, type Read } from '../text/read.js';
import { locate } from '../place/resolve.js';
import { parseType } from '../data/types.js';
import { readable, type AsTyped } from '../model/as-typed.js';
import type { Claim, ClaimItem, Offset, Place } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Reader } from '../model/project.js';
import { lengthUnit } from '../lane/length-unit.js';
import { parseLayout } from '../lane/layout-words.js';
import { parseSwap } from '../lane/swap-words.js';

import type { SecondLineColumn, SheetColumn } from './sheet-fields.js';
import { DIRECTIONS, OPENNESS, TRIGGERS, type Direction } from '../model/words.js';
import { parseWhole, parseWord } from '../text/field-edit.js';
import { readPlace } from '../place/read-place.js';
import { placeText } from '../place/place-text.js';
import { placeOf, realPlace } from '../place/tag-place.js';
import { withTag } from '../tags/with-tag.js';

/** What became of typed text: the claim with it, and why it was kept as typed where it could not be read. */
export interface Edited {
  claim: Claim;
  /** a sentence for the person who typed, or null */
  problem: string | null;
}

/** bits: what a header and an offset in a lane come to at most */
const MOST_HEADER = 1_000_000;
const MOST_OFFSET = 1e9;

/** A claim of which nothing is filled in yet. */
export function emptyClaim(id: string, lane: string, end: string): Claim {
  return {
    id,
    lane,
    end,
    name: '',
    direction: null,
    place: null,
    length: null,
    type: null,
    swap: null,
    items: {},
    toldPlace: null,
  };
}

const kept = <T>(text: string, result: Read<T>): { value: T | AsTyped; problem: string | null } =>
  result.ok ? { value: result.value, problem: null } : { value: { typed: text }, problem: unreadSentence(result) };

/**
 * Typed text into one cell of a lane's page. Empty text empties the field. An address that several areas of the station
 * write alike is one of the area in which the claim lies, or is said to lie by `inArea`, its id.
 */
export function editLaneCell(
  reader: Reader,
  end: End,
  claim: Claim,
  column: SheetColumn | SecondLineColumn,
  text: string,
  inArea = placeOf(reader, claim)?.area,
): Edited {
  const clean = text.trim();
  switch (column) {
    case 'name':
      return { claim: { ...claim, name: clean }, problem: null };
    case 'told':
      return { claim: { ...claim, toldPlace: clean === '' ? null : clean }, problem: null };
    case 'station':
      return { claim: { ...claim, toldStation: clean === '' ? null : clean }, problem: null };
    case 'layout': {
      const layout = parseLayout(clean);
      return layout.ok
        ? { claim: { ...claim, layout: layout.value }, problem: null }
        : { claim, problem: unreadSentence(layout) };
    }
    case 'swap': {
      const swap = parseSwap(clean);
      return swap.ok
        ? { claim: { ...claim, swap: swap.value }, problem: null }
        : { claim, problem: unreadSentence(swap) };
    }
    case 'slot': {
      if (clean === '') return { claim: { ...claim, slot: null }, problem: null };
      const slot = parseWhole(clean.replace(/^slot\s*/i, ''), 0, 1000, 'a slot of a coupler');
      return slot.ok
        ? { claim: { ...claim, slot: slot.value }, problem: null }
        : { claim, problem: unreadSentence(slot) };
    }
    case 'trigger': {
      if (clean === '') return { claim: { ...claim, trigger: null }, problem: null };
      const trigger = parseWord(clean, TRIGGERS, 'trigger');
      return trigger.ok
        ? { claim: { ...claim, trigger: trigger.value }, problem: null }
        : { claim, problem: unreadSentence(trigger) };
    }
    case 'open': {
      if (clean === '') return { claim: { ...claim, open: null }, problem: null };
      const open = parseWord(clean, OPENNESS, 'kind of openness');
      return open.ok
        ? { claim: { ...claim, open: open.value }, problem: null }
        : { claim, problem: unreadSentence(open) };
    }
    case 'direction': {
      if (clean === '') return { claim: { ...claim, direction: null }, problem: null };
      const { value, problem } = kept(clean, parseDirection(reader, end, clean));
      return { claim: { ...claim, direction: value }, problem };
    }
    case 'area':
      return editArea(reader, end, claim, clean);
    case 'address': {
      if (clean === '') return { claim: { ...claim, place: null }, problem: null };
      const known = readable(claim.place);
      if (known && known.area === inArea && placeText(reader, known) === clean) return { claim, problem: null };
      const { value, problem } = kept(clean, readPlace(reader, end.station, clean, inArea));
      return { claim: withTag(reader, { ...claim, place: value }), problem };
    }
    case 'length': {
      if (clean === '') return { claim: { ...claim, length: null }, problem: null };
      const { value, problem } = kept(
        clean,
        parseLength(clean, lengthUnit(reader, claim), reader.get('end', claim.end)?.elementBits ?? null),
      );
      return { claim: { ...claim, length: value }, problem };
    }
    case 'header': {
      if (clean === '') return { claim: { ...claim, header: undefined }, problem: null };
      const header = parseLength(clean.replace(/^header\s+/i, ''), lengthUnit(reader, claim));
      if (!header.ok) return { claim, problem: unreadSentence(header) };
      const bits = lengthBits(header.value);
      return bits <= MOST_HEADER
        ? { claim: { ...claim, header: bits }, problem: null }
        : { claim, problem: `“${clean}” is too long: a header has at most ${formatBits(MOST_HEADER, 8)}` };
    }
    case 'type': {
      if (clean === '') return { claim: { ...claim, type: null }, problem: null };
      const { value, problem } = kept(clean, parseType(clean));
      return { claim: { ...claim, type: value }, problem };
    }
  }
}

function parseDirection(reader: Reader, end: End, text: string): Read<Direction> {
  const lower = text.toLowerCase();
  const station = reader.get('station', end.station);
  const words = station?.profile ? reader.get('profile', station.profile)?.words : undefined;
  const found = DIRECTIONS.find(
    (d) => d === lower || d.slice(0, -1) === lower || d[0] === lower || words?.[d]?.word.toLowerCase() === lower,
  );
  return found ? read(found) : unread(`“${text}” is not a valid direction`, 'write writes, reads or both');
}

/** Another area by its name: the number stays, in that area's first view. The area follows from an address. */
function editArea(reader: Reader, end: End, claim: Claim, text: string): Edited {
  const lies = placeOf(reader, claim);
  const shown = lies && memoryOf(reader, lies.area)?.area.name;
  if (text === (shown ?? '')) return { claim, problem: null };
  const memories = memoriesOf(reader, end.station);
  const memory = memories.find((m) => m.area.name.toLowerCase() === text.toLowerCase());
  const view = memory?.views[0];
  if (!memory || !view) {
    const names = memories.map((m) => m.area.name).join(', ') || 'none yet';
    return { claim, problem: `“${text}” names no area of this station; its areas: ${names}` };
  }
  const place = readable(claim.place);
  if (place?.area === memory.area.id) return { claim, problem: null };
  if (!place) return { claim, problem: `the area follows from the address; type one like ${exampleIn(view[1])}` };
  const moved: Place = { area: memory.area.id, view: view[0], number: Math.max(place.number, view[1].first) };
  if (view[1].notation.startsWith('iec')) moved.width = view[1].unit === 1 ? 16 : view[1].unit;
  return { claim: { ...claim, place: moved }, problem: null };
}

const exampleIn = (view: View): string => NOTATION[view.notation].example(view);

const emptyItem = (): ClaimItem => ({ name: '', type: null, offset: null });

/** Typed text into one cell of an item's page. An address becomes the offset from the claim's place. */
export function editItemCell(
  reader: Reader,
  end: End,
  claim: Claim,
  key: string,
  column: SheetColumn,
  text: string,
): Edited {
  const clean = text.trim();
  const item = claim.items[key] ?? emptyItem();
  const withItem = (next: ClaimItem, base = claim): Claim => ({ ...base, items: { ...base.items, [key]: next } });
  switch (column) {
    case 'name':
      return { claim: withItem({ ...item, name: clean }), problem: null };
    case 'type': {
      if (clean === '') return { claim: withItem({ ...item, type: null }), problem: null };
      const { value, problem } = kept(clean, parseType(clean));
      return { claim: withItem({ ...item, type: value }), problem };
    }
    case 'address': {
      if (clean === '') return { claim: withItem({ ...item, offset: null }), problem: null };
      const place = readPlace(reader, end.station, clean, placeOf(reader, claim)?.area);
      if (!place.ok) return { claim: withItem({ ...item, offset: { typed: clean } }), problem: unreadSentence(place) };
      if (!readable(claim.place)) {
        return { claim: withItem({ ...item, offset: { bits: 0 } }, { ...claim, place: place.value }), problem: null };
      }
      const { value, problem } = kept(clean, offsetOf(reader, claim, place.value, clean));
      return { claim: withItem({ ...item, offset: value }), problem };
    }
    case 'area':
      return { claim: withItem({ ...item, unit: clean || undefined }), problem: null };
    default:
      return { claim, problem: `the ${column} of a value follows from its type and its lane` };
  }
}

/** Bits from the claim's payload, which begins after its header, to another place of the same area, along the row of the claim's view. */
export function offsetOf(reader: Reader, claim: Claim, named: Place, text: string): Read<Offset> {
  const place = realPlace(reader, named);
  const start = placeOf(reader, claim);
  const memory = start && memoryOf(reader, start.area);
  if (!start || !memory) return unread(`“${text}” has nothing to count from`, 'fill in the address of the lane first');
  if (place.area !== start.area) {
    return unread(`“${text}” is in another area than its lane`, `the lane lies in ${memory.area.name}`);
  }
  const layout = layoutFor(memory, claim.layout);
  const from = locate(memory, start, layout);
  const to = locate(memory, place, layout);
  if (!from || !to) return unread(`“${text}” does not exist in this area`, 'type an address that exists');
  const { unit, wordBits } = from.row;
  const at = areaBit(to.row, to.linear);
  const linear = linearBit(from.row, at);
  const payload = from.linear + (claim.header ?? 0);
  const offset: Offset = { bits: linear - payload };
  if (place.bit !== undefined && unit > 1) {
    const inUnit = Math.min(unit, wordBits);
    offset.bits = Math.floor(linear / inUnit) * inUnit - Math.floor(payload / inUnit) * inUnit;
    offset.bit = at % inUnit;
  }
  if (offset.bits > MOST_OFFSET) return unread(`“${text}” lies too far from its lane`, 'give it a lane of its own');
  if (offset.bits >= 0) return read(offset);
  const before = claim.header ? 'the payload of its lane, which begins after the header' : 'its lane';
  return unread(`“${text}” lies before ${before}`, 'move the start of the lane first');
}
