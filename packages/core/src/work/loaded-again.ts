import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { fieldsToSet } from '../setting/fields-to-set.js';
import type { OrderOfWork } from './order-of-work.js';

/** A station that has to be loaded again, or one that only says that something is not as it was. */
export interface LoadedAgain {
  station: string;
  /** whole · only changes · only warns: it need not be loaded */
  how: 'whole' | 'only changes' | 'only warns';
}

/** After a change of the plan: who must be loaded again, with all or only with what changed, and who merely warns of the others. */
export function loadedAgain(project: Project, { steps }: OrderOfWork): LoadedAgain[] {
  const loads = steps.filter(({ kind }) => kind === 'load');
  const again = loads.filter(({ state }) => state === 'changed since');
  const settled = new Set(loads.filter(({ state }) => state === 'done').map(({ station }) => station));
  const warns = new Set<string>();
  for (const { station: id } of again) {
    const station = project.get('station', id);
    for (const { state, cell } of station ? fieldsToSet(project, station) : []) {
      const exchange =
        state === 'changed since sent' && cell.kind === 'end' ? project.get('end', cell.id)?.exchange : null;
      for (const end of exchange ? childrenOf(project, 'end', exchange) : [])
        if (settled.has(end.station)) warns.add(end.station);
    }
  }
  return [
    ...again.map(({ station, what }): LoadedAgain => ({
      station,
      how: what.includes('only what changed') ? 'only changes' : 'whole',
    })),
    ...[...warns].map((station): LoadedAgain => ({ station, how: 'only warns' })),
  ];
}
