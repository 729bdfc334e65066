import type { ElementaryType } from './types.js';

/** Bits of a whole number that a real keeps exactly. [published: IEEE 754, binary32 and binary64] [from memory] */
const EXACT: Record<number, number> = { 32: 24, 64: 53 };

const isWhole = ({ family }: ElementaryType) => family === 'unsigned' || family === 'bit string' || family === 'signed';

/**
 * Whether a protocol that carries values by type brings every value of the one type into the other without loss: whole
 * numbers into wider ones or into reals that keep all their bits, reals into wider reals.
 */
export function convertsWhole(from: ElementaryType, to: ElementaryType): boolean {
  if (from.name === to.name) return true;
  if (from.family === 'real') return to.family === 'real' && to.bits >= from.bits;
  if (from.family === 'duration') return to.family === 'duration' && to.bits >= from.bits;
  if (from.family === 'moment') return to.family === 'moment' && to.name === `L${from.name}`;
  if (!isWhole(from)) return false;
  if (to.family === 'real') return from.bits <= EXACT[to.bits]!;
  if (!isWhole(to)) return false;
  if (from.family === 'signed') return to.family === 'signed' && to.bits >= from.bits;
  return to.family === 'signed' ? to.bits > from.bits : to.bits >= from.bits;
}
