import type { Exchange } from '../model/exchange.js';
import type { End } from '../model/end.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import type { FieldToSet } from '../setting/fields-to-set.js';
import { surveyOf, type Surveyed } from '../survey/survey-of.js';
import type { KeptWork } from './kept-work.js';
import type { Step } from './step.js';

/** What steps follow from: the plan, what of it is in the devices, and what was found. */
export interface WorkContext {
  project: Project;
  stations: readonly Station[];
  fields: ReadonlyMap<string, readonly FieldToSet[]>;
  exchanges: readonly { exchange: Exchange; ends: readonly End[] }[];
  /** by station: who has an end of an exchange with it */
  partners: ReadonlyMap<string, ReadonlySet<string>>;
  /** what was found on site */
  found: readonly Surveyed[];
  foundAt: ReadonlyMap<string, Surveyed>;
}

export function workContext(project: Project, kept: KeptWork): WorkContext {
  // What others only described, or have in a project of their own, is not set from here.
  const stations = inOrder(project, 'station').filter(({ party }) => party === 'own');
  const exchanges = inOrder(project, 'exchange').map((exchange) => ({
    exchange,
    ends: childrenOf(project, 'end', exchange.id),
  }));
  const found = surveyOf(project).rows;
  return {
    project,
    stations,
    fields: new Map(stations.map(({ id }) => [id, kept.fieldsAt(id)])),
    exchanges,
    partners: partnersIn(exchanges),
    found,
    foundAt: firstBy(found, ({ port }) => port),
  };
}

function partnersIn(exchanges: WorkContext['exchanges']): Map<string, Set<string>> {
  const partners = new Map<string, Set<string>>();
  for (const { ends } of exchanges)
    for (const { station } of ends) {
      const own = partners.get(station) ?? new Set();
      for (const other of ends) if (other.station !== station) own.add(other.station);
      partners.set(station, own);
    }
  return partners;
}

function firstBy<T>(list: readonly T[], keyOf: (one: T) => string | null): Map<string, T> {
  const first = new Map<string, T>();
  for (const one of list) {
    const key = keyOf(one);
    if (key !== null && !first.has(key)) first.set(key, one);
  }
  return first;
}

export const isWorkstation = ({ roles }: Station): boolean => roles.includes('workstation');

/** What differs between steps of a kind; all else is empty. */
export function stepOf(
  { id, supplier }: Station,
  own: Pick<Step, 'key' | 'kind' | 'what' | 'proof'> & Partial<Step>,
): Step {
  return {
    station: id,
    about: null,
    who: supplier ?? '',
    fields: [],
    needs: [],
    effect: '',
    misleads: [],
    basis: own.what,
    ...own,
  };
}
