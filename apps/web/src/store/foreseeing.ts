import type { Change } from '@dialoga/core/change';
import { checker } from '../worker/checker';

/** What would be wrong once these changes are made, in a sentence; null: nothing that is known. */
export const foresee = (changes: readonly Change[]): Promise<string | null> => checker().foresee(changes);
