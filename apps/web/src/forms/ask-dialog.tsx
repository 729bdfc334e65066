import type { ReactNode } from 'react';
import { Dialog, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { Overlay, Panel } from '../page/overlay';
import { BoxButton } from '../theme/parts';
import { space } from '../theme/tokens';

const Form = styled.form`
  display: grid;
  gap: ${space[4]}px;
  > label,
  .field {
    display: grid;
    grid-template-columns: 110px minmax(90px, auto);
    justify-content: start;
    align-items: center;
    gap: ${space[4]}px;
  }
  ul {
    padding-left: ${space[5]}px;
  }
  table {
    border-spacing: 0;
  }
  td {
    padding: 0 ${space[5]}px 0 0;
  }
  footer {
    display: flex;
    gap: ${space[4]}px;
  }
`;

interface Props {
  title: string;
  /** what is asked */
  children: ReactNode;
  /** what would come of it; told as it changes */
  outcome: ReactNode;
  /** the word for doing it; null: there is nothing to do */
  take: string | null;
  /** something is still missing for it */
  held?: boolean;
  /** what is proposed is what is usually wanted: Enter does it */
  ready?: boolean;
  onTake: () => void;
  onClose: () => void;
}

/** Asks a little, and shows what would come of it before anything is stored. */
export function AskDialog({ title, children, outcome, take, held = false, ready = false, onTake, onClose }: Props) {
  return (
    <Overlay isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
      <Panel>
        <Dialog>
          <Heading slot="title" level={2}>
            {title}
          </Heading>
          <Form
            onSubmit={(event) => {
              event.preventDefault();
              if (take !== null && !held) onTake();
            }}
          >
            {children}
            <div role="status">{outcome}</div>
            <footer>
              <BoxButton type="submit" autoFocus={ready && take !== null} isDisabled={take === null || held}>
                {take ?? 'Nothing to do'}
              </BoxButton>
              <BoxButton onPress={onClose}>Cancel</BoxButton>
            </footer>
          </Form>
        </Dialog>
      </Panel>
    </Overlay>
  );
}
