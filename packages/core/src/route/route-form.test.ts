import fc from 'fast-check';
import { HOP_ORDERS } from '../model/words.js';
import { readRouteForm } from './route-form.js';
import { routeSample, type RouteForm } from './route-text.js';

test('a form is read off the sample route', () => {
  expect(readRouteForm('Plant LAN > 10.0.0.1 / rack > 0')).toEqual({
    separator: ' / ',
    joint: ' > ',
    hopOrder: 'way first',
    named: true,
    firstPort: true,
    quote: '',
  });
  expect(readRouteForm('"2,10.0.0.1,1,0"')).toEqual({
    separator: ',',
    joint: ',',
    hopOrder: 'way first',
    named: false,
    firstPort: true,
    quote: '"',
  });
  expect(readRouteForm('10.0.0.1;1:0')).toMatchObject({ separator: ';', joint: ':', firstPort: false, named: false });
  expect(readRouteForm('10.0.0.1@Plant LAN | 0@rack')).toMatchObject({ hopOrder: 'address first', named: true });
});

test.each([
  '',
  'Plant LAN 10.0.0.1',
  '2,10.0.0.2,1,0',
  '2,10.0.0.1,1,1',
  'Plant LAN > 10.0.0.1 / rack = 0',
  '"2,10.0.0.1',
])('%j is not the sample route', (text) => expect(readRouteForm(text)).toBeNull());

const mark = fc.constantFrom(',', ';', ':', ' / ', ' > ', '\\', ' → ', '|', '-');
const form: fc.Arbitrary<RouteForm> = fc.record({
  separator: mark,
  joint: mark,
  hopOrder: fc.constantFrom(...HOP_ORDERS),
  named: fc.boolean(),
  firstPort: fc.boolean(),
  quote: fc.constantFrom('', '"', "'"),
});

test('whatever the form, its own sample gives it back, up to writing the same sample', () => {
  fc.assert(
    fc.property(form, (one) => {
      const sample = routeSample(one);
      const back = readRouteForm(sample);
      expect(back).not.toBeNull();
      expect(routeSample(back!)).toBe(sample);
      expect(back).toEqual(one);
    }),
  );
});
