import fc from 'fast-check';
import { nextFreeIn } from '../sheet/totals.js';
import { at, copying, words } from '../testing/copying.testing.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added, edited, theFinding, wordsOf, codesOf, fixed, type FieldEdit } from '../testing/two-stations.testing.js';
import { copied } from './copied.js';
import { follow } from './follow.js';

test('bit n of the source is bit n of the target, and back again', () => {
  const project = copying();
  const span = fc.tuple(fc.integer({ min: 5120, max: 5180 }), fc.integer({ min: 1, max: 64 }));
  fc.assert(
    fc.property(span, ([start, length]) => {
      const inside = { start: Math.floor(start / 8) * 8, end: Math.min(5184, Math.ceil((start + length) / 8) * 8) };
      const there = copied(project, project.get('copy', 'copy')!, [inside], 'forward');
      expect(there).toEqual([{ start: inside.start + 280 * 16, end: inside.end + 280 * 16 }]);
      expect(copied(project, project.get('copy', 'copy')!, there, 'back')).toEqual([inside]);
    }),
  );
  expect(copied(project, project.get('copy', 'copy')!, [{ start: 0, end: 64 }], 'forward')).toEqual([]);
});

test('a value is followed through the copy, with one more pass of its station, and back', () => {
  const project = copying(
    {},
    ...['sa', 'sb', 'sc'].map((id, i): FieldEdit => ['station', id, 'scan', [20, 30, 10][i]]),
  );
  const hops = follow(project, 'cb3', null, 'forward');
  expect(hops.map((h) => [h.depth, h.station, h.holder.kind, h.address])).toEqual(
    expect.arrayContaining([
      [1, 'sa', 'claim', 'a320–a323'],
      [2, 'sa', 'copy', 'a600–a603'],
      [3, 'sb', 'claim', 'b500–b503'],
    ]),
  );
  // 10 (C) + 100 + 20 (A) + 20 (the copy); the exchange x has no cadence, so it is not counted, and 30 (B).
  const last = hops.find((h) => h.holder.id === 'don')!;
  expect(last.age.ms).toBe(180);
  expect(last.age.terms).toContain('copy Handed on in A 20 ms');
  expect(follow(project, 'don', null, 'back').map((h) => h.station)).toContain('sc');
});

test('POS 5: a copy ends in a window that its reader reads', () => {
  expect(codesOf(copying())).not.toContain('POS 5');
  const wrong = copying({ to: at('areaa', 'va', 640) });
  const finding = theFinding(wrong, 'POS 5');
  expect(wordsOf(finding)).toContain('Handed on of A ends at a640–a643, where B does not look');
  expect(wordsOf(finding)).toContain('reads a100–a103, a600–a603');
  // The fix moves it to the first window of its reader that nothing else fills.
  const after = fixed(wrong, finding);
  expect(codesOf(after)).not.toContain('POS 5');
});

test('POS 5: a window that is bound by a tag with an address is one, too', () => {
  const tag = { id: 't9', order: 90, station: 'sa', name: 'Window', type: { base: 'REAL', count: 2 } };
  const tagged = added(copying(), 'tag', { ...tag, place: at('areaa', 'va', 600) });
  const bound = edited(tagged, ['claim', 'con', 'place', { area: 't9', view: 'tag', number: 0 }]);
  expect(codesOf(bound)).not.toContain('POS 5');
  expect(follow(bound, 'cb3', null, 'forward').map((h) => h.holder.id)).toContain('don');
});

test('a copy whose own places are tags with an address is found from their area, too', () => {
  const named = (to: number) => {
    const tag = (id: string, number: number) => ({
      id,
      order: number,
      station: 'sa',
      name: `At_${number}`,
      type: { base: 'REAL', count: 2 },
      place: at('areaa', 'va', number),
    });
    const tagged = added(copying(), 'tag', tag('t320', 320), tag('tto', to));
    const place = (id: string) => ({ area: id, view: 'tag', number: 0 });
    return edited(tagged, ['copy', 'copy', 'from', place('t320')], ['copy', 'copy', 'to', place('tto')]);
  };
  expect(follow(named(600), 'cb3', null, 'forward').map((h) => h.holder.id)).toEqual(
    expect.arrayContaining(['copy', 'don']),
  );
  expect(codesOf(named(600))).not.toContain('POS 5');
  expect(wordsOf(theFinding(named(640), 'POS 5'))).toContain('ends at a640–a643, where B does not look');
  const range = { order: 1, start: 640 * 16, length: 64, owner: 'module' };
  const reserved = edited(named(640), ['area', 'areaa', 'reservations', { r: range }]);
  expect(codesOf(reserved)).toContain('POS 3');
  expect(nextFreeIn(named(900), 'areaa')).toBe('a904');
});

test('POS 5: nor in one that its reader writes itself', () => {
  const finding = theFinding(copying({ to: at('areaa', 'va', 300), length: words(2) }), 'POS 5');
  expect(wordsOf(finding)).toContain('which B writes itself');
});

test('a copy is one of the writers of its target, and no claim of its own', () => {
  const twice = copying({ to: at('areaa', 'va', 322), length: words(2) });
  expect(wordsOf(theFinding(twice, 'POS 2'))).toContain('copy Handed on');
  // Both put data in; the copy may read where it wants.
  expect(codesOf(copying({ from: at('areaa', 'va', 300) }))).not.toContain('POS 2');
});

test('what a copy says is checked: missing, unreadable, beyond its area, in a reserved range', () => {
  expect(wordsOf(theFinding(copying({ from: null }), 'POS 13'))).toContain('where it takes from is missing');
  expect(wordsOf(theFinding(copying({ length: { typed: '4 cubits' } }), 'POS 13'))).toContain('4 cubits');
  const far = copying({ to: at('areaa', 'va', 998), reader: null });
  expect(wordsOf(theFinding(far, 'SIZ 4'))).toContain('copy Handed on reaches a998–a1001');
  const reserved = copying({}, [
    'area',
    'areaa',
    'reservations',
    { r: { order: 1, start: 9616, length: 16, owner: 'module' } },
  ]);
  const codes = codesOf(reserved).filter((c) => c === 'POS 3');
  // Once for the copy, once for the lane that sends it on.
  expect(codes).toHaveLength(2);
});

test('what its owner puts into a reserved range may be sent on, not written over', () => {
  const own = { order: 1, start: 9600, length: 64, owner: 'firmware', puts: true };
  const project = copying({ to: at('areaa', 'va', 640), reader: null }, ['area', 'areaa', 'reservations', { r: own }]);
  expect(codesOf(project)).not.toContain('POS 3');
  expect(codesOf(copying({}, ['area', 'areaa', 'reservations', { r: own }]))).toContain('POS 3');
});

test('POS 3: a reserved range starts where its module may start, and is moved to the nearest such place', () => {
  const range = { order: 1, start: 650 * 16, length: 64, owner: 'module', firstStart: 600 * 16, startStep: 100 * 16 };
  const project = edited(smallPlant(), ['area', 'areaa', 'reservations', { r: range }]);
  const finding = theFinding(project, 'POS 3');
  expect(wordsOf(finding)).toContain('may not start at a650');
  const after = fixed(project, finding);
  expect([600, 700].map((n) => n * 16)).toContain(after.get('area', 'areaa')!.reservations.r!.start);
  expect(codesOf(after).filter((c) => c === 'POS 3')).toEqual([]);
});
