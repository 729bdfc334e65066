import { readable } from '../model/as-typed.js';
import type { MemoryCopy } from '../model/memory-copy.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { lengthBits } from '../place/length.js';
import { memoryOf } from '../place/memory.js';
import { realPlace } from '../place/tag-place.js';
import { blockAt, payloadOf } from './block.js';
import type { PlantMemory } from './memory.js';
import { copying } from './movers.js';

/** What the copies of a station’s program do, one after the other; a copy that is not complete does nothing. */
export function copiesOf(reader: Reader, memory: PlantMemory, station: string): (() => void)[] {
  return childrenOf(reader, 'copy', station).flatMap((copy) => {
    const [from, to] = [bitsAt(reader, copy, 'from'), bitsAt(reader, copy, 'to')];
    if (!from || !to || from.bits.length !== to.bits.length) return [];
    return [copying(memory.of(from.area), from.bits, memory.of(to.area), to.bits)];
  });
}

function bitsAt(reader: Reader, copy: MemoryCopy, at: 'from' | 'to'): { area: string; bits: Int32Array } | null {
  const [place, length] = [readable(copy[at]), readable(copy.length)];
  const real = place && realPlace(reader, place);
  const memory = real && memoryOf(reader, real.area);
  if (!memory || !length) return null;
  const block = blockAt({ memory, place: real, bits: lengthBits(length), usual: 'bits', inBits: length.unit === 1 });
  return block && { area: block.memory.area.id, bits: payloadOf(block, block.single) };
}
