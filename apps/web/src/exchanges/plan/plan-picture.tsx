import type { DevicePlan } from '@dialoga/core/exchange';
import { scaleLinear } from 'd3-scale';
import styled from 'styled-components';
import { colour, font, size } from '../../theme/tokens';

const WIDTH = 1240;
const HEIGHT = 58;
const INSET = 40;

const Picture = styled.svg`
  display: block;
  width: 100%;
  height: ${HEIGHT}px;
  text {
    font: 400 ${size.data}px ${font.code};
    fill: ${colour.ink2};
  }
  .request {
    fill: none;
    stroke: ${colour.ink};
  }
  .asked {
    fill: ${colour.ink};
  }
  .axis {
    stroke: ${colour.edge};
  }
`;

/** The requests over the range of addresses: boxes are what is read, filled what was asked for; gaps in a box are bridged. */
export function PlanPicture({ device }: { device: DevicePlan }) {
  const { requests, spans } = device;
  const first = Math.min(...requests.map((r) => r.start));
  const last = Math.max(...requests.map((r) => r.start + r.length));
  const x = scaleLinear([first, last], [INSET, WIDTH - INSET]);
  const width = (from: number, to: number) => Math.max(1, x(to) - x(from));
  return (
    <Picture
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      role="img"
      aria-label={`${requests.length} requests from ${first} to ${last - 1}`}
    >
      <line className="axis" x1={INSET} x2={WIDTH - INSET} y1={40} y2={40} />
      {requests.map((request) => (
        <rect
          key={request.start}
          className="request"
          x={x(request.start)}
          width={width(request.start, request.start + request.length)}
          y={10}
          height={22}
        />
      ))}
      {spans.map(({ start, length }, i) => (
        <rect key={i} className="asked" x={x(start)} width={width(start, start + length)} y={15} height={12} />
      ))}
      {x
        .ticks(8)
        .filter(Number.isInteger)
        .map((tick) => (
          <g key={tick}>
            <line className="axis" x1={x(tick)} x2={x(tick)} y1={40} y2={44} />
            <text x={x(tick)} y={56} textAnchor="middle">
              {tick}
            </text>
          </g>
        ))}
    </Picture>
  );
}
