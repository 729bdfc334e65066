import type { Strip, StripPart } from '@dialoga/core/sheet';
import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { linkToCell } from '../findings/link';
import { useStateOf } from '../store/store';
import { colour, font, size, space } from '../theme/tokens';
import { useWidth } from '../theme/use-width';

const LINE = 36;
const BOX = 14;
const HEIGHT = 74;

const Row = styled.div`
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: ${space[4]}px;
  padding: ${space[2]}px 0;
  border-bottom: 1px solid ${colour.hairline};
`;

const Head = styled.div`
  h3 {
    font-size: ${size.interface}px;
  }
  p {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
  code {
    font-family: ${font.code};
  }
`;

const Svg = styled.svg`
  display: block;
  width: 100%;
  height: ${HEIGHT}px;
  overflow: visible;
  text {
    font: ${size.data}px ${font.sans};
    fill: ${colour.ink2};
  }
  .number {
    font-family: ${font.code};
    text-anchor: middle;
  }
  .line {
    stroke: ${colour.edge};
  }
  rect {
    fill: ${colour.sheet};
    stroke: ${colour.ink};
  }
  rect.reserved {
    fill: ${colour.sunk};
    stroke: ${colour.edge};
    stroke-dasharray: 3 2;
  }
  rect.twice {
    stroke: ${colour.differs};
  }
  path.hatch {
    stroke: ${colour.differs};
  }
`;

const Hidden = styled.ul`
  position: absolute;
  clip-path: inset(50%);
  width: 1px;
  height: 1px;
  overflow: hidden;
`;

const top = { in: LINE - BOX, out: LINE, reserved: LINE - BOX };

/** One area: above the line who puts data in, below it who takes data out, hatched where two put it into one place. */
export function OccupancyStrip({ strip }: { strip: Strip }) {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const hatch = useId();
  const [box, all] = useWidth<HTMLDivElement>(1000);
  const x = scaleLinear([strip.from, strip.to], [0, all]);
  const width = (from: number, to: number) => Math.max(2, x(to) - x(from));
  return (
    <Row>
      <Head>
        <h3>{strip.name}</h3>
        <p>
          <code>{strip.range}</code>, in {strip.counts}
        </p>
        <p>
          next free <code>{strip.nextFree ?? 'none'}</code>
        </p>
      </Head>
      <div ref={box}>
        <Svg viewBox={`0 0 ${all} ${HEIGHT}`} aria-hidden>
          <defs>
            <pattern id={hatch} width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <path d="M0 0v5" className="hatch" strokeWidth="2" />
            </pattern>
          </defs>
          <path d={`M0 ${LINE}H${all}`} className="line" />
          {strip.parts.map((part, i) => (
            <rect
              key={i}
              className={part.side}
              x={x(part.from)}
              y={top[part.side]}
              width={width(part.from, part.to)}
              height={part.side === 'reserved' ? 2 * BOX : BOX}
            >
              <title>{part.detail}</title>
            </rect>
          ))}
          {strip.twice.map((twice, i) => (
            <rect
              key={i}
              className="twice"
              x={x(twice.from)}
              y={LINE - BOX}
              width={width(twice.from, twice.to)}
              height={BOX}
              style={{ fill: `url(#${hatch})` }}
            >
              <title>{twice.detail}</title>
            </rect>
          ))}
          {labels(strip, x).map(({ text, at }) => (
            <text key={`${text} ${at}`} x={at} y={LINE - BOX - 6}>
              {text}
            </text>
          ))}
          {x.ticks(all / 90).map((tick) => (
            <g key={tick}>
              <path d={`M${x(tick)} ${LINE + BOX + 2}v4`} className="line" />
              <text className="number" x={x(tick)} y={LINE + BOX + 18}>
                {tick}
              </text>
            </g>
          ))}
        </Svg>
        <Hidden aria-label={`Who uses ${strip.name}`}>
          {strip.parts.map((part, i) => (
            <li key={i}>
              <Link tabIndex={-1} to={linkToCell(project, projectId, part.cell)}>
                {part.detail}
              </Link>
            </li>
          ))}
          {strip.twice.map((twice, i) => (
            <li key={`twice ${i}`}>{twice.detail}</li>
          ))}
        </Hidden>
      </div>
    </Row>
  );
}

/** Px that a character of a label takes, about. */
const CHARACTER = 6.5;

/** The name of each group at its first part, where there is room for it. */
function labels(strip: Strip, x: (n: number) => number): { text: string; at: number }[] {
  const found: { text: string; at: number }[] = [];
  let last: StripPart | null = null;
  let end = -Infinity;
  for (const part of strip.parts) {
    const at = x(part.from);
    if (part.group !== last?.group && at >= end) {
      found.push({ text: part.group, at });
      end = at + part.group.length * CHARACTER + 10;
    }
    last = part;
  }
  return found;
}
