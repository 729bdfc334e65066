import styled from 'styled-components';
import { colour, size, space } from '../../theme/tokens';

/** Names of fields in small, each with what stands in it below: as many beside each other as fit. */
export const Facts = styled.dl`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: ${space[3]}px ${space[5]}px;
  margin: 0;
  dt {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
  dd {
    margin: 0;
    min-width: 0;
    overflow: hidden;
  }
`;
