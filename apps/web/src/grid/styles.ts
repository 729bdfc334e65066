import styled from 'styled-components';
import { colour, font, size, space } from '../theme/tokens';

export const Frame = styled.div`
  position: relative;
  overflow: auto;
  min-height: 0;
  flex: 1;
  outline: none;
`;

export const Head = styled.div`
  position: sticky;
  top: 0;
  z-index: 2;
  display: grid;
  background: ${colour.paper};
  border-bottom: 1px solid ${colour.edge};
  color: ${colour.ink2};
  font-size: ${size.data}px;
`;

/** The first column begins where the page's titles do. */
const firstInset = '&:first-child { padding-left: var(--grid-inset, 12px); }';

/** In a narrow window what stands at the right keeps less of a distance. */
const narrow = `@media (max-width: 1100px) { padding-right: ${space[2]}px; }`;

export const HeadCell = styled.div<{ $right?: boolean; $quiet?: boolean; $sunk?: boolean; $page?: boolean }>`
  padding: ${space[2]}px ${({ $right }) => ($right ? space[4] : space[2])}px ${space[2]}px 0;
  padding-left: ${({ $page }) => ($page ? space[3] : space[2])}px;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  ${({ $right }) => $right && narrow}
  text-align: ${({ $right, $sunk }) => ($sunk ? 'center' : $right ? 'right' : 'left')};
  background: ${({ $sunk }) => ($sunk ? colour.sunk : 'none')};
  ${firstInset}
  span {
    ${({ $quiet }) => ($quiet ? 'position: absolute; clip-path: inset(50%);' : '')}
  }
`;

/**
 * What the rows and cells in it look like is said once for all of them, by the names of their classes: hundreds are on
 * screen, and a style worked out for each of them would take longer than all else.
 */
export const Body = styled.div`
  position: relative;
  min-height: calc(100% - 27px);

  .row {
    position: absolute;
    left: 0;
    right: 0;
    display: grid;
    /* A row's size is given: what changes in it moves nothing outside. */
    contain: strict;
    border-bottom: 1px solid ${colour.hairline};
  }
  .row.joined {
    border-bottom-color: transparent;
  }
  .row.difference {
    background: ${colour.sunk};
  }

  .cell {
    display: flex;
    align-items: center;
    min-width: 0;
    padding: 0 ${space[2]}px;
    padding-left: ${space[2]}px;
    font: 400 ${size.interface}px ${font.sans};
    color: ${colour.ink};
    outline-offset: -2px;
    cursor: cell;
    user-select: none;
  }
  .sub .cell {
    font-size: ${size.data}px;
  }
  .cell.mono {
    font-family: ${font.code};
    font-size: ${size.data}px;
  }
  .second .cell {
    align-items: flex-start;
    font-size: 11.5px;
  }
  .cell.page {
    padding-left: ${space[3]}px;
  }
  .sub .cell.first {
    padding-left: ${space[2] + 14}px;
  }
  .sub .cell.first.page {
    padding-left: ${space[3] + 14}px;
  }
  .cell[data-column='0'] {
    padding-left: var(--grid-inset, 12px);
  }
  .cell.right {
    justify-content: flex-end;
    padding-right: ${space[4]}px;
    ${narrow}
  }
  .cell.sunk {
    justify-content: center;
  }
  .cell.muted {
    color: ${colour.ink2};
  }
  .cell.chosen {
    background: ${colour.hairline};
  }
  .cell.cursor:not(:has(input)) {
    outline: 2px solid ${colour.focus};
  }
  .cell.solid {
    background: linear-gradient(${colour.ink}, ${colour.ink}) center / 100% 1px no-repeat;
  }
  .cell.dashed {
    background: repeating-linear-gradient(90deg, ${colour.ink} 0 5px, transparent 5px 9px) center / 100% 1px no-repeat;
  }
  /* After its text the line begins, or goes on. */
  .cell.solid:has(.text),
  .cell.dashed:has(.text) {
    background-origin: content-box;
    background-clip: content-box;
  }
  .cell.solid .text,
  .cell.dashed .text {
    background: ${colour.paper};
    padding-right: 6px;
  }
  .cell.action {
    cursor: pointer;
  }

  .text {
    min-width: 0;
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
    line-height: 1.3;
    padding: 1px 0 2px;
  }
  .text.middle {
    display: inline-flex;
    max-width: 100%;
    > * {
      white-space: pre;
    }
    > :first-child {
      min-width: 0;
      overflow: hidden;
      text-overflow: ellipsis;
    }
  }
  .text.unread {
    border-bottom: 2px dotted ${colour.differs};
  }
  .text.differs {
    border-bottom: 2px solid ${colour.differs};
  }
`;

/** The tint of a column, from the head to the foot of the grid. */
export const Tint = styled.div`
  position: absolute;
  inset: 0;
  display: grid;
  pointer-events: none;
  div {
    background: ${colour.sunk};
  }
`;

export const Editor = styled.input`
  position: relative;
  z-index: 2;
  flex: none;
  width: 100%;
  height: 100%;
  /* In a narrow column it lies over its neighbours. */
  min-width: 88px;
  border: 0;
  padding: 0 5px;
  background: ${colour.sheet};
  font-family: inherit;
  outline: 2px solid ${colour.focus};
  outline-offset: -2px;
  &[aria-invalid] {
    outline-color: ${colour.differs};
  }
`;
