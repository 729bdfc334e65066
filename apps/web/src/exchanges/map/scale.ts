import type { MapRuler, SheetMap } from '@dialoga/core/sheet';
import { scaleLinear } from 'd3-scale';

/** px that a break in the line takes */
export const BREAK = 14;

/** Where on a ruler its bits are drawn, px: the start of something after a break lies beyond it, the end before it. */
export interface Scale {
  start: (at: number) => number;
  end: (at: number) => number;
}

/** Both rulers of a map to one scale, so wide that the longer of them fills the room. */
export function scalesOf({ left, right }: SheetMap, room: number): { left: Scale; right: Scale } {
  const broken = BREAK * Math.max(left.breaks.length, right.breaks.length);
  const bits = Math.max(left.length, right.length, 1);
  const x = scaleLinear([0, bits], [0, Math.max(1, room - broken)]);
  const scale = ({ breaks }: MapRuler): Scale => ({
    start: (at) => x(at) + BREAK * breaks.filter((b) => b <= at).length,
    end: (at) => x(at) + BREAK * breaks.filter((b) => b < at).length,
  });
  return { left: scale(left), right: scale(right) };
}
