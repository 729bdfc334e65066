import type { Reader } from '../model/project.js';
import { memoryOf } from '../place/memory.js';

/** Bits of one area, or of one tag that has no address: a byte each, 0 or 1. */
export type Bits = Uint8Array;

/** Of an area that is larger than any real one, this much is kept. */
const MOST_BITS = 1 << 25;

/** The memories of all stations while a plant runs, each made when it is first looked at. */
export class PlantMemory {
  private readonly areas = new Map<string, Bits>();

  constructor(private readonly reader: Reader) {}

  /** By the id of an area, or of a tag. */
  of(area: string): Bits {
    let bits = this.areas.get(area);
    if (!bits)
      this.areas.set(area, (bits = new Uint8Array(Math.min(memoryOf(this.reader, area)?.bits ?? 0, MOST_BITS))));
    return bits;
  }

  /** Areas that somebody has looked at. */
  get known(): readonly string[] {
    return [...this.areas.keys()];
  }

  /** Takes over what stood there; an area may have become longer or shorter. */
  take(area: string, bits: Bits): void {
    const own = this.of(area);
    own.set(bits.subarray(0, own.length));
  }
}
