import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import { seriesGaps } from '../nam/nam-5-series.js';
import { counted } from '../../few-of.js';
import type { Rule } from '../../rule.js';

export const seriesCount: Rule = {
  meta: {
    code: 'SIZ 11',
    title: 'A series has as many points as it has tags',
    source: 'common practice: a count that was changed leaves tags over, or lacks some',
    yieldsAtCell: ['NAM 5'],
    messages: {
      count: {
        severity: 'doubt',
        headline: '{a}: the series {sample} has {points} and {tags}',
        says: ['{sample}: [[{points}]], [[{tags}]]'],
        consequence: 'Whoever counts them by the series misses some, or asks for some that are not there.',
        remedy: 'Make the tags of the series anew, or correct its count.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const series of childrenOf(reader, 'series', station.id)) {
        const { has, collision } = seriesGaps(reader, series);
        if (has === series.count || collision) continue;
        yield {
          message: 'count',
          label: 'count of a series',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [{ kind: 'series', id: series.id, path: ['count'] }],
          params: { a: station.name, sample: series.sample, ...wordsOf(series.count, has), has: String(has) },
          subjects: [series.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const series = reader.get('series', finding.cells[0]?.id ?? '');
    const has = Number(finding.params.has);
    if (!series || has < 1) return [];
    return [{ label: `${series.sample}: ${counted('point')(has)}`, changes: [set('series', series, ['count'], has)] }];
  },
};

const wordsOf = (points: number, tags: number) => ({ points: counted('point')(points), tags: counted('tag')(tags) });
