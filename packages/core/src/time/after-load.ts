import type { Reader } from '../model/project.js';
import type { Role, AfterLoad } from '../model/words.js';

/** Roles that stand after a load until somebody starts them, where their type says nothing else. [common practice] */
const WAIT: readonly Role[] = ['controller'];

/** What a station does after it was loaded: its type says so, else it is as with others of its role. */
export function afterLoadOf(reader: Reader, stationId: string): AfterLoad {
  const station = reader.get('station', stationId);
  const profile = station?.profile ? reader.get('profile', station.profile) : undefined;
  if (profile?.afterLoad) return profile.afterLoad.does;
  return WAIT.some((role) => station?.roles.includes(role)) ? 'waits to be started' : 'starts by itself';
}
