import styled from 'styled-components';
import { Button } from 'react-aria-components';
import { colour, font, size, space } from './tokens';

/** A quiet action: text that underlines. */
export const TextButton = styled(Button)`
  border: 0;
  padding: ${space[1]}px ${space[2]}px;
  background: none;
  cursor: pointer;
  &[data-hovered] {
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  &[data-disabled] {
    color: ${colour.ink3};
    cursor: default;
  }
`;

/** A boxed action: hairline, square. */
export const BoxButton = styled(Button)`
  border: 1px solid ${colour.edge};
  padding: ${space[1]}px ${space[4]}px;
  min-height: 26px;
  background: ${colour.sheet};
  font-weight: 600;
  cursor: pointer;
  white-space: nowrap;
  &[data-hovered] {
    border-color: ${colour.ink};
  }
  &[data-disabled] {
    color: ${colour.ink3};
    border-color: ${colour.hairline};
    cursor: default;
  }
`;

export const Code = styled.span`
  font: 400 ${size.data}px / 1.4 ${font.code};
`;

/** The value that disagrees. */
export const Differs = styled.span`
  border-bottom: 2px solid ${colour.differs};
`;

/** What scrolls under a page's title. */
export const Scroll = styled.div`
  overflow: auto;
  min-height: 0;
  flex: 1;
`;

export const PageTitle = styled.header`
  display: flex;
  align-items: baseline;
  gap: ${space[5]}px;
  min-height: 52px;
  padding: ${space[4]}px ${space[4]}px ${space[3]}px;
  border-bottom: 1px solid ${colour.edge};
  p {
    color: ${colour.ink2};
    font-size: ${size.prose}px;
  }
  h1 {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
`;

export const Section = styled.section`
  padding: ${space[3]}px ${space[4]}px ${space[4]}px;
`;

export const SectionHead = styled.div`
  display: flex;
  align-items: baseline;
  gap: ${space[5]}px;
  padding-bottom: ${space[2]}px;
  p {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
`;

export const Empty = styled.div`
  max-width: 560px;
  padding: ${space[6]}px ${space[4]}px;
  font-size: ${size.prose}px;
  line-height: 22px;
  color: ${colour.ink2};
`;

export const Input = styled.input`
  border: 1px solid ${colour.edge};
  padding: ${space[1]}px ${space[3]}px;
  min-height: 26px;
  background: ${colour.sheet};
  width: 100%;
`;
