import type { Place, TypeRef } from '../../model/claim.js';
import { inEach, moved, type SlipKind } from './slip.testing.js';

const inText = (change: (text: string) => string | null): SlipKind =>
  inEach('claim', ({ toldPlace }) => {
    const next = toldPlace?.startsWith('Plant.') ? change(toldPlace) : null;
    return next ? ['toldPlace', next] : null;
  });
/** Points that are bound by their exact names. */
const inBoundName = (change: (name: string) => string | null, whose: 'asked' | 'asks'): SlipKind =>
  inEach('tag', (tag, project) => {
    const claim = [...project.all('claim')].find((c) => (c.place as Place | null)?.area === tag.id);
    const end = claim && project.get('end', claim.end);
    const exchange = end && project.get('exchange', end.exchange);
    if (exchange?.binding !== 'by name' || (end?.calling === 'calls') !== (whose === 'asks')) return null;
    const next = change(tag.name);
    return next && next !== tag.name ? ['name', next] : null;
  });

const ORDINAL = /_0(\d)$/;

/** Names, item texts and tags of a list, mistaken. */
export const TAG_SLIPS: Record<string, SlipKind> = {
  'item text, the group': inText((text) => text.replace('Plant.', 'Plnat.')),
  'item text, the tag': inText((text) => text.replace(ORDINAL, '_0$1x')),
  'item text, an element that is not there': inText((text) => `${text}[3]`),
  'name in another case': inBoundName((name) => name.replace(/^./, (c) => c.toLowerCase()), 'asked'),
  'name with another digit width': inBoundName((name) => name.replace(ORDINAL, '_$1'), 'asked'),
  'name, one letter': inBoundName((name) => `${name.slice(0, 3)}${name.slice(4)}`, 'asks'),
  'tag closed to others': inEach('tag', ({ open }) => (open ? ['open', 'closed'] : null)),
  'tag open for reading only': inEach('tag', ({ open }) => (open === 'may set' ? ['open', 'may read'] : null)),
  'tag of another width': inEach('tag', (tag, project) => {
    const type = tag.type as TypeRef;
    const bound = [...project.all('claim')].some((c) => (c.place as Place | null)?.area === tag.id);
    return bound && type.base === 'INT' ? ['type', { ...type, base: 'REAL' }] : null;
  }),
  'tag at the neighbouring address': inEach('tag', ({ place }) => {
    const own = place as Place | null;
    return own ? ['place', { ...own, number: own.number + 2 }] : null;
  }),
  'tag in another unit': inEach('tag', ({ unit }) =>
    unit === '°C' ? ['unit', '°F'] : unit === 'bar' ? ['unit', 'kPa'] : null,
  ),
  'tag to be read only, that is set': inEach('tag', ({ access }) =>
    access === 'read and set' ? ['access', 'read'] : null,
  ),
  'name twice': inEach('tag', (tag, project) => {
    const other = [...project.all('tag')].find((t) => t.station === tag.station && t.id !== tag.id);
    return other ? ['name', other.name] : null;
  }),
  'list asks for the neighbouring address': inEach('tag', ({ asks }) => {
    const next = asks ? moved(asks, 2) : null;
    return next ? ['asks', next] : null;
  }),
};
