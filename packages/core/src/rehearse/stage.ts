import type { Moves } from './request.js';

/** The bits of two memories that a lane has to do with, in one row, so that many transfers can be acted out fast. */
export class Stage {
  /** what stands there now */
  bits = new Uint8Array(256);
  private count = 0;
  private readonly index = new Map<string, Map<number, number>>();
  private readonly sent: Int32Array;
  private readonly taken: Int32Array;

  constructor({ from, to }: Moves) {
    this.sent = this.at(from.area, from.bits);
    this.taken = this.at(to.area, to.bits);
  }

  /** Bits of an area as places of the row; −1 stays: there is none. */
  at(area: string, bits: Int32Array): Int32Array {
    let known = this.index.get(area);
    if (!known) this.index.set(area, (known = new Map()));
    return bits.map((bit) => {
      if (bit < 0) return -1;
      let place = known.get(bit);
      if (place === undefined) known.set(bit, (place = this.count++));
      if (place >= this.bits.length) this.grow();
      return place;
    });
  }

  private grow(): void {
    const more = new Uint8Array(this.bits.length * 2);
    more.set(this.bits);
    this.bits = more;
  }

  /** Everything travels once. How many of the bits that arrived are not `rest`. */
  send(rest: number): number {
    const { bits, sent, taken } = this;
    let others = 0;
    for (let n = 0; n < taken.length; n++) {
      const to = taken[n]!;
      if (to < 0) continue;
      const from = sent[n]!;
      const bit = from < 0 ? rest : bits[from]!;
      bits[to] = bit;
      if (bit !== rest) others++;
    }
    return others;
  }

  fill(places: Int32Array, bit: number): void {
    for (const place of places) this.bits[place] = bit;
  }
}
