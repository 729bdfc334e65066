import { set } from '@dialoga/core/change';
import { CheckEngine } from '@dialoga/core/check';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readProject } from '@dialoga/core/entry';
import { foreseen } from './foreseen';

const read = readProject(readFileSync(join(__dirname, '../../../../demo/kestrel-quay-as-agreed.dialoga.json'), 'utf8'));
if (!read.ok) throw new Error('the demo cannot be read');
const { project } = read;
const claims = [...project.all('claim')];
const stateOf = (engine: CheckEngine) =>
  JSON.stringify([
    [...engine.findings].sort(([a], [b]) => (a < b ? -1 : 1)),
    [...engine.laneResults].map(([id, { verdict }]) => [id, verdict]).sort(),
  ]);

test('what an edit would have found at what it changes is told before it is made', () => {
  const engine = new CheckEngine(project);
  // However long that takes here.
  const all = (changes: Parameters<typeof foreseen>[2]) => foreseen(engine, project, changes, Infinity);
  const duty = claims.find(({ name, place }) => name === 'Permissives' && place !== null)!;
  const beyond = { ...(duty.place as object), number: 99_999 };
  expect(all([set('claim', duty, ['place'], beyond)])).toContain('Permissives');
  expect(all([set('claim', duty, ['name'], 'Permits')])).toBeNull();
  expect(all([{ ...set('claim', duty, ['name'], 'x'), before: 'another' }])).toContain('name');
});

test('with no time it says that it does not know, and never that nothing is wrong', () => {
  const engine = new CheckEngine(project);
  const duty = claims.find(({ name, place }) => name === 'Permissives' && place !== null)!;
  const beyond = set('claim', duty, ['place'], { ...(duty.place as object), number: 99_999 });
  expect(foreseen(engine, project, [beyond], -1)).toBeUndefined();
  expect(foreseen(engine, project, [beyond], Infinity)).toContain('Permissives');
});

test('whatever is tried, the engine is afterwards as it was', () => {
  const engine = new CheckEngine(project);
  engine.ready();
  const before = stateOf(engine);
  fc.assert(
    fc.property(fc.nat(claims.length - 1), fc.constantFrom('length', 'direction', 'place', 'swap'), (at, field) => {
      const claim = claims[at]!;
      const values = { length: { count: 3, unit: 16 }, direction: 'both', place: null, swap: 'words' } as const;
      foreseen(engine, project, [set('claim', claim, [field], values[field])], 40);
      expect(engine.waiting).toBe(0);
      expect(stateOf(engine)).toBe(before);
    }),
    { numRuns: 25 },
  );
});
