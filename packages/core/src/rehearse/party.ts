import { readable } from '../model/as-typed.js';
import { IN_TAG, type Claim, type TypeRef } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import type { Direction, Swap } from '../model/words.js';
import { lengthBits } from '../place/length.js';
import { memoryOf } from '../place/memory.js';
import { tagsAt } from '../place/tag-at.js';
import { placeOf } from '../place/tag-place.js';
import { protocolOf } from '../protocol/catalogue.js';
import { blockAt, type Block } from './block.js';
import { blockBySetting } from './by-setting.js';

/** One end as it takes part in a lane: by its own claim, and by nothing that another end says. */
export interface Party {
  claim: Claim;
  end: End;
  station: Station;
  /** where its page says that the data is */
  block: Block;
  /** what it really moves: by its settings, where the lane follows from some; else the same */
  moved: Block;
  /** why its settings move nothing; null: they do */
  idle: string | null;
  direction: Direction;
  swap: Swap;
  /** of who is asked: the type that its own list has at that very place, where it is another than it says here */
  listed: TypeRef | null;
}

/** Why a claim cannot be acted on: what of it is missing or cannot be read; null: it can. */
function lacking(claim: Claim): string | null {
  const parts = [
    ['direction', readable(claim.direction)],
    ['place', readable(claim.place)],
    ['length', readable(claim.length)],
  ] as const;
  const none = parts.filter(([, value]) => value === null).map(([name]) => name);
  return none.length > 0 ? `no ${none.join(' and no ')}` : null;
}

/** Every end that speaks of a lane, or why it cannot be rehearsed yet. */
export function partiesOf(reader: Reader, exchange: Exchange, lane: Lane): Party[] | string {
  const claims = new Map(childrenOf(reader, 'claim', lane.id).map((claim) => [claim.end, claim]));
  const parties: Party[] = [];
  for (const end of childrenOf(reader, 'end', exchange.id)) {
    const claim = claims.get(end.id);
    const station = reader.get('station', end.station);
    if (!claim || !station) continue;
    const missing = lacking(claim);
    if (missing) return `${station.name} says ${missing}`;
    const block = ownBlock(reader, exchange, claim);
    if (!block) return `${station.name} has no such place`;
    const set = blockBySetting(reader, exchange, lane.madeBy, end, claim);
    parties.push({
      claim,
      end,
      station,
      block,
      moved: typeof set === 'string' ? block : (set ?? block),
      idle: typeof set === 'string' ? set : null,
      direction: readable(claim.direction)!,
      swap: claim.swap ?? end.swap,
      listed: exchange.kind === 'tag map' && end.calling !== 'calls' ? listedType(reader, claim, block) : null,
    });
  }
  return parties.length > 1 ? parties : 'only one end speaks of it';
}

function ownBlock(reader: Reader, exchange: Exchange, claim: Claim): Block | null {
  const place = placeOf(reader, claim);
  const memory = place && memoryOf(reader, place.area);
  const length = readable(claim.length);
  if (!place || !memory || !length) return null;
  return blockAt({
    memory,
    place,
    bits: lengthBits(length),
    header: claim.header ?? 0,
    layout: claim.layout ?? null,
    usual: protocolOf(exchange).carries(exchange.transfer),
    inBits: length.unit === 1,
  });
}

function listedType(reader: Reader, claim: Claim, block: Block): TypeRef | null {
  const [own, place] = [readable(claim.type), readable(claim.place)];
  if (!own || !place || block.single || own.base === 'BOOL' || Object.keys(claim.items).length > 0) return null;
  const tag = place.view === IN_TAG ? reader.get('tag', place.area) : tagsAt(reader, block.memory, block.located)[0];
  const listed = tag && readable(tag.type);
  return listed && listed.base !== own.base ? { ...listed, count: Math.min(listed.count, own.count) } : null;
}
