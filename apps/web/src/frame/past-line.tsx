import { useEffect, useState } from 'react';
import { Link, useLocation } from 'react-router';
import styled from 'styled-components';
import { api, type RevisionView } from '../api/client';
import { useStateOf } from '../store/store';
import { colour, space } from '../theme/tokens';
import { formatWhen } from '../words/when';

const Line = styled.div`
  display: flex;
  gap: ${space[6]}px;
  padding: ${space[2]}px ${space[4]}px;
  border-bottom: 1px solid ${colour.edge};
  border-left: 4px solid ${colour.ink};
  background: ${colour.sunk};
  span {
    flex: 1;
  }
`;

/** Says that a past revision is shown, which one, and the ways on. */
export function PastLine() {
  const { id, past } = useStateOf((s) => s.project);
  const { pathname } = useLocation();
  const [view, setView] = useState<RevisionView | null>(null);
  useEffect(() => {
    if (id === null || past === null) return;
    let open = true;
    void api
      .revisions(id, past + 1)
      .then(([found]) => open && setView(found?.revision === past ? found : null))
      .catch(() => undefined);
    return () => {
      open = false;
    };
  }, [id, past]);
  if (id === null || past === null) return null;
  const words =
    past === 0
      ? 'initial revision'
      : view
        ? [view.label, view.author, formatWhen(view.made)].filter(Boolean).join(', ')
        : '';
  return (
    <Line>
      <span>
        <strong>Revision {past}</strong> {words && `· ${words} `}· read-only
      </span>
      <Link to={`/p/${id}/history/${past}/newest`}>Compare with the newest</Link>
      <Link to={`/p/${id}/history`}>History</Link>
      <Link to={pathname.replace(`@${past}`, '')}>Current revision</Link>
    </Line>
  );
}
