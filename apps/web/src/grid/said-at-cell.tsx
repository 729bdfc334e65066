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

interface Props {
  /** what describes the input in that cell */
  id: string;
  cell: RefObject<HTMLElement | null>;
  problem: string | null;
}

/** What is wrong with what stands in a cell while it is typed, under that cell. */
export const SaidAtCell = ({ id, cell, problem }: Props) => (
  <Sheet triggerRef={cell} isOpen={problem !== null} isNonModal placement="bottom start" offset={2}>
    <span id={id} role="status">
      {problem}
    </span>
  </Sheet>
);
