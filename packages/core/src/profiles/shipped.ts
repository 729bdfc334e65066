import type { Profile } from '../model/profile.js';
import { byOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { CONTROLLERS } from './controllers.js';
import { FIELD_DEVICES } from './field-devices.js';
import { SCREENS } from './screens.js';

/** Every profile that comes with Dialoga, in order. */
export const SHIPPED_PROFILES: readonly Profile[] = [...CONTROLLERS, ...SCREENS, ...FIELD_DEVICES].sort(byOrder);

/** Those of this project, then those that it could take besides. */
export function profilesToChoose(project: Project): Profile[] {
  const own = [...project.all('profile')].sort(byOrder);
  const names = new Set(own.map((p) => p.name.toLowerCase()));
  return [...own, ...SHIPPED_PROFILES.filter((p) => !project.get('profile', p.id) && !names.has(p.name.toLowerCase()))];
}
