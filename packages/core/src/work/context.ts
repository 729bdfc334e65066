import type { Exchange } from '../model/exchange.js';
import type { End } from '../model/end.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { fieldsToSet, type FieldToSet } from '../setting/fields-to-set.js';
import { surveyOf, type Survey } from '../survey/survey-of.js';
import type { Step } from './step.js';

/** What steps follow from: the plan, what of it is in the devices, and what was found. */
export interface WorkContext {
  project: Project;
  stations: readonly Station[];
  fields: ReadonlyMap<string, readonly FieldToSet[]>;
  exchanges: readonly { exchange: Exchange; ends: readonly End[] }[];
  survey: Survey;
}

export function workContext(project: Project): WorkContext {
  // What others only described, or have in a project of their own, is not set from here.
  const stations = inOrder(project, 'station').filter(({ party }) => party === 'own');
  return {
    project,
    stations,
    fields: new Map(stations.map((station) => [station.id, fieldsToSet(project, station)])),
    exchanges: inOrder(project, 'exchange').map((exchange) => ({
      exchange,
      ends: childrenOf(project, 'end', exchange.id),
    })),
    survey: surveyOf(project),
  };
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
