import { formatAddress, spanAddresses } from '../place/format-address.js';
import { placeText } from '../place/place-text.js';
import { memoriesOf, memoryOf, type Memory } from '../place/memory.js';
import { parseAddress } from '../place/parse-address.js';
import type { Span } from '../place/resolve.js';
import { put, set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { readable } from '../model/as-typed.js';
import type { Claim, Place } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Direction } from '../model/words.js';
import { nextFree } from '../lane/occupancy.js';
import { isOwnIo } from '../lane/own-io.js';
import { namesOtherPlace } from './sheet.js';
import { blockOf } from '../lane/side.js';
import { readToldPlace } from '../lane/told-place.js';
import { usesBeside } from '../lane/uses-beside.js';

/** What mirroring would make. */
export interface Mirrored {
  changes: Change[];
  /** lanes that the other end gets, with the address there; `told`: the first end named it, else it is the next free */
  rows: { name: string; direction: Direction; address: string; told: boolean }[];
  /** lanes that both ends have: they stay as they are */
  known: number;
  /** lanes that cannot be mirrored, with the reason */
  left: { name: string; reason: string }[];
}

const TURNED: Record<Direction, Direction> = { writes: 'reads', reads: 'writes', both: 'both' };

/**
 * The lanes that one end has filled in and the other has not, made for the other: the direction turned; name, length, type
 * and values the same; the place that the first end was told, or else the next that is free. What either end has typed
 * stays. Where an end has to name the other's place and nothing is typed there, it is filled in, too.
 */
export function mirrorLanes(reader: Reader, exchange: Exchange, from: End, to: End, newId: () => string): Mirrored {
  const made: Mirrored = { changes: [], rows: [], known: 0, left: [] };
  const free = new FreePlaces(reader, to);
  for (const lane of childrenOf(reader, 'lane', exchange.id)) {
    const claims = childrenOf(reader, 'claim', lane.id);
    const claim = claims.find((c) => c.end === from.id);
    if (!claim) continue;
    if (claims.some((c) => c.end === to.id)) {
      made.known++;
      continue;
    }
    const name = claim.name || 'lane without a name';
    const direction = readable(claim.direction);
    const length = readable(claim.length);
    if (!direction || !length) {
      made.left.push({ name, reason: `whether it writes or reads, or how long it is, is not filled in` });
      continue;
    }
    const told = claim.toldPlace?.trim() ?? '';
    const read = told === '' ? null : readToldPlace(reader, told, to.station, undefined);
    if (read && !read.ok) {
      made.left.push({ name, reason: `its address there, “${told}”, cannot be read: ${read.expected}` });
      continue;
    }
    const { layout: _own, toldStation: _asked, ...rest } = claim;
    const mirrored: Claim = {
      ...rest,
      id: newId(),
      end: to.id,
      direction: TURNED[direction],
      place: read?.value ?? null,
      swap: null,
      toldPlace: null,
    };
    if (!mirrored.place) mirrored.place = free.take(mirrored, exchange);
    const place = readable(mirrored.place);
    const memory = place && memoryOf(reader, place.area);
    if (!place || !memory) {
      made.left.push({ name, reason: 'the other station has no area with a notation that has room for it' });
      continue;
    }
    const address = formatAddress(memory, place);
    if (namesOtherPlace(exchange, to)) mirrored.toldPlace = addressOf(reader, claim);
    made.changes.push(put('claim', mirrored));
    if (namesOtherPlace(exchange, from) && told === '') made.changes.push(set('claim', claim, ['toldPlace'], address));
    made.rows.push({ name: claim.name, direction: TURNED[direction], address, told: read !== null });
  }
  return made;
}

function addressOf(reader: Reader, claim: Claim): string | null {
  const place = readable(claim.place);
  const memory = place && memoryOf(reader, place.area);
  return memory ? placeText(reader, place) : null;
}

/** Room at one end, one lane after the other. */
class FreePlaces {
  private readonly taken = new Map<string, Span[]>();

  constructor(
    private readonly reader: Reader,
    private readonly end: End,
  ) {}

  take(claim: Claim, exchange: Exchange): Place | null {
    const memory = this.memoryFor(claim, exchange);
    if (!memory) return null;
    const taken =
      this.taken.get(memory.area.id) ?? usesBeside(this.reader, memory.area.id, new Set()).flatMap((u) => u.spans);
    const start = nextFree(memory.area, taken);
    if (start === null) return null;
    const { first } = spanAddresses(memory, { start, end: start + memory.wordBits });
    const read = parseAddress(first, [memory]);
    if (!read.ok) return null;
    const block = blockOf(this.reader, { ...claim, place: read.value }, this.end, exchange);
    const last = block?.spans.at(-1)?.end;
    if (!block || last === undefined || last > memory.bits) return null;
    this.taken.set(memory.area.id, [...taken, ...block.spans]);
    return read.value;
  }

  /**
   * The area of the end's first lane in the same direction, else of its first lane, else its first memory. Where the
   * exchange is the station's own I/O, an image of that direction comes first: what arrives is an input.
   */
  private memoryFor(claim: Claim, exchange: Exchange): Memory | null {
    const all = memoriesOf(this.reader, this.end.station).filter((m) => m.views.length > 0);
    const image = claim.direction === 'writes' ? 'output image' : 'input image';
    const suits = (m: Memory | undefined): m is Memory =>
      m !== undefined && (!isOwnIo(exchange) || m.area.kind === image || !m.area.kind.endsWith('image'));
    const used = this.areasInUse(claim).map((id) => all.find((m) => m.area.id === id));
    const first = isOwnIo(exchange) ? all.find((m) => m.area.kind === image) : undefined;
    const memory = all.find((m) => m.area.kind === 'memory');
    return used.find(suits) ?? first ?? memory ?? all.find((m) => suits(m)) ?? null;
  }

  private areasInUse({ direction }: Claim): string[] {
    const claims = childrenOf(this.reader, 'lane', this.end.exchange).flatMap(
      (lane) => childrenOf(this.reader, 'claim', lane.id).find((c) => c.end === this.end.id) ?? [],
    );
    const alike = claims.filter((c) => c.direction === direction);
    return [...alike, ...claims].flatMap((c) => readable(c.place)?.area ?? []);
  }
}
