import { elementary } from '../data/types.js';
import { readable } from '../model/as-typed.js';
import type { Exchange } from '../model/exchange.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { LaneWalk, ValueWalk } from '../rehearse/walk-lane.js';

/** What the hop that stops everything says, and what a person then sees; the first that fits. */
const STOPPED: readonly (readonly [RegExp, string])[] = [
  [/each calls|each waits|neither .* calls/, 'never-connected'],
  [/nobody takes it|nobody sends it/, 'nothing-moves'],
  [/rotary switch|module assignment|the assignment of/, 'one-module'],
  [/not open|only to be read|cannot be set|only read|lets nobody in/, 'write-ignored'],
  [/slot \d+|sends .* takes |connection|instance|memory of .* ends/, 'never-connected'],
  [/says no place|illegal data address|no place “|not what is meant|looks elsewhere/, 'nothing-moves'],
];

/** What a person would see on site of a lane whose walk failed, as the id of a symptom; null: it did not fail, or shows nothing. */
export function symptomOfWalk(project: Project, walk: LaneWalk): string | null {
  if (walk.result !== 'failed') return null;
  const lane = project.get('lane', walk.lane);
  const exchange = lane && project.get('exchange', lane.exchange);
  if (!exchange) return null;
  const stopped = walk.paths.find((path) => path.stopped !== null)?.stopped;
  if (stopped) return ofStop(exchange, stopped);
  const values = walk.paths.flatMap((path) => path.values).filter(({ came }) => came !== 'arrived');
  const [value] = values;
  if (value) return ofValue(value, isText(project, walk, value));
  return exchange.transfer === 'cyclic blocks' ? 'never-connected' : 'wrong-place';
}

function ofStop({ kind, transfer }: Exchange, stopped: string): string {
  const found = STOPPED.find(([words]) => words.test(stopped))?.[1];
  if (kind === 'tag map' && found !== 'write-ignored' && /“|name|tag/.test(stopped)) return 'points-unbound';
  if (found === 'never-connected' && transfer === 'requests' && /sends .* takes /.test(stopped)) return 'wrong-place';
  return found ?? 'cannot-reach';
}

function ofValue({ came, why }: ValueWalk, text: boolean): string {
  if (text) return 'letters';
  if (came === 'nothing') return 'nothing-moves';
  if (/exchanged|reverse order|is taken as/.test(why)) return 'factor';
  return 'wrong-place';
}

function isText(project: Project, { lane }: LaneWalk, { key }: ValueWalk): boolean {
  return childrenOf(project, 'claim', lane).some((claim) => {
    const type = readable(key === '' ? claim.type : (claim.items[key]?.type ?? null));
    return type !== null && elementary(type.base)?.family === 'text';
  });
}
