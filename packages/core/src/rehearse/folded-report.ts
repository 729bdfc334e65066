import type { Project } from '../model/project.js';
import { sentenceOf, type LaneWalk } from './walk-lane.js';

/** Lanes of one exchange of which the same is to be said. */
export interface FoldedLanes {
  exchange: string;
  /** of the exchange */
  name: string;
  /** their ids and names, the first of them first */
  lanes: { id: string; name: string }[];
  /** they failed, or could not be walked */
  failed: boolean;
  words: string[];
}

/** Everything that a walk of a lane says of what came otherwise, each once. */
export function walkWords({ why, paths }: LaneWalk): string[] {
  const words = paths.flatMap(({ source, sink, stopped, values, beside }) => {
    // What stands behind a hop that stops everything shows only once that is mended.
    const then = stopped ? 'once it gets through, ' : '';
    const wrong = values.filter(({ came }) => came !== 'arrived');
    return [
      ...(stopped ? [stopped] : []),
      ...wrong.map((value) => `${then}${source} → ${sink}: ${sentenceOf(value)}`),
      ...beside.map((one) => `${then}${one}`),
    ];
  });
  return words.length > 0 ? [...new Set(words)] : why ? [why] : [];
}

/** What did not come through, in order; lanes of an exchange that failed alike are one entry. */
export function foldedReport(
  walks: readonly LaneWalk[],
  project: Project,
  nameOf: (lane: string) => string,
): FoldedLanes[] {
  const groups = new Map<string, FoldedLanes>();
  for (const walk of walks) {
    const lane = walk.result === 'passed' ? undefined : project.get('lane', walk.lane);
    if (!lane) continue;
    const words = walkWords(walk);
    const key = JSON.stringify([lane.exchange, walk.result, words]);
    const name = project.get('exchange', lane.exchange)?.name ?? '';
    const group = groups.get(key) ?? {
      exchange: lane.exchange,
      name,
      lanes: [],
      failed: walk.result === 'failed',
      words,
    };
    group.lanes.push({ id: lane.id, name: nameOf(lane.id) });
    groups.set(key, group);
  }
  return [...groups.values()];
}
