import styled from 'styled-components';
import { colour, font, space } from '../theme/tokens';

export const Title = styled.header`
  display: flex;
  align-items: baseline;
  gap: ${space[4]}px;
  min-height: 32px;
  padding: ${space[2]}px ${space[4]}px;
  h1 {
    font: 600 16px/1.4 ${font.serif};
  }
  h1,
  p {
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
  }
  p {
    flex: 0 1 auto;
    color: ${colour.ink2};
  }
  > div {
    flex: none;
    margin-left: auto;
    display: flex;
    gap: ${space[4]}px;
    white-space: nowrap;
  }
  @media (max-width: 1100px) {
    flex-wrap: wrap;
    gap: 0 ${space[4]}px;
    > div {
      flex-basis: 100%;
    }
  }
`;

/** The right page begins where the right half of the grid does. */
const PAGES = 'calc(50% + 76px) minmax(0, 1fr)';

export const Heads = styled.div`
  display: grid;
  grid-template-columns: ${PAGES};
  border-top: 1px solid ${colour.hairline};
  border-bottom: 1px solid ${colour.edge};
`;

export const Totals = styled.div`
  display: grid;
  grid-template-columns: ${PAGES};
  border-top: 1px solid ${colour.edge};
  color: ${colour.ink2};
  span {
    padding: ${space[2]}px ${space[4]}px;
  }
  code {
    color: ${colour.ink};
  }
`;
