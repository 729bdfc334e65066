import { type Part, type BlockLane, BITS, blockLane, lengthOf, projectOf } from '../testing/block-lanes.testing.js';
import { pack, transfer, unpack, type MachineEnd, type MachineValue } from '../testing/byte-machine.testing.js';
import { holds } from '../testing/oracle.testing.js';
import { compareLane } from './compare.js';

/** Registers and bytes without a type are memory: what is not named of them is spare, unless nothing is. */
const isSpare = (base: string) => base === 'BYTE' || base.endsWith('WORD');

function everythingArrives(lane: BlockLane, seed: number): boolean {
  const { block, list, base, elements, parts: named, carries, blockIsSource } = lane;
  const bits = BITS[base]!;
  const covered = new Set<number>();
  for (const part of named) {
    for (let i = part.from; i < part.from + part.count; i++) {
      if (covered.has(i) || i >= elements) return false;
      covered.add(i);
    }
  }
  if (covered.size !== elements && !isSpare(base)) return false;
  let state = BigInt(seed);
  const random = () => {
    state = BigInt.asUintN(64, state * 6364136223846793005n + 1442695040888963407n);
    return (state ^ (state >> 29n)) & ((1n << BigInt(bits)) - 1n);
  };
  const words = (end: MachineEnd) => new Array<bigint>((lengthOf(lane) * 8) / end.wordBits).fill(0n);
  const whole: MachineValue = { bits, count: elements, byte: 0 };
  const at = (part: Part): MachineValue => ({ bits, count: part.count, byte: (part.from * bits) / 8 });
  for (let round = 0; round < 8; round++) {
    const sent = Array.from({ length: elements }, random);
    const memory = words(blockIsSource ? block : list);
    if (blockIsSource) pack(block, memory, whole, sent);
    else for (const p of named) pack(list, memory, at(p), sent.slice(p.from, p.from + p.count));
    const [from, to] = blockIsSource ? [block, list] : [list, block];
    const arrived = transfer(from, to, memory, carries);
    for (const p of named) {
      const got = blockIsSource
        ? unpack(list, arrived, at(p))
        : unpack(block, arrived, whole).slice(p.from, p.from + p.count);
      if (got.some((value, i) => value !== sent[p.from + i])) return false;
    }
  }
  return true;
}

test('a block without values against one with: Agreed if and only if each element has one name and arrives', () => {
  const seen = { agreed: 0, other: 0, unchecked: 0 };
  holds(
    'blocks',
    blockLane,
    700,
    (lane) => {
      const project = projectOf(lane);
      const { verdict } = compareLane(project, project.get('lane', 'lane')!, project.get('exchange', 'x')!);
      seen[verdict === 'agreed' ? 'agreed' : verdict === 'unchecked' ? 'unchecked' : 'other']++;
      expect(verdict === 'agreed').toBe(everythingArrives(lane, JSON.stringify(lane).length * 7919));
    },
    projectOf,
  );
  const all = seen.agreed + seen.other + seen.unchecked;
  expect(seen.agreed).toBeGreaterThan(all / 3);
  expect(seen.other).toBeGreaterThan(all / 4);
  expect(seen.unchecked).toBeLessThan(all / 50);
});
