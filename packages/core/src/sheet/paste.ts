import { apply } from '../change/apply.js';
import { entityChanges } from '../change/diff.js';
import { put } from '../change/make.js';
import type { Change } from '../change/change.js';
import { sizeInRow } from '../data/layout.js';
import { memoriesOf, memoryOf, type Memory } from '../place/memory.js';
import { parseAddress } from '../place/parse-address.js';
import { areaBit, linearBit } from '../data/linear.js';
import { locate } from '../place/resolve.js';
import { readable } from '../model/as-typed.js';
import type { Claim, Place } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Lane } from '../model/lane.js';
import { childrenOf, entriesInOrder, orderAfter } from '../model/order.js';
import type { Project, Reader } from '../model/project.js';
import { editItemCell, editLaneCell, emptyClaim } from './edit-cell.js';
import { lengthUnit } from '../lane/length-unit.js';
import { withLengthOfType } from './length-of-type.js';
import { firstAreas } from './first-areas.js';
import { missingTags } from './missing-tags.js';
import { understandBlock, type Understood } from './paste-columns.js';
import { blockOf } from '../lane/side.js';
import type { SecondLineColumn, SheetColumn } from './sheet-fields.js';

/** What a paste does, ready to be committed as one undo step, and what could not be read. */
export interface Pasted {
  changes: Change[];
  /** lanes or items touched */
  count: number;
  /** tags that were made, as rows named what was not there */
  tags: number;
  problems: string[];
  understood: Understood;
}

/**
 * Rows pasted over lanes, from one lane on; rows beyond the last make new lanes. At a station of no type the addresses make
 * its areas, where they can be read in one way only; at one that knows its data by name only, a name that it does not have
 * yet becomes a tag.
 */
export function pasteLanes(
  project: Project,
  end: End,
  from: { lane: string | null; column: number },
  block: string[][],
  newId: () => string,
): Pasted {
  const changes = firstAreas(project, project.get('station', end.station), block.flat(), newId);
  const begun = after(project, changes);
  const memories = memoriesOf(begun, end.station);
  const understood = understandBlock(block, from.column, memories);
  const lanes = childrenOf(project, 'lane', end.exchange);
  const first = from.lane === null ? lanes.length : lanes.findIndex((l) => l.id === from.lane);
  const tags = missingTags(begun, end, understood, newId);
  changes.push(...tags);
  const reader = after(begun, tags);
  const problems: string[] = [];
  // A row that says no place there is the tag of its name.
  const byName = memories.length === 0 && !understood.columns.includes('address');
  let order = orderAfter(lanes);
  understood.rows.forEach((row, i) => {
    let lane = lanes[first + i];
    if (!lane) {
      lane = { id: newId(), order, exchange: end.exchange, items: {} };
      order += 10;
      changes.push(put('lane', lane));
    }
    const before = childrenOf(reader, 'claim', lane.id).find((c) => c.end === end.id);
    let claim = before ?? emptyClaim(newId(), lane.id, end.id);
    for (const [column, text] of cellsOf(understood, row)) {
      // An area that is left empty is the one that the address is in.
      if (column === 'area' && text.trim() === '') continue;
      const edited = editLaneCell(reader, end, claim, column, text, areaNamed(understood, row, memories));
      claim = edited.claim;
      if (edited.problem) problems.push(`line ${i + 1}: ${edited.problem}`);
    }
    if (byName && claim.place === null && claim.name !== '') {
      const named = editLaneCell(reader, end, claim, 'address', claim.name);
      if (named.problem === null) claim = named.claim;
    }
    if (!understood.columns.includes('length')) claim = withLengthOfType(reader, end, claim);
    changes.push(...entityChanges('claim', before, claim));
  });
  return { changes, count: understood.rows.length, tags: tags.length, problems, understood };
}

function after(project: Project, changes: readonly Change[]): Project {
  const applied = apply(project, { id: 'paste', label: '', changes });
  return applied.ok ? project.with(applied.entities) : project;
}

type Column = SheetColumn | SecondLineColumn;

/** The places of the block's cells, the address before the rest so that lengths count its unit. */
function* cellsOf({ columns }: Understood, row: string[]): Generator<[Column, string]> {
  const cells = columns.flatMap((column, i): [Column, string][] => (column ? [[column, row[i] ?? '']] : []));
  cells.sort(([a], [b]) => Number(b === 'address') - Number(a === 'address'));
  yield* cells;
}

/**
 * Rows pasted as items of one lane: over the items from `key` on, or, where the key is null, paired with what the other
 * ends have that this one lacks: by offset, then by name, then by order. The rest are new items.
 * A claim without a place begins at the lowest address, and without a length it gets what its items take.
 */
