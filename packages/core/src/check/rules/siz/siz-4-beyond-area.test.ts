import { newView } from '../../../create/new-entities.js';
import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

test('a block that ends with its area is silent', () => {
  expect(codesOf(edited(twoStations(), ['claim', 'ca', 'place.number', 996]))).toEqual([]);
});

test('one word further is found, with the last address there is', () => {
  const words = wordsOf(theFinding(edited(twoStations(), ['claim', 'ca', 'place.number', 997]), 'SIZ 4'));
  expect(words).toContain('a997–a1000');
  expect(words).toContain('ends at a999');
});

test('the last address is told in the notation of the claim, where the area has several', () => {
  const views = {
    ref: { ...newView(1, 'reference 6') },
    el: { ...newView(2, 'name and element'), prefix: 'Words' },
  };
  const project = edited(
    twoStations(),
    ['area', 'areab', 'views', views],
    ['claim', 'cb', 'place', { area: 'areab', view: 'el', number: 998 }],
    ['claim', 'ca', 'toldPlace', 'Words[998]'],
  );
  expect(wordsOf(theFinding(project, 'SIZ 4'))).toContain('Words[999]');
});
