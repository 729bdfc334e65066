import type { Project } from '@dialoga/core/model';
import type { Condition, RouteHop } from '@dialoga/core/route';
import { scalePoint } from 'd3-scale';
import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { useStateOf } from '../store/store';
import { colour, font, size } from '../theme/tokens';

const LABEL = 150;
const LANE = 26;
const TOP = 26;
/** room for half of the last name */
const EDGE = 70;

const Picture = styled.div`
  svg {
    display: block;
    width: 100%;
    overflow: visible;
  }
  text {
    fill: ${colour.ink};
    font: ${size.data}px ${font.sans};
  }
  .lane {
    fill: ${colour.ink2};
  }
  line.lane,
  line.stop {
    stroke: ${colour.hairline};
  }
  path {
    fill: none;
    stroke: ${colour.ink};
    stroke-width: 2.5px;
  }
  path.fails {
    stroke: ${colour.differs};
    stroke-dasharray: 5 4;
  }
  path.after {
    stroke: ${colour.edge};
    stroke-dasharray: 2 4;
  }
`;

/** One stretch of the way: along a lane, from one stop to the next. */
interface Stretch {
  lane: string;
  from: number;
  to: number;
  fails: boolean;
}

/**
 * The way as a staircase: stops from left to right, a lane for each network, and the way going down from one to the next where
 * a station hands it on. Where it is stopped it is dashed.
 */
export function WayPicture({ hops }: { hops: readonly RouteHop[] }) {
  const project = useStateOf((s) => s.project.project)!;
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(900);
  useEffect(() => {
    const seen = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width));
    if (box.current) seen.observe(box.current);
    return () => seen.disconnect();
  }, []);
  const { stops, stretches } = stretchesOf(project, hops);
  if (stretches.length === 0) return null;
  const lanes = [...new Set(stretches.map(({ lane }) => lane))];
  const x = scalePoint<number>()
    .domain(stops.map((_, i) => i))
    .range([LABEL + EDGE, Math.max(LABEL + 2 * EDGE, width - EDGE)]);
  const y = (lane: string) => TOP + LANE * (lanes.indexOf(lane) + 0.5);
  const broken = stretches.findIndex(({ fails }) => fails);
  const bottom = TOP + LANE * lanes.length;
  return (
    <Picture ref={box}>
      <svg height={bottom + 8} role="img" aria-label={`${stops.join(', then ')}; over ${lanes.join(', then ')}`}>
        {stops.map((name, i) => (
          <g key={i}>
            <line className="stop" x1={x(i)} x2={x(i)} y1={TOP - 4} y2={bottom} />
            <text x={x(i)} y={TOP - 10} textAnchor="middle">
              {name}
            </text>
          </g>
        ))}
        {lanes.map((lane) => (
          <g key={lane}>
            <line className="lane" x1={0} x2={width} y1={y(lane) + LANE / 2} y2={y(lane) + LANE / 2} />
            <text className="lane" x={0} y={y(lane) + 4}>
              {lane}
            </text>
          </g>
        ))}
        {stretches.map(({ lane, from, to }, i) => {
          const before = stretches[i - 1];
          const down =
            before && before.to === from ? `M${x(from)},${y(before.lane)}V${y(lane)}` : `M${x(from)},${y(lane)}`;
          const state = broken < 0 || i < broken ? undefined : i === broken ? 'fails' : 'after';
          return <path key={i} className={state} d={`${down}H${x(to)}`} />;
        })}
      </svg>
    </Picture>
  );
}

/** Whether a condition is about what the station at the end of a hop hands on. */
const isHandedOn = ({ cell }: Condition): boolean => cell?.kind === 'station' || cell?.path[0] === 'tunnel';

/** The stops by name, and the stretches between them; a backplane is a lane of its own, into the slot. */
function stretchesOf(project: Project, hops: readonly RouteHop[]): { stops: string[]; stretches: Stretch[] } {
  const name = (id: string) => project.get('station', id)?.name ?? '';
  const stops = hops[0] ? [name(hops[0].from)] : [];
  const stretches = hops.map((hop): Stretch => {
    stops.push(hop.kind === 'backplane' ? (hop.toPort ? 'its module' : `slot ${hop.address || '?'}`) : name(hop.to));
    return {
      lane: hop.kind === 'backplane' ? `rack of ${name(hop.from)}` : hop.way.name,
      from: stops.length - 2,
      to: stops.length - 1,
      fails: hop.conditions.some((condition) => condition.holds === false && !isHandedOn(condition)),
    };
  });
  // What a station does not hand on comes as far as that station.
  hops.forEach(({ conditions }, i) => {
    const next = stretches[i + 1];
    if (next && conditions.some((condition) => condition.holds === false && isHandedOn(condition))) next.fails = true;
  });
  return { stops, stretches };
}
