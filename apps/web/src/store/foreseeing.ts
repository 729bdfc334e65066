import type { Change } from '@dialoga/core/change';
import { checker } from '../worker/checker';

/** ms that are spent on what somebody is still typing; where that was too short, as on a machine that is busy, once more. */
const TURNS_MS = [40, 200] as const;

/** What would be wrong once these changes are made, in a sentence; null: nothing that is known. */
export async function foresee(changes: readonly Change[]): Promise<string | null> {
  for (const most of TURNS_MS) {
    const said = await checker().foresee(changes, most);
    if (said !== undefined) return said;
  }
  return null;
}
