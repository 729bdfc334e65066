import type { Reached } from '@dialoga/core/change';
import { kindWord, kindWords, type Project } from '@dialoga/core/model';
import { Dialog, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { dropNow } from '../store/dropping';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { BoxButton } from '../theme/parts';
import { colour, space } from '../theme/tokens';
import { Overlay, Panel } from '../page/overlay';

const MOST = 12;

const List = styled.ul`
  display: grid;
  grid-template-columns: minmax(120px, auto) 1fr;
  gap: ${space[2]}px ${space[5]}px;
  margin: ${space[4]}px 0 ${space[5]}px;
  padding: 0;
  list-style: none;
  li {
    display: contents;
  }
  strong {
    font-weight: 600;
    overflow-wrap: anywhere;
  }
  span {
    color: ${colour.ink2};
  }
`;

const Actions = styled.div`
  display: flex;
  gap: ${space[4]}px;
`;

const counted = (n: number, word: string, words = `${word}s`): string => `${n} ${n === 1 ? word : words}`;

/** What happens in one thing: what goes there, and what is emptied. */
function happens({ gone, emptied, kept }: Reached): string {
  const going = [...gone].map(([kind, n]) => counted(n, kindWord(kind), kindWords(kind)));
  const total = [...gone.values()].reduce((sum, n) => sum + n, 0);
  return [
    ...(going.length > 0 ? [`${going.join(' and ')} ${total === 1 ? 'goes' : 'go'}, too`] : []),
    ...(kept > 0
      ? [`${counted(kept, 'place')} ${kept === 1 ? 'stays as it was' : 'stay as they were'} typed, unread`]
      : []),
    ...(emptied > 0 ? [`${counted(emptied, 'field')} ${emptied === 1 ? 'is' : 'are'} emptied`] : []),
  ].join('; ');
}

function nameOf(project: Project, { kind, id }: Reached): string {
  const entity = project.get(kind, id);
  if (kind === 'route' || kind === 'expectation') {
    const { from, to } = entity as { from: string; to: string };
    const [a, b] = [from, to].map((station) => project.get('station', station)?.name ?? '');
    return `${kindWord(kind)} ${a} to ${b}`;
  }
  return entity && 'name' in entity && entity.name !== '' ? entity.name : kindWord(kind);
}

/** Before something goes that others depend on: which, and what becomes of them. One undo brings all of it back. */
export function DropDialog() {
  const { dropping, project } = useStateOf((s) => s.project);
  const dispatch = useAppDispatch();
  if (!dropping || !project) return null;
  const { label, ref, reached } = dropping;
  const leave = () => dispatch(projectSlice.actions.dropAsked(null));
  return (
    <Overlay isOpen isDismissable onOpenChange={(open) => !open && leave()}>
      <Panel>
        <Dialog role="alertdialog">
          <Heading slot="title" level={2}>
            {label}
          </Heading>
          <p>Other items depend on it. Undo restores everything.</p>
          <List>
            {reached.slice(0, MOST).map((one) => (
              <li key={one.id}>
                <strong dir="auto">{nameOf(project, one)}</strong>
                <span>{happens(one)}</span>
              </li>
            ))}
          </List>
          {reached.length > MOST && <p>and {reached.length - MOST} more</p>}
          <Actions>
            <BoxButton autoFocus onPress={() => dispatch(dropNow(label, ref))}>
              Delete
            </BoxButton>
            <BoxButton onPress={leave}>Cancel</BoxButton>
          </Actions>
        </Dialog>
      </Panel>
    </Overlay>
  );
}
