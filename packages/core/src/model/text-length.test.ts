import { isWellFormed, textLength } from './text-length.js';

test.each([
  ['', 0],
  ['abc', 3],
  ['naïve', 5],
  ['🧊', 1],
  ['a🧊b🧊', 4],
  ['a\ufe0f', 2],
  ['\ud83e', 1],
  ['\ud83e\ud83e\uddca', 2],
])('%j has %i characters, as counted by going through it', (text, length) => {
  expect(textLength(text)).toBe(length);
  expect([...text]).toHaveLength(length);
});

test.each([
  ['plain 🧊', true],
  ['\ud83e', false],
  ['\uddca\ud83e', false],
  ['x\ud83ey', false],
])('%j: whether it is whole characters', (text, whole) => {
  expect(isWellFormed(text)).toBe(whole);
  expect(Buffer.from(text).toString() === text).toBe(whole);
});
