import type { ReactNode } from 'react';
import { Checkbox } from 'react-aria-components';
import styled from 'styled-components';
import { colour, space } from '../theme/tokens';

const Box = styled(Checkbox)`
  display: inline-flex;
  align-items: center;
  gap: ${space[2]}px;
  cursor: pointer;
  > svg {
    flex: none;
    border: 1px solid ${colour.edge};
    background: ${colour.sheet};
    fill: none;
    stroke: ${colour.ink};
    stroke-width: 2;
  }
  &[data-hovered] > svg {
    border-color: ${colour.ink};
  }
  &[data-focus-visible] > svg {
    outline: 2px solid ${colour.focus};
    outline-offset: 1px;
  }
`;

interface Props {
  /** where no words stand beside it */
  label?: string;
  isSelected: boolean;
  onChange: (on: boolean) => void;
  children?: ReactNode;
}

/** Yes or no. */
export const Tick = ({ label, isSelected, onChange, children }: Props) => (
  <Box isSelected={isSelected} onChange={onChange} {...(label === undefined ? {} : { 'aria-label': label })}>
    <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden>
      {isSelected && <path d="M3 7l3 3 5-6" />}
    </svg>
    {children}
  </Box>
);
