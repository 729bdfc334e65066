import type { RefObject } from 'react';
import { Popover } from 'react-aria-components';
import styled from 'styled-components';
import { saidOver } from '../theme/said';
import { colour } from '../theme/tokens';

const Sheet = styled(Popover)`
  ${saidOver}
  border-color: ${colour.differs};
  pointer-events: none;
`;

/** What is wrong with what stands in a cell while it is typed, under that cell. */
export const SaidAtCell = ({ cell, problem }: { cell: RefObject<HTMLElement | null>; problem: string | null }) => (
  <Sheet triggerRef={cell} isOpen={problem !== null} isNonModal placement="bottom start" offset={2}>
    <span role="status">{problem}</span>
  </Sheet>
);
