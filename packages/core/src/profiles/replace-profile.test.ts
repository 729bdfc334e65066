import type { Profile } from '../model/profile.js';
import { added, applied, codesOf, edited, twoStations } from '../testing/two-stations.testing.js';
import { replaceProfile } from './replace-profile.js';

/** A type that numbers bytes, and one that numbers nothing in memory. */
const bytes: Profile = {
  id: 'pc',
  order: 30,
  name: 'Bytes',
  layout: { registerOrder: 'low first' },
  limits: {},
  words: {},
  nameRule: { caseMatters: false, source: 's' },
  views: { vc: { order: 1, name: 'bytes', areaKind: 'memory', notation: 'iec bytes', prefix: 'M', unit: 8, first: 0 } },
};
const project = () => added(twoStations(), 'profile', bytes, { ...bytes, id: 'pd', views: {}, layout: {} });
const replaced = (id: string | null) => {
  const p = project();
  return replaceProfile(p, p.get('station', 'sa')!, id === null ? null : p.get('profile', id)!);
};
const after = (id: string) => applied(project(), { id: 'r', label: '', changes: [...replaced(id).changes] });

// Word 100 begins at byte 200. [common practice]
test('an address is converted to the same bits; rules that are others are named', () => {
  const plan = replaced('pc');
  expect(plan.converted.map((c) => [c.claim.id, c.before, c.after])).toEqual([['ca', 'a100', '%MB200']]);
  expect(plan.rules).toEqual(['32-bit values: high first → low first']);
  expect(plan.lost).toEqual([]);
  // The order of registers is another now, and found; the place is not lost.
  expect(codesOf(after('pc'))).toEqual(['TYP 5']);
});

test('what the new type cannot write is named, and kept as typed', () => {
  const plan = replaced('pd');
  expect(plan.lost.map((l) => [l.claim.id, l.before])).toEqual([['ca', 'a100']]);
  expect(after('pd').get('claim', 'ca')?.place).toEqual({ typed: 'a100' });
  expect(replaced(null).lost).toHaveLength(1);
});

test('the same views under another profile change nothing but the type', () => {
  const p = edited(added(project(), 'profile', { ...project().get('profile', 'pa')!, id: 'pe' }));
  const plan = replaceProfile(p, p.get('station', 'sa')!, p.get('profile', 'pe')!);
  expect([plan.converted, plan.lost, plan.rules, plan.changes.length]).toEqual([[], [], [], 1]);
});
