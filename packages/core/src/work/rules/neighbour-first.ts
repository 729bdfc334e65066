import { childrenOf } from '../../model/order.js';
import type { Project } from '../../model/project.js';
import { isWorkstation } from '../context.js';
import { eachBefore, type OrderRule } from '../order-rule.js';

/** A station on networks that the engineer's computer is not on is reached through one that is on both. */
export const neighbourFirst: OrderRule = {
  why: 'it is reached only through that station',
  source: 'common practice: first the neighbour that others are reached through',
  edges: (steps, { project, stations }) => {
    const computer = stations.find(isWorkstation);
    if (!computer) return [];
    const reached = new Set(networksOf(project, computer.id));
    return stations.flatMap((station) => {
      const own = networksOf(project, station.id);
      if (station === computer || own.length === 0 || own.some((network) => reached.has(network))) return [];
      const through = stations.filter((other) => {
        const theirs = networksOf(project, other.id);
        return other !== station && theirs.some((n) => reached.has(n)) && theirs.some((n) => own.includes(n));
      });
      const ready = through.flatMap(({ id }) => steps.at(id, 'address', 'load', 'set by cable'));
      return eachBefore(ready, steps.at(station.id, 'load'));
    });
  },
};

const networksOf = (project: Project, station: string): string[] =>
  childrenOf(project, 'port', station).flatMap(({ network, enabled }) => (network && enabled ? [network] : []));
