import { restsOn } from '@dialoga/core/check';
import { newAcceptance } from '@dialoga/core/create';
import type { Finding } from '@dialoga/core/finding';
import { useForm } from 'react-hook-form';
import styled from 'styled-components';
import { currentAuthor, nameAuthor } from '../api/author';
import { edit } from '../store/editing';
import { newId } from '../api/new-id';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch } from '../store/store';
import { BoxButton, Input } from '../theme/parts';
import { colour, space } from '../theme/tokens';

const Form = styled.form`
  grid-column: 2 / -1;
  display: flex;
  align-items: center;
  gap: ${space[3]}px;
  color: ${colour.ink2};
  input {
    flex: 1;
    max-width: 360px;
  }
  input + span + input {
    max-width: 140px;
  }
`;

interface Asked {
  reason: string;
  name: string;
}

/** Accepting a Doubt: with a reason and a name, and until what it rests on changes. */
export function AcceptForm({ finding }: { finding: Finding }) {
  const dispatch = useAppDispatch();
  const { register, handleSubmit } = useForm<Asked>({ defaultValues: { reason: '', name: currentAuthor() } });
  function accept({ reason, name }: Asked) {
    if (reason.trim() === '' || name.trim() === '') {
      const lacks = reason.trim() === '' ? 'a reason' : 'the name of who accepts it';
      dispatch(projectSlice.actions.noticed(`An acceptance needs ${lacks}; nothing was stored.`));
      return;
    }
    if (currentAuthor() === '') nameAuthor(name);
    const word = { reason: reason.trim(), name: name.trim(), at: new Date().toISOString() };
    const order = Math.floor(Date.now() / 1000);
    const acceptance = newAcceptance(newId(), order, finding.key, restsOn(finding), word);
    const after = { ...acceptance };
    dispatch(edit(`Accept ${finding.code}`, [{ kind: 'acceptance', id: acceptance.id, path: [], after }]));
  }
  return (
    <Form aria-label={`Accept ${finding.code}`} onSubmit={(event) => void handleSubmit(accept)(event)}>
      <span>Accept, with reason</span>
      <Input aria-label="Reason" {...register('reason')} />
      <span>name</span>
      <Input aria-label="Who accepts" {...register('name')} />
      <BoxButton type="submit">Accept</BoxButton>
      <span>lapses when what it rests on changes</span>
    </Form>
  );
}
