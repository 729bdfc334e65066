import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useStateOf } from '../store/store';
import { colour, space } from '../theme/tokens';
import type { WorkNow } from './use-work';

const Line = styled.p`
  padding: ${space[3]}px ${space[4]}px;
  border-bottom: 1px solid ${colour.hairline};
`;

const WORDS = {
  whole: 'to be loaded whole',
  'only changes': 'to be loaded with the changes only',
  'only warns': 'only warns, and need not be loaded',
} as const;

/** After a change of the plan: who must be loaded again, and who merely warns. */
export function LoadAgain({ again }: Pick<WorkNow, 'again'>) {
  const { project: address = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  return (
    <Line role="status" aria-label="Loaded again">
      The plan was changed since:{' '}
      {again.map(({ station, how }, i) => (
        <span key={station}>
          {i > 0 && '; '}
          <Link to={`/p/${address}/stations/${station}`}>{project.get('station', station)?.name}</Link> {WORDS[how]}
        </span>
      ))}
      .
    </Line>
  );
}
