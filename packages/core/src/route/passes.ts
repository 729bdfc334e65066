import { shownWord } from '../text/shown-word.js';
import type { Exchange } from '../model/exchange.js';
import { type Traffic, TRAFFICS, type Forward } from '../model/words.js';
import { compareVersions } from '../rack/revisions.js';
import { entriesInOrder } from '../model/order.js';
import type { Network } from '../model/network.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';

/** Whether a station passes a kind of traffic from one of its networks to another, and why; null: it is not known. */
export interface Passing {
  passes: boolean | null;
  why: string;
  /** the oldest firmware that does so and the one that is there, where it is too old */
  older?: { least: string; found: string };
}

/** What an engineer's tool does, as opposed to what programs exchange. */
export const isService = (traffic: Traffic): traffic is Exclude<Traffic, 'cyclic data' | 'requests'> =>
  traffic !== 'cyclic data' && traffic !== 'requests';

/** Which of the things that a station forwards carries this traffic on to such a network. */
function carrier(traffic: Traffic, to: Network, from: Network): readonly Forward[] {
  const packets: Forward[] = from.kind === 'ethernet' && to.kind === 'ethernet' ? ['IP packets'] : [];
  if (isService(traffic)) return ['service access', traffic, ...packets];
  if (traffic === 'cyclic data') return packets;
  const byNumber: Forward[] = to.kind === 'serial line' ? ['requests by unit', 'requests by telemetry address'] : [];
  return ['requests', ...byNumber, ...packets];
}

/** The kinds of traffic that get over a hop: the port at its end takes them, and the station there hands them on. */
export function letThrough(
  reader: Reader,
  to: Port,
  on: { station: Station; from: Network; to: Network } | null,
): Traffic[] {
  const taken = TRAFFICS.filter((traffic) => !to.takes || to.takes.length === 0 || to.takes.includes(traffic));
  if (!on) return taken;
  return taken.filter((traffic) => passingOf(reader, on.station, traffic, on.from, on.to).passes === true);
}

/**
 * What a station passes on, by its profile and its roles: a coupler its own data only, a memory gateway nothing (what is
 * asked of it is answered from its memory), a request router requests, a service router service traffic, an IP router all
 * that is IP.
 */
export function passingOf(reader: Reader, station: Station, traffic: Traffic, from: Network, to: Network): Passing {
  const profile = station.profile ? reader.get('profile', station.profile) : undefined;
  const forwards = Object.values(profile?.forwards ?? {});
  const wanted = carrier(traffic, to, from);
  const one = forwards.find(({ what }) => wanted.includes(what));
  if (one) {
    const [part] = entriesInOrder(station.firmware ?? {});
    const order = one.firmware && part ? compareVersions(part[1].version, one.firmware) : null;
    if (order !== null && order < 0) {
      const older = { least: one.firmware!, found: part![1].version };
      return {
        passes: false,
        why: `passes ${shownWord(traffic)} from firmware ${older.least} on; it has ${older.found}`,
        older,
      };
    }
    return { passes: true, why: `passes ${one.what}` };
  }
  if (station.roles.includes('coupler')) {
    return {
      passes: false,
      why: `is a coupler: it passes the data of its own coupler area, and no ${shownWord(traffic)}`,
    };
  }
  if (forwards.length > 0) {
    return {
      passes: false,
      why: `passes ${forwards.map(({ what }) => shownWord(what)).join(' and ')}, and no ${shownWord(traffic)}`,
    };
  }
  if (station.roles.includes('gateway')) {
    return { passes: false, why: `answers from a memory of its own, and passes no ${shownWord(traffic)}` };
  }
  if (station.roles.includes('router')) return { passes: null, why: 'is a router; what it passes is not known yet' };
  return { passes: false, why: `passes nothing on` };
}

/** What the data of an exchange travels as. */
export const trafficOf = ({ kind, transfer }: Pick<Exchange, 'kind' | 'transfer'>): Traffic =>
  kind === 'service link' ? 'looking on' : transfer === 'cyclic blocks' ? 'cyclic data' : 'requests';
