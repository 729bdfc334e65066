import { apply } from '../change/apply.js';
import type { Change } from '../change/change.js';
import { set } from '../change/make.js';
import { createExchange } from '../exchange/create-exchange.js';
import { kindsForPair } from '../exchange/kinds-for-pair.js';
import { splitBlock } from '../formats/split-block.js';
import { editField } from '../fields/field.js';
import { stationFromLine } from '../fields/station-line.js';
import { STATION } from '../fields/station.js';
import { isTyped } from '../model/as-typed.js';
import type { Claim } from '../model/claim.js';
import type { Direction } from '../model/words.js';
import type { End } from '../model/end.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { memoriesOf } from '../place/memory.js';
import { parseAddress } from '../place/parse-address.js';
import { withoutZeros } from '../text/near.js';
import { headingsOf, understandBlock, type Understood } from './paste-columns.js';
import { pasteLanes } from './paste.js';
import { typeThatReads } from './type-that-reads.js';

/** One side of an agreement as it is kept there: who, at which address, and its list as it was copied. */
export interface ListedSide {
  name: string;
  address: string;
  list: string;
}

/** What two lists become when they are laid side by side. */
export interface TwoLists {
  changes: Change[];
  exchange: string;
  sides: readonly [UnderstoodSide, UnderstoodSide];
  /** rows that have a partner, by name or, where no names match, by their order */
  paired: number;
  by: 'name' | 'order';
}

export interface UnderstoodSide {
  rows: number;
  /** the profile that reads its addresses; null: none does, or the station is there already */
  profile: string | null;
  /** addresses that are read, of those that stand there */
  read: number;
  addresses: number;
  problems: readonly string[];
}

/** Rows of a list as the columns were understood, with its heading where it has one. */
type Rows = Pick<Understood, 'columns' | 'rows' | 'headed'>;

/**
 * Two stations, the exchange between them and its lanes, from one list a side. A station is of the type that reads most of
 * its addresses. Rows are paired by name where names match, else by order; what is left over is a lane with one end.
 */
export function layTwoLists(project: Project, sides: readonly [ListedSide, ListedSide], newId: () => string): TwoLists {
  const changes: Change[] = [];
  let now = project;
  const make = (more: readonly Change[]) => {
    const applied = apply(now, { id: 'lists', label: '', changes: more });
    if (!applied.ok) return;
    changes.push(...more);
    now = now.with(applied.entities);
  };
  const stations = sides.map((side) => {
    const known = stationNamed(now, side.name);
    const made = known ? { changes: [], id: known.id } : stationOfList(now, side, newId);
    make(made.changes);
    if (known && side.address.trim() !== '') {
      make(editField(STATION, 'addresses', known, side.address, { project: now, newId }).changes);
    }
    return now.get('station', made.id)!;
  }) as [Station, Station];
  const ids = [stations[0].id, stations[1].id] as const;
  const { kind, protocol } = kindsForPair(now, ids)[0]!;
  const begun = createExchange(
    now,
    { name: `${stations[0].name} – ${stations[1].name}`, kind, protocol: protocol.id, stations: ids },
    newId,
  );
  make(begun.changes);
  const ends = childrenOf(now, 'end', begun.id) as [End, End];
  const blocks = sides.map(({ list }) => splitBlock(list));
  const lists = blocks.map((block, i) => understandBlock(block, 0, memoriesOf(now, ids[i]!))) as [Rows, Rows];
  const { pairs, alone, by } = pairRows(lists);
  const order = [pairs.map(([i]) => i), pairs.map(([, i]) => i)];
  const problems: string[][] = [[], []];
  const paste = (side: 0 | 1, rows: readonly number[], lane: string | null) => {
    if (rows.length === 0) return;
    // Under the headings that all rows together were understood to have: a few of them alone may tell less.
    const head = headingsOf(lists[side]);
    const taken = rows.map((i) => lists[side].rows[i]!);
    const pasted = pasteLanes(now, ends[side], { lane, column: 0 }, [...head, ...taken], newId);
    make(pasted.changes);
    problems[side]!.push(...pasted.problems);
  };
  paste(0, order[0]!, null);
  const [first] = childrenOf(now, 'lane', begun.id);
  if (first) paste(1, order[1]!, first.id);
  paste(0, alone[0], null);
  paste(1, alone[1], null);
  make(directions(now, begun.id, ends));
  const understood = lists.map((list, i): UnderstoodSide => {
    const at = list.columns.indexOf('address');
    const texts = at < 0 ? [] : list.rows.map((row) => row[at] ?? '').filter((text) => text !== '');
    const memories = memoriesOf(now, ids[i]!);
    const profile = stations[i]!.profile;
    return {
      rows: list.rows.length,
      profile: stationNamed(project, sides[i]!.name) || !profile ? null : (now.get('profile', profile)?.name ?? null),
      read: texts.filter((text) => parseAddress(text, memories).ok).length,
      addresses: texts.length,
      problems: problems[i]!,
    };
  }) as [UnderstoodSide, UnderstoodSide];
  return { changes, exchange: begun.id, sides: understood, paired: pairs.length, by };
}

