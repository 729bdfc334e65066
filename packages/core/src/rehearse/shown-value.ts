import { elementary } from '../data/types.js';
import { formatValue } from '../data/values.js';

/** `1.0`, `123.456`, `2.278E−41`, `−6`, `16#1234`: a value as a panel or a tool would show it. */
export function shownValue(base: string, value: number | bigint): string {
  if (elementary(base)?.family !== 'real') return formatValue(base, value);
  const number = Number(value);
  if (number !== 0 && Number.isFinite(number) && (Math.abs(number) < 1e-4 || Math.abs(number) >= 1e9)) {
    return number.toExponential(3).replace('e', 'E').replace('E+', 'E').replace(/-/g, '−');
  }
  // A REAL holds seven digits; an eighth would show how it is kept, not what was meant.
  const text = String(base === 'REAL' ? Number(number.toPrecision(7)) : Number(number.toPrecision(15))).replace(
    /-/g,
    '−',
  );
  return /^−?\d+$/.test(text) ? `${text}.0` : text;
}
