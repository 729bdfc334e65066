import { formatSpan } from '../../../place/format-address.js';
import { memoryOf } from '../../../place/memory.js';
import { resolve } from '../../../place/resolve.js';
import { elementary } from '../../../data/types.js';
import { unsettled } from '../../../lane/unsettled.js';
import { userOf } from '../../../lane/use-words.js';
import type { Use } from '../../../lane/occupancy.js';
import type { Area } from '../../../model/area.js';
import { readable } from '../../../model/as-typed.js';
import type { Reader } from '../../../model/project.js';
import type { Tag } from '../../../model/tag.js';
import { tagOf } from '../../../place/open-of.js';
import type { Context, Report } from '../../rule.js';

/** A number of several registers that an exchange takes, and a tag that the list has at a register inside it. */
export function* listedInside(area: Area, { reader, occupancy }: Context): Generator<Report> {
  const memory = memoryOf(reader, area.id);
  const listed = memory ? listedIn(reader, area) : [];
  if (!memory || listed.length === 0) return;
  for (const use of occupancy.inArea(area.id)) {
    const value = longNumber(reader, use, area.wordBits);
    const [span] = use.spans;
    if (!value || !span || use.spans.length > 1) continue;
    const inside = listed.find(({ start, tag }) => start > span.start && start < span.end && tag.id !== value.own);
    const user = inside && userOf(reader, use);
    if (!inside || !user) continue;
    yield {
      message: 'listed',
      label: 'overlaps',
      about: { kind: 'station', id: memory.station.id, name: memory.station.name },
      ...(user.lane ? { lane: user.lane.id } : {}),
      parties: [{ station: memory.station.id }],
      cells: [{ kind: 'tag', id: inside.tag.id, path: ['place'] }, user.cell],
      params: {
        a: memory.station.name,
        value: user.name,
        range: user.range,
        neighbour: inside.tag.name,
        address: formatSpan(memory, { start: inside.start, end: inside.end }),
      },
      subjects: [area.id, use.id, inside.tag.id],
    };
  }
}

/** Tags of whole registers in this area, and where each lies. */
function listedIn(reader: Reader, area: Area): { tag: Tag; start: number; end: number }[] {
  const memory = memoryOf(reader, area.id);
  return reader.referrers('tag', area.id).flatMap((id) => {
    const tag = reader.get('tag', id);
    const [type, place] = [readable(tag?.type), readable(tag?.place)];
    const bits = type ? (elementary(type.base)?.bits ?? 0) * type.count : 0;
    if (!tag || !memory || place?.area !== area.id || place.bit !== undefined || bits < area.wordBits) return [];
    const span = resolve(memory, place, bits)?.[0];
    return span ? [{ tag, start: span.start, end: span.end }] : [];
  });
}

/** One number of more than a register, as an exchange says; and the tag that it is. */
function longNumber(reader: Reader, use: Use, word: number): { own: string | null } | null {
  const claim = use.of === 'claim' ? reader.get('claim', use.id) : undefined;
  const type = claim && Object.keys(claim.items).length === 0 ? readable(claim.type) : null;
  const known = type?.count === 1 ? elementary(type.base) : null;
  const isNumber = known && ['signed', 'unsigned', 'real'].includes(known.family) && known.bits > word;
  // Whose length is not settled is judged once it is.
  return claim && isNumber && !unsettled(reader, claim.lane) ? { own: tagOf(reader, claim)?.id ?? null } : null;
}
