import { leastWidth } from './least-width';

test('a fixed column needs its width, one that shares what is left its least', () => {
  expect(leastWidth([{ track: '112px' }, { track: 'minmax(110px, 1.4fr)' }, { track: '1fr' }])).toBe(222);
  expect(leastWidth([])).toBe(0);
});
