import fc from 'fast-check';
import { bitsToValue, formatValue, sampleOf, valueToBits } from '../data/values.js';
import { pack, transfer, unpack, type MachineEnd } from '../testing/byte-machine.testing.js';
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

test('in a window that holds more than what comes through, the element that it lies in is read', () => {
  // B's window begins two elements before what A hands on.
  const earlier: FieldEdit[] = (['con', 'don'] as const).flatMap((id): FieldEdit[] => [
    ['claim', id, 'length', { count: 8, unit: 16 }],
    ['claim', id, 'type', { base: 'REAL', count: 4 }],
  ]);
  const window = samples(...earlier, ['claim', 'con', 'place.number', 596], ['claim', 'don', 'place.number', 496]);
  expect(window.don).toEqual({ bytes: '42 F6 E9 79', value: '123.456' });
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

/** The byte machine as the other opinion: it knows nothing of hops, copies or places. */
const END: MachineEnd = {
  wordBits: 16,
  unit: 16,
  bitsFromBottom: true,
  highByteFirst: true,
  highRegisterFirst: true,
  pairsSwapped: false,
  boolPacking: 'bit',
  boolsFromBottom: true,
  textHeader: 0,
  wideCharacters: false,
  swap: { bytes: false, words: 'no' },
};
const order = fc.record({ byteOrder: fc.boolean(), registerOrder: fc.boolean() });
const swap = fc.constantFrom('none', 'bytes', 'words', 'bytes and words' as const);

test('through two lanes, a copy and any swaps, a value is read at the end as the byte machine reads it', () => {
  const sample = valueToBits('REAL', sampleOf('REAL'));
  const raw = sample.reduce((sum, bit, i) => sum | (BigInt(bit) << BigInt(i)), 0n);
  const value = { bits: 32, count: 1, byte: 0 };
  fc.assert(
    fc.property(order, order, swap, swap, (source, sink, leaving, arriving) => {
      const layout = (o: typeof source) => ({
        byteOrder: o.byteOrder ? 'high first' : 'low first',
        registerOrder: o.registerOrder ? 'high first' : 'low first',
      });
      const all = samples(
        ['station', 'sc', 'layout', layout(source)],
        ['station', 'sb', 'layout', layout(sink)],
        ['claim', 'con', 'swap', leaving],
        ['claim', 'don', 'swap', arriving],
      );
      const machine = (o: typeof source, own: string): MachineEnd => ({
        ...END,
        highByteFirst: o.byteOrder,
        highRegisterFirst: o.registerOrder,
        swap: { bytes: own.startsWith('bytes'), words: own.includes('words') ? 'pairs' : 'no' },
      });
      // Bytes to the gateway, whose memory is copied word by word; words from there on.
      const words = [0n, 0n, 0n, 0n];
      pack(machine(source, 'none'), words, value, [raw]);
      const held = transfer(machine(source, 'none'), END, words, 'bytes');
      const reader = machine(sink, arriving);
      const arrived = transfer({ ...END, swap: machine(source, leaving).swap }, reader, held, 'words');
      const [read = 0n] = unpack(reader, arrived, value);
      const bits = Uint8Array.from({ length: 32 }, (_, i) => Number((read >> BigInt(i)) & 1n));
      expect(all.don!.value).toBe(formatValue('REAL', bitsToValue('REAL', bits)));
    }),
    { numRuns: 60 },
  );
});
