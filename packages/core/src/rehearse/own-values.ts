import { parseStartContent } from '../data/start-content.js';
import { areaBit, type Row } from '../data/linear.js';
import { entriesInOrder, childrenOf } from '../model/order.js';
import type { BlockMember } from '../model/block-member.js';
import type { Reader } from '../model/project.js';
import { memoryOf, type Memory } from '../place/memory.js';
import type { PlantMemory } from './memory.js';

/** When a station puts a part of a block there of itself: once at its start by start values, or its firmware again and again. */
export type OwnWriting = 'at start' | 'by firmware';

const isOf = (when: OwnWriting, { atStart, access }: BlockMember): boolean =>
  when === 'at start' ? atStart === true : atStart !== true && access === 'read';

/** What a station writes into its own blocks of itself, one act a part whose contents are said and can be read. */
export function ownValuesOf(reader: Reader, memory: PlantMemory, station: string, when: OwnWriting): (() => void)[] {
  return childrenOf(reader, 'area', station).flatMap((area) => {
    const known = memoryOf(reader, area.id);
    if (!known) return [];
    return entriesInOrder(area.reservations).flatMap(([, { start, members }]) =>
      entriesInOrder(members ?? {}).flatMap(([, member]) => {
        const content = isOf(when, member) && member.content ? parseStartContent(member.content) : null;
        if (!content?.ok) return [];
        // What does not go into it is cut off, as it would be there.
        const bytes = content.value.bytes.slice(0, Math.floor(member.bits / 8));
        return [() => putBytes(memory.of(area.id), known, start + member.offset, bytes)];
      }),
    );
  });
}

/** Bytes in the order in which they stand, which in a word is that of the station. */
function putBytes(bits: Uint8Array, { wordBits, layout }: Memory, from: number, bytes: readonly number[]): void {
  const row: Row = { unit: 8, wordBits, highFirst: layout.byteOrder === 'high first', fromBottom: true, base: 0 };
  bytes.forEach((byte, n) => {
    for (let i = 0; i < 8; i++) {
      const at = areaBit(row, from + n * 8 + i);
      if (at < bits.length) bits[at] = (byte >> i) & 1;
    }
  });
}
