import { inOrder, type Project } from '@dialoga/core/model';
import { pointName, whichMoved, type Point } from '@dialoga/core/pointtest';
import { useState } from 'react';
import styled from 'styled-components';
import { Choice } from '../forms/choice';
import { BoxButton, Input, TextButton } from '../theme/parts';
import { space } from '../theme/tokens';

const Form = styled.form`
  display: flex;
  flex-wrap: wrap;
  gap: ${space[3]}px ${space[4]}px;
  align-items: center;
  padding: ${space[3]}px ${space[4]}px;
  input {
    width: 140px;
  }
`;

interface Props {
  project: Project;
  points: readonly Point[];
  onGo: (key: string) => void;
}

/** Somebody operates a thing, and says which place of a station moved: the points that lie there. */
export function WhichMovedForm({ project, points, onGo }: Props) {
  const stations = inOrder(project, 'station').map(({ id, name }) => ({ value: id, text: name }));
  const [station, setStation] = useState(stations[0]?.value ?? '');
  const [text, setText] = useState('');
  const [found, setFound] = useState<ReturnType<typeof whichMoved> | null>(null);
  return (
    <Form
      aria-label="Which one moved"
      onSubmit={(event) => {
        event.preventDefault();
        const moved = whichMoved(project, points, station, text.trim());
        setFound(moved);
        if (moved.ok && moved.value.length === 1) onGo(moved.value[0]!.point.key);
      }}
    >
      <span>Operated, and this moved:</span>
      <Choice label="at" value={station} options={stations} onChoose={setStation} />
      <Input aria-label="Place that moved" value={text} onChange={(event) => setText(event.target.value)} />
      <BoxButton type="submit" isDisabled={text.trim() === ''}>
        Which point is it
      </BoxButton>
      <span role="status">
        {found && !found.ok && `${found.found}; ${found.expected}.`}
        {found?.ok && found.value.length === 0 && 'No point of the plan lies there.'}
        {found?.ok &&
          found.value.map(({ point }) => (
            <TextButton key={point.key} onPress={() => onGo(point.key)}>
              {pointName(point)}
            </TextButton>
          ))}
      </span>
    </Form>
  );
}
