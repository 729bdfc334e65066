import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { printedSeed } from '../testing/oracle.testing.js';
import { rightPlant } from '../testing/plant/right-plant.testing.js';
import { edited, twoStations } from '../testing/two-stations.testing.js';
import type { Link } from './link.js';
import { Plant } from './plant.js';
import { EventQueue } from './queue.js';
import { truthsOf } from './truths.js';
import { stimulated } from './stimulus.js';
import { pairsOf } from './values.js';

const seed = printedSeed('plants');
const SECOND = 1_000_000;

/** A writes two REAL to B, every 100 ms. */
const two = (): Project => edited(twoStations(), ['exchange', 'x', 'cadence', 100], ['exchange', 'x', 'timeout', 300]);
const only = (plant: Plant): Link => plant.links[0]!;
/** The first REAL of the block, as B has it. */
function atB(plant: Plant): number | bigint {
  const { source, sink } = only(plant).path;
  const found = pairsOf(source, sink);
  if (typeof found === 'string') throw new Error(found);
  return plant.valueOf('areab', found.pairs[0]!.sink);
}

test('what a stimulus sets at the source stands at the sink after the next transfer, and not before', () => {
  const plant = new Plant(two());
  expect(plant.drive(only(plant), '', { kind: 'constant', value: 123.5 })).toBeNull();
  plant.advance(99_000);
  expect(atB(plant)).toBe(0);
  plant.advance(1_000);
  expect(atB(plant)).toBe(123.5);
  expect([only(plant).asked, only(plant).answered]).toEqual([1, 1]);
});

test.each([
  ['on change', 3, [5, 5, 9]],
  ['at start', 1, [5, 5, 5]],
  ['on demand', 0, [0, 0, 0]],
  [null, 30, [5, 5, 9]],
] as const)('what goes %s goes then', (trigger, transfers, values) => {
  const plant = new Plant(edited(two(), ['claim', 'ca', 'trigger', trigger]));
  const link = only(plant);
  plant.drive(link, '', { kind: 'constant', value: 5 });
  const seen = [SECOND, SECOND].map((by) => (plant.advance(by), atB(plant)));
  plant.drive(link, '', { kind: 'constant', value: 9 });
  plant.advance(SECOND);
  expect([...seen, atB(plant)]).toEqual(values);
  expect(link.answered).toBeLessThanOrEqual(transfers);
  plant.send(link);
  plant.advance(1);
  expect(atB(plant)).toBe(9);
});

test('an answer takes the time that the device is said to take', () => {
  const plant = new Plant(edited(two(), ['exchange', 'x', 'responseDelay', 30]));
  plant.drive(only(plant), '', { kind: 'constant', value: 5 });
  plant.advance(129_999);
  expect(atB(plant)).toBe(0);
  plant.advance(1);
  expect(atB(plant)).toBe(5);
});

test('a link that is cut is noticed after its timeout; until then each side has a truth of its own', () => {
  const decided = { sinks: 'hold the last value', source: 'goes on commanding', back: 'wait for a release' };
  const plant = new Plant(edited(two(), ['exchange', 'x', 'onLoss', decided]));
  const link = only(plant);
  plant.drive(link, '', { kind: 'constant', value: 5 });
  plant.advance(SECOND);
  expect(truthsOf(link, plant.now)).toMatchObject({ source: 'link up', status: 'present' });
  expect(plant.cut('net')).toBeNull();
  expect(plant.cut('net')).toBe('Net is cut already.');
  plant.advance(200_000);
  expect(truthsOf(link, plant.now)).toMatchObject({ source: 'link up, it is not noticed yet' });
  plant.advance(SECOND);
  expect(truthsOf(link, plant.now)).toEqual({
    sink: 'held as it came 1200 ms ago',
    source: 'A goes on commanding, and knows of nothing',
    status: 'nobody watches it',
  });
  expect([link.stopped, atB(plant)]).toEqual(['Net is cut', 5]);
  // Back again, its data waits for a release.
  plant.drive(link, '', { kind: 'constant', value: 7 });
  expect(plant.join('net')).toBeNull();
  plant.advance(200_000);
  expect([plant.waitingForRelease, atB(plant)]).toEqual([['x'], 5]);
  plant.release('x');
  plant.advance(100_000);
  expect(atB(plant)).toBe(7);
});

test.each([
  [{ sinks: 'go to zero' }, 'at zero'],
  [{ sinks: 'go to a set value' }, 'at its set value'],
  [{ sinks: 'hold the last value' }, 'held as it began, nothing came yet'],
  [null, 'as it began, nothing came yet; what it does on a loss is not decided'],
])('a link that never was up, on whose loss %j was decided: the sink has it %s', (onLoss, words) => {
  const plant = new Plant(edited(two(), ['exchange', 'x', 'onLoss', onLoss]));
  plant.cut('net');
  plant.advance(SECOND);
  expect(truthsOf(only(plant), plant.now).sink).toBe(words);
});

