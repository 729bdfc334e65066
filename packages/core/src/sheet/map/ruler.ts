/** Something that lies on a ruler: a lane, a value, or a part of a value. Places in bits of the ruler. */
export interface MapBox {
  /** the same on both rulers for what belongs together */
  key: string;
  from: number;
  to: number;
  label: string;
  /** its address, in this end's notation */
  address: string;
  /** everything about it, for whoever cannot see it */
  detail: string;
  /** something about it does not match */
  differs: boolean;
}

/** One end, as a line to scale. Long stretches in which nothing lies are left out: there the line is broken. */
export interface MapRuler {
  /** the whole of it, in this end's notation */
  range: string;
  /** bits, without what is left out */
  length: number;
  /** where something was left out */
  breaks: readonly number[];
  /** by their start */
  boxes: readonly MapBox[];
  /** where two lie on each other, or one lies beyond its end: which they are */
  overlaps: readonly { from: number; to: number; detail: string }[];
}

/** What of the left ruler goes to what of the right one. */
export interface MapLink {
  key: string;
  left: readonly [from: number, to: number];
  right: readonly [from: number, to: number];
  differs: boolean;
}

export interface SheetMap {
  left: MapRuler;
  right: MapRuler;
  links: readonly MapLink[];
  /** what of it is drawn, where it is not all */
  rest?: string;
}

/** Where two boxes lie on each other. */
export function overlapsOf(boxes: readonly MapBox[]): MapRuler['overlaps'] {
  const found: { from: number; to: number; detail: string }[] = [];
  boxes.forEach((a, i) => {
    for (const b of boxes.slice(i + 1)) {
      if (b.from >= a.to) break;
      const to = Math.min(a.to, b.to);
      if (a.key !== b.key && b.from < to) found.push({ from: b.from, to, detail: `${a.label} and ${b.label} overlap` });
    }
  });
  return found;
}

/** Boxes of one key on both rulers, joined. */
export function linksOf(left: MapRuler, right: MapRuler): MapLink[] {
  const there = new Map(right.boxes.map((box) => [box.key, box]));
  return left.boxes.flatMap((a) => {
    const b = there.get(a.key);
    if (!b) return [];
    return [{ key: a.key, left: [a.from, a.to], right: [b.from, b.to], differs: a.differs || b.differs } as const];
  });
}

export const byStart = (a: MapBox, b: MapBox): number => a.from - b.from || a.to - b.to;
