import type { Change } from '@dialoga/core/change';
import { tickCopy, untickCopy, type Copy } from '@dialoga/core/told';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Tick } from '../forms/tick';
import { linkToCell } from '../findings/link';
import { edit } from '../store/editing';
import { newId } from '../api/new-id';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { Code, Differs, Input, TextButton } from '../theme/parts';
import { colour, space } from '../theme/tokens';
import { formatWhen } from '../words/when';
import { LineList } from './line-list';
import { rememberedName, rememberName } from '../api/remembered-name';

const Follow = styled(TextButton)`
  grid-column: 4 / -1;
  justify-self: start;
  text-decoration: underline;
  text-underline-offset: 3px;
`;

const Who = styled.label`
  display: flex;
  gap: ${space[3]}px;
  align-items: center;
  padding-top: ${space[3]}px;
  color: ${colour.ink2};
  input {
    max-width: 180px;
  }
`;

interface Props {
  copies: readonly Copy[];
  projectId: string;
  /** what types a copy's true value where it is held */
  follow: (copy: Copy) => Change[];
}

/** Places that hold a copy: which value stands there, who has seen it, and a button to type what is so. */
export function CopiesList({ copies, projectId, follow }: Props) {
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const [name, setName] = useState(rememberedName);
  const station = (id: string) => project.get('station', id)?.name ?? '';
  function tick(copy: Copy) {
    if (copy.tick) return dispatch(edit(`Take back the tick at ${station(copy.holder)}`, untickCopy(copy)));
    if (name.trim() === '') {
      dispatch(projectSlice.actions.noticed('A tick needs a name: write yours under the list. Nothing was stored.'));
      return;
    }
    const changes = tickCopy(project, copy, newId(), name.trim(), new Date().toISOString());
    dispatch(edit(`Tick ${copy.field} at ${station(copy.holder)}`, changes));
  }

  return (
    <>
      <LineList $columns="18px minmax(0, 0.8fr) minmax(0, 1.2fr) 96px minmax(0, 1fr)">
        {copies.map((copy) => (
          <li key={copy.id}>
            <Tick
              label={`${copy.field} typed in at ${station(copy.holder)}, ${copy.where}`}
              isSelected={copy.tick !== null}
              onChange={() => tick(copy)}
            />
            <Link to={linkToCell(project, projectId, copy.cell)}>{station(copy.holder)}</Link>
            <small>
              {copy.field}, {copy.where}
            </small>
            <Code>{isSo(copy) ? copy.value : <Differs>{copy.value || 'not told'}</Differs>}</Code>
            <small>{copy.tick ? `${copy.tick.name}, ${formatWhen(copy.tick.at)}` : words(copy)}</small>
            {!isSo(copy) && (
              <Follow
                aria-label={`Type ${copy.truth} at ${station(copy.holder)}, ${copy.where}, where ${copy.value || 'nothing'} stands`}
                onPress={() => dispatch(edit(`${station(copy.holder)}: ${copy.truth}`, follow(copy)))}
              >
                Type {copy.truth} there
              </Follow>
            )}
          </li>
        ))}
      </LineList>
      {copies.length > 0 && (
        <Who>
          ticked by
          <Input
            value={name}
            aria-label="Who ticks"
            onChange={(event) => {
              setName(event.target.value);
              rememberName(event.target.value);
            }}
          />
        </Who>
      )}
    </>
  );
}

export const isSo = (copy: Copy): boolean => copy.state === 'as it is' || copy.state === 'the default';
const words = (copy: Copy): string =>
  copy.state === 'as it is' ? 'not ticked' : copy.state === 'the default' ? 'default, not ticked' : copy.state;
