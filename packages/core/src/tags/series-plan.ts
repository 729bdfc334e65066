import type { Change } from '../change/change.js';
import { dropWithDependents, put, set } from '../change/make.js';
import { readable } from '../model/as-typed.js';
import type { Place } from '../model/claim.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Tag } from '../model/tag.js';
import type { TagSeries } from '../model/tag-series.js';
import { boundTo } from './bound-to.js';
import { keyRule } from './import/plan-import.js';
import { placesAlong } from '../place/places-along.js';
import { placeText } from '../place/place-text.js';
import { seriesName } from './series.js';

/** One tag that a series has or would have. */
export interface SeriesTag {
  name: string;
  /** in the notation of the station; empty: without an address */
  address: string;
  place: Place | null;
  /** the tag that is there already */
  known: Tag | null;
  /** another tag of the station that has the name */
  taken: boolean;
}

export interface SeriesPlan {
  tags: readonly SeriesTag[];
  /** tags of the series that are no longer in it, with what is bound to each */
  gone: readonly { tag: Tag; bound: readonly string[] }[];
  /** the sample has no digits to count on, though there are to be several */
  noDigits: boolean;
}

/** What a series gives: names that count on, addresses that follow without a gap, what collides, and what would go. */
export function planSeries(project: Project, series: TagSeries): SeriesPlan {
  const all = childrenOf(project, 'tag', series.station);
  const keyOf = keyRule(project, series.station);
  const own = new Map(all.filter((tag) => tag.series === series.id).map((tag) => [keyOf(tag.name), tag]));
  const others = new Set(all.filter((tag) => tag.series !== series.id).map((tag) => keyOf(tag.name)));
  const noDigits = series.count > 1 && seriesName(series.sample, 1) === series.sample;
  const placeOf = placesAlong(project, series);
  const tags = Array.from({ length: noDigits ? 1 : series.count }, (_, i): SeriesTag => {
    const name = seriesName(series.sample, i);
    const place = placeOf(i);
    const address = place ? placeText(project, place) : '';
    return { name, address, place, known: own.get(keyOf(name)) ?? null, taken: others.has(keyOf(name)) };
  });
  const kept = new Set(tags.map((tag) => tag.known?.id));
  const gone = [...own.values()]
    .filter((tag) => !kept.has(tag.id))
    .map((tag) => ({ tag, bound: boundTo(project, tag.id) }));
  return { tags, gone, noDigits };
}

/** The changes that make the tags of a series as planned: those that stay keep all that was said of them. */
export function seriesChanges(project: Project, series: TagSeries, plan: SeriesPlan, newId: () => string): Change[] {
  const known = project.get('series', series.id);
  const changes: Change[] = known ? seriesFields(known, series) : [put('series', series)];
  let order = orderAfter(childrenOf(project, 'tag', series.station));
  for (const { tag } of plan.gone) changes.push(...dropWithDependents(project, 'tag', tag.id));
  for (const planned of plan.tags) {
    if (planned.taken) continue;
    if (planned.known) {
      const { known: tag, place } = planned;
      if (place && JSON.stringify(readable(tag.place)) !== JSON.stringify(place)) {
        changes.push(set('tag', tag, ['place'], place));
      }
      continue;
    }
    const tag: Tag = {
      id: newId(),
      order,
      station: series.station,
      name: planned.name,
      type: series.type,
      place: planned.place,
      series: series.id,
      ...(series.access ? { access: series.access } : {}),
      ...(series.internal ? { internal: true } : {}),
    };
    order += 10;
    changes.push(put('tag', tag));
  }
  return changes;
}

const SERIES_FIELDS = ['sample', 'count', 'type', 'place', 'access', 'internal', 'comment'] as const;

const seriesFields = (known: TagSeries, next: TagSeries): Change[] =>
  SERIES_FIELDS.flatMap((field) =>
    JSON.stringify(known[field]) === JSON.stringify(next[field]) ? [] : [set('series', known, [field], next[field])],
  );
