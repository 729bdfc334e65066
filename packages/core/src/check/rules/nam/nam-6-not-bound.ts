import { unboundTags } from '../../../place/points.js';
import { counted, fewOf } from '../../few-of.js';
import type { Rule } from '../../rule.js';

export const notBound: Rule = {
  meta: {
    code: 'NAM 6',
    title: 'Every point of a station that asks others for its tags is bound, or declared not used',
    source: 'common practice: a point that nobody bound looks like one that was forgotten',
    messages: {
      left: {
        severity: 'doubt',
        headline: '{a}: of {all} {count} neither bound nor declared not used: {names}',
        says: ['[[{names}]]: bound to nothing'],
        consequence: 'They show nothing, and nobody knows whether that is meant.',
        remedy: 'Match them with the other list, or say why they are not used.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      const { all, open } = unboundTags(reader, station);
      if (open.length === 0) return;
      const names = open.map((tag) => tag.name);
      yield {
        message: 'left',
        label: 'points not bound',
        about: { kind: 'station', id: station.id, name: station.name },
        parties: [{ station: station.id }],
        cells: open.slice(0, 50).map((tag) => ({ kind: 'tag', id: tag.id, path: ['notUsed'] })),
        params: {
          a: station.name,
          count: open.length === 1 ? '1 is' : `${open.length} are`,
          all: counted('point')(all),
          names: fewOf(names),
        },
        subjects: [station.id],
      };
    },
  },
};
