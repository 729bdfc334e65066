import type { Setting } from '../model/setting.js';
import type { SettingState } from '../model/words.js';
import type { Planned } from './planned.js';

export type StateNow = SettingState | 'changed since sent';

/** Whether the planned value was sent and is in force; what was sent before the value changed does not count for it. */
export function settingState(setting: Setting | null, planned: Planned): StateNow {
  if (!setting || setting.state === 'not sent') return 'not sent';
  return setting.sent === planned.value ? setting.state : 'changed since sent';
}
