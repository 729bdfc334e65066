import { codesOf, edited, findingsOf, fixed, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

/** Both ends have a REAL at this register of a block of 4 words; it takes two registers. [common practice] */
const realAt = (register: number) => {
  const item = (name: string) => ({ k: { name, type: { base: 'REAL', count: 1 }, offset: { bits: register * 16 } } });
  return edited(
    twoStations(),
    ['lane', 'lane', 'items', { k: { order: 10 } }],
    ['claim', 'ca', 'items', item('Level')],
    ['claim', 'cb', 'items', item('Lvl')],
  );
};

test('a value that ends with its lane is silent', () => {
  expect(codesOf(realAt(2))).toEqual([]);
});

test('a value that ends beyond it is found at each end, with how far', () => {
  const found = findingsOf(realAt(3));
  expect(found.map((f) => f.code)).toEqual(['SIZ 3', 'SIZ 3']);
  expect(found.map(wordsOf).join('\n')).toContain('Level ends 1 word beyond the 4 words of A');
  expect(found.map(wordsOf).join('\n')).toContain('Lvl ends 1 word beyond the 4 words of B');
});

test('the fix makes both ends longer alike', () => {
  const [first] = findingsOf(realAt(3));
  const longer = fixed(realAt(3), first!);
  expect(codesOf(longer)).toEqual([]);
});

test('several values beyond one end are one finding, which names the furthest; one fix is enough', () => {
  const items = {
    k: { name: 'Level', type: { base: 'REAL', count: 1 }, offset: { bits: 48 } },
    m: { name: 'Flow', type: { base: 'REAL', count: 1 }, offset: { bits: 80 } },
  };
  const project = edited(
    twoStations(),
    ['lane', 'lane', 'items', { k: { order: 10 }, m: { order: 20 } }],
    ['claim', 'ca', 'items', items],
    ['claim', 'cb', 'items', items],
    ['claim', 'cb', 'length', { count: 7, unit: 16 }],
    ['claim', 'ca', 'length', { count: 7, unit: 16 }],
  );
  const short = edited(project, ['claim', 'ca', 'length.count', 4], ['claim', 'cb', 'length.count', 4]);
  expect(codesOf(project)).toEqual([]);
  expect(codesOf(short)).toEqual(['SIZ 3', 'SIZ 3']);
  const [first] = findingsOf(short);
  expect(wordsOf(first!)).toContain('Flow ends 3 words beyond the 4 words of A, as 1 more do');
  expect(codesOf(fixed(short, first!))).toEqual([]);
});