test('one that goes on after an edit has its whole timeout before it is lost', () => {
  const plant = new Plant(two(), 10 * SECOND);
  plant.cut('net');
  plant.advance(200_000);
  expect(only(plant).lost).toBeNull();
  plant.advance(200_000);
  expect(only(plant).lost).not.toBeNull();
});

test.each([
  ['go to zero', 0],
  ['hold the last value', 5],
])('on loss the sink does what was decided: %s', (sinks, value) => {
  const plant = new Plant(edited(two(), ['exchange', 'x', 'onLoss', { sinks }]));
  plant.drive(only(plant), '', { kind: 'constant', value: 5 });
  plant.advance(SECOND);
  plant.stop('sa');
  plant.advance(SECOND);
  expect([atB(plant), only(plant).stopped]).toEqual([value, 'A is stopped']);
  plant.start('sa');
  plant.advance(SECOND);
  expect(atB(plant)).toBe(5);
});

test.each([
  [{ kind: 'constant', value: Number.NaN }, 'NaN does not go into REAL.'],
  [{ kind: 'list', values: [1, Infinity], every: 1000 }, 'Infinity does not go into REAL.'],
] as const)('a stimulus that cannot be is refused: %j', (stimulus, sentence) => {
  const plant = new Plant(two());
  expect(plant.drive(only(plant), '', stimulus)).toBe(sentence);
  expect(plant.drive(only(plant), 'none', { kind: 'constant', value: 1 })).toContain('that somebody sends');
  expect(plant.driven).toEqual([]);
});

test.each([
  [{ kind: 'step', before: 1, after: 4, at: 50 }, [1, 4, 4]],
  [{ kind: 'counter', every: 50 }, [0, 1, 2]],
  [{ kind: 'square', low: 0, high: 1, every: 50 }, [0, 1, 0]],
  [{ kind: 'walking one', every: 50 }, [1, 2, 4]],
  [{ kind: 'list', values: [9, 8], every: 50 }, [9, 8, 9]],
  [{ kind: 'ramp', from: 0, to: 10, every: 200 }, [0, 2.5, 5]],
] as const)('%j', (stimulus, values) => {
  expect([0, 50, 100].map((at) => stimulated(stimulus, at, 16))).toEqual(values);
});

test('the same plant and the same calls make the same run', () => {
  const project = rightPlant(seed);
  const run = () => {
    const plant = new Plant(project);
    for (const link of plant.links) plant.drive(link, '', { kind: 'counter', every: 50_000 });
    plant.advance(3 * SECOND);
    const areas = [...project.all('area')].map(({ id }) => plant.memory.of(id).join(''));
    return [plant.transfers, areas];
  };
  expect(run()).toEqual(run());
});

test('in a plant that is right every way carries, and what is sent is what arrives', () => {
  for (let i = 0; i < 10; i++) {
    const project = rightPlant(seed + i);
    const plant = new Plant(project);
    plant.advance(70 * SECOND);
    for (const link of plant.links)
      expect([seed + i, link.id, link.stopped, link.answered > 0]).toEqual([seed + i, link.id, null, true]);
  }
});

test('a gateway hands on what it copies', () => {
  for (let i = 0; i < 5; i++) {
    const project = rightPlant(seed + i, ['handedOn']);
    const [into, out] = [...project.all('exchange')];
    const plant = new Plant(project);
    const link = (exchange: string) => plant.links.find((one) => one.exchange.id === exchange)!;
    const { source, sink } = link(into!.id).path;
    const found = pairsOf(source, sink);
    if (typeof found === 'string') throw new Error(found);
    const { bits } = found.pairs[0]!.source;
    const memory = plant.memory.of(source.block.memory.area.id);
    bits.forEach((bit, n) => (memory[bit] = n % 3 === 0 ? 1 : 0));
    plant.advance(5 * SECOND);
    const end = link(out!.id).path;
    const there = pairsOf(end.source, end.sink);
    if (typeof there === 'string') throw new Error(there);
    const got = plant.memory.of(end.sink.block.memory.area.id);
    const sinkBits = there.pairs[0]!.sink.bits;
    expect(Array.from(sinkBits, (bit) => got[bit])).toEqual(Array.from(bits, (_, n) => (n % 3 === 0 ? 1 : 0)));
    expect(childrenOf(project, 'copy', end.source.station.id)).toHaveLength(1);
  }
});

test('events come in the order of their times, and of one time in the order in which they were entered', () => {
  const queue = new EventQueue<string>();
  for (const [at, what] of [
    [5, 'c'],
    [1, 'a'],
    [5, 'd'],
    [3, 'b'],
    [9, 'e'],
  ] as const)
    queue.add(at, what);
  expect(Array.from({ length: 5 }, () => queue.take())).toEqual(['a', 'b', 'c', 'd', 'e']);
  expect([queue.next, queue.take()]).toEqual([Infinity, undefined]);
});
