import type { Claim } from '../model/claim.js';
import { edited, twoStations } from '../testing/two-stations.testing.js';
import { withLengthOfType } from './length-of-type.js';

const project = edited(twoStations(), ['claim', 'ca', 'length', null]);
const end = project.get('end', 'ea')!;
const claim = project.get('claim', 'ca')!;
const lengthOf = (type: Claim['type'], place: Partial<NonNullable<Claim['place']>> = {}): unknown =>
  withLengthOfType(project, end, { ...claim, type, place: { ...(claim.place as object), ...place } as Claim['place'] })
    .length;

// [published: IEC 61131-3, elementary data types: INT 16, DINT and REAL 32, LREAL 64 bits] [from memory]
test('a claim of a place and a type has the length of its type, in the unit of its address', () => {
  const words = (base: string, count = 1) => lengthOf({ base, count } as Claim['type']);
  expect(words('INT')).toEqual({ count: 1, unit: 16 });
  expect(words('REAL')).toEqual({ count: 2, unit: 16 });
  expect(words('DINT', 3)).toEqual({ count: 6, unit: 16 });
  expect(words('LREAL')).toEqual({ count: 4, unit: 16 });
});

test('single bits are as many bits; how many a BOOL takes of a word is left open', () => {
  expect(lengthOf({ base: 'BOOL', count: 1 } as Claim['type'], { bit: 3 })).toEqual({ count: 1, unit: 1 });
  expect(lengthOf({ base: 'BOOL', count: 1 } as Claim['type'])).toBeNull();
});

test('what is typed stays: a length, a type that is not read, a place that is not read', () => {
  const known = { count: 9, unit: 16 } as const;
  expect(withLengthOfType(project, end, { ...claim, length: known }).length).toBe(known);
  expect(lengthOf({ typed: 'REEL' } as never)).toBeNull();
  expect(withLengthOfType(project, end, { ...claim, place: { typed: 'nowhere' } }).length).toBeNull();
});
