import { characterBits } from '../data/layout.js';
import { elementary, formatType } from '../data/types.js';
import { readable } from '../model/as-typed.js';
import type { TypeRef } from '../model/claim.js';
import { valueAt, type Block } from './block.js';
import type { Party } from './party.js';

/** A value as one end keeps it: its bits in the area, element by element, the least significant first. */
export interface OwnValue {
  key: string;
  name: string;
  type: TypeRef;
  bits: Int32Array;
  /** of a text: what stands before its characters, and how many bits each takes */
  text: string;
  /** the type that its own list has there, where it is another */
  listed?: TypeRef | null;
}

export const textHeader = (type: TypeRef, { frame: { layout } }: Block): string =>
  elementary(type.base)?.family === 'text' ? `${layout.stringHeader}, ${characterBits(type, layout)}` : '';

/** What one end knows of a lane, by key; a claim without values is one under the empty key. A text says what is missing. */
export function ownValues({ claim, block, station, listed }: Party): OwnValue[] | string {
  const items = Object.entries(claim.items);
  if (items.length === 0) {
    const type = readable(claim.type);
    if (!type || !elementary(type.base)) return `${station.name} does not say of which type it is`;
    return [
      { key: '', name: claim.name, type, bits: valueAt(block, type, null), text: textHeader(type, block), listed },
    ];
  }
  const values: OwnValue[] = [];
  for (const [key, item] of items) {
    const [type, offset] = [readable(item.type), readable(item.offset)];
    if (!type || !offset || !elementary(type.base)) return `${station.name} does not say where or what ${item.name} is`;
    values.push({ key, name: item.name, type, bits: valueAt(block, type, offset), text: textHeader(type, block) });
  }
  return values;
}

/** One value as its source and its sink have it. */
export interface ValuePair {
  key: string;
  source: OwnValue;
  sink: OwnValue;
}

/** What has no partner at the other end. */
export interface Left {
  key: string;
  name: string;
  at: 'source' | 'sink';
}

/** The values of two ends, paired by key; where one has a block of one type, by where its elements lie at the other. */
export function pairsOf(source: Party, sink: Party): { pairs: ValuePair[]; left: Left[] } | string {
  const [ours, theirs] = [ownValues(source), ownValues(sink)];
  if (typeof ours === 'string') return ours;
  if (typeof theirs === 'string') return theirs;
  const [isBlock, areBlocks] = [ours[0]?.key === '', theirs[0]?.key === ''];
  if (isBlock === areBlocks) return byKey(ours, theirs);
  const [block, items, at] = isBlock ? [ours[0]!, theirs, sink] : [theirs[0]!, ours, source];
  const parts = againstBlock(block, items, at);
  const pairs = parts.flatMap(({ item, part }): ValuePair[] =>
    part ? [{ key: item.key, source: isBlock ? part : item, sink: isBlock ? item : part }] : [],
  );
  const without = parts.filter(({ part }) => !part);
  const taken = new Set(parts.flatMap(({ part }) => (part ? Array.from(part.bits) : [])));
  const spare = elementary(block.type.base)?.family === 'bit string' && taken.size > 0;
  const unnamed = !spare && block.bits.some((bit) => !taken.has(bit));
  const left: Left[] = without.map(({ item: { key, name } }) => ({ key, name, at: isBlock ? 'sink' : 'source' }));
  if (unnamed) left.push({ key: '', name: block.name, at: isBlock ? 'source' : 'sink' });
  return { pairs, left };
}

function byKey(ours: readonly OwnValue[], theirs: readonly OwnValue[]) {
  const there = new Map(theirs.map((value) => [value.key, value]));
  const here = new Set(ours.map(({ key }) => key));
  const pairs = ours.flatMap((source): ValuePair[] => {
    const sink = there.get(source.key);
    return sink ? [{ key: source.key, source, sink }] : [];
  });
  const left: Left[] = [
    ...ours.filter(({ key }) => !there.has(key)).map(({ key, name }) => ({ key, name, at: 'source' as const })),
    ...theirs.filter(({ key }) => !here.has(key)).map(({ key, name }) => ({ key, name, at: 'sink' as const })),
  ];
  return { pairs, left };
}

/** Which elements of a block each value of the other end is: those that lie there by that end’s own rule. */
function againstBlock(block: OwnValue, items: readonly OwnValue[], at: Party) {
  const laid = valueAt(at.block, block.type, null);
  const index = new Map(Array.from(laid, (bit, i) => [bit, i]));
  const whole = laid.length / block.type.count;
  return items.map((item) => {
    const first = index.get(item.bits[0] ?? -1);
    if (first === undefined) return { item, part: null };
    const single = item.type.base === 'BOOL' && elementary(block.type.base)?.family === 'bit string';
    if (single) {
      const found = Array.from(item.bits, (bit) => index.get(bit));
      if (found.some((i) => i === undefined)) return { item, part: null };
      return { item, part: { ...block, type: item.type, bits: Int32Array.from(found, (i) => block.bits[i!]!) } };
    }
    const element = first / whole;
    const count = item.type.count;
    if (!Number.isInteger(element) || element + count > block.type.count) return { item, part: null };
    const bits = block.bits.slice(element * whole, (element + count) * whole);
    return { item, part: { ...block, type: { ...block.type, count }, bits } };
  });
}

/** Why two cannot be one value, by what each end says of it and by what its own list has there; null: they can. */
export const apart = (a: OwnValue, b: OwnValue): string | null =>
  typesApart(a.type, b.type) ?? (a.listed || b.listed ? typesApart(a.listed ?? a.type, b.listed ?? b.type) : null);

/** Why two types cannot be one value, as a person would say it; null: they can. */
export function typesApart(a: TypeRef, b: TypeRef): string | null {
  const [here, there] = [elementary(a.base)!, elementary(b.base)!];
  const reals = (here.family === 'real') !== (there.family === 'real');
  const texts = (here.family === 'text') !== (there.family === 'text') || (here.family === 'text' && a.base !== b.base);
  if (here.bits !== there.bits || texts || reals) return `${formatType(a)} is taken as ${formatType(b)}`;
  if (a.count !== b.count) return `${a.count} elements are sent, ${b.count} are taken`;
  return null;
}
