import { css } from 'styled-components';
import { colour, size, space } from './tokens';

/** The look of what is said over a control: what it means, or what is wrong with what stands in it. */
export const saidOver = css`
  max-width: 340px;
  padding: ${space[2]}px ${space[3]}px;
  border: 1px solid ${colour.edge};
  background: ${colour.sheet};
  color: ${colour.ink};
  font-size: ${size.data}px;
  box-shadow: 0 2px 8px color-mix(in srgb, ${colour.ink} 20%, transparent);
`;
