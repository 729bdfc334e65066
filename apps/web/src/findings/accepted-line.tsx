import type { Accepted } from '@dialoga/core/check';
import type { Finding } from '@dialoga/core/finding';
import styled from 'styled-components';
import { edit } from '../store/editing';
import { useAppDispatch } from '../store/store';
import { TextButton } from '../theme/parts';
import { colour } from '../theme/tokens';

const Line = styled.p`
  grid-column: 2 / -1;
  color: ${colour.ink2};
`;

/** Who accepted a Doubt, when and why; or that this lapsed. */
export function AcceptedLine({ finding, accepted }: { finding: Finding; accepted: Accepted }) {
  const dispatch = useAppDispatch();
  const { acceptance, lapsed } = accepted;
  const day = acceptance.at.slice(0, 10);
  const takeBack = () => {
    const before = { ...acceptance };
    dispatch(edit(`Take back ${finding.code}`, [{ kind: 'acceptance', id: acceptance.id, path: [], before }]));
  };
  return (
    <Line dir="auto">
      {lapsed ? 'Was accepted' : 'Accepted'} by {acceptance.name}
      {day ? ` on ${day}` : ''}: {acceptance.reason}.{' '}
      {lapsed && 'What it rested on has changed since, so it counts again. '}
      <TextButton onPress={takeBack}>{lapsed ? 'Take the old acceptance out' : 'Take back'}</TextButton>
    </Line>
  );
}
