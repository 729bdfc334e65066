import { placeOf } from './place';

test('an address names a project, and where it is a past one, its revision', () => {
  expect(placeOf('p12')).toEqual({ id: 'p12', revision: null });
  expect(placeOf('p12@7')).toEqual({ id: 'p12', revision: 7 });
  expect(placeOf('p12@soon')).toEqual({ id: 'p12', revision: null });
});
