import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import type { Station } from '../../../model/station.js';
import type { TagSeries } from '../../../model/tag-series.js';
import { seriesName } from '../../../tags/series.js';
import { counted } from '../../counted.js';
import type { Report, Rule } from '../../rule.js';

export const seriesHole: Rule = {
  meta: {
    code: 'NAM 5',
    title: 'The names of a series follow each other without a hole and without a collision',
    source: 'common practice: whoever counts on from the sample expects every name between first and last',
    messages: {
      hole: {
        severity: 'doubt',
        headline: '{a}: the series {sample} has no {name}, and goes on after it',
        says: ['{sample}, {points}: [[{name}]] is missing'],
        consequence: 'Points after the hole are taken for their neighbours by whoever counts them.',
        remedy: 'Make the missing tag, or end the series before it.',
      },
      collision: {
        severity: 'doubt',
        headline: '{a}: {name} of the series {sample} is the name of another tag',
        says: ['[[{name}]] stands for two things'],
        consequence: 'Which one is meant depends on who reads it.',
        remedy: 'Rename the other tag, or begin the series elsewhere.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const series of childrenOf(reader, 'series', station.id)) {
        const { hole, collision } = seriesGaps(reader, series);
        if (hole !== null) yield report('hole', station, series, hole);
        if (collision) yield report('collision', station, series, collision.name, collision.id);
      }
    },
  },
};

const report = (message: string, station: Station, series: TagSeries, name: string, tag?: string): Report => ({
  message,
  label: message === 'hole' ? 'hole in a series' : 'name taken',
  about: { kind: 'station', id: station.id, name: station.name },
  parties: [{ station: station.id }],
  cells: [tag ? { kind: 'tag', id: tag, path: ['name'] } : { kind: 'series', id: series.id, path: ['count'] }],
  params: { a: station.name, sample: series.sample, points: counted('point')(series.count), name },
  subjects: [series.id, name],
});

export interface SeriesGaps {
  /** the first name that is missing before one that is there */
  hole: string | null;
  /** another tag of the station that has one of its names */
  collision: { name: string; id: string } | null;
  /** tags that the series has */
  has: number;
}

/** What a series lacks of its names. */
export function seriesGaps(reader: Reader, series: TagSeries): SeriesGaps {
  const tags = childrenOf(reader, 'tag', series.station);
  const own = new Set(tags.filter((tag) => tag.series === series.id).map((tag) => tag.name.toLowerCase()));
  const others = new Map(tags.filter((tag) => tag.series !== series.id).map((tag) => [tag.name.toLowerCase(), tag]));
  let missing: string | null = null;
  let hole: string | null = null;
  let collision: SeriesGaps['collision'] = null;
  for (let i = 0; i < series.count; i++) {
    const name = seriesName(series.sample, i);
    const other = others.get(name.toLowerCase());
    if (other) collision ??= { name, id: other.id };
    else if (!own.has(name.toLowerCase())) missing ??= name;
    else if (missing !== null) hole ??= missing;
  }
  return { hole, collision, has: own.size };
}
