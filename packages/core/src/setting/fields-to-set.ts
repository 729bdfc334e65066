import { childrenOf } from '../model/order.js';
import type { Setting } from '../model/setting.js';
import type { Reader } from '../model/project.js';
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
export function fieldsToSet(reader: Reader, station: Station): FieldToSet[] {
  const known = new Map(childrenOf(reader, 'setting', station.id).map((s) => [s.field, s]));
  const fields = [
    ...childrenOf(reader, 'port', station.id).flatMap((port) =>
      Object.keys(PORT_SETTINGS).map((path) => `port ${port.id} ${path}`),
    ),
    ...childrenOf(reader, 'rack', station.id).flatMap((rack) =>
      childrenOf(reader, 'module', rack.id).map((module) => `module ${module.id} dial`),
    ),
    ...childrenOf(reader, 'landing', station.id).map((landing) => `landing ${landing.id}`),
    ...childrenOf(reader, 'end', station.id).map((end) => `end ${end.id}`),
  ];
  return fields.flatMap((field) => {
    const planned = plannedOf(reader, field);
    const setting = known.get(field) ?? null;
    if (!planned || (planned.value === '' && !setting)) return [];
    return [{ ...planned, field, setting, state: settingState(setting, planned) }];
  });
}
