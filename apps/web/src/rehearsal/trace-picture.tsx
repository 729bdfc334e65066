import type { Series, Trace } from '@dialoga/core/rehearse';
import { scaleLinear } from 'd3-scale';
import { useState, type KeyboardEvent } from 'react';
import styled from 'styled-components';
import { colour, font, size } from '../theme/tokens';

const WIDTH = 1240;
const LEFT = 230;
const RIGHT = 40;
const ROW = 44;
const AXIS = 26;

const Picture = styled.svg`
  display: block;
  width: 100%;
  text {
    font: 400 ${size.data}px ${font.code};
    fill: ${colour.ink2};
  }
  .name {
    font-family: ${font.sans};
    fill: ${colour.ink};
  }
  .line {
    fill: none;
    stroke: ${colour.ink};
    stroke-width: 1.5;
  }
  .band {
    fill: ${colour.ink};
  }
  .axis {
    stroke: ${colour.hairline};
  }
  .cursor {
    stroke: ${colour.focus};
  }
  &:focus-visible {
    outline: 2px solid ${colour.focus};
  }
`;

/** `12.4 ms` */
export const timeWords = (us: number): string => `${Number((us / 1000).toFixed(3))} ms`;

/** Values over time: bits as bands, numbers as steps; two cursors and what lies between them. */
export function TracePicture({ trace }: { trace: Trace }) {
  const { series, length } = trace;
  const [cursors, setCursors] = useState<readonly [number, number]>([0, length]);
  const x = scaleLinear([0, length], [LEFT, WIDTH - RIGHT]);
  const height = series.length * ROW + AXIS;
  const edges = [...new Set(series.flatMap(({ points }) => points.map(([at]) => at)))].sort((a, b) => a - b);
  const [first, second] = [Math.min(...cursors), Math.max(...cursors)];

  /** From edge to edge by the arrow keys; with Shift the other cursor. */
  function onKey(event: KeyboardEvent) {
    if (event.key !== 'ArrowRight' && event.key !== 'ArrowLeft') return;
    event.preventDefault();
    const i = event.shiftKey ? 1 : 0;
    const at = cursors[i]!;
    const next =
      event.key === 'ArrowRight' ? edges.find((edge) => edge > at) : edges.filter((edge) => edge < at).at(-1);
    if (next !== undefined) setCursors(i === 0 ? [next, cursors[1]] : [cursors[0], next]);
  }
  const described = series.map(({ name, station, points }) => `${name} at ${station}: ${changesOf(points)}`).join('; ');
  return (
    <>
      <p role="status">
        cursors at {timeWords(first)} and {timeWords(second)}: {timeWords(second - first)} apart; arrow keys move the
        one from change to change, with Shift the other
      </p>
      <Picture
        viewBox={`0 0 ${WIDTH} ${height}`}
        role="img"
        aria-label={`Trace over ${timeWords(length)}. ${described}`}
        tabIndex={0}
        onKeyDown={onKey}
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          const at = x.invert(((event.clientX - box.left) / box.width) * WIDTH);
          const to = Math.round(Math.min(length, Math.max(0, at)));
          setCursors(event.shiftKey ? [cursors[0], to] : [to, cursors[1]]);
        }}
      >
        {x.ticks(10).map((tick) => (
          <g key={tick}>
            <line className="axis" x1={x(tick)} x2={x(tick)} y1={0} y2={height - AXIS} />
            <text x={x(tick)} y={height - 8} textAnchor="middle">
              {Number((tick / 1000).toFixed(3))} ms
            </text>
          </g>
        ))}
        {series.map((one, i) => (
          <g key={`${one.station} ${one.name} ${i}`} transform={`translate(0 ${i * ROW})`}>
            <text className="name" x={0} y={26}>
              {one.name} at {one.station}
            </text>
            {one.isBit ? <Band series={one} length={length} x={x} /> : <Steps series={one} length={length} x={x} />}
          </g>
        ))}
        {cursors.map((at, i) => (
          <line
            key={i}
            className="cursor"
            x1={x(at)}
            x2={x(at)}
            y1={0}
            y2={height - AXIS}
            strokeDasharray={i === 0 ? '' : '3 2'}
          />
        ))}
      </Picture>
    </>
  );
}

const changesOf = (points: Series['points']): string =>
  points
    .slice(0, 6)
    .map(([at, value]) => `${value} at ${timeWords(at)}`)
    .join(', ');

interface Drawn {
  series: Series;
  length: number;
  x: (at: number) => number;
}

function Band({ series: { points }, length, x }: Drawn) {
  return (
    <>
      <line className="line" x1={x(0)} x2={x(length)} y1={34} y2={34} />
      {points.map(([at, value], i) =>
        value === 1 ? (
          <rect
            key={at}
            className="band"
            x={x(at)}
            y={12}
            height={22}
            width={Math.max(1, x(points[i + 1]?.[0] ?? length) - x(at))}
          />
        ) : null,
      )}
    </>
  );
}

function Steps({ series: { points }, length, x }: Drawn) {
  const values = points.map(([, value]) => value);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const y = scaleLinear([low, high === low ? low + 1 : high], [34, 10]);
  const path = points.map(([at, value], i) => (i === 0 ? `M${x(at)} ${y(value)}` : `H${x(at)}V${y(value)}`)).join('');
  return (
    <>
      <path className="line" d={`${path}H${x(length)}`} />
      <text x={LEFT - 8} y={16} textAnchor="end">
        {Number(high.toPrecision(5))}
      </text>
      {high !== low && (
        <text x={LEFT - 8} y={38} textAnchor="end">
          {Number(low.toPrecision(5))}
        </text>
      )}
    </>
  );
}
