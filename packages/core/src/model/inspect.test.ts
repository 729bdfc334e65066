import fc from 'fast-check';
import { inspectEntity } from './inspect.js';
import { quoted } from './problem.js';

const lane = (more: object) => ({ id: 'l1', order: 1, exchange: 'x1', items: {}, ...more });
const INHERITED = Object.getOwnPropertyNames(Object.prototype).filter((name) => name !== '__proto__');

test.each(INHERITED)('a field called %s is refused like any other that is none', (name) => {
  expect(inspectEntity('lane', lane({ [name]: 'x'.repeat(1000) }))).toMatchObject([
    { path: [name], expected: 'is no field of it' },
  ]);
});

test.each(INHERITED)('a key or an id %s is refused: every object seems to have it', (name) => {
  expect(inspectEntity('lane', lane({ items: { [name]: { order: 1 } } }))).toHaveLength(1);
  expect(inspectEntity('lane', lane({ id: name }))).toHaveLength(1);
});

test('__proto__ as it comes out of JSON is a field that is none', () => {
  const sent = JSON.parse('{"id":"l1","order":1,"exchange":"x1","items":{},"__proto__":{"items":1}}') as object;
  expect(inspectEntity('lane', sent)).toMatchObject([{ path: ['__proto__'], expected: 'is no field of it' }]);
  expect(inspectEntity('lane', JSON.parse('{"__proto__":{"id":"l1"}}'))).not.toHaveLength(0);
});

test('a hundred wrong things are told of one entity, not a hundred thousand', () => {
  const wrong = Object.fromEntries(Array.from({ length: 50_000 }, (_, i) => [`k${i}`, i]));
  expect(inspectEntity('lane', lane(wrong)).length).toBeLessThanOrEqual(100);
  const items = Object.fromEntries(Array.from({ length: 50_000 }, (_, i) => [`k${i}`, { order: 'x' }]));
  expect(inspectEntity('lane', lane({ items })).length).toBeLessThanOrEqual(200);
});

test('a length is counted in whole characters, variation selectors included', () => {
  const long = (name: string) => inspectEntity('project', { id: 'project', name });
  expect(long('🧊'.repeat(500))).toEqual([]);
  expect(long('a\ufe0f'.repeat(250))).toEqual([]);
  expect(long('a\ufe0f'.repeat(400))).toMatchObject([{ path: ['name'], expected: 'must have at most 500 characters' }]);
  expect(long('half \ud83e')).toMatchObject([{ expected: 'must be whole characters: half of one cannot be stored' }]);
});

test('what was found is quoted in a few characters, whatever it is', () => {
  expect(quoted('short')).toBe('"short"');
  expect(quoted({ a: [1, null], b: 'x' })).toBe('{"a":[1,null],"b":"x"}');
  expect(quoted('y'.repeat(70))).toContain('… (70 characters)');
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 8 }), (value) => {
      const text = quoted(value);
      expect(text.length).toBeLessThan(90);
      const whole = JSON.stringify(value);
      if (whole.length <= 60) expect(text).toBe(whole);
      else expect(text.startsWith(whole.slice(0, 40))).toBe(true);
    }),
  );
});
