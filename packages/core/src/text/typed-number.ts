/** Numbers to other bases, as the languages of controllers and others write them. [published: IEC 61131-3, numeric literals] [from memory] */
const BASES: readonly (readonly [RegExp, string])[] = [
  [/^(?:0x|16#)([0-9a-f_]+)$/i, '0x'],
  [/^(?:0o|8#)([0-7_]+)$/i, '0o'],
  [/^(?:0b|2#)([01_]+)$/i, '0b'],
];

/** A number as somebody writes it down, with how many digits of it count. Null: it is none. */
export function typedNumber(text: string): { value: number | bigint; digits: number; real: boolean } | null {
  const clean = text
    .trim()
    .replace(/[−–]/g, '-')
    .replace(/\s/g, '')
    .replace(/^(-?\d+),(\d+(?:e.*)?)$/i, '$1.$2');
  for (const [notation, prefix] of BASES) {
    const digits = notation.exec(clean)?.[1]?.replace(/_/g, '');
    if (digits) return { value: BigInt(prefix + digits), digits: 20, real: false };
  }
  if (!/^-?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(clean)) return null;
  const real = /[.e]/i.test(clean);
  const digits = clean.replace(/e.*$/i, '').replace(/\D/g, '').replace(/^0+/, '').length;
  return { value: real ? Number(clean) : BigInt(clean), digits: Math.max(digits, 1), real };
}
