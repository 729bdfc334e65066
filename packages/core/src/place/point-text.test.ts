import { pointsOfA } from './point-text.testing.js';
import { pointText, readPoint } from './point-text.js';
import { readPlace } from './read-place.js';
import { placeText } from './place-text.js';

const { project, landing } = pointsOfA();
const at = (text: string) => {
  const found = readPoint(project, 'sa', text);
  return found?.ok ? placeText(project, found.value.place) : (found?.found ?? null);
};

test('a point is printed from the template of its owner, and read back in any case', () => {
  expect(pointText(project, { landing, what: 'outputs', channel: 5 })).toBe('D:1:O.5');
  expect(at('d:1:o.5')).toBe('%QX10.5');
  // The second byte of the module, the ninth channel.
  expect(at('D:1:O.8')).toBe('%QX11.0');
  for (let channel = 0; channel < 16; channel++) {
    const text = pointText(project, { landing, what: 'outputs', channel })!;
    const read = readPoint(project, 'sa', text);
    expect(read?.ok && read.value.point).toEqual({ landing, what: 'outputs', channel });
  }
});

test('what is no such text, names no module of its own, or a channel that is not there, says so', () => {
  expect(at('%QB3')).toBeNull();
  expect(at('D:9:O.0')).toBe('“D:9:O.0” names no module that this station claims');
  expect(at('D:1:O.16')).toBe('“D:1:O.16” has no channel 16');
  // A station without a template has no such texts.
  expect(readPoint(project, 'sb', 'D:1:O.5')).toBeNull();
  expect(pointText(project, { landing: { ...landing, station: 'sb' }, what: 'outputs', channel: 0 })).toBeNull();
});

test('it can be typed wherever an address of its owner can', () => {
  const read = readPlace(project, 'sa', 'D:1:O.3');
  expect(read.ok && placeText(project, read.value)).toBe('%QX10.3');
});
