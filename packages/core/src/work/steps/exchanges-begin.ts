import type { Exchange } from '../../model/exchange.js';
import { childrenOf } from '../../model/order.js';
import { isWorkstation, stepOf, type WorkContext } from '../context.js';
import type { Step } from '../step.js';

/** Each exchange: what has to be offered, connecting, and the test of its points. */
export function exchangesBegin({ project, exchanges }: WorkContext): Step[] {
  return exchanges.flatMap(({ exchange, ends }) => {
    if (exchange.kind === 'service link' || ends.length < 2) return [];
    const callers = ends.filter(({ calling }) => calling === 'calls');
    const caller = project.get('station', (callers[0] ?? ends[0]!).station);
    if (!caller || isWorkstation(caller)) return [];
    const answers = ends.filter((end) => end !== (callers[0] ?? ends[0]));
    const names = answers.flatMap(({ station }) => project.get('station', station)?.name ?? []);
    const partners = [...new Set(names)].join(', ');
    const offers = exchange.kind === 'tag map' || exchange.kind === 'shared variables' ? answers[0] : undefined;
    const offering = offers && project.get('station', offers.station);
    const lanes = childrenOf(project, 'lane', exchange.id).length;
    return [
      ...(offering
        ? [
            stepOf(offering, {
              key: `publish ${exchange.id}`,
              kind: 'publish',
              about: exchange.id,
              what: `See that ${offering.name} offers what ${exchange.name} asks for`,
              proof: 'its own list of what others may use has the names',
            }),
          ]
        : []),
      stepOf(caller, {
        key: `connect ${exchange.id}`,
        kind: 'connect',
        about: exchange.id,
        what: `Connect ${caller.name} with ${partners}: ${exchange.name}`,
        proof: provesOf(exchange),
        misleads:
          exchange.kind === 'tag map'
            ? [
                {
                  what: 'names are bound when it connects; until then nothing is found',
                  until: `connect ${exchange.id}`,
                },
              ]
            : [],
      }),
      stepOf(caller, {
        key: `test ${exchange.id}`,
        kind: 'test',
        about: exchange.id,
        what: `Test the points of ${exchange.name}: ${lanes} ${lanes === 1 ? 'lane' : 'lanes'}`,
        needs: [{ what: `${caller.name} and ${partners} are seen running`, stands: '' }],
        proof: 'each point was set and seen, and one that must not move stood still',
      }),
    ];
  });
}

const provesOf = ({ transfer }: Exchange): string =>
  transfer === 'requests'
    ? 'its counter of answers rises, and that of timeouts does not'
    : 'its connection says that it is up, and the age of its data stays below the cadence';
