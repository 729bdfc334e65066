import { readable } from '../model/as-typed.js';
import { IN_TAG, type Claim } from '../model/claim.js';
import type { Reader } from '../model/project.js';
import type { Tag } from '../model/tag.js';
import type { Openness } from '../model/words.js';

/** The tag that a claim is bound to, where it is bound by name. */
export function tagOf(reader: Reader, claim: Claim): Tag | undefined {
  const place = readable(claim.place);
  return place?.view === IN_TAG ? reader.get('tag', place.area) : undefined;
}

/** Whether what a claim offers may be used by others: its tag says so, else the claim. */
export const openOf = (reader: Reader, claim: Claim): Openness | null =>
  tagOf(reader, claim)?.open ?? claim.open ?? null;
