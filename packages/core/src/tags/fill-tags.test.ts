import { taggedPlant } from '../testing/random-edits.testing.js';
import { edited } from '../testing/two-stations.testing.js';
import { addressAfterTag } from './fill-tags.js';

// [common practice] A REAL takes two words of 16 bits: the next begins two further on where words are counted.
test('filled down, addresses go on by the size of the type, in words here and by bits for BOOLs', () => {
  const project = edited(
    taggedPlant(),
    ['tag', 'spare', 'type', { base: 'REAL', count: 1 }],
    ['tag', 'spare', 'place', { area: 'areaa', view: 'va', number: 400 }],
  );
  const tag = project.get('tag', 'spare')!;
  expect([1, 2, 19].map((n) => addressAfterTag(project, tag, 'place', n))).toEqual(['a402', 'a404', 'a438']);
  const bit = { ...tag, type: { base: 'BOOL', count: 1 }, place: { area: 'areaa', view: 'va', number: 400, bit: 15 } };
  expect(addressAfterTag(project, bit, 'place', 1)).toBe('a401.0');
  expect(addressAfterTag(project, { ...tag, place: null }, 'place', 1)).toBeNull();
});

test('what a tag asks another station for goes on in the notation of that station', () => {
  const project = taggedPlant();
  const tag = { ...project.get('tag', 'spare')!, type: { base: 'DINT', count: 1 }, asks: 'b20' };
  expect([1, 2].map((n) => addressAfterTag(project, tag, 'asks', n))).toEqual(['b22', 'b24']);
  expect(addressAfterTag(project, { ...tag, asks: 'Duty' }, 'asks', 1)).toBeNull();
});
