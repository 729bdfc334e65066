import { childrenOf } from '../model/order.js';
import type { Setting } from '../model/setting.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { PORT_SETTINGS, plannedOf, type Planned, settingState, type StateNow } from './planned.js';

/** One value to be got into a station, with what is known of that. */
export interface FieldToSet extends Planned {
  /** what a setting points with */
  field: string;
  setting: Setting | null;
  state: StateNow;
}

/** Everything planned of a station that has to be set at it or typed into its own project, in the order of its parts. */
export function fieldsToSet(project: Project, station: Station): FieldToSet[] {
  const known = new Map(childrenOf(project, 'setting', station.id).map((s) => [s.field, s]));
  const fields = [
    ...childrenOf(project, 'port', station.id).flatMap((port) =>
      Object.keys(PORT_SETTINGS).map((path) => `port ${port.id} ${path}`),
    ),
    ...childrenOf(project, 'rack', station.id).flatMap((rack) =>
      childrenOf(project, 'module', rack.id).map((module) => `module ${module.id} dial`),
    ),
    ...childrenOf(project, 'landing', station.id).map((landing) => `landing ${landing.id}`),
    ...childrenOf(project, 'end', station.id).map((end) => `end ${end.id}`),
  ];
  return fields.flatMap((field) => {
    const planned = plannedOf(project, field);
    const setting = known.get(field) ?? null;
    if (!planned || (planned.value === '' && !setting)) return [];
    return [{ ...planned, field, setting, state: settingState(setting, planned) }];
  });
}
