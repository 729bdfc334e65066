import { elementary } from '../data/types.js';
import { bitsToValue, valueToBits } from '../data/values.js';

/**
 * What a protocol that carries values by their types makes of one: the same number where the other type holds it, the same
 * bits among whole numbers of one width; null: it is refused, or comes out as another number.
 */
export function carriedNumber(from: string, to: string, value: number | bigint): number | bigint | null {
  if (from === to) return value;
  const [a, b] = [elementary(from)!, elementary(to)!];
  const kinds = [a, b].map(({ family }) =>
    family === 'bool' || family === 'text' || family === 'character' ? family : 'number',
  );
  if (kinds[0] !== kinds[1]) return null;
  const whole = a.family !== 'real' && b.family !== 'real';
  if (whole && a.bits === b.bits) return bitsToValue(to, valueToBits(from, value));
  if (b.family !== 'real' && a.family === 'real') return null;
  const number = b.family === 'real' ? Number(value) : BigInt(value);
  const kept = bitsToValue(to, valueToBits(to, number));
  const same = typeof kept === 'number' ? kept === Number(value) || Number.isNaN(kept) : kept === BigInt(value);
  // Above 53 bits two whole numbers may be one real.
  return same && (typeof kept !== 'number' || typeof value !== 'bigint' || BigInt(kept) === value) ? kept : null;
}
