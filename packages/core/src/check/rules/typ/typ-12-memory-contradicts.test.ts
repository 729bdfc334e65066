import { copying, at, words } from '../../../testing/copying.testing.js';
import {
  applied,
  codesOf,
  edited,
  findingsOf,
  theFinding,
  wordsOf,
  type FieldEdit,
} from '../../../testing/two-stations.testing.js';
import { CheckEngine } from '../../engine.js';
import { set } from '../../../change/make.js';

const type = (base: string, count = 1) => ({ base, count });
/** C writes to A at 320, a copy moves that on to 600, from where B reads it. */
const through = (...edits: FieldEdit[]) =>
  copying({}, ['claim', 'cb3', 'type', type('REAL', 2)], ['claim', 'ca3', 'type', type('REAL', 2)], ...edits);
const out = (base: string, count: number): FieldEdit[] => [
  ['claim', 'con', 'type', type(base, count)],
  ['claim', 'don', 'type', type(base, count)],
];

test('what is put into a memory as it is taken out of it is silent', () => {
  expect(codesOf(through(...out('REAL', 2)))).not.toContain('TYP 12');
  // Registers without a type hand on what they hold.
  expect(codesOf(through(...out('WORD', 4)))).not.toContain('TYP 12');
});

test('put as REAL, copied on, and taken as DINT: both lanes with both types and what comes of a value', () => {
  const finding = theFinding(through(...out('DINT', 2)), 'TYP 12');
  expect(finding.severity).toBe('blocker');
  const text = wordsOf(finding);
  expect(text).toContain('Second, Block ca stores Block ca at a600 as REAL');
  expect(text).toContain('reads it as DINT');
  // [library: Python struct] 123.456 is 42F6E979, which is 1123477881.
  expect(text).toContain('123.456 comes out as 1123477881');
});

test('in with low register first and out with high first', () => {
  const turned = through(...out('REAL', 2), ['claim', 'ca3', 'layout', { registerOrder: 'low first' }]);
  expect(theFinding(turned, 'TYP 12').message).toBe('order');
});

test('directly in one memory: another lane takes the second half of a value and the first of the next', () => {
  const direct = through(
    ['claim', 'con', 'place', at('areaa', 'va', 321)],
    ...out('REAL', 1),
    ['claim', 'con', 'length', words(2)],
    ['claim', 'don', 'length', words(2)],
  );
  const finding = findingsOf(direct).find((f) => f.code === 'TYP 12');
  expect(finding?.message).toBe('cut');
});

test('found and gone again with the edit that makes and mends it', () => {
  const project = through(...out('REAL', 2));
  const engine = new CheckEngine(project);
  const codes = () => [...engine.findings.values()].map((f) => f.code);
  const edit = (id: string, base: string) => {
    const claim = now.get('claim', id)!;
    const next = applied(now, { id: 'e', label: '', changes: [set('claim', claim, ['type'], type(base, 2))] });
    engine.update(next, [{ kind: 'claim', id, before: claim, after: next.get('claim', id) }]);
    now = next;
  };
  let now = project;
  expect(codes()).not.toContain('TYP 12');
  // As long as the two ends of that lane differ, their own difference comes first.
  edit('con', 'DINT');
  expect(codes()).not.toContain('TYP 12');
  edit('don', 'DINT');
  expect(codes()).toContain('TYP 12');
  edit('cb3', 'REAL');
  edit('con', 'REAL');
  edit('don', 'REAL');
  expect(codes()).not.toContain('TYP 12');
  // The far lane's own entry is what the copy brings.
  edit('ca3', 'DINT');
  edit('cb3', 'DINT');
  expect(codes()).toContain('TYP 12');
  expect(edited(now, ['claim', 'con', 'type', type('REAL', 2)])).toBeDefined();
});
