import type { Tag } from '../model/tag.js';
import { rightPlant } from '../testing/plant/right-plant.testing.js';
import { edited, twoStations } from '../testing/two-stations.testing.js';
import { typedNumber } from '../text/typed-number.js';
import { textIn, putText } from './characters.js';
import { Plant } from './plant.js';
import { rawOf, scaled } from './scaled.js';
import { shownValues } from './shown-values.js';
import { movingStimulus, stimulusWords } from './stimulus-words.js';
import { typedStimulus } from './typed-stimulus.js';
import { unsettable } from './unsettable.js';
import type { OwnValue } from './values.js';

const value = (base: string, capacity?: number): OwnValue => ({
  key: '',
  name: 'V',
  type: { base, count: 1, ...(capacity === undefined ? {} : { capacity }) },
  bits: new Int32Array(0),
  text: '',
});
const percent = {
  name: 'Valve',
  unit: '%',
  scaling: { rawLow: 0, rawHigh: 27_648, low: 0, high: 100 },
} as unknown as Tag;

// [published: IEC 61131-3, numeric literals] [from memory]
test.each([
  ['16#1234', 0x1234n],
  ['16#FF_FF', 0xffffn],
  ['2#1010_0101', 0xa5n],
  ['8#17', 15n],
  ['0x10', 16n],
  ['0b11', 3n],
  ['−3', -3n],
  ['12,5', 12.5],
  ['1e3', 1000],
])('%s is the number %s', (text, number) => expect(typedNumber(text)!.value).toBe(number));
test.each(['', '2#12', '8#9', '16#', 'x', '1.2.3'])('“%s” is no number', (text) =>
  expect(typedNumber(text)).toBeNull(),
);

test.each([
  ['BOOL', undefined, 'on', { kind: 'constant', value: 1 }],
  ['BOOL', undefined, 'FALSE', { kind: 'constant', value: 0 }],
  ['WORD', undefined, '16#1234', { kind: 'constant', value: 0x1234n }],
  ['LWORD', undefined, '16#0123456789ABCDEF', { kind: 'constant', value: 0x0123456789abcdefn }],
  ['REAL', undefined, '16#2', { kind: 'constant', value: 2 }],
  // [common practice]: 27648 is the end of the range of many analogue modules
  ['INT', percent, '50 %', { kind: 'constant', value: 13_824 }],
  ['INT', percent, '13824', { kind: 'constant', value: 13_824n }],
  ['STRING', undefined, "'No coolant'", { kind: 'text', text: 'No coolant' }],
] as const)('at %s, %j: “%s” is %j', (base, tag, typed, stimulus) => {
  expect(typedStimulus(value(base), tag, typed)).toEqual(stimulus);
});
test.each([
  ['BOOL', '2', 'a bit is 1 or 0'],
  ['INT', 'many', 'a number is set'],
])('at %s “%s” cannot be set: %s', (base, typed, right) => {
  expect(typedStimulus(value(base), undefined, typed)).toEqual({ wrong: expect.stringContaining(right) as string });
});

test('a raw value is shown in the unit of its tag, and comes back from it', () => {
  expect([0, 13_824, 27_648].map((raw) => scaled(percent, raw))).toEqual(['0.00 %', '50.00 %', '100.00 %']);
  expect(rawOf(percent, 50)).toBe(13_824);
  expect(scaled({ ...percent, scaling: null }, 5)).toBeNull();
});

test.each([
  ['none, 8', 'abc'],
  ['length, 8', 'abc'],
  ['capacity and length, 8', 'ä'],
  ['capacity and length, 16', 'Ω≤'],
  ['none, 8', ''],
])('with %s before it “%s” is put there and read again', (text, characters) => {
  const bits = Int32Array.from({ length: 16 * 12 }, (_, i) => i);
  const own = { ...value('STRING', 10), text, bits };
  const memory = new Uint8Array(bits.length).fill(1);
  putText(memory, own, characters);
  expect(textIn(memory, own)).toBe(characters);
});

