import fc from 'fast-check';
import type { Rack } from '../model/rack.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { applied, edited } from '../testing/two-stations.testing.js';
import { copiesOfModule, followUpModule } from '../told/module-copies.js';
import { ownerMapOf } from './owner-map.js';
import { accepts, compareVersions, isWidened, parseAccepted } from '../rack/revisions.js';
import { gapsIn, isInRack, lastSlot, placeFault, slotName } from '../rack/slots.js';

const takes = (range: string, found: string) => {
  const read = parseAccepted(range);
  return read.ok ? accepts(read.value, found) : read.found;
};

// Found 4.6. [common practice]
test('which ranges take 4.6', () => {
  for (const range of ['5.2', '5.2–5.x', '5.x', '4.3', '4.7-4.9, 5.1']) expect(takes(range, '4.6')).toBe(false);
  for (const range of ['4.6', '4.3–4.x', '4.x', '4.3-4.9, 5.1', 'any', 'V4.6']) expect(takes(range, '4.6')).toBe(true);
});

test('a range that cannot be read says what would be right', () => {
  expect(takes('', '4.6')).toBe('no revision is accepted');
  expect(takes('5.x.2', '4.6')).toBe('“5.x.2” is not a valid revision');
  expect(takes('latest', '4.6')).toBe('“latest” is not a valid revision');
  expect(takes('5.2–4.6', '4.6')).toBe('5.2–4.6 ends before it begins');
  expect(takes('5.2', 'unknown')).toBeNull();
});

test('open at the end: an x, or any', () => {
  const open = (text: string) => {
    const read = parseAccepted(text);
    return read.ok && isWidened(read.value);
  };
  expect(['any', '5.x', '5.2–5.x'].map(open)).toEqual([true, true, true]);
  expect(['5.2', '4.3–4.9, 5.1'].map(open)).toEqual([false, false]);
});

// [common practice]
test('12.10 is above 12.9; missing parts are 0', () => {
  expect(compareVersions('12.10', '12.9')).toBe(1);
  expect(compareVersions('5', '5.0')).toBe(0);
  expect(compareVersions('5.1', '?')).toBeNull();
});

test('comparing versions is an order like that of their numbers', () => {
  const version = fc.array(fc.nat(30), { minLength: 1, maxLength: 4 });
  fc.assert(
    fc.property(version, version, (a, b) => {
      const [x, y] = [a, b].map((v) => v.join('.')) as [string, string];
      const value = (v: number[]) => [0, 1, 2, 3].reduce((sum, i) => sum * 31 + (v[i] ?? 0), 0);
      expect(Math.sign(compareVersions(x, y)!)).toBe(Math.sign(value(a) - value(b)));
      expect(takes(`${x}–${x}`, y)).toBe(value(a) === value(b));
    }),
  );
});

const rack = (rest: Partial<Rack> = {}): Rack => ({
  id: 'r',
  order: 0,
  name: 'R',
  station: 's',
  size: 10,
  first: 0,
  gaps: false,
  zones: {},
  takes: [],
  ...rest,
});

// A rack of n numbered from f ends at f + n − 1. [common practice]
test('slots of a rack', () => {
  expect(lastSlot(rack())).toBe(9);
  expect(lastSlot(rack({ first: 1, size: 8 }))).toBe(8);
  expect(isInRack(rack({ first: 1 }), 0)).toBe(false);
});

const zoned = rack({
  zones: {
    left: { order: 1, name: 'local', slot: 0, size: 4, kinds: ['head', 'digital input'], first: 1 },
    right: { order: 2, name: 'analogue', slot: 4, size: 6, kinds: ['analogue input'], gaps: true },
  },
});

test('a zone counts for itself, takes only its kinds, and has a gap rule of its own', () => {
  expect([0, 3, 4].map((slot) => slotName(zoned, slot))).toEqual(['local 1', 'local 4', '4']);
  expect(placeFault(zoned, { kind: 'head', orderCode: '' }, 0)).toBeNull();
  expect(placeFault(zoned, { kind: 'digital output', orderCode: '' }, 1)).toContain('takes head, digital input only');
  expect(placeFault(zoned, { kind: 'head', orderCode: '' }, 10)).toBe('the rack has slots 0 to 9');
  expect(gapsIn(zoned, new Set([0, 2, 4, 8]))).toEqual([1]);
});

test('gaps are the empty slots before the last module, and none where gaps are allowed', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 9 })), (slots) => {
      const taken = new Set(slots);
      const gaps = gapsIn(rack(), taken);
      const last = Math.max(-1, ...slots);
      expect(gaps).toEqual(Array.from({ length: last + 1 }, (_, i) => i).filter((i) => !taken.has(i)));
      expect(gapsIn(rack({ gaps: true }), taken)).toEqual([]);
    }),
  );
});

test('the owner map: who owns and who listens, and what is to be noticed', () => {
  const map = ownerMapOf(smallPlant());
  expect(map.controllers.map((c) => c.name)).toEqual(['A', 'B']);
  expect(map.rows.map((r) => [r.module.id, r.roles, r.notice])).toEqual([
    ['m2', { sa: 'owner', sb: 'listener' }, ''],
    ['m3', { sa: 'owner' }, ''],
  ]);
  const notices = (...edits: Parameters<typeof edited>[1][]) =>
    ownerMapOf(edited(smallPlant(), ...edits)).rows.map((r) => r.notice);
  expect(notices(['landing', 'l4', 'role', 'owner'])).toEqual(['2 owners of its outputs', '']);
  expect(notices(['landing', 'l3', 'role', 'listener'])).toEqual(['', 'nobody owns it']);
  expect(notices(['station', 'sd', 'roles', ['controller']])).toEqual(['owned from elsewhere', 'owned from elsewhere']);
});

test('every controller’s entry of a module’s slot and order code, followed up one by one', () => {
  const project = edited(smallPlant(), ['landing', 'l2', 'slot', 3], ['landing', 'l4', 'orderCode', 'DO-8']);
  const module = project.get('module', 'm2')!;
  const copies = copiesOfModule(project, module);
  expect(copies.map((c) => [c.holder, c.field, c.value, c.truth, c.state])).toEqual([
    ['sa', 'slot', '3', '1', 'another'],
    ['sa', 'order code', 'DO-16', 'DO-16', 'as it is'],
    ['sb', 'slot', '', '1', 'not told'],
    ['sb', 'order code', 'DO-8', 'DO-16', 'another'],
  ]);
  const changes = copies.flatMap((copy) => followUpModule(project, module, copy));
  const next = applied(project, { id: 'c', label: '', changes });
  expect(copiesOfModule(next, next.get('module', 'm2')!).every((c) => c.state === 'as it is')).toBe(true);
});