export function pasteItems(
  reader: Reader,
  end: End,
  lane: Lane,
  from: { key: string | null; column: number },
  block: string[][],
  newId: () => string,
): Pasted {
  const memories = memoriesOf(reader, end.station);
  const understood = understandBlock(block, from.column, memories);
  const problems: string[] = [];
  const before = childrenOf(reader, 'claim', lane.id).find((c) => c.end === end.id);
  let claim = before ?? emptyClaim(newId(), lane.id, end.id);
  if (!readable(claim.place)) {
    const start = lowestAddress(understood, memories);
    if (start) claim = { ...claim, place: start };
  }
  const rows = understood.rows.map((row, i) => {
    let draft = claim;
    for (const [column, text] of cellsOf(understood, row)) {
      if (column !== 'name' && column !== 'address' && column !== 'type') continue;
      const edited = editItemCell(reader, end, draft, 'draft', column, text);
      draft = edited.claim;
      if (edited.problem) problems.push(`line ${i + 1}: ${edited.problem}`);
    }
    return draft.items.draft ?? { name: '', type: null, offset: null };
  });
  const keys = from.key === null ? pairedKeys(reader, lane, claim, rows) : keysFrom(lane, from.key, rows.length);
  let order = orderAfter(Object.values(lane.items));
  const laneItems = { ...lane.items };
  const items = { ...claim.items };
  rows.forEach((item, i) => {
    let key = keys[i];
    if (!key) {
      key = newId();
      laneItems[key] = { order };
      order += 10;
    }
    const known = items[key];
    items[key] = known ? { ...known, ...pick(item, understood) } : item;
  });
  claim = withLength(reader, end, { ...claim, items });
  const changes = [
    ...entityChanges('lane', lane, { ...lane, items: laneItems }),
    ...entityChanges('claim', before, claim),
  ];
  return { changes, count: rows.length, tags: 0, problems, understood };
}

/** Of an item, only what the block had a column for. */
function pick(item: Claim['items'][string], { columns }: Understood): Partial<Claim['items'][string]> {
  return {
    ...(columns.includes('name') ? { name: item.name } : {}),
    ...(columns.includes('type') ? { type: item.type } : {}),
    ...(columns.includes('address') ? { offset: item.offset } : {}),
  };
}

function keysFrom(lane: Lane, key: string, count: number): (string | undefined)[] {
  const all = entriesInOrder(lane.items).map(([k]) => k);
  const first = all.indexOf(key);
  return Array.from({ length: count }, (_, i) => all[first + i]);
}

function pairedKeys(reader: Reader, lane: Lane, claim: Claim, rows: Claim['items'][string][]): (string | undefined)[] {
  const open = entriesInOrder(lane.items)
    .map(([key]) => key)
    .filter((key) => !claim.items[key]);
  const others = childrenOf(reader, 'claim', lane.id).filter((c) => c.id !== claim.id);
  const known = (key: string) => others.flatMap((c) => c.items[key] ?? []);
  const keys: (string | undefined)[] = rows.map(() => undefined);
  const take = (i: number, key: string | undefined) => {
    if (key === undefined) return;
    keys[i] = key;
    open.splice(open.indexOf(key), 1);
  };
  rows.forEach((row, i) => {
    const offset = readable(row.offset)?.bits;
    if (offset !== undefined)
      take(
        i,
        open.find((key) => known(key).some((o) => readable(o.offset)?.bits === offset)),
      );
  });
  rows.forEach((row, i) => {
    const name = row.name.toLowerCase();
    if (!keys[i] && name)
      take(
        i,
        open.find((key) => known(key).some((o) => o.name.toLowerCase() === name)),
      );
  });
  rows.forEach((row, i) => {
    if (!keys[i] && !readable(row.offset)) take(i, open[0]);
  });
  return keys;
}

/** The area that a row names, by which its address is to be read; undefined where it names none. */
function areaNamed({ columns }: Understood, row: readonly string[], memories: readonly Memory[]): string | undefined {
  const name = row[columns.indexOf('area')]?.trim().toLowerCase();
  return name && memories.find((m) => m.area.name.toLowerCase() === name)?.area.id;
}

function lowestAddress({ columns, rows }: Understood, memories: readonly Memory[]): Place | null {
  const at = columns.indexOf('address');
  if (at < 0) return null;
  let lowest: { place: Place; bit: number } | null = null;
  for (const row of rows) {
    const place = parseAddress(row[at] ?? '', memories);
    const memory = place.ok && memories.find((m) => m.area.id === place.value.area);
    const located = memory && locate(memory, place.value);
    if (!place.ok || !located) continue;
    const bit = linearBit({ ...located.row, unit: 16 }, areaBit(located.row, located.linear));
    if (!lowest || bit < lowest.bit) lowest = { place: place.value, bit };
  }
  return lowest?.place ?? null;
}

/** A claim without a length gets what its items take. */
function withLength(reader: Reader, end: End, claim: Claim): Claim {
  const place = readable(claim.place);
  const exchange = reader.get('exchange', end.exchange);
  if (claim.length !== null || !place || !exchange || !memoryOf(reader, place.area)) return claim;
  const unit = lengthUnit(reader, claim);
  const probe = blockOf(reader, { ...claim, length: { count: 1, unit } }, end, exchange);
  if (!probe) return claim;
  let bits = 0;
  for (const item of Object.values(claim.items)) {
    const type = readable(item.type);
    const offset = readable(item.offset);
    if (type && offset) bits = Math.max(bits, offset.bits + sizeInRow(type, probe.chain.frame));
  }
  return bits === 0 ? claim : { ...claim, length: { count: Math.ceil(bits / unit), unit } };
}
