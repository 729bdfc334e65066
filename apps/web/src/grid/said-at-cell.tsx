import type { RefObject } from 'react';
import { Popover } from 'react-aria-components';
import styled from 'styled-components';
import { colour, size, space } from '../theme/tokens';

const Sheet = styled(Popover)`
  max-width: 360px;
  padding: ${space[2]}px ${space[3]}px;
  border: 1px solid ${colour.differs};
  background: ${colour.sheet};
  color: ${colour.ink};
  font-size: ${size.data}px;
  pointer-events: none;
`;

/** What is wrong with what stands in a cell while it is typed, under that cell. */
export const SaidAtCell = ({ cell, problem }: { cell: RefObject<HTMLElement | null>; problem: string | null }) => (
  <Sheet triggerRef={cell} isOpen={problem !== null} isNonModal placement="bottom start" offset={2}>
    <span role="status">{problem}</span>
  </Sheet>
);
