import { formatAddress } from '../place/format-address.js';
import { parseAddress } from '../place/parse-address.js';
import { locate, resolve, type Span } from '../place/resolve.js';
import { memoriesOf, memoryOf, viewOf } from '../place/memory.js';
import { laneName } from '../lane/compare.js';
import type { Use } from '../lane/occupancy.js';
import { placeOf } from '../place/tag-place.js';
import { userOf } from '../lane/use-words.js';
import { blockOf, rangeOf } from '../lane/side.js';

import { readable } from '../model/as-typed.js';
import type { Claim } from '../model/claim.js';
import { entriesInOrder, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { HitInPlan } from './hit.js';

/**
 * Who uses an address: the text is read with the views of every station; where it is an address there, every claim that
 * takes or puts data at it is named, with the value that begins there, else the address itself as free.
 */
export function findAddress(project: Project, usesIn: (area: string) => readonly Use[], text: string): HitInPlan[] {
  const hits: HitInPlan[] = [];
  for (const station of inOrder(project, 'station')) {
    const place = parseAddress(text, memoriesOf(project, station.id));
    const memory = place.ok ? memoryOf(project, place.value.area) : null;
    if (!place.ok || !memory) continue;
    const view = viewOf(memory, place.value.view);
    const located = locate(memory, place.value);
    const length = place.value.bit !== undefined ? 1 : (place.value.width ?? view?.unit ?? 16);
    const spans = located && resolve(memory, place.value, length);
    if (!spans || spans.some((s) => s.end > memory.bits)) continue;
    const shown = formatAddress(memory, place.value);
    const users = usesIn(place.value.area).filter((use) => use.spans.some((s) => spans.some((t) => meet(s, t))));
    for (const use of users) {
      const hit = userHit(project, use, spans, `${station.name}, ${shown}`);
      if (hit) hits.push(hit);
    }
    if (users.length === 0) {
      const cell = { kind: 'area', id: memory.area.id, path: ['name'] } as const;
      hits.push({
        kind: 'address',
        text: shown,
        detail: `${station.name}, ${memory.area.name}: no exchange uses it`,
        cell,
      });
    }
  }
  return hits;
}

const meet = (a: Span, b: Span): boolean => a.start < b.end && b.start < a.end;

function userHit(project: Project, use: Use, spans: readonly Span[], text: string): HitInPlan | null {
  const user = userOf(project, use);
  if (user && use.of !== 'claim') {
    const detail = `${use.puts ? 'written by' : 'read by'} ${user.group}, ${user.range}`;
    return { kind: 'address', text, detail, cell: user.cell };
  }
  const claim = project.get('claim', use.id);
  const lane = claim && project.get('lane', claim.lane);
  const exchange = lane && project.get('exchange', lane.exchange);
  const end = claim && project.get('end', claim.end);
  if (!claim || !lane || !exchange || !end) return null;
  const block = blockOf(project, claim, end, exchange);
  const does = use.puts && use.takes ? 'read and set by' : use.puts ? 'written by' : 'read by';
  const key = itemAt(project, claim, lane.items, spans);
  const item = key === null ? '' : `${claim.items[key]!.name || 'a value'} of `;
  const range = block ? `, ${rangeOf(block)}` : '';
  return {
    kind: 'address',
    text,
    detail: `${does} ${exchange.name}: ${item}${claim.name || laneName(project, lane)}${range}`,
    cell: { kind: 'claim', id: claim.id, path: key === null ? ['place'] : ['items', key, 'offset'] },
  };
}

/** The value of a claim that lies at these bits. */
function itemAt(
  project: Project,
  claim: Claim,
  items: Record<string, { order: number }>,
  spans: readonly Span[],
): string | null {
  const place = placeOf(project, claim);
  const memory = place && memoryOf(project, place.area);
  const located = place && memory ? locate(memory, place) : null;
  if (!located || !memory) return null;
  let found: string | null = null;
  for (const [key] of entriesInOrder(items)) {
    const offset = readable(claim.items[key]?.offset);
    if (!offset) continue;
    const from = located.linear + (claim.header ?? 0) + offset.bits;
    const lowest = Math.min(...spans.map((s) => s.start));
    if (from - (from % memory.wordBits) + located.row.base <= lowest) found = key;
  }
  return found;
}
