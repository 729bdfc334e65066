import { clockAhead } from './clock-ahead.js';

const NOW = '2026-11-30T10:00:00Z';

test.each([
  ['2026-11-30T11:00:00Z', '60 min ahead of this clock: one of the two is wrong'],
  ['2026-11-30T13:00:00+00:00', '3 h ahead of this clock: one of the two is wrong'],
  // The same moment, as two zones write it.
  ['2026-11-30T11:00:00+01:00', ''],
  ['2026-11-30T10:04:00Z', ''],
  ['2026-11-30T09:00:00Z', ''],
  ['no time', ''],
])('%s is seen at ten', (seen, says) => expect(clockAhead(seen, NOW)).toBe(says));
