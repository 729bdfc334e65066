import { findRoutes } from '../../../route/find-routes.js';
import { throughWords } from '../../../route/reach.js';
import { routeReport } from './route-report.js';
import type { Reader } from '../../../model/project.js';
import type { Rule } from '../../rule.js';

export const twoAsGood: Rule = {
  meta: {
    code: 'ROU 7',
    title: 'One way is better than all others',
    source: 'common practice: of two equal ways nobody knows which is taken',
    messages: {
      equal: {
        severity: 'doubt',
        headline: '{route}: two ways are equally good, {one} and {other}',
        says: ['{a}: [[{one}]]', 'or [[{other}]]'],
        consequence: 'Which one is taken shows only when one of them fails.',
        remedy: 'Choose the port that it leaves by, or type the text of the one that is meant.',
      },
    },
  },
  on: {
    *route(route, { reader }) {
      if (route.stated.trim() !== '') return;
      const [one, other] = findRoutes(reader, route, 2).found;
      if (!one || !other || one.cost !== other.cost) return;
      const [first, second] = [throughWords(reader, one), throughWords(reader, other)];
      // Over the same networks it may still leave by another of its own ports.
      const [by, byOther] = [one, other].map(({ hops }) => portWords(reader, hops[0]?.fromPort));
      const params =
        first !== second ? { one: first, other: second } : { one: `${first}${by}`, other: `${second}${byOther}` };
      if (params.one === params.other) return;
      yield routeReport(reader, route, 'equal', 'two ways', params);
    },
  },
};

/** `, by first adapter 10.48.10.200` */
function portWords(reader: Reader, id: string | null | undefined): string {
  const port = id ? reader.get('port', id) : undefined;
  return port ? `, by ${[port.name, port.address].filter((text) => text.trim() !== '').join(' ')}` : '';
}
