import { shownWord } from '../text/shown-word.js';
import type { Reader } from '../model/project.js';
import type { Traffic } from '../model/words.js';
import type { FoundRoute } from './find-routes.js';
import type { Condition } from './hop.js';

/** What would make the nearest thing to a way one, in words, stop by stop. */
export function wouldMakeOne(reader: Reader, { hops, failures }: FoundRoute, traffic: Traffic): string[] {
  const name = (id: string) => reader.get('station', id)?.name ?? '';
  const network = (id: string | null | undefined) => reader.get('network', id ?? '')?.name ?? '';
  return failures.map(({ hop: at, condition }) => {
    const [hop, next] = [hops[at]!, hops[at + 1]];
    if (condition.code === 'HWS 8') return `a newer firmware in ${name(hop.to)}: ${condition.found}`;
    if (isPassing(condition) && next) {
      const beside = `${name(hops[0]!.from)} attached to ${network(next.network)} itself`;
      const between = `a station that passes ${shownWord(traffic)} between ${network(hop.network)} and ${network(next.network)}`;
      return `${between}, in place of ${name(hop.to)} or beside it; or ${beside}`;
    }
    return `that ${condition.must}: ${condition.found}`;
  });
}

const isPassing = ({ code, cell }: Condition): boolean => code === 'ROU 3' && cell?.kind === 'station';
