import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { lanesThatMove } from '@dialoga/core/overview';
import { useStateOf } from '../store/store';
import { colour, size, space } from '../theme/tokens';

const Counts = styled(Link)`
  display: flex;
  gap: ${space[3]}px;
  padding-left: ${space[4]}px;
  border-left: 1px solid ${colour.hairline};
  color: ${colour.ink};
  font-size: ${size.data}px;
  text-decoration: none;
  white-space: nowrap;
  &:hover {
    text-decoration: underline;
  }
  small {
    color: ${colour.ink2};
    font-size: inherit;
  }
  @media (max-width: 1000px) {
    small {
      display: none;
    }
  }
`;

/** How far the lanes are: planned, rehearsed on this plan, observed on site. */
export function Standing() {
  const { project: address = '' } = useParams();
  const project = useStateOf((s) => s.project.project);
  const { rehearsed, observed, ready } = useStateOf((s) => s.findings);
  const planned = useMemo(() => (project ? lanesThatMove(project) : 0), [project]);
  if (!project || !ready) return null;
  const counts = [
    ['planned', planned],
    ['rehearsed', rehearsed.size],
    ['observed', observed.size],
  ] as const;
  return (
    <Counts
      to={`/p/${address}/overview`}
      title="Lanes that are planned, whose walk passed on this plan, and of which every point was seen on site"
      aria-label={counts.map(([word, n]) => `${n} ${word}`).join(', ')}
    >
      {counts.map(([word, n]) => (
        <span key={word}>
          <small>{word}</small> {n.toLocaleString('en')}
        </span>
      ))}
    </Counts>
  );
}
