import styled from 'styled-components';
import { colour } from '../theme/tokens';

const Svg = styled.svg`
  vertical-align: 0;
  fill: none;
  stroke: ${colour.ink2};
  stroke-width: 1.5;
`;

/** Points right where something is folded, down where it is open. */
export function Chevron({ open }: { open: boolean }) {
  return (
    <Svg width="8" height="8" viewBox="0 0 8 8" aria-hidden>
      <path d={open ? 'M1 2.5l3 3 3-3' : 'M2.5 1l3 3-3 3'} />
    </Svg>
  );
}
