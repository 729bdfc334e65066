import fc from 'fast-check';
import { fillTemplate, isDigit, matchTemplate, readTemplate, type PartForm } from './template.js';

const anything: PartForm = { holds: () => true, takes: 'few' };
const digits: PartForm = { holds: isDigit, takes: 'many' };
const FORMS = { a: anything, n: digits, b: { holds: (c: string) => /\w/.test(c), takes: 'many' } as PartForm };
const PARTS = Object.keys(FORMS);

test('what it makes of values it reads back, and what it reads is what a regular expression reads [library: RegExp]', () => {
  const text = fc.string({ unit: fc.constantFrom('a', '7', '.', ':', '[', '{a}', '{n}', '{b}'), maxLength: 8 });
  const read = fc.string({ unit: fc.constantFrom('a', '7', '.', ':', '[', 'x'), maxLength: 14 });
  const GROUPS = { a: '([^]+?)', n: '([0-9]+)', b: '(\\w+)' };
  let matched = 0;
  fc.assert(
    fc.property(text, read, (source, sample) => {
      const template = readTemplate(source, PARTS);
      const pattern = template.map((p) =>
        typeof p === 'string' ? p.replace(/[.*+?^${}()|[\]\\]/g, '\\$&') : GROUPS[p.part as 'a'],
      );
      const match = new RegExp(`^${pattern.join('')}$`).exec(sample);
      const values = matchTemplate(template, FORMS, sample);
      expect(values && Object.values(values)).toEqual(match && [...match].slice(1));
      if (!values) return;
      matched++;
      expect(fillTemplate(template, values)).toBe(sample);
    }),
    { numRuns: 3000 },
  );
  expect(matched).toBeGreaterThan(50);
});

test('a part that stands in it twice is words the second time', () => {
  const template = readTemplate('{a}-{a}', PARTS);
  expect(template).toEqual([{ part: 'a' }, '-{a}']);
  expect(matchTemplate(template, FORMS, 'x-{a}')).toEqual({ a: 'x' });
});

test('work grows with the text, not with the ways to divide it', () => {
  let asked = 0;
  const counting: PartForm = { holds: () => (asked++, true), takes: 'few' };
  const names = Array.from({ length: 7 }, (_, i) => `p${i}`);
  const template = readTemplate(`${names.map((name) => `{${name}}`).join('')}!`, names);
  const text = 'a'.repeat(2000);
  expect(matchTemplate(template, Object.fromEntries(names.map((name) => [name, counting])), text)).toBeNull();
  expect(asked).toBeLessThanOrEqual(names.length * text.length);
  expect(asked).toBeGreaterThan(0);
});
