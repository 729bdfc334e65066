import { compareLane } from '../lane/compare.js';
import { valueKey } from '../lane/difference.js';
import type { Length } from '../model/claim.js';
import type { Reader } from '../model/project.js';

/**
 * Whether something else keeps a lane from agreeing once claims of it have these lengths, which the present ones hide.
 * Then another length alone is no fix.
 */
export function bringsToLight(reader: Reader, laneId: string, lengths: ReadonlyMap<string, Length>): boolean {
  const lane = reader.get('lane', laneId);
  const exchange = lane && reader.get('exchange', lane.exchange);
  if (!lane || !exchange) return false;
  const after: Reader = {
    get: (kind, key) => {
      const entity = reader.get(kind, key);
      const length = lengths.get(key);
      return entity && length ? { ...entity, length } : entity;
    },
    referrers: (kind, key) => reader.referrers(kind, key),
  };
  const known = new Set(compareLane(reader, lane, exchange).differences.map((d) => `${d.code} ${valueKey(d)}`));
  return compareLane(after, lane, exchange).differences.some((d) => !known.has(`${d.code} ${valueKey(d)}`));
}