test('a text goes over as it was typed; one that is longer than its room, or has other characters, is refused', () => {
  const plant = new Plant(rightPlant(11, ['texts']));
  const link = plant.links.find(({ path }) =>
    shownValues(plant, { path } as typeof link).some(({ sent }) => sent.startsWith("'")),
  )!;
  const { key } = shownValues(plant, link).find(({ sent }) => sent.startsWith("'"))!;
  expect(plant.set(link, key, 'Hi')).toBeNull();
  plant.send(link);
  plant.advance(10_000_000);
  expect(shownValues(plant, link).find((one) => one.key === key)).toMatchObject({ sent: "'Hi'", has: "'Hi'" });
  expect(plant.set(link, key, 'x'.repeat(500))).toMatch(/^“x+” has 500 characters, .*STRING\[\d+\] takes \d+\.$/);
  expect(plant.drive(link, key, { kind: 'constant', value: 1 })).toContain('A text is set at');
});

test('after an edit a plant goes on: what it touches begins anew, all else stays; what cannot go on is said', () => {
  const before = new Plant(edited(twoStations(), ['exchange', 'x', 'cadence', 100]));
  const [link] = before.links as [Plant['links'][number]];
  before.drive(link, '', { kind: 'constant', value: 5 });
  before.advance(1_000_000);
  before.cut('net');
  before.stop('sb', 'faulted');
  const renamed = edited(before.project, ['station', 'sa', 'name', 'Other']);
  const same = new Plant(renamed, before.now);
  expect(same.goOnFrom(before)).toEqual([]);
  expect(same.links[0]).toMatchObject({ arrived: link.arrived, answered: link.answered });
  expect([same.now, same.cuts, same.standing.get('sb'), same.driven.length]).toEqual([
    before.now,
    ['net'],
    'faulted',
    1,
  ]);
  expect(shownValues(same, same.links[0]!)).toEqual(shownValues(before, link));

  const slower = new Plant(edited(before.project, ['exchange', 'x', 'cadence', 200]), before.now);
  slower.goOnFrom(before);
  expect(slower.links[0]).toMatchObject({ arrived: null, answered: 0 });

  const whole = { base: 'INT', count: 4 };
  const typed = edited(before.project, ['claim', 'ca', 'type', whole], ['claim', 'cb', 'type', whole]);
  const huge = new Plant(before.project);
  huge.drive(huge.links[0]!, '', { kind: 'constant', value: 1e20 });
  const other = new Plant(typed, 0);
  expect(other.goOnFrom(huge)).toEqual([
    expect.stringMatching(/^The hand on .* was taken off: .* does not go into INT\.$/),
  ]);
});

test.each([
  ['step 0 to 1 after 500 ms', { kind: 'step', before: 0, after: 1, at: 500_000 }],
  ['ramp −5 to 16#10 in 1.5 s', { kind: 'ramp', from: -5, to: 16, every: 1_500_000 }],
  ['counter every 100 ms', { kind: 'counter', every: 100_000 }],
  ['Counter every 1 min by 2', { kind: 'counter', every: 60_000_000, step: 2 }],
  ['square 0 and 1 every 1 s', { kind: 'square', low: 0, high: 1, every: 1_000_000 }],
  ['walking one every 2 s', { kind: 'walking one', every: 2_000_000 }],
  ['1; 5; 9 every 10 ms', { kind: 'list', values: [1, 5, 9], every: 10_000 }],
] as const)('“%s” moves, and is said so that it can be typed again', (typed, stimulus) => {
  expect(typedStimulus(value('INT'), undefined, typed)).toEqual(stimulus);
  expect(movingStimulus(stimulusWords(stimulus))).toEqual(stimulus);
});
test.each(['ramp a to b in 10 s', 'counter every 0 s', 'square 0 and 1', 'step 0 to 1 after x ms', '1; x every 1 s'])(
  '“%s” does not move',
  (typed) => expect(movingStimulus(typed)).toBeNull(),
);
test.each([
  ['ramp 0 to 70000 in 10 s', '70000 does not go into INT.'],
  ['square 0 and 40000 every 1 s', '40000 does not go into INT.'],
  ['1; −40000 every 1 s', '-40000 does not go into INT.'],
])('“%s” at an INT is refused: %s', (typed, sentence) => {
  expect(unsettable(value('INT'), movingStimulus(typed)!)).toBe(sentence);
});
