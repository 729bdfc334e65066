import { compareLane } from '../../lane/compare.js';
import { differingValues } from '../../lane/difference.js';
import { added, edited, twoStations, type FieldEdit } from '../../testing/two-stations.testing.js';
import type { Project } from '../../model/project.js';
import { ASSUMED_LAYOUT } from '../../model/layout-defaults.js';
import { pack, transfer, type MachineEnd } from '../../testing/byte-machine.testing.js';
import { exchangeMap } from './exchange-map.js';
import { laneMap } from './lane-map.js';
import { partName } from './part-name.js';
import type { SheetMap } from './ruler.js';
import { valueMap } from './value-map.js';

const exchange = (project: Project) => project.get('exchange', 'x')!;
const lane = (project: Project) => project.get('lane', 'lane')!;
const ends = ['ea', 'eb'] as const;
const lanes = (project: Project) =>
  exchangeMap(project, exchange(project), project.get('end', 'ea')!, project.get('end', 'eb')!, () => 'agreed');
const differing = (project: Project) => {
  const { differences } = compareLane(project, lane(project), exchange(project));
  return differingValues(differences);
};
const links = (map: SheetMap | null) =>
  map!.links.map(
    ({ key, left, right, differs }) => `${key}: ${left.join('–')} to ${right.join('–')}${differs ? ' ≠' : ''}`,
  );

const second = (): Project => added(twoStations(), 'lane', { id: 'lane2', order: 20, exchange: 'x', items: {} });

test('lanes are drawn to scale from the first of them; lengths that differ give sides that are not parallel', () => {
  const project = edited(twoStations(), ['claim', 'cb', 'length.count', 3]);
  const map = lanes(project);
  expect(map.left).toMatchObject({ range: 'a100–a103', length: 64 });
  expect(map.right).toMatchObject({ range: 'b200–b202', length: 48 });
  expect(links(map)).toEqual(['lane: 0–64 to 0–48']);
  expect(map.left.boxes[0]).toMatchObject({ label: 'Block ca', address: 'a100–a103' });
});

test('what lies far off is drawn beside it, with a break in the line', () => {
  const near = withSecondLane(110);
  const far = withSecondLane(900);
  expect(lanes(near).left).toMatchObject({ range: 'a100–a111', length: 12 * 16, breaks: [] });
  expect(lanes(far).left).toMatchObject({ range: 'a100–a103, a900–a901', length: 6 * 16, breaks: [4 * 16] });
  expect(lanes(far).left.boxes.map((b) => [b.from, b.to])).toEqual([
    [0, 64],
    [64, 96],
  ]);
});

test('where two lanes lie on each other is told', () => {
  const { overlaps } = lanes(withSecondLane(103)).left;
  expect(overlaps).toEqual([{ from: 48, to: 64, detail: 'Block ca and Second overlap' }]);
});

/** A second lane of two words, filled in at A. */
function withSecondLane(number: number): Project {
  const with2 = second();
  const known = with2.get('claim', 'ca')!;
  return added(with2, 'claim', {
    ...known,
    id: 'ca2',
    lane: 'lane2',
    name: 'Second',
    length: { count: 2, unit: 16 },
    place: { area: 'areaa', view: 'va', number },
  });
}

const REAL = { base: 'REAL', count: 1 };
const items = (count: number) =>
  Object.fromEntries(
    Array.from({ length: count }, (_, i) => [`k${i}`, { name: `v${i}`, type: REAL, offset: { bits: i * 32 } }]),
  );
const withItems = (...edits: FieldEdit[]) =>
  edited(
    twoStations(),
    ['lane', 'lane', 'items', { k0: { order: 1 }, k1: { order: 2 } }],
    ['claim', 'ca', 'items', items(2)],
    ['claim', 'cb', 'items', items(2)],
    ['claim', 'ca', 'type', null],
    ['claim', 'cb', 'type', null],
    ...edits,
  );

