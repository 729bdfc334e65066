import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import type { Station } from '../../../model/station.js';
import type { TagSeries } from '../../../model/tag-series.js';
import { seriesName } from '../../../tags/series.js';
import { counted } from '../../few-of.js';
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
        says: ['[[{name}]] is one of {range}, and {other}'],
        consequence: 'Which one is meant depends on who reads it.',
        remedy: 'Rename the other tag, or begin the series elsewhere.',
      },
      width: {
        severity: 'doubt',
        headline: '{a}: {name} of the series {sample} is there with another number of digits, {there}',
        says: ['the series counts [[{name}]]; there is [[{there}]]'],
        consequence: 'To whoever binds by exact names the two are strangers.',
        remedy: 'Write the sample with as many digits as the names that are there, or rename those.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const series of childrenOf(reader, 'series', station.id)) {
        const { hole, collision, width } = seriesGaps(reader, series);
        if (hole !== null) yield report('hole', station, series, { name: hole });
        if (collision)
          yield report('collision', station, series, { ...collision, other: ownerWords(reader, collision.id) });
        if (width) yield report('width', station, series, width);
      }
    },
  },
};

interface Named {
  name: string;
  /** the tag that has it */
  id?: string;
  other?: string;
  there?: string;
}

const LABELS: Record<string, string> = { hole: 'hole in a series', collision: 'name taken', width: 'digits' };

const report = (message: string, station: Station, series: TagSeries, { name, id, other, there }: Named): Report => ({
  message,
  label: LABELS[message]!,
  about: { kind: 'station', id: station.id, name: station.name },
  parties: [{ station: station.id }],
  cells: [
    ...(id ? [{ kind: 'tag' as const, id, path: ['name'] }] : []),
    { kind: 'series', id: series.id, path: [message === 'width' ? 'sample' : 'count'] },
  ],
  params: {
    a: station.name,
    sample: series.sample,
    points: counted('point')(series.count),
    name,
    range: rangeWords(series),
    other: other ?? '',
    there: there ?? '',
  },
  subjects: [series.id, name],
});

export interface SeriesGaps {
  /** the first name that is missing before one that is there */
  hole: string | null;
  /** another tag of the station that has one of its names */
  collision: { name: string; id: string } | null;
  /** a name of it that another tag has with more or fewer zeros before its number */
  width: { name: string; there: string; id: string } | null;
  /** tags that the series has */
  has: number;
}

/** `Door_01 to Door_20` */
const rangeWords = ({ sample, count }: TagSeries): string => `${sample} to ${seriesName(sample, count - 1)}`;

/** What has a name already: a tag of its own, or another series. */
function ownerWords(reader: Reader, tag: string): string {
  const { series, name } = reader.get('tag', tag) ?? {};
  const other = series ? reader.get('series', series) : undefined;
  return other ? `one of ${rangeWords(other)}` : `the tag ${name ?? ''}`;
}

/** A name without the zeros before its last number. */
const withoutZeros = (name: string): string => name.toLowerCase().replace(/0+(?=\d+\D*$)/, '');

/** What a series lacks of its names. */
export function seriesGaps(reader: Reader, series: TagSeries): SeriesGaps {
  const tags = childrenOf(reader, 'tag', series.station);
  const own = new Set(tags.filter((tag) => tag.series === series.id).map((tag) => tag.name.toLowerCase()));
  const others = new Map(tags.filter((tag) => tag.series !== series.id).map((tag) => [tag.name.toLowerCase(), tag]));
  let missing: string | null = null;
  let hole: string | null = null;
  let collision: SeriesGaps['collision'] = null;
  let width: SeriesGaps['width'] = null;
  const alike = new Map(tags.filter((tag) => tag.series !== series.id).map((tag) => [withoutZeros(tag.name), tag]));
  for (let i = 0; i < series.count; i++) {
    const name = seriesName(series.sample, i);
    const other = others.get(name.toLowerCase());
    const near = alike.get(withoutZeros(name));
    if (other) collision ??= { name, id: other.id };
    else if (near) width ??= { name, there: near.name, id: near.id };
    if (other) continue;
    if (!own.has(name.toLowerCase())) missing ??= name;
    else if (missing !== null) hole ??= missing;
  }
  return { hole, collision, width, has: own.size };
}
