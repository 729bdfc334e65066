import { lengthBits } from '../place/length.js';
import { joined, resolve, type Span } from '../place/resolve.js';
import { memoryOf } from '../place/memory.js';
import { landedOf } from '../rack/landed.js';
import { readable } from '../model/as-typed.js';
import type { Landing } from '../model/landing.js';
import type { MemoryCopy } from '../model/memory-copy.js';
import type { Reader } from '../model/project.js';
import { realPlace } from '../place/tag-place.js';
import type { Use } from './occupancy.js';
import type { Block, Side } from './side.js';

/** What a claim uses of its area; null where its place, length or direction is not known. */
export function useOf(side: Side): Use | null {
  const direction = readable(side.claim.direction);
  if (!side.block || !direction) return null;
  const puts = direction !== 'writes';
  return {
    id: side.claim.id,
    of: 'claim',
    area: side.block.place.area,
    spans: puts && wordsAreWritten(side.block) ? wholeWords(side.block) : side.block.spans,
    puts,
    takes: direction !== 'reads',
  };
}

/** A bit of a register is set by writing the register: all its bits are written. Views of single bits write just those. */
const wordsAreWritten = ({ usual, located, lengthBits: bits, spans, memory }: Block): boolean =>
  usual === 'words' &&
  located.row.unit >= 16 &&
  (bits % memory.wordBits !== 0 || spans.some((span) => span.start % memory.wordBits !== 0));

const widened = new WeakMap<Block, Span[]>();

function wholeWords(block: Block): Span[] {
  let spans = widened.get(block);
  const { wordBits } = block.memory;
  spans ??= joined(
    block.spans.map(({ start, end }) => ({
      start: Math.floor(start / wordBits) * wordBits,
      end: Math.ceil(end / wordBits) * wordBits,
    })),
  );
  widened.set(block, spans);
  return spans;
}

/** What a copy takes, and where it puts it. */
export function usesOfCopy(reader: Reader, copy: MemoryCopy): Use[] {
  const length = readable(copy.length);
  if (!length) return [];
  return (['from', 'to'] as const).flatMap((end): Use[] => {
    const typed = readable(copy[end]);
    const place = typed && realPlace(reader, typed);
    const memory = place && memoryOf(reader, place.area);
    const spans = place && memory ? resolve(memory, place, lengthBits(length)) : null;
    if (!place || !spans) return [];
    const puts = end === 'to';
    return [{ id: `${copy.id}>${end}`, of: 'copy', area: place.area, spans, puts, takes: !puts }];
  });
}

/** The inputs of a module that a controller claims are put into its area; its outputs are taken from there by the owner. */
export function usesOfLanding(reader: Reader, landing: Landing): Use[] {
  return landedOf(reader, landing).flatMap(({ field, area, spans }): Use[] => {
    const puts = field === 'inputsAt';
    if (!puts && landing.role === 'listener') return [];
    return [{ id: `${landing.id}>${field}`, of: 'landing', area, spans, puts, takes: !puts }];
  });
}

/** The claim, copy or landing that a use belongs to. */
export const holderOf = (use: Use): string => (use.of === 'claim' ? use.id : use.id.slice(0, use.id.indexOf('>')));
