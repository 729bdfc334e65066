import { sizeInRow } from '../data/layout.js';
import { lengthUnit } from '../lane/length-unit.js';
import { blockOf } from '../lane/side.js';
import { readable } from '../model/as-typed.js';
import type { Claim } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Reader } from '../model/project.js';
import { memoryOf, viewOf } from '../place/memory.js';

/** A claim of a place and a type that says no length has that of its type: one REAL is two words. */
export function withLengthOfType(reader: Reader, end: End, claim: Claim): Claim {
  const [place, type] = [readable(claim.place), readable(claim.type)];
  const exchange = reader.get('exchange', end.exchange);
  const memory = place && memoryOf(reader, place.area);
  if (claim.length !== null || !place || !type || !memory || !exchange) return claim;
  if (type.base === 'BOOL') {
    // Single bits; how many bits a BOOL takes of a word is another question.
    const single = place.bit !== undefined || viewOf(memory, place.view)?.unit === 1;
    return single ? { ...claim, length: { count: type.count, unit: 1 } } : claim;
  }
  const unit = lengthUnit(reader, claim);
  const block = blockOf(reader, { ...claim, length: { count: 1, unit } }, end, exchange);
  const bits = block ? sizeInRow(type, block.chain.frame) : 0;
  return bits === 0 ? claim : { ...claim, length: { count: Math.ceil(bits / unit), unit } };
}
