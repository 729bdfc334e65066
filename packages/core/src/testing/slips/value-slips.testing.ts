import { IN_TAG, type Claim, type Place, type TypeRef } from '../../model/claim.js';
import { inEach, inSome, type SlipKind } from './slip.testing.js';

const OTHER_SIGN: Record<string, string> = { INT: 'UINT', UINT: 'INT', DINT: 'UDINT', UDINT: 'DINT' };
const OTHER_KIND: Record<string, string> = { REAL: 'DINT', DINT: 'REAL', UDINT: 'REAL' };
const OTHER_WIDTH: Record<string, string> = { INT: 'DINT', REAL: 'INT', DINT: 'INT', UINT: 'UDINT', UDINT: 'UINT' };

/** Types of a claim and of its values. */
const inTypes = (change: (type: TypeRef) => TypeRef | null): SlipKind =>
  inSome('claim', (claim) => {
    const types: [string, Claim['type']][] = Object.entries(claim.items).map(([k, i]) => [`items.${k}.type`, i.type]);
    if (types.length === 0) types.push(['type', claim.type]);
    return types.map(([path, type]) => {
      const next = type ? change(type as TypeRef) : null;
      return next ? [path, next] : null;
    });
  });

/** What a value is, and how it travels, mistaken. */
export const VALUE_SLIPS: Record<string, SlipKind> = {
  'type of the other sign': inTypes((type) =>
    OTHER_SIGN[type.base] ? { ...type, base: OTHER_SIGN[type.base]! } : null,
  ),
  'number for a REAL': inTypes((type) => (OTHER_KIND[type.base] ? { ...type, base: OTHER_KIND[type.base]! } : null)),
  'type of another width': inTypes((type) =>
    OTHER_WIDTH[type.base] ? { ...type, base: OTHER_WIDTH[type.base]! } : null,
  ),
  'one element more': inTypes((type) => (type.count > 1 ? { ...type, count: type.count + 1 } : null)),
  'one element less': inTypes((type) => (type.count > 1 ? { ...type, count: type.count - 1 } : null)),
  'type, nothing': inEach('claim', ({ type }) => (type ? ['type', null] : null)),
  'a swap where none is needed': inEach('claim', (claim) =>
    // What is asked by name travels as a value, which nothing turns round.
    !claim.swap && placed(claim) && longValue(claim) ? ['swap', 'words'] : null,
  ),
  'the swap left out': inEach('claim', ({ swap }) => (swap ? ['swap', null] : null)),
  'the other direction': inEach('claim', ({ direction }) =>
    direction === 'writes' || direction === 'reads' ? ['direction', direction === 'writes' ? 'reads' : 'writes'] : null,
  ),
  'direction, nothing': inEach('claim', () => ['direction', null]),
  'closed to others': inEach('claim', ({ open }) => (open ? ['open', 'closed'] : null)),
};

const placed = ({ place }: Claim): boolean => place !== null && (place as Place).view !== IN_TAG;

const longValue = ({ type, items }: Claim): boolean => {
  const all = Object.keys(items).length > 0 ? Object.values(items).map((i) => i.type) : [type];
  return all.every((t) => ['REAL', 'DINT', 'UDINT'].includes((t as TypeRef | null)?.base ?? ''));
};
