import type { ReactNode } from 'react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { colour, size, space } from '../theme/tokens';

const Box = styled(Button)`
  display: flex;
  align-items: center;
  justify-content: center;
  gap: ${space[4]}px;
  min-height: 64px;
  padding: ${space[2]}px ${space[3]}px;
  border: 2px solid ${colour.ink};
  background: ${colour.sheet};
  font-size: ${size.heading}px;
  font-weight: 600;
  cursor: pointer;
  &[data-hovered] {
    background: ${colour.paper};
  }
  kbd {
    font: inherit;
    font-weight: 400;
  }
`;

/** For a thumb, outdoors: large, and with its key. */
export const LargeButton = ({
  keys,
  onPress,
  children,
}: {
  keys: string;
  onPress: () => void;
  children: ReactNode;
}) => (
  <Box aria-keyshortcuts={keys} onPress={onPress}>
    <span>{children}</span>
    <kbd>{keys}</kbd>
  </Box>
);
