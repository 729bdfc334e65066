import { mended, plant, words } from '../../../testing/edited-plant.testing.js';
import { codesOf, type FieldEdit } from '../../../testing/two-stations.testing.js';

test('SIZ 7: a text longer than the type of its station takes', () => {
  const limit: FieldEdit = ['profile', 'pa', 'limits', { characters: { value: 6, source: 'its manual' } }];
  expect(words('SIZ 7', limit)).toContain('STRING[8] at A, which takes 6 characters');
  expect(codesOf(plant(['profile', 'pa', 'limits', { characters: { value: 8, source: 'its manual' } }]))).toEqual([]);
});

test('SIZ 10: a block of which hardly anything is used', () => {
  const long: FieldEdit[] = ['ca2', 'cb2'].map((id) => ['claim', id, 'length', { count: 32, unit: 16 }]);
  // Its values end after 16 bytes of 64.
  expect(codesOf(plant(...long)).filter((c) => c === 'SIZ 10')).toEqual([]);
  const longer: FieldEdit[] = ['ca2', 'cb2'].map((id) => ['claim', id, 'length', { count: 60, unit: 16 }]);
  const codes = codesOf(plant(...longer, ['claim', 'ca3', 'place.number', 380]));
  expect(codes.filter((c) => c === 'SIZ 10')).toHaveLength(2);
});

test('POS 4: a value where its station cannot declare it; nothing is said where nobody stated an alignment', () => {
  const four: FieldEdit = ['claim', 'ca', 'layout', { alignment: '4' }];
  expect(words('POS 4', four, ['claim', 'ca', 'place.number', 101])).toContain('REAL at multiples of 4 bytes');
  expect(codesOf(plant(['claim', 'ca', 'place.number', 101]))).toEqual([]);
});

test('TYP 8: two units of one value; the same unit written otherwise is the same', () => {
  const unit = (text: string): FieldEdit => ['claim', 'cb2', 'items.k1.unit', text];
  expect(words('TYP 8', unit('0.1 bar'))).toContain('counts bar at A and 0.1 bar at B');
  expect(mended('TYP 8', unit('0.1 bar'))).toEqual([]);
  expect(codesOf(plant(unit(' bar ')))).toEqual([]);
  expect(codesOf(plant(unit('')))).toEqual([]);
});

test('SIZ 5: a size that the type does not have, with the next that it has', () => {
  const sizes: FieldEdit = ['profile', 'pb', 'sizes', { 'modbus-rtu': { bytes: [4, 16, 32], source: 'its manual' } }];
  const found = words('SIZ 5', sizes);
  expect(found).toContain('4 words at B, whose type has blocks of 4, 16, 32 bytes only');
  expect(found).toContain('Make it 8 words at both ends');
  // The other end still has to follow.
  expect(mended('SIZ 5', sizes)).toContain('SIZ 1');
  expect(codesOf(plant(['profile', 'pb', 'sizes', { 'modbus-rtu': { bytes: [8], source: 'its manual' } }]))).toEqual(
    [],
  );
});
