import { shownWord } from '../text/shown-word.js';
import { TRAFFICS, type Traffic } from '../model/words.js';
import type { Cell } from '../finding/finding.js';

/** Something that must be true for a hop, and what is so; null: it is not known yet. */
export interface Condition {
  holds: boolean | null;
  /** `its port is enabled` */
  must: string;
  /** the same in few words, where several of a hop say it together: `ports enabled`; else as a sentence */
  short?: string;
  /** what is found where it does not hold */
  found: string;
  /** the rule that it falls under */
  code: string;
  cell: Cell | null;
}

/** One step of a route: over a network, through a backplane, or from one program to another on one computer. */
export interface RouteHop {
  kind: 'network' | 'backplane' | 'same computer';
  /** the station where it begins and the one where it ends */
  from: string;
  to: string;
  fromPort: string | null;
  toPort: string | null;
  network: string | null;
  /** by what it leaves, as a number of a port (a backplane is 1) and as a name */
  way: { number: number; name: string };
  /** the address there: IP, node, unit, or the slot; empty: not set yet */
  address: string;
  /** the kinds of traffic that get over it and are handed on at its end */
  lets: readonly Traffic[];
  /** IP routers do it by themselves: it is not written in the text */
  silent: boolean;
  conditions: readonly Condition[];
}

/** `all`, `all but firmware` or `requests`: what gets over a hop, as short as can be. */
export function letsText({ lets }: Pick<RouteHop, 'lets'>): string {
  const left = TRAFFICS.filter((traffic) => !lets.includes(traffic));
  if (left.length === 0) return 'all';
  if (lets.length === 0) return 'nothing';
  return left.length <= 2 ? `all but ${left.map(shownWord).join(' and ')}` : lets.map(shownWord).join(', ');
}

/** What is wrong on a hop, first what is wrong for certain. */
export const failures = (hop: RouteHop): Condition[] => hop.conditions.filter(({ holds }) => holds === false);
