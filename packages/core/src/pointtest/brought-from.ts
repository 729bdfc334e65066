import { follow } from '../follow/follow.js';
import { waysThrough } from '../follow/ways-through.js';
import type { Reader } from '../model/project.js';
import type { Party } from '../rehearse/party.js';

/** Where a value begins that is only handed on at the source of a point. */
export interface BroughtFrom {
  name: string;
  station: string;
  address: string;
}

/**
 * The sources that bring a value to the place where it is sent on: what is set in that place itself is written over with the
 * next transfer, as in the memory of a gateway. [common practice] Empty: it begins there, or both ends may change it.
 */
export function broughtFrom(reader: Reader, { claim }: Party, item: string): BroughtFrom[] {
  if (claim.direction === 'both') return [];
  const hops = follow(reader, claim.id, item === '' ? null : item, 'back');
  const firsts = waysThrough(hops).flatMap((way) => way.slice(-1));
  return [...new Map(firsts.map((hop) => [`${hop.station} ${hop.address}`, hop])).values()].map((hop) => ({
    name: hop.name,
    station: reader.get('station', hop.station)?.name ?? '',
    address: hop.address,
  }));
}
