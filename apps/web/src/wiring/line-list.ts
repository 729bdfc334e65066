import styled from 'styled-components';
import { colour, space } from '../theme/tokens';

/** A list of one-line rows beside the table, in these columns. */
export const LineList = styled.ul<{ $columns: string }>`
  margin: 0;
  padding: 0;
  list-style: none;
  li {
    display: grid;
    grid-template-columns: ${({ $columns }) => $columns};
    gap: ${space[3]}px;
    align-items: center;
    min-height: 26px;
    border-bottom: 1px solid ${colour.hairline};
  }
  small {
    color: ${colour.ink2};
  }
`;
