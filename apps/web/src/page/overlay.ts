import { Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { colour, space } from '../theme/tokens';

/** The one overlay: it dims the page and holds a panel. */
export const Overlay = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 20;
  display: flex;
  align-items: flex-start;
  justify-content: center;
  padding-top: 96px;
  background: color-mix(in srgb, ${colour.paper} 70%, transparent);
`;

export const Panel = styled(Modal)`
  width: 560px;
  max-width: calc(100vw - 32px);
  max-height: calc(100vh - 112px);
  overflow: auto;
  border: 1px solid ${colour.edge};
  background: ${colour.paper};
  section {
    padding: ${space[6]}px;
    outline: none;
  }
  h2 {
    margin-bottom: ${space[4]}px;
  }
`;
