import { formatSpan } from '../../../place/format-address.js';
import { memoryOf } from '../../../place/memory.js';
import { joined, resolve, type Span } from '../../../place/resolve.js';
import { elementary } from '../../../data/types.js';
import { uncovered } from '../../../lane/occupancy.js';
import type { Area } from '../../../model/area.js';
import { readable } from '../../../model/as-typed.js';
import type { Tag } from '../../../model/tag.js';
import { fewOf } from '../../few-of.js';
import type { Context, Report } from '../../rule.js';

/**
 * Tags in an image at addresses where no module is, and where no exchange has anything either, as they are left when a
 * module moves without them. An image of which no module was entered is not looked at.
 */
export function* besideModules(area: Area, { reader, occupancy }: Context): Generator<Report> {
  const memory = memoryOf(reader, area.id);
  if (!memory || (area.kind !== 'input image' && area.kind !== 'output image')) return;
  const uses = occupancy.inArea(area.id);
  const modules = uses.filter((use) => use.of === 'landing').flatMap((use) => use.spans);
  if (modules.length === 0) return;
  const used = joined(uses.flatMap((use) => use.spans));
  const lost = reader.referrers('tag', area.id).flatMap((id): { tag: Tag; span: Span }[] => {
    const tag = reader.get('tag', id);
    const [place, type] = [readable(tag?.place), readable(tag?.type)];
    const bits = type ? (elementary(type.base)?.bits ?? 0) * type.count : 0;
    const spans = place?.area === area.id && bits > 0 ? resolve(memory, place, bits) : null;
    return tag && spans?.[0] && uncovered(spans, used).length > 0 ? [{ tag, span: spans[0] }] : [];
  });
  if (lost.length === 0) return;
  const names = lost.map(({ tag }) => tag.name);
  yield {
    message: 'noModule',
    label: 'no module there',
    about: { kind: 'station', id: memory.station.id, name: memory.station.name },
    parties: [{ station: memory.station.id }],
    cells: lost.map(({ tag }) => ({ kind: 'tag', id: tag.id, path: ['place'] })),
    params: {
      a: memory.station.name,
      area: area.name,
      tags: `${names.length === 1 ? 'tag' : 'tags'} ${fewOf(names)}`,
      range: fewOf(lost.map(({ span }) => formatSpan(memory, span))),
      modules: fewOf(joined([...modules]).map((span) => formatSpan(memory, span))),
    },
    subjects: [area.id, 'no module'],
  };
}
