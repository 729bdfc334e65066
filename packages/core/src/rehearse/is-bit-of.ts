import { elementary } from '../data/types.js';
import type { OwnValue } from './values.js';

const WHOLE: readonly unknown[] = ['bit string', 'signed', 'unsigned'];

/** A BOOL that is a bit of a whole number, under a name of its own. */
export const isBitOf = (bit: OwnValue, whole: OwnValue): boolean =>
  bit.type.base === 'BOOL' && WHOLE.includes(elementary(whole.type.base)?.family);
