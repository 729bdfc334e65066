import type { HopOrder } from '../model/words.js';
import type { RouteForm } from './route-text.js';

/**
 * How a station writes routes, read off the sample route: over Plant LAN (port 2) to 10.0.0.1, then through the rack (port 1)
 * to slot 0, as in `Plant LAN > 10.0.0.1 / rack > 0` or `"2,10.0.0.1,1,0"`. Null where it is not that route. The inverse of
 * `routeSample`.
 */
export function readRouteForm(sample: string): RouteForm | null {
  const text = sample.trim();
  const quote = QUOTES.find((q) => text.length > 2 && text.startsWith(q) && text.endsWith(q)) ?? '';
  const bare = quote === '' ? text : text.slice(1, -1);
  for (const named of [true, false]) {
    for (const firstPort of [true, false]) {
      for (const hopOrder of ['way first', 'address first'] as HopOrder[]) {
        const [, ...marks] = pattern(named, firstPort, hopOrder).exec(bare) ?? [];
        const [separator, joint] = firstPort ? [marks[1], marks[0]] : [marks[0], marks[1]];
        const same = !firstPort || marks[2] === joint;
        if (separator && joint && same) return { separator, joint, hopOrder, named, firstPort, quote };
      }
    }
  }
  return null;
}

const QUOTES = ['"', "'", '`'];
/** What may stand between the parts: a few characters that are no part of a name or an address. */
const MARK = String.raw`([^\p{L}\p{N}.]{1,10})`;

function pattern(named: boolean, firstPort: boolean, hopOrder: HopOrder): RegExp {
  const [lan, rack] = named ? ['Plant LAN', 'rack'] : ['2', '1'];
  const hop = (way: string, address: string) => (hopOrder === 'way first' ? [way, address] : [address, way]).join(MARK);
  const address = String.raw`10\.0\.0\.1`;
  const first = firstPort ? hop(lan!, address) : address;
  return new RegExp(`^${first}${MARK}${hop(rack!, '0')}$`, 'u');
}
