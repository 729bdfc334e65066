import { memoriesOf } from '../place/memory.js';
import { parseAddress } from '../place/parse-address.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Tag } from '../model/tag.js';
import { placesAlong } from '../place/places-along.js';
import { placeText } from '../place/place-text.js';

/** What filling down from a tag writes `n` rows below it: its address, or the one that it asks for, that many values on. */
export function addressAfterTag(project: Project, tag: Tag, field: 'place' | 'asks', n: number): string | null {
  if (field === 'place') return along(project, tag, n);
  for (const station of askedBy(project, tag.station)) {
    const read = parseAddress(tag.asks ?? '', memoriesOf(project, station));
    if (read.ok) return along(project, { place: read.value, type: tag.type }, n);
  }
  return null;
}

function along(project: Project, from: Pick<Tag, 'place' | 'type'>, n: number): string | null {
  const place = placesAlong(project, from)(n);
  return place && placeText(project, place);
}

/** The stations that one asks for its tags. */
const askedBy = (project: Project, station: string): string[] =>
  childrenOf(project, 'end', station)
    .filter((end) => end.calling === 'calls' && project.get('exchange', end.exchange)?.kind === 'tag map')
    .flatMap((end) => childrenOf(project, 'end', end.exchange))
    .flatMap((end) => (end.station && end.station !== station ? [end.station] : []));
