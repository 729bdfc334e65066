/**
 * The n-th name after a sample: its last run of digits counts on, its width is kept where it has leading zeros. `Door_07`
 * is followed by `Door_08`, `X_9` by `X_10`, `X_09` by `X_10`. A sample without digits stays as it is. [common practice]
 */
export function seriesName(sample: string, n: number): string {
  const match = /^(.*?)(\d+)(\D*)$/s.exec(sample);
  if (!match) return sample;
  const [, before = '', digits = '', after = ''] = match;
  return before + String(BigInt(digits) + BigInt(n)).padStart(digits.length, '0') + after;
}
