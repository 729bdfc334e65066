/** `40 ms`, `12 s` */
export const ageWords = (ms: number): string => (ms < 10_000 ? `${ms} ms` : `${Math.round(ms / 1000)} s`);