test('the values of a lane, after its header; those that do not arrive are marked', () => {
  const project = withItems(['claim', 'cb', 'length.count', 3]);
  const map = laneMap(project, exchange(project), lane(project), ends, differing(project))!;
  expect(map.left.boxes.map((b) => [b.label, b.address, b.from, b.to])).toEqual([
    ['v0', 'a100', 0, 32],
    ['v1', 'a102', 32, 64],
  ]);
  expect(map.right.boxes.map((b) => b.differs)).toEqual([false, true]);
  // The second value reaches beyond what B reads: it is drawn where it would lie.
  expect(map.right.length).toBe(64);
  expect(map.right.overlaps).toEqual([{ from: 48, to: 64, detail: 'v1 ends beyond its lane' }]);
  const header = withItems(['claim', 'ca', 'header', 32], ['claim', 'ca', 'length.count', 6]);
  expect(laneMap(header, exchange(header), lane(header), ends, {})!.left.boxes[0]).toMatchObject({ from: 32, to: 64 });
});

// A 32-bit value in two registers, high word first at one end and low word first at the other: ABCD read as CDAB.
// [common practice] [from memory]
test('a value’s bytes are followed to where they arrive: registers exchanged cross each other', () => {
  const straight = withItems();
  const agreed = valueMap(straight, exchange(straight), lane(straight), ends, 'k0');
  expect(links(agreed)).toEqual(['0: 24–32 to 24–32', '8: 16–24 to 16–24', '16: 8–16 to 8–16', '24: 0–8 to 0–8']);

  const turned = withItems(['area', 'areab', 'layout', { registerOrder: 'low first' }]);
  const map = valueMap(turned, exchange(turned), lane(turned), ends, 'k0')!;
  expect(map.links.every((l) => l.differs)).toBe(true);
  // The highest byte is sent first and arrives first; there B reads bits 15 to 8.
  expect(map.left.boxes[0]).toMatchObject({ label: 'bits 31–24', address: 'a100' });
  expect(map.right.boxes[0]).toMatchObject({ label: 'bits 15–8', address: 'b200' });

  const mended = edited(turned, ['claim', 'ca', 'swap', 'words']);
  const crossed = valueMap(mended, exchange(mended), lane(mended), ends, 'k1')!;
  expect(crossed.links.some((l) => l.differs)).toBe(false);
  expect(links(crossed)).toContain('24: 0–8 to 16–24');
});

test('on whichever side the source stands, left is left', () => {
  const project = withItems(['claim', 'ca', 'direction', 'reads'], ['claim', 'cb', 'direction', 'writes']);
  const map = valueMap(project, exchange(project), lane(project), ends, 'k1')!;
  expect(map.left.boxes[0]).toMatchObject({ address: 'a102', detail: expect.stringContaining('read at') });
  expect(map.right.boxes[0]).toMatchObject({ address: 'b202', detail: expect.stringContaining('sent at') });
});

test('a value is drawn as arriving if and only if the lane’s check says that it does; no bit is drawn twice', () => {
  const orders = ['high first', 'low first'] as const;
  let faults = 0;
  for (const byteOrder of orders)
    for (const registerOrder of orders)
      for (const swap of ['none', 'bytes', 'words', 'bytes and words'] as const) {
        const project = withItems(
          ['area', 'areab', 'layout', { byteOrder, registerOrder }],
          ['claim', 'cb', 'swap', swap],
        );
        const faulty = differing(project);
        for (const key of ['k0', 'k1']) {
          const { links } = valueMap(project, exchange(project), lane(project), ends, key)!;
          expect(links.some((l) => l.differs)).toBe(key in faulty);
          if (key in faulty) faults++;
          for (const side of ['left', 'right'] as const) {
            expect(new Set(links.map((l) => l[side][0])).size).toBe(4);
            expect(links.reduce((sum, l) => sum + l[side][1] - l[side][0], 0)).toBe(32);
          }
        }
      }
  expect(faults).toBeGreaterThan(10);
});

