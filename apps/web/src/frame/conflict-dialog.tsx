import { Fragment } from 'react';
import { Dialog, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { fieldWords, isGone, withPutBack, withStoredBefore, type Json, type Refusal } from '@dialoga/core/change';
import { settle } from '../store/editing';
import { canKeepBoth } from '../sync/settling';
import { useAppDispatch, useStateOf } from '../store/store';
import type { Aside } from '../sync/session';
import { Overlay, Panel } from '../page/overlay';
import { BoxButton, Code } from '../theme/parts';
import { colour, space } from '../theme/tokens';

const Values = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: ${space[3]}px ${space[5]}px;
  margin: ${space[5]}px 0;
  dt {
    color: ${colour.ink2};
  }
  dd {
    overflow-wrap: anywhere;
  }
`;

const Actions = styled.div`
  display: flex;
  gap: ${space[4]}px;
`;

function words(value: Json | undefined): string {
  if (value === undefined || value === null) return 'nothing';
  if (typeof value === 'object' && 'typed' in value) return String(value.typed);
  if (Array.isArray(value)) return value.length === 0 ? 'none' : value.map((v) => words(v as Json)).join(', ');
  return typeof value === 'string' ? value : JSON.stringify(value);
}

/** Without the ids that stand in the sentence of a refusal: nobody on the screen knows them. */
function whatHappened(refusal: Refusal): string {
  if (refusal.code === 'not there') return 'What you edited was deleted';
  if (refusal.code === 'dangling') return 'Your edit refers to a deleted item';
  return refusal.code === 'conflict' ? `Both change the same ${fieldWords(refusal.change.path)}` : refusal.sentence;
}

/** Somebody else changed the same thing: both values, and which is to stand. Nothing typed is lost meanwhile. */
export function ConflictDialog() {
  const { aside, project } = useStateOf((s) => s.project);
  const dispatch = useAppDispatch();
  const [asked] = aside;
  if (asked?.said !== undefined) return <Never {...asked} said={asked.said} />;
  if (!asked?.refusal || !project) return null;
  const { refusal, set, met } = asked;
  const mine = 'change' in refusal ? refusal.change : null;
  const replaceable = refusal.code === 'conflict';
  const droppable = refusal.code === 'depended upon' && withStoredBefore(project, set, set.id) !== null;
  const restorable = isGone(refusal) && met !== undefined && withPutBack(project, set, met.set, set.id) !== null;
  const behind = aside.length - 1;
  return (
    <Overlay isOpen>
      <Panel>
        <Dialog role="alertdialog" key={set.id}>
          <Heading slot="title" level={2}>
            Changed by {met?.author ?? 'somebody else'} meanwhile
          </Heading>
          <p>
            Your edit “{set.label}” conflicts with {met ? `“${met.set.label}”` : 'another one'}. {whatHappened(refusal)}
            .
          </p>
          {mine && (
            <Values>
              <dt>stored now</dt>
              <dd>
                <Code>{words(replaceable ? refusal.stored : undefined)}</Code>
              </dd>
              <dt>yours</dt>
              <dd>
                <Code>{words(mine.after)}</Code>
              </dd>
            </Values>
          )}
          {behind > 0 && <p>{behind === 1 ? 'One more edit waits' : `${behind} more edits wait`} for this.</p>}
          <Actions>
            <BoxButton autoFocus onPress={() => dispatch(settle('theirs'))}>
              {replaceable ? 'Keep what is stored' : 'Discard mine'}
            </BoxButton>
            {replaceable && <BoxButton onPress={() => dispatch(settle('mine'))}>Overwrite with mine</BoxButton>}
            {droppable && <BoxButton onPress={() => dispatch(settle('mine'))}>Delete that, too</BoxButton>}
            {restorable && <BoxButton onPress={() => dispatch(settle('put back'))}>Restore it and save mine</BoxButton>}
            {canKeepBoth(project, set, refusal) && (
              <BoxButton onPress={() => dispatch(settle('both'))}>Keep both</BoxButton>
            )}
          </Actions>
        </Dialog>
      </Panel>
    </Overlay>
  );
}

/** The server will never take it: what was typed is shown once more before it goes. */
function Never({ set, said }: Aside & { said: string }) {
  const dispatch = useAppDispatch();
  return (
    <Overlay isOpen>
      <Panel>
        <Dialog role="alertdialog" key={set.id}>
          <Heading slot="title" level={2}>
            Refused by the server
          </Heading>
          <p>
            Your edit “{set.label}” cannot be stored: {said}
          </p>
          <Values>
            {set.changes.slice(0, MOST_SHOWN).map((change, i) => (
              <Fragment key={i}>
                <dt>{fieldWords(change.path) || change.kind}</dt>
                <dd>
                  <Code>{shortened(words(change.after))}</Code>
                </dd>
              </Fragment>
            ))}
          </Values>
          <Actions>
            <BoxButton autoFocus onPress={() => dispatch(settle('theirs'))}>
              Discard mine
            </BoxButton>
          </Actions>
        </Dialog>
      </Panel>
    </Overlay>
  );
}

const MOST_SHOWN = 5;
const LONGEST_SHOWN = 200;

const shortened = (text: string) => (text.length > LONGEST_SHOWN ? `${text.slice(0, LONGEST_SHOWN)} …` : text);
