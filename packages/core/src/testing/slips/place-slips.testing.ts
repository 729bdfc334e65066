import type { Claim, Length, Place } from '../../model/claim.js';
import { IN_TAG } from '../../model/claim.js';
import type { Project } from '../../model/project.js';
import { inEach, inSome, moved, type SlipKind } from './slip.testing.js';

const placeOf = ({ place }: Claim): Place | null => {
  const own = place as Place | null;
  return own && own.view !== IN_TAG ? own : null;
};

/** Somebody else says where this end has it: what nobody else says can be anywhere. */
const isAskedFor = (claim: Claim, project: Project): boolean =>
  [...project.all('claim')].some((c) => c.lane === claim.lane && c.id !== claim.id && c.toldPlace);

const inTold = (change: (text: string) => string | null): SlipKind =>
  inEach('claim', ({ toldPlace }) => {
    // What is asked by name has slips of its own.
    const next = toldPlace && /^(%M|w|D|\d|byte|Data)/.test(toldPlace) ? change(toldPlace) : null;
    return next === null || next === toldPlace ? null : ['toldPlace', next];
  });

const number = (text: string): number => Number(/(\d+)\D*$/.exec(text)?.[1]);
const doubled = (text: string): string | null => (/^(\d|byte|%MB)/.test(text) ? null : moved(text, number(text)));

/** Where data lies, at one’s own end or as it was told about the other, mistaken. */
export const PLACE_SLIPS: Record<string, SlipKind> = {
  'asked for the neighbouring place': inTold((text) => moved(text, 2)),
  'asked for one further': inTold((text) => moved(text, 1)),
  'asked for one less': inTold((text) => moved(text, -1)),
  'asked for bytes instead of words': inTold(doubled),
  'asked with a digit too many': inTold((text) => `${text}0`.replace(']0', '0]')),
  'asked in the wrong table': inTold((text) =>
    /^[34]\d{4,5}$/.test(text) ? `${text.startsWith('4') ? '3' : '4'}${text.slice(1)}` : null,
  ),
  'asked for what cannot be read': inTold((text) => `${text.replace(/\d+/, '')}??`),
  'asked for nothing': inTold(() => ''),
  'own place one further': inEach('claim', (claim, project) => {
    const place = placeOf(claim);
    return place && isAskedFor(claim, project) ? ['place', { ...place, number: place.number + 1 }] : null;
  }),
  'own place on another lane': inEach('claim', (claim, project) => {
    const place = placeOf(claim);
    // Two may send from one place; into one place only one may put data.
    if (claim.direction !== 'reads') return null;
    const others = [...project.all('claim')].filter(
      (c) => c.end === claim.end && c.id !== claim.id && c.direction === 'reads',
    );
    const taken = others.map(placeOf).find((p) => p?.area === place?.area);
    return place && taken ? ['place', taken] : null;
  }),
  'own place beyond the memory': inEach('claim', (claim, project) => {
    const place = placeOf(claim);
    const area = place && project.get('area', place.area);
    return place && area ? ['place', { ...place, number: place.number + area.words * 2 }] : null;
  }),
  'own place, nothing': inEach('claim', ({ place }) => (place ? ['place', null] : null)),
  'length, one more': inEach('claim', ({ length }) => {
    const now = length as Length | null;
    return now && now.unit > 1 ? ['length', { ...now, count: now.count + 1 }] : null;
  }),
  'length, one less': inEach('claim', ({ length }) => {
    const now = length as Length | null;
    return now && now.unit > 1 && now.count > 1 ? ['length', { ...now, count: now.count - 1 }] : null;
  }),
  'length in bytes instead of words': inEach('claim', ({ length }) => {
    const now = length as Length | null;
    return now?.unit === 16 && now.count > 1 ? ['length', { ...now, unit: 8 }] : null;
  }),
  'length, nothing': inEach('claim', ({ length }) => (length ? ['length', null] : null)),
  'slot of the coupler': inEach('claim', ({ slot }) => (slot ? ['slot', slot + 20] : null)),
  'slot of another lane': inEach('claim', (claim, project) => {
    const other = [...project.all('claim')].find((c) => c.end === claim.end && c.id !== claim.id && c.slot);
    return claim.slot && other && other.direction === claim.direction ? ['slot', other.slot] : null;
  }),
  'value, 16 bits further': inSome('claim', ({ items }) =>
    Object.entries(items)
      .slice(-1)
      .map(([key, { offset }]) => {
        const bits = (offset as { bits: number } | null)?.bits;
        return bits ? [`items.${key}.offset`, { bits: bits + 16 }] : null;
      }),
  ),
  'two values in the other order': inEach('claim', ({ items }) => {
    const [a, b] = Object.entries(items);
    if (!a || !b) return null;
    const [x, y] = [a[1].type, b[1].type] as { base: string; count: number }[];
    const same = x!.base === y!.base && x!.count === y!.count;
    const turned = { ...items, [a[0]]: { ...a[1], offset: b[1].offset }, [b[0]]: { ...b[1], offset: a[1].offset } };
    return same ? ['items', turned] : null;
  }),
  'a value left out': inEach('claim', ({ items }) => {
    const keys = Object.keys(items);
    return keys.length > 1 ? ['items', Object.fromEntries(Object.entries(items).slice(0, -1))] : null;
  }),
};
