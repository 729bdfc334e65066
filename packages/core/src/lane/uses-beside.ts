import type { Span } from '../place/resolve.js';
import type { Reader } from '../model/project.js';
import { claimsIn } from './claims-in.js';
import { blockOf } from './side.js';

/** What claims use of an area, but for those that are left out; each under its own name or that of its exchange. */
export function usesBeside(
  reader: Reader,
  area: string,
  but: ReadonlySet<string>,
): { name: string; spans: readonly Span[] }[] {
  return claimsIn(reader, area).flatMap((claim) => {
    const end = reader.get('end', claim.end);
    const exchange = end && reader.get('exchange', end.exchange);
    const block = end && exchange && !but.has(claim.id) ? blockOf(reader, claim, end, exchange) : null;
    return block ? [{ name: claim.name || exchange!.name, spans: block.spans }] : [];
  });
}
