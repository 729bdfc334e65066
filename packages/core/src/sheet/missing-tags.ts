import type { Change } from '../change/change.js';
import { put } from '../change/make.js';
import { elementary, parseType } from '../data/types.js';
import type { TypeRef } from '../model/claim.js';
import type { End } from '../model/end.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { ElementBits } from '../model/words.js';
import { readingsOf } from './first-areas.js';
import type { Understood } from './paste-columns.js';

/** `Command`, `Command[3]`, `Command[3].19`, `Command.19` */
const NAMED = /^([A-Za-z_]\w*)(?:\[(\d{1,6})\])?(?:\.(\d{1,2}))?$/;

/** What the elements of a connection are taken for where only a bit of one is named. */
const ELEMENTS: Record<ElementBits, string> = { 8: 'SINT', 16: 'INT', 32: 'DINT' };

/**
 * Whether the names that are pasted there make its tags: where it has no addresses at all, and no list that was brought in,
 * so that a name that is not in it cannot be a slip.
 */
export const namesMakeTags = (reader: Reader, station: string): boolean =>
  childrenOf(reader, 'area', station).length === 0 && childrenOf(reader, 'tag', station).every((tag) => !tag.import);

/**
 * The tags that the rows of a block name at such an end, as places or else by the names of the rows, and that it does not have yet, each as long as the furthest element
 * that is named. The type is that of the row; where only bits are named, the elements of the connection, or none is made.
 */
export function missingTags(reader: Reader, end: End, { columns, rows }: Understood, newId: () => string): Change[] {
  if (!namesMakeTags(reader, end.station)) return [];
  const [at, typed] = [placeColumn(columns), columns.indexOf('type')];
  const untyped = reader.get('station', end.station)?.profile === null;
  const known = childrenOf(reader, 'tag', end.station);
  const has = new Set(known.map(({ name }) => name.toLowerCase()));
  const wanted = new Map<string, { name: string; type: TypeRef | null }>();
  for (const row of rows) {
    const [, name, element, bit] = NAMED.exec((row[at] ?? '').trim()) ?? [];
    // At a station of no type what some type writes as an address may be one.
    const open = untyped && readingsOf(row[at] ?? '').length > 0;
    if (name === undefined || open || has.has(name.toLowerCase())) continue;
    const read = parseType(row[typed] ?? '');
    const said = bit === undefined && read.ok ? read.value : ofElements(end);
    const before = wanted.get(name.toLowerCase())?.type ?? null;
    wanted.set(name.toLowerCase(), { name, type: said && longer(before ?? said, Number(element ?? 0), said) });
  }
  let order = orderAfter(known);
  return [...wanted.values()].flatMap(({ name, type }) => {
    if (!type) return [];
    const tag = { id: newId(), order, station: end.station, name, type, place: null };
    order += 10;
    return [put('tag', tag)];
  });
}

/** The column of the places; where there is none, the names are those of tags. */
const placeColumn = (columns: Understood['columns']): number =>
  columns.indexOf(columns.includes('address') ? 'address' : 'name');

const ofElements = ({ elementBits }: End): TypeRef | null =>
  elementBits ? { base: ELEMENTS[elementBits], count: 1 } : null;

/** So long that what is named fits in. */
const longer = (type: TypeRef, element: number, named: TypeRef): TypeRef =>
  elementary(type.base) ? { ...type, count: Math.max(type.count, element + named.count) } : type;
