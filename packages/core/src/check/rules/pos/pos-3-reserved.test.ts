import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const reserved = (word: number) =>
  edited(twoStations(), [
    'area',
    'areab',
    'reservations',
    { r: { order: 10, start: word * 16, length: 32, owner: 'its module' } },
  ]);

test('a reservation beside the block is silent', () => {
  expect(codesOf(reserved(204))).toEqual([]);
});

test('a block that runs into one is found with both ranges', () => {
  const words = wordsOf(theFinding(reserved(203), 'POS 3'));
  expect(words).toContain('b200–b203 of B runs into b203–b204, reserved for its module');
});

test('its first and last start and the step between them are three figures, each of which may be left open', () => {
  const at = (word: number, starts: object) => {
    const r = { order: 10, start: word * 16, length: 32, owner: 'its module', ...starts };
    return edited(twoStations(), ['area', 'areab', 'reservations', { r }]);
  };
  const word = (n: number) => n * 16;
  for (const start of [300, 301, 350]) {
    expect(codesOf(at(start, { firstStart: word(300) }))).toEqual([]);
    expect(codesOf(at(start, { firstStart: word(300), lastStart: word(350) }))).toEqual([]);
    expect(codesOf(at(start, { lastStart: word(350) }))).toEqual([]);
  }
  const found = (start: number, starts: object) => wordsOf(theFinding(at(start, starts), 'POS 3'));
  expect(found(299, { firstStart: word(300) })).toContain('it may start from b300 on');
  expect(found(351, { lastStart: word(350) })).toContain('it may start from b0 to b350');
  const all = { firstStart: word(300), lastStart: word(350), startStep: word(20) };
  expect(codesOf(at(340, all))).toEqual([]);
  expect(found(345, all)).toContain('it may start from b300 to b350, every 20 words');
  // 350 is no step from 300: the last one is 340.
  expect(found(350, all)).toContain('Let it start at b340');
});

test('a reservation outside its area is found', () => {
  expect(wordsOf(theFinding(reserved(999), 'POS 3'))).toContain('does not lie in the area');
});
