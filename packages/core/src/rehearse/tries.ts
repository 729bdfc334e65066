import { elementary } from '../data/types.js';

/** Values that cannot be mistaken for one another, for a walk to set. [common practice] */
export function triesOf(base: string): (number | bigint)[] {
  const type = elementary(base);
  if (!type) return [];
  if (type.family === 'bool') return [1n, 0n];
  if (type.family === 'real') return [1, -1, 123.456];
  const all = (1n << BigInt(type.bits)) - 1n;
  const signed = type.family === 'signed' || type.family === 'duration';
  const limits = signed ? [-1n, (all - 1n) / 2n, -(all + 1n) / 2n] : [all];
  const plain = type.bits >= 16 ? [0x1234n, 12345n] : [0x12n, 100n];
  return [...plain, ...limits];
}
