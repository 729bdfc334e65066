import { readable } from '../model/as-typed.js';
import { IN_TAG } from '../model/claim.js';
import type { Reader } from '../model/project.js';
import type { Tag } from '../model/tag.js';
import { tagsAt } from '../place/tag-at.js';
import { compareValue, valuesOf, type ItemComparison } from './compare-items.js';
import type { Difference } from './difference.js';
import type { Side } from './side.js';

/**
 * Where the end that is asked has a tag of another type in its own list at that very place than both ends say here: what
 * arrives is the tag. Only what keeps the value from arriving; a list that is merely out of date is DOC 7.
 */
export function listedDifferences(reader: Reader, source: Side, sink: Side): Difference[] {
  return [source, sink].flatMap((side) => {
    const type = side.end.calling === 'calls' ? null : otherTypeListed(reader, side);
    const [a, b] = [source, sink].map((s) => valuesOf(s)?.get(''));
    if (!type || !a || !b) return [];
    const bits = { ...(side === source ? a : b), type };
    const result: ItemComparison = { differences: [], unknown: null };
    compareValue(source, sink, side === source ? bits : a, side === sink ? bits : b, result);
    return result.differences.filter(
      (d) => d.code === 'TYP 1' || d.code === 'TYP 10' || (d.code === 'TYP 2' && d.blocks),
    );
  });
}

function otherTypeListed(reader: Reader, { claim, block }: Side) {
  const own = readable(claim.type);
  const place = readable(claim.place);
  if (!own || !place || !block || block.single || own.base === 'BOOL' || Object.keys(claim.items).length > 0)
    return null;
  const tag: Tag | undefined =
    place.view === IN_TAG ? reader.get('tag', place.area) : tagsAt(reader, block.memory, block.located)[0];
  const listed = tag && readable(tag.type);
  return listed && listed.base !== own.base ? { ...listed, count: Math.min(listed.count, own.count) } : null;
}
