import styled from 'styled-components';
import { colour, font, size, space } from '../theme/tokens';

/** Where a list is pasted or typed into. */
export const ListArea = styled.textarea`
  width: 100%;
  padding: ${space[2]}px ${space[3]}px;
  border: 1px solid ${colour.edge};
  background: ${colour.sheet};
  font: ${size.data}px / 18px ${font.code};
  white-space: pre;
  tab-size: 16;
  overflow: auto;
  resize: vertical;
`;

/** What is understood of what stands there. */
export const Understood = styled.p`
  min-height: 20px;
  color: ${colour.ink2};
  font-size: ${size.data}px;
  strong {
    color: ${colour.ink};
    font-weight: 600;
  }
`;
