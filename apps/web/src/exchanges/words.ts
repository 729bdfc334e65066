/** `every 100 ms`, `on request` */
export function cadenceWords(ms: number | null): string {
  if (ms === null) return 'on request';
  return ms % 1000 === 0 && ms >= 1000 ? `every ${ms / 1000} s` : `every ${ms} ms`;
}
