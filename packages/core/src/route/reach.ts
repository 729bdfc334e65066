import type { Expectation } from '../model/expectation.js';
import type { Reader } from '../model/project.js';
import { findRoutes, type FoundRoute } from './find-routes.js';

/** Whether one station reaches another with a kind of traffic, through what, or what stops it. */
export interface Reach {
  reaches: boolean;
  way: FoundRoute | null;
  why: string;
}

export function reachOf(reader: Reader, { from, to, traffic }: Pick<Expectation, 'from' | 'to' | 'traffic'>): Reach {
  const { found, nearest, why } = findRoutes(reader, { from, to, traffic, port: null }, 1);
  return found[0] ? { reaches: true, way: found[0], why: '' } : { reaches: false, way: nearest, why };
}

/**
 * Whether an expectation holds, in words: through what it is reached, or what stops it; and the same for the other way round,
 * which the expectation does not ask for.
 */
export function expectationHolds(reader: Reader, expected: Expectation): { holds: boolean; why: string; back: string } {
  const { from, to, traffic, must } = expected;
  const [there, back] = [reachOf(reader, expected), reachOf(reader, { from: to, to: from, traffic })];
  return {
    holds: there.reaches === (must === 'must reach'),
    why: inWords(reader, there),
    back: back.reaches ? `yes, ${inWords(reader, back)}` : `no: ${back.why}`,
  };
}

const inWords = (reader: Reader, reach: Reach): string =>
  reach.reaches ? throughWords(reader, reach.way!) : reach.why;

/** `over Plant LAN, through BusBridge, over Defrost bus` */
export function throughWords(reader: Reader, { hops }: FoundRoute): string {
  return hops
    .flatMap((hop, i) => {
      if (hop.kind === 'same computer') return ['on one computer'];
      if (hop.kind === 'backplane') return [];
      const before =
        i > 0 && hop.from !== hops[0]!.from ? [`through ${reader.get('station', hop.from)?.name ?? ''}`] : [];
      return [...before, `over ${reader.get('network', hop.network ?? '')?.name ?? ''}`];
    })
    .join(', ');
}
