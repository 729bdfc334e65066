import styled from 'styled-components';
import { Section } from '../theme/parts';
import { colour } from '../theme/tokens';

/** What stands below a list that fills the page. */
export const Foot = styled(Section)`
  flex: none;
  max-height: 30%;
  overflow: auto;
  border-top: 1px solid ${colour.edge};
`;
