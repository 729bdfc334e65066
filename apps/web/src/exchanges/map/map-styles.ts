import styled from 'styled-components';
import { colour, font, size, space } from '../../theme/tokens';
import { HEIGHT } from './ruler-view';

export const Frame = styled.div`
  display: grid;
  grid-template-columns: 168px minmax(0, 1fr);
  padding: 0 ${space[5]}px 0 ${space[4]}px;
  border-bottom: 1px solid ${colour.edge};
  background: ${colour.sheet};
`;

/** Beside the rulers: what is drawn, the ways back, and the range of either end. */
export const Beside = styled.div`
  position: relative;
  height: ${HEIGHT}px;
  min-width: 0;
  font-size: ${size.data}px;
  color: ${colour.ink2};
  > * {
    position: absolute;
    right: ${space[4]}px;
    left: 0;
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
  }
  code {
    font-family: ${font.code};
  }
  button {
    padding: 0;
    font-size: inherit;
    text-decoration: underline;
    text-underline-offset: 3px;
  }
`;

export const Drawing = styled.div`
  min-width: 0;
  outline: none;
  > p {
    padding-top: 40px;
    color: ${colour.ink2};
  }
  &[role='group']:focus-visible {
    box-shadow: inset 0 0 0 2px ${colour.focus};
  }
  svg {
    display: block;
    width: 100%;
    height: ${HEIGHT}px;
    overflow: visible;
  }
  text {
    font: ${size.data}px ${font.sans};
    fill: ${colour.ink2};
  }
  text.strong {
    fill: ${colour.ink};
    font-weight: 600;
  }
  .line {
    stroke: ${colour.edge};
    fill: none;
  }
  .gap {
    fill: ${colour.sheet};
  }
  .box {
    cursor: pointer;
  }
  .box rect {
    fill: ${colour.sheet};
  }
  .left .box rect {
    stroke: ${colour.left};
  }
  .right .box rect {
    stroke: ${colour.right};
  }
  .box rect.inner {
    fill: none;
  }
  .box.strong rect:first-of-type {
    stroke-width: 2;
  }
  .box rect.focus {
    fill: none;
    stroke: none;
  }
  &:focus-visible .box rect.focus {
    stroke: ${colour.focus};
    stroke-width: 2;
  }
  .twice {
    stroke: ${colour.differs};
    pointer-events: none;
  }
  path.hatch {
    stroke: ${colour.differs};
  }
  .link {
    fill: color-mix(in srgb, ${colour.edge} 22%, transparent);
  }
  .link.strong {
    fill: color-mix(in srgb, ${colour.edge} 55%, transparent);
  }
  .link.differs {
    stroke: ${colour.differs};
    stroke-dasharray: 3 3;
  }
`;
