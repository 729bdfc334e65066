import type { Point, PointStanding } from '@dialoga/core/pointtest';
import type { GridColumn, GridRow } from '../grid/types';
import { formatWhenShort } from '../words/when';
import type { Looks } from './say-of-point';

export const POINT_COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Point', names: true, track: 'minmax(120px, 1.2fr)' },
  { id: 'from', title: 'Set at', names: true, track: 'minmax(120px, 1fr)' },
  { id: 'to', title: 'Expect at', names: true, track: 'minmax(120px, 1fr)' },
  { id: 'state', title: 'State', track: 'minmax(110px, 0.9fr)' },
];

/** What a list of points is cut down to. */
export const SHOWN = ['to do', 'all', 'not seen', 'before the change', 'seen'] as const;
export type Shown = (typeof SHOWN)[number];

/** Whether something is left to do of a point for whoever looks there. */
export const isToDo = ({ state, last }: PointStanding, looks: Looks): boolean =>
  state === 'to test' ||
  state === 'before the change' ||
  (state === 'in one view' && (looks === 'both' || !last[looks]));

export const isShown = (shown: Shown, standing: PointStanding, looks: Looks): boolean =>
  shown === 'all' || (shown === 'to do' ? isToDo(standing, looks) : standing.state === shown);

const HEIGHT = 26;

/** One row a point, with what became of it. */
export function pointRow(point: Point, standing: PointStanding): GridRow {
  const { sort, from, to } = point;
  const done = standing.state === 'seen' || standing.state === 'skipped';
  return {
    id: point.key,
    height: HEIGHT,
    cells: [
      {
        text:
          sort === 'value' ? from.name : sort === 'reach' ? `must reach: ${from.name}` : `must not reach: ${from.name}`,
        muted: done,
      },
      { text: `${from.at} ${from.address}`.trim(), muted: done },
      { text: `${to.at} ${to.address}`.trim(), muted: done },
      { text: stateWords(standing), muted: done, differs: standing.state === 'not seen' },
    ],
  };
}

/** `seen 30 Nov, 10:12, Ada`, `in the tool only`, `to test`. */
export function stateWords({ state, last, records }: PointStanding): string {
  if (state === 'to test') return state;
  if (state === 'in one view') return last.tool ? 'seen in the tool only' : 'seen at the device only';
  const [newest] = records;
  const said = newest ? ` ${formatWhenShort(newest.at)}, ${newest.by || 'not named'}` : '';
  return state === 'before the change' ? `changed since${said}` : `${state}${said}`;
}