const stationNamed = (project: Project, name: string): Station | undefined =>
  inOrder(project, 'station').find((station) => station.name.toLowerCase() === name.trim().toLowerCase());

/** The station of the type that reads its list (`typeThatReads`). */
function stationOfList(project: Project, { name, address, list }: ListedSide, newId: () => string) {
  const type = typeThatReads(splitBlock(list));
  return stationFromLine(project, [name.trim() || 'Station', ...(type ? [type] : []), address.trim()], newId);
}

/** Which row goes with which, and which are left over on either side. */
function pairRows([left, right]: readonly [Rows, Rows]) {
  const namesOf = ({ columns, rows }: Rows): string[] => {
    const at = columns.indexOf('name');
    return rows.map((row) => withoutZeros(row[at] ?? ''));
  };
  const [ours, theirs] = [namesOf(left), namesOf(right)];
  const matched = ours.flatMap((name, i): [number, number][] => {
    const at = name === '' ? -1 : theirs.indexOf(name);
    const once = at >= 0 && ours.indexOf(name) === i && theirs.lastIndexOf(name) === at;
    return once ? [[i, at]] : [];
  });
  const by: TwoLists['by'] = matched.length > 0 ? 'name' : 'order';
  const pairs: [number, number][] =
    by === 'name' ? matched : Array.from({ length: Math.min(ours.length, theirs.length) }, (_, i) => [i, i]);
  const alone = [
    ours.flatMap((_, i) => (pairs.some(([one]) => one === i) ? [] : [i])),
    theirs.flatMap((_, i) => (pairs.some(([, one]) => one === i) ? [] : [i])),
  ] as const;
  return { pairs, alone, by };
}

const OPPOSITE: Partial<Record<Direction, Direction>> = { writes: 'reads', reads: 'writes' };

/** Where one list says who writes, the other end does the opposite; where neither does, the left one writes. */
function directions(project: Project, exchange: string, ends: readonly [End, End]): Change[] {
  const changes: Change[] = [];
  for (const { id } of childrenOf(project, 'lane', exchange)) {
    const claims = ends.map((end) => childrenOf(project, 'claim', id).find((claim) => claim.end === end.id));
    const said = claims.map((claim) => claim?.direction ?? null);
    claims.forEach((claim: Claim | undefined, i) => {
      if (!claim || claim.direction !== null) return;
      const other = said[1 - i] ?? null;
      if (isTyped(other)) return;
      const usual = i === 0 ? 'writes' : 'reads';
      changes.push(set('claim', claim, ['direction'], (other && OPPOSITE[other]) ?? other ?? usual));
    });
  }
  return changes;
}
