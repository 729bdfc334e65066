import { blockOf } from './side.js';
import { readable } from '../model/as-typed.js';
import type { Claim, ClaimItem, TypeRef } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { layOut, type LaidStructure } from '../structure/lay-out.js';

/** Where the members of the structure that a claim is of lie at its end. Null where it is of none, or that is not known. */
export function layoutOfClaim(reader: Reader, claim: Claim, end: End, exchange: Exchange): LaidStructure | null {
  const type = readable(claim.type);
  const structure = type?.structure ? reader.get('structure', type.structure) : undefined;
  const block = structure && blockOf(reader, claim, end, exchange);
  return structure && block ? layOut(reader, structure, block.chain.frame) : null;
}

/**
 * A claim whose values are the members of a structure, each where this end's layout puts it, and the lane with their keys.
 * Members that another end knows by the same name keep their key; what the claim called them keeps its name. Its length
 * becomes that of the structure where none was said. Null where the place is missing or the structure cannot be laid out.
 */
export function withStructure(
  reader: Reader,
  { lane, claim, end, exchange }: { lane: Lane; claim: Claim; end: End; exchange: Exchange },
  type: TypeRef,
  newId: () => string,
): { lane: Lane; claim: Claim } | null {
  const measured: Claim = { ...claim, type, length: claim.length ?? { count: 1, unit: 16 } };
  const laid = layoutOfClaim(reader, measured, end, exchange);
  if (!laid) return null;
  const keys = new Map<string, string>();
  for (const other of childrenOf(reader, 'claim', lane.id)) {
    for (const [key, item] of Object.entries(other.id === claim.id ? claim.items : other.items)) {
      keys.set(item.name.toLowerCase(), key);
    }
  }
  const laneItems = { ...lane.items };
  const items: Record<string, ClaimItem> = {};
  for (const { path, type: memberType, offset } of laid.members) {
    let key = keys.get(path.toLowerCase());
    if (key === undefined) {
      key = newId();
      laneItems[key] = { order: orderAfter(Object.values(laneItems)) };
    }
    items[key] = { ...claim.items[key], name: path, type: memberType, offset };
  }
  const unit = laid.size % 16 === 0 ? 16 : 8;
  const length = claim.length ?? { count: Math.ceil(laid.size / unit), unit };
  return { lane: { ...lane, items: laneItems }, claim: { ...measured, items, length } };
}
