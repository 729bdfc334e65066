import { codesOf, edited, fixed, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const twice = () =>
  edited(twoStations(), ['port', 'portb', 'address', '10.0.0.1'], ['end', 'ea', 'told.eb.address', '10.0.0.1']);

test('one address at two stations is found once, with both and a free one', () => {
  const words = wordsOf(theFinding(twice(), 'ADR 1'));
  expect(words).toContain('10.0.0.1 twice, A and B');
  expect(words).toContain('10.0.0.2 is free');
});

test('the fix moves the later one', () => {
  const after = fixed(twice(), theFinding(twice(), 'ADR 1'));
  expect(after.get('port', 'portb')?.address).toBe('10.0.0.2');
  expect(codesOf(after)).toEqual(['ADR 13']);
});

test('0.0.0.0 is not yet set and clashes with nobody', () => {
  const project = edited(
    twoStations(),
    ['port', 'porta', 'address', '0.0.0.0'],
    ['port', 'portb', 'address', '0.0.0.0'],
  );
  expect(codesOf(project)).not.toContain('ADR 1');
});
