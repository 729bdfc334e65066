import { apply } from '../change/apply.js';
import type { Change } from '../change/change.js';
import { dequal } from 'dequal/lite';
import { entityChanges } from '../change/diff.js';
import type { Claim } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Lane } from '../model/lane.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Project, Reader } from '../model/project.js';
import { withStructure } from '../lane/claim-structure.js';
import { readType } from '../structure/type-text.js';
import { editItemCell, editLaneCell, emptyClaim } from './edit-cell.js';
import { firstAreas } from './first-areas.js';
import { withLengthOfType } from './length-of-type.js';
import type { SecondLineColumn, SheetColumn } from './sheet-fields.js';

/** Text typed into one cell of the two-ended sheet. A lane or key of null means: a new one. */
export interface SheetEdit {
  end: End;
  lane: string | null;
  /** of an item; undefined for the lane itself */
  key?: string | null;
  column: SheetColumn | SecondLineColumn;
  text: string;
}

/** What the edits do, as one change set's changes, and what was kept as typed with why. */
export interface SheetEdited {
  changes: Change[];
  problems: string[];
  /** the lane and item that were edited last, so that the cursor can follow a new one */
  lane: string | null;
  key: string | null;
}

/** Applies typed texts one after the other, making lanes, claims and items where they are typed into. */
export function editSheet(project: Project, edits: readonly SheetEdit[], newId: () => string): SheetEdited {
  const begun = edits.flatMap(({ end, column, text }) =>
    column === 'address' ? firstAreas(project, project.get('station', end.station), [text], newId) : [],
  );
  const areas = apply(project, { id: 'areas', label: '', changes: begun });
  const reader = areas.ok ? project.with(areas.entities) : project;
  const lanes = new Map<string, { before: Lane | undefined; after: Lane }>();
  const claims = new Map<string, { before: Claim | undefined; after: Claim }>();
  const result: SheetEdited = { changes: areas.ok ? [...begun] : [], problems: [], lane: null, key: null };
  const exchange = edits[0]?.end.exchange ?? '';
  let order = orderAfter(childrenOf(reader, 'lane', exchange));

  const laneOf = (id: string | null) => {
    if (id === null) {
      const lane: Lane = { id: newId(), order, exchange, items: {} };
      order += 10;
      lanes.set(lane.id, { before: undefined, after: lane });
      return lanes.get(lane.id)!;
    }
    const known = lanes.get(id);
    const stored = reader.get('lane', id);
    if (known || !stored) return known;
    lanes.set(id, { before: stored, after: stored });
    return lanes.get(id)!;
  };
  const claimOf = (lane: string, end: End) => {
    const key = `${lane} ${end.id}`;
    let entry = claims.get(key);
    if (!entry) {
      const before = childrenOf(reader, 'claim', lane).find((c) => c.end === end.id);
      entry = { before, after: before ?? emptyClaim(newId(), lane, end.id) };
      claims.set(key, entry);
    }
    return entry;
  };

  for (const edit of edits) {
    const lane = laneOf(edit.lane);
    if (!lane) continue;
    const claim = claimOf(lane.after.id, edit.end);
    result.lane = lane.after.id;
    if (edit.key === undefined) {
      const type = edit.column === 'type' ? readType(reader, edit.text) : null;
      if (type?.ok && type.value.structure) {
        const at = { lane: lane.after, claim: claim.after, end: edit.end, exchange: reader.get('exchange', exchange)! };
        const laid = withStructure(reader, at, type.value, newId);
        if (laid) [lane.after, claim.after] = [laid.lane, laid.claim];
        else
          result.problems.push(`“${edit.text.trim()}” cannot be laid out yet: fill in the address of the lane first`);
        continue;
      }
      const edited = editLaneCell(reader, edit.end, claim.after, edit.column, edit.text);
      claim.after = edited.claim;
      if (edited.problem) result.problems.push(edited.problem);
      continue;
    }
    let { key } = edit;
    if (key === null) {
      key = newId();
      const items = { ...lane.after.items, [key]: { order: orderAfter(Object.values(lane.after.items)) } };
      lane.after = { ...lane.after, items };
    }
    result.key = key;
    const edited = editItemCell(reader, edit.end, claim.after, key, edit.column as SheetColumn, edit.text);
    claim.after = edited.claim;
    if (edited.problem) result.problems.push(edited.problem);
  }
  for (const edit of edits) {
    if (edit.key !== undefined || (edit.column !== 'type' && edit.column !== 'address')) continue;
    const claim = claims.get(`${edit.lane ?? result.lane} ${edit.end.id}`);
    const sameOf = (other: SheetEdit) => other.lane === edit.lane && other.end.id === edit.end.id;
    if (claim && !edits.some((other) => other.column === 'length' && sameOf(other))) {
      claim.after = withLengthOfType(reader, edit.end, claim.after);
    }
  }
  // A cell that was emptied, or whose text was refused, makes no claim of nothing, and no lane for it.
  const told = [...claims.values()].filter(({ before, after }) => before !== undefined || !isBlank(after));
  const withClaim = new Set(told.map(({ after }) => after.lane));
  for (const { before, after } of lanes.values()) {
    const made = before !== undefined || withClaim.has(after.id);
    if (made) result.changes.push(...entityChanges('lane', before, after));
    else if (result.lane === after.id) result.lane = null;
  }
  for (const { before, after } of told) result.changes.push(...entityChanges('claim', before, after));
  return result;
}

const isBlank = (claim: Claim): boolean => dequal(claim, emptyClaim(claim.id, claim.lane, claim.end));

/** The changes that take one value out of a lane, at all its ends. */
export function dropItem(reader: Reader, lane: Lane, key: string): Change[] {
  const { [key]: gone, ...items } = lane.items;
  if (!gone) return [];
  const changes = entityChanges('lane', lane, { ...lane, items });
  for (const claim of childrenOf(reader, 'claim', lane.id)) {
    if (!claim.items[key]) continue;
    const rest = Object.fromEntries(Object.entries(claim.items).filter(([k]) => k !== key));
    changes.push(...entityChanges('claim', claim, { ...claim, items: rest }));
  }
  return changes;
}
