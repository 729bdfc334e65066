import { readable } from '../model/as-typed.js';
import { IN_TAG, type Claim } from '../model/claim.js';
import type { Reader } from '../model/project.js';
import { elementBits } from '../place/tag-memory.js';

/** A claim that was bound to a whole tag: what of name, type and length was not said follows from the tag. */
export function withTag(reader: Reader, claim: Claim): Claim {
  const place = readable(claim.place);
  const tag =
    place?.view === IN_TAG && place.number === 0 && place.bit === undefined ? reader.get('tag', place.area) : undefined;
  const type = tag && readable(tag.type);
  if (!tag || !type) return claim;
  const bits = elementBits(tag) * type.count;
  const known = type.base !== 'STRING' && type.base !== 'WSTRING' && type.base !== 'STRUCT' && bits % 8 === 0;
  const unit = bits % 16 === 0 ? 16 : 8;
  return {
    ...claim,
    name: claim.name || tag.name,
    type: claim.type ?? (Object.keys(claim.items).length === 0 ? type : null),
    length: claim.length ?? (known ? { count: bits / unit, unit } : null),
  };
}
