/** In what two names differ that are nearly the same, best first. */
export const NEAR_KINDS = ['same', 'case', 'separators', 'width of digits', 'transposed', 'one letter'] as const;
export type NearKind = (typeof NEAR_KINDS)[number];

/** How sure it is that two such names mean the same, 0 to 100. */
export const NEAR_SCORES: Record<NearKind, number> = {
  same: 100,
  case: 95,
  separators: 90,
  'width of digits': 85,
  transposed: 70,
  'one letter': 60,
};

export const NEAR_WORDS: Record<NearKind, string> = {
  same: 'the same name',
  case: 'upper and lower case differ',
  separators: 'separators differ',
  'width of digits': 'leading zeros differ',
  transposed: 'two letters are transposed',
  'one letter': 'one letter differs',
};

/** Without what may stand between the words of a name. */
export const withoutSeparators = (name: string): string => name.toLowerCase().replace(/[\s_.\-/\\:]+/g, '');
/** And without leading zeros of its numbers. */
export const withoutZeros = (name: string): string => withoutSeparators(name).replace(/0+(?=\d)/g, '');

/**
 * In what two names differ, or null where they are not near. Letters are compared after case, separators and leading zeros
 * are set aside; digits never count as a letter that may differ, for `Door_1` and `Door_2` are two doors.
 */
export function nearKind(a: string, b: string): NearKind | null {
  if (a === b) return 'same';
  if (a.toLowerCase() === b.toLowerCase()) return 'case';
  const [pa, pb] = [withoutSeparators(a), withoutSeparators(b)];
  if (pa === pb) return 'separators';
  const [za, zb] = [withoutZeros(a), withoutZeros(b)];
  if (za === zb) return 'width of digits';
  return letterKind(za, zb);
}

function letterKind(a: string, b: string): NearKind | null {
  if (Math.abs(a.length - b.length) > 1 || Math.min(a.length, b.length) < 3) return null;
  let start = 0;
  while (start < a.length && start < b.length && a[start] === b[start]) start++;
  let [enda, endb] = [a.length, b.length];
  while (enda > start && endb > start && a[enda - 1] === b[endb - 1]) [enda, endb] = [enda - 1, endb - 1];
  const [ra, rb] = [a.slice(start, enda), b.slice(start, endb)];
  if (/\d/.test(ra + rb)) return null;
  if (ra.length === 2 && rb.length === 2 && ra[0] === rb[1] && ra[1] === rb[0]) return 'transposed';
  return ra.length <= 1 && rb.length <= 1 ? 'one letter' : null;
}
