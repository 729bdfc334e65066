/** Clocks may differ by so much before it is told. */
const CLOCKS_MS = 5 * 60_000;

/** `60 min ahead of this clock: one of the two is wrong`, of a time that is in the future; empty: it is not (ISO 8601). */
export function clockAhead(seen: string, now: string): string {
  const ahead = Date.parse(seen) - Date.parse(now);
  return ahead > CLOCKS_MS ? `${minutes(ahead)} ahead of this clock: one of the two is wrong` : '';
}

const minutes = (ms: number): string => {
  const all = Math.round(ms / 60_000);
  return all >= 120 ? `${Math.round(all / 60)} h` : `${all} min`;
};
