import { locate } from '../../place/resolve.js';
import { memoryOf } from '../../place/memory.js';
import { parseAddress } from '../../place/parse-address.js';
import { memoriesOf } from '../../place/memory.js';
import { readable } from '../../model/as-typed.js';
import { IN_TAG, type Place } from '../../model/claim.js';
import type { End } from '../../model/end.js';
import type { Exchange } from '../../model/exchange.js';
import { childrenOf } from '../../model/order.js';
import type { Project, Reader } from '../../model/project.js';
import type { Tag } from '../../model/tag.js';
import type { Binding } from '../../model/words.js';
import { judgeItemText } from '../../place/item-text.js';
import { tagsOf } from '../../place/tag-place.js';
import { matchNames, type Match } from './match.js';
import { NEAR_WORDS } from '../../text/near.js';

export type PairState = 'bound' | 'matched' | 'nearly' | 'left over' | 'not asked for' | 'not used';

/** One row of two lists face to face. */
export interface TagPair {
  mine: Tag | null;
  theirs: Tag | null;
  /** where it is at the other station, where no tag stands there */
  place: Place | null;
  state: PairState;
  /** in what they differ, or why there is no counterpart */
  why: string;
  /** 0 to 100 */
  score: number;
}

export interface Reconciled {
  pairs: TagPair[];
  counts: Record<PairState, number>;
}

/**
 * The tags of the end that asks beside those of the end that is asked, by name, by the address or by the item text that
 * each asks for. Internal tags are left out. What is bound in this exchange stands as it is bound.
 */
export function reconcileTags(
  project: Project,
  exchange: Exchange,
  [asking, asked]: readonly [End, End],
  by: Binding,
  report: (done: number) => boolean = () => true,
): Reconciled {
  const bound = boundIn(project, exchange, asking, asked);
  const mine = tagsOf(project, asking.station).filter((tag) => !tag.internal);
  const theirs = tagsOf(project, asked.station).filter((tag) => !tag.internal);
  const byId = new Map([...mine, ...theirs].map((tag) => [tag.id, tag]));
  const taken = new Set(bound.map((pair) => pair.theirs?.id));
  const known = new Set(bound.map((pair) => pair.mine?.id));
  const openMine = mine.filter((tag) => !known.has(tag.id));
  const free = theirs.filter((tag) => !taken.has(tag.id));
  const asks = openMine.filter((tag) => !tag.notUsed);
  const pairs: TagPair[] = [...bound];
  const named: Texts =
    by === 'by name'
      ? { ...matchNames(asks, free, report), places: [], whys: new Map() }
      : matchTexts(project, asking, asked, by, asks, free);
  for (const { left, right, kind, score } of named.pairs) {
    const [one, other] = [byId.get(left)!, byId.get(right)!];
    const state = kind === 'same' ? 'matched' : 'nearly';
    pairs.push({ mine: one, theirs: other, place: null, state, why: kind === 'same' ? '' : NEAR_WORDS[kind], score });
  }
  pairs.push(...named.places);
  for (const id of named.left) {
    const tag = byId.get(id)!;
    pairs.push({ mine: tag, theirs: null, place: null, state: 'left over', why: named.whys.get(id) ?? '', score: 0 });
  }
  for (const tag of openMine) {
    if (tag.notUsed)
      pairs.push({ mine: tag, theirs: null, place: null, state: 'not used', why: tag.notUsed.reason, score: 0 });
  }
  for (const id of named.right) {
    pairs.push({ mine: null, theirs: byId.get(id)!, place: null, state: 'not asked for', why: '', score: 0 });
  }
  const counts: Reconciled['counts'] = {
    bound: 0,
    matched: 0,
    nearly: 0,
    'left over': 0,
    'not asked for': 0,
    'not used': 0,
  };
  for (const { state } of pairs) counts[state]++;
  return { pairs, counts };
}

function boundIn(reader: Reader, exchange: Exchange, asking: End, asked: End): TagPair[] {
  return childrenOf(reader, 'lane', exchange.id).flatMap((lane): TagPair[] => {
    const claims = childrenOf(reader, 'claim', lane.id);
    const [a, b] = [asking, asked].map((end) => claims.find((claim) => claim.end === end.id));
    const [placeA, placeB] = [a, b].map((claim) => (claim ? readable(claim.place) : null));
    const mine = placeA?.view === IN_TAG ? (reader.get('tag', placeA.area) ?? null) : null;
    if (!mine || !b) return [];
    const theirs = placeB?.view === IN_TAG ? (reader.get('tag', placeB.area) ?? null) : null;
    return [{ mine, theirs, place: theirs ? null : (placeB ?? null), state: 'bound', why: '', score: 100 }];
  });
}

interface Texts {
  pairs: Match[];
  places: TagPair[];
  whys: Map<string, string>;
  left: string[];
  right: string[];
}

/** By the address or the item text that each asks for: a tag that is there, or at least a place. */
function matchTexts(
  project: Project,
  asking: End,
  asked: End,
  by: Binding,
  asks: readonly Tag[],
  free: readonly Tag[],
): Texts {
  const station = project.get('station', asking.station);
  const memories = memoriesOf(project, asked.station);
  const at = new Map(free.flatMap((tag) => spotOf(project, readable(tag.place)).map((spot) => [spot, tag] as const)));
  const result: Texts = { pairs: [], places: [], whys: new Map(), left: [], right: [] };
  const used = new Set<string>();
  const leave = (tag: Tag, why: string) => {
    result.whys.set(tag.id, why);
    result.left.push(tag.id);
  };
  for (const tag of asks) {
    const text = tag.asks?.trim() ?? '';
    if (text === '' || !station) {
      leave(tag, by === 'by address' ? 'it asks for no address' : 'it asks by no text');
      continue;
    }
    if (by === 'by item text') {
      const { place, fault } = judgeItemText(project, station, text, asked.station);
      if (fault) leave(tag, fault.found);
      else {
        result.pairs.push({ left: tag.id, right: place.area, kind: 'same', score: 100 });
        used.add(place.area);
      }
      continue;
    }
    const place = parseAddress(text, memories);
    const other = place.ok ? spotOf(project, place.value).map((spot) => at.get(spot))[0] : undefined;
    if (!place.ok) leave(tag, `${place.found}; ${place.expected}`);
    else if (other && !used.has(other.id)) {
      result.pairs.push({ left: tag.id, right: other.id, kind: 'same', score: 100 });
      used.add(other.id);
    } else {
      const why = 'an address without a tag';
      result.places.push({ mine: tag, theirs: null, place: place.value, state: 'matched', why, score: 100 });
    }
  }
  result.right = free.filter((tag) => !used.has(tag.id)).map((tag) => tag.id);
  return result;
}

/** Where a place begins, as a key; none where it does not exist. */
function spotOf(reader: Reader, place: Place | null): string[] {
  const memory = place && memoryOf(reader, place.area);
  const located = memory && locate(memory, place);
  return located ? [`${place.area} ${located.row.base + located.linear} ${place.bit ?? ''}`] : [];
}
