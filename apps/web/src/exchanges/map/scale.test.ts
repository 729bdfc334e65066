import type { MapRuler, SheetMap } from '@dialoga/core/sheet';
import { BREAK, scalesOf } from './scale';

const ruler = (length: number, breaks: number[] = []): MapRuler => ({
  range: '',
  length,
  breaks,
  boxes: [],
  overlaps: [],
});
const map = (left: MapRuler, right: MapRuler): SheetMap => ({ left, right, links: [] });

test('both rulers are to one scale: the longer fills the room', () => {
  const { left, right } = scalesOf(map(ruler(160), ruler(80)), 640);
  expect([left.start(0), left.end(160), right.end(80)]).toEqual([0, 640, 320]);
});

test('where something is left out, what begins there is beyond the break and what ends there before it', () => {
  const { left, right } = scalesOf(map(ruler(100, [40]), ruler(100)), 100 + BREAK);
  expect([left.end(40), left.start(40), left.end(100)]).toEqual([40, 40 + BREAK, 100 + BREAK]);
  expect([right.start(40), right.end(40)]).toEqual([40, 40]);
});

test('rulers without a bit, and no room, still have places', () => {
  const { left } = scalesOf(map(ruler(0), ruler(0)), 0);
  expect(left.start(0)).toBe(0);
  expect(Number.isFinite(left.end(0))).toBe(true);
});