test('each byte is drawn where the byte machine finds it in the sink’s memory', () => {
  const orders = ['high first', 'low first'] as const;
  const swaps = {
    none: { bytes: false, words: 'no' },
    bytes: { bytes: true, words: 'no' },
    words: { bytes: false, words: 'pairs' },
    'bytes and words': { bytes: true, words: 'pairs' },
  } as const;
  const machine = (highByteFirst: boolean, highRegisterFirst: boolean, swap: MachineEnd['swap']): MachineEnd => ({
    wordBits: 16,
    unit: 16,
    bitsFromBottom: true,
    pairsSwapped: false,
    boolPacking: 'bit',
    boolsFromBottom: true,
    textHeader: 0,
    wideCharacters: false,
    highByteFirst,
    highRegisterFirst,
    swap,
  });
  let crossed = 0;
  for (const byteOrder of orders)
    for (const registerOrder of orders)
      for (const [swap, by] of Object.entries(swaps)) {
        const project = withItems(
          ['area', 'areab', 'layout', { byteOrder, registerOrder }],
          ['claim', 'cb', 'swap', swap],
        );
        const from = machine(true, true, swaps.none);
        const to = machine(byteOrder === 'high first', registerOrder === 'high first', by);
        for (const [k, key] of ['k0', 'k1'].entries()) {
          const { links } = valueMap(project, exchange(project), lane(project), ends, key)!;
          expect(links).toHaveLength(4);
          for (const link of links) {
            const words = [0n, 0n, 0n, 0n];
            pack(from, words, { bits: 32, count: 1, byte: 4 * k }, [0xffn << BigInt(link.key)]);
            const arrived = bytesOf(to, transfer(from, to, words, 'words'));
            expect(arrived.indexOf(255) * 8).toBe(32 * k + link.right[0]);
            if (link.left[0] !== link.right[0]) crossed++;
          }
        }
      }
  expect(crossed).toBeGreaterThan(50);
});

/** Memory of 16-bit words, byte after byte as its addresses count. */
function bytesOf(end: MachineEnd, words: bigint[]): number[] {
  return words.flatMap((word) => {
    const [high, low] = [Number(word >> 8n), Number(word & 0xffn)];
    return end.highByteFirst ? [high, low] : [low, high];
  });
}

test('parts are called what they are of: bits of a number, an element of an array, a character of a text', () => {
  const layout = { ...ASSUMED_LAYOUT, stringHeader: 'capacity and length', characters: 'byte' } as const;
  const real = { base: 'REAL', count: 1 };
  expect(partName(real, layout, 8, 15)).toBe('bits 15–8');
  expect(partName({ ...real, count: 4 }, layout, 72, 79)).toBe('[2] bits 15–8');
  expect(partName({ base: 'BOOL', count: 16 }, layout, 9, 9)).toBe('[9]');
  const text = { base: 'STRING', count: 1, capacity: 16 };
  expect([0, 8, 16, 40].map((low) => partName(text, layout, low, low + 7))).toEqual([
    'capacity',
    'length',
    'character 1',
    'character 4',
  ]);
  const two = { ...text, count: 2 };
  expect(partName(two, layout, 18 * 8, 18 * 8 + 7)).toBe('[1] capacity');
  const wide = { ...layout, stringHeader: 'none', characters: 'word' } as const;
  expect(partName(text, wide, 24, 31)).toBe('character 2 bits 15–8');
});

test('of a long value the first parts are drawn, and that is said', () => {
  const text = { k0: { name: 't', type: { base: 'STRING', count: 1, capacity: 80 }, offset: { bits: 0 } } };
  const project = withItems(
    ['claim', 'ca', 'items', text],
    ['claim', 'cb', 'items', text],
    ['claim', 'ca', 'length.count', 50],
    ['claim', 'cb', 'length.count', 50],
  );
  const map = valueMap(project, exchange(project), lane(project), ends, 'k0')!;
  expect(map.rest).toMatch(/^the first 64 of 8\d bytes$/);
  expect(map.left.boxes).toHaveLength(64);
});
