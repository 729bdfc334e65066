import { isDigit } from '../text/template.js';

/**
 * The n-th name after a sample: its last run of digits counts on, its width is kept where it has leading zeros. `Door_07`
 * is followed by `Door_08`, `X_9` by `X_10`, `X_09` by `X_10`. A sample without digits stays as it is. [common practice]
 */
export function seriesName(sample: string, n: number): string {
  let end = sample.length;
  while (end > 0 && !isDigit(sample[end - 1]!)) end--;
  let begin = end;
  while (begin > 0 && isDigit(sample[begin - 1]!)) begin--;
  const digits = sample.slice(begin, end);
  if (digits === '') return sample;
  return sample.slice(0, begin) + String(BigInt(digits) + BigInt(n)).padStart(digits.length, '0') + sample.slice(end);
}
