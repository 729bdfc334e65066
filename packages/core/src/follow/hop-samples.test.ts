import { copying } from '../testing/copying.testing.js';
import type { FieldEdit } from '../testing/two-stations.testing.js';
import { follow } from './follow.js';
import { hopSamples } from './hop-samples.js';

/** The samples along the way of C’s values, by the holder of each hop. */
function samples(...edits: FieldEdit[]) {
  const project = copying({}, ...edits);
  const hops = follow(project, 'cb3', null, 'forward');
  const found = hopSamples(project, hops);
  return Object.fromEntries(hops.map((hop, i) => [hop.holder.id, found[i]]));
}
const LOW: FieldEdit = ['station', 'sc', 'layout', { registerOrder: 'low first' }];

test('123.456 lies as 42 F6 E9 79 all the way where nobody does anything to it [library: Python struct]', () => {
  const sent = { bytes: '42 F6 E9 79', value: '123.456' };
  const all = samples();
  expect([all.cb3, all.ca3, all.con, all.don]).toEqual([sent, sent, sent, sent]);
  expect(all.copy).toEqual({ bytes: '42 F6 E9 79', value: '' });
});

test('low register first at the source, high first at the reader behind gateway and copy: −1.8833671e+25 [library: Python struct]', () => {
  const all = samples(LOW);
  expect(all.cb3).toEqual({ bytes: 'E9 79 42 F6', value: '123.456' });
  expect(all.copy!.bytes).toBe('E9 79 42 F6');
  expect(Number(all.don!.value.replace('−', '-'))).toBeCloseTo(-1.8833671e25, -19);
});

test('one swap of word pairs mends it, on whichever side; one on each does not', () => {
  const [left, right]: FieldEdit[] = [
    ['claim', 'con', 'swap', 'words'],
    ['claim', 'don', 'swap', 'words'],
  ];
  expect(samples(LOW, left!).don).toEqual({ bytes: '42 F6 E9 79', value: '123.456' });
  expect(samples(LOW, right!).don).toEqual({ bytes: '42 F6 E9 79', value: '123.456' });
  expect(samples(LOW, left!, right!).don!.bytes).toBe('E9 79 42 F6');
  // The gateway’s own words stay as they came.
  expect(samples(LOW, left!).con!.bytes).toBe('E9 79 42 F6');
});
