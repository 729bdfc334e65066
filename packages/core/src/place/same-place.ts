import type { Place } from '../model/claim.js';

/** The same area, written the same way. */
export const samePlace = (a: Place, b: Place): boolean =>
  a.number === b.number && a.bit === b.bit && a.width === b.width && a.area === b.area && a.view === b.view;
