import { laneName } from '../lane/compare.js';
import type { Verdict } from '../lane/compare.js';
import type { Project } from '../model/project.js';
import { arrivingOf } from '../rehearse/arriving.js';
import { sentenceOf, walkLane } from '../rehearse/walk-lane.js';
import type { Cause } from './explain-seen.js';

/** A value of this project that would come out just so, and what a walk says of it. */
export interface PlaceOfCause {
  exchange: string;
  lane: string;
  /** `Set-points of Compressor duty` */
  name: string;
  sentence: string;
}

const MOST = 12;

/** Where in this project a value comes out for this cause: looked for by walking the lanes that do not agree. */
export function placesOfCause(
  project: Project,
  cause: Cause,
  verdicts: ReadonlyMap<string, { verdict: Verdict }>,
): PlaceOfCause[] {
  const found: PlaceOfCause[] = [];
  for (const [id, { verdict }] of verdicts) {
    if (verdict !== 'differs' || found.length >= MOST) continue;
    const lane = project.get('lane', id);
    const exchange = lane && project.get('exchange', lane.exchange);
    if (!lane || !exchange) continue;
    const values = walkLane(project, exchange, lane).paths.flatMap((path) => path.values);
    const hit = values.find(({ came, why }) => came !== 'arrived' && causeOf(why) === cause);
    if (hit)
      found.push({
        exchange: exchange.id,
        lane: id,
        name: `${laneName(project, lane)} of ${exchange.name}`,
        sentence: sentenceOf(hit),
      });
  }
  return found;
}

function causeOf(why: string): Cause | null {
  const arriving = arrivingOf(why);
  if (arriving) return arriving;
  return / is taken as /.test(why) ? 'type' : null;
}
