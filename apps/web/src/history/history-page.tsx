import { useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import type { RevisionView } from '../api/client';
import { useRevisionsInfiniteQuery } from '../api/lists';
import { AuthorField } from './author-field';
import { restoreRevision } from './restore';
import { useAppDispatch, useStateOf } from '../store/store';
import { Empty, PageTitle, Section, TextButton } from '../theme/parts';
import { placeOf } from '../store/place';
import { colour, font, space } from '../theme/tokens';
import { formatWhen } from '../words/when';

const Scroll = styled.div`
  overflow: auto;
`;

const List = styled.ol`
  max-width: 980px;
  padding: 0;
  list-style: none;
  li {
    display: grid;
    grid-template-columns: 56px 130px 150px minmax(0, 1fr) auto;
    gap: ${space[5]}px;
    align-items: center;
    min-height: 28px;
    border-bottom: 1px solid ${colour.hairline};
  }
  code {
    font: 12px ${font.code};
    text-align: right;
  }
  li > span:last-child {
    display: flex;
    gap: ${space[5]}px;
    align-items: center;
  }
`;

/** Every revision of the project, newest first: open it, compare it with the newest, restore it. */
export function HistoryPage() {
  const { project: address = '' } = useParams();
  const { id } = placeOf(address);
  const dispatch = useAppDispatch();
  const newest = useStateOf((s) => s.project.revision);
  const { data, error, hasNextPage, fetchNextPage, refetch } = useRevisionsInfiniteQuery(id, {
    refetchOnMountOrArgChange: true,
  });
  const list = data?.pages.flat() ?? null;
  const [refused, setProblem] = useState<string | null>(null);
  const problem = refused ?? (error && 'message' in error ? error.message : null);
  const shown = useRef(newest);
  useEffect(() => {
    if (shown.current === newest) return;
    shown.current = newest;
    void refetch();
  }, [newest, refetch]);

  const row = ({ revision, made, author, label }: RevisionView) => (
    <li key={revision}>
      <code>{revision}</code>
      <span>{made && formatWhen(made)}</span>
      <span dir="auto">{author}</span>
      <span dir="auto">{label}</span>
      <span>
        <Link to={`/p/${id}@${revision}/exchanges`} aria-label={`Open revision ${revision}`}>
          Open
        </Link>
        {revision < newest && (
          <>
            <Link
              to={`/p/${id}/history/${revision}/newest`}
              aria-label={`Compare revision ${revision} with the newest`}
            >
              Compare
            </Link>
            <TextButton
              aria-label={`Restore revision ${revision}`}
              onPress={() => void dispatch(restoreRevision(revision)).catch((e: Error) => setProblem(e.message))}
            >
              Restore
            </TextButton>
          </>
        )}
      </span>
    </li>
  );
  return (
    <Scroll>
      <PageTitle>
        <h1>History</h1>
        <p>every change, newest first; restoring makes a new revision, which can be undone</p>
        <AuthorField />
      </PageTitle>
      <Section>
        {problem && <p role="alert">{problem}</p>}
        {list === null && !problem && <Empty role="status">Asking the server …</Empty>}
        <List>
          {list?.map(row)}
          {list && !hasNextPage && row({ revision: 0, made: '', author: null, label: 'initial revision' })}
        </List>
        {hasNextPage && <TextButton onPress={() => void fetchNextPage()}>Show earlier ones</TextButton>}
      </Section>
    </Scroll>
  );
}
