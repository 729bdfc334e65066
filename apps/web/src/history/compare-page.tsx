import type { Compared, ComparedRow } from '@dialoga/core/compare';
import { useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { api } from '../api/client';
import { useStateOf } from '../store/store';
import { RowWords } from '../marks/row-words';
import { placeOf } from '../store/place';
import { BoxButton, Empty, Input, PageTitle, Section } from '../theme/parts';
import { colour, space } from '../theme/tokens';
import { compareInWorker } from '../worker/checker';

const Scroll = styled.div`
  overflow: auto;
`;

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
  th {
    text-align: left;
    font-weight: 500;
    color: ${colour.ink2};
  }
  th,
  td {
    padding: ${space[2]}px ${space[3]}px;
    border-bottom: 1px solid ${colour.hairline};
    vertical-align: top;
    overflow-wrap: anywhere;
  }
  th:first-child {
    width: 20%;
  }
  td p {
    display: grid;
    grid-template-columns: 36px 1fr;
    gap: ${space[3]}px;
  }
`;

const Choice = styled.form`
  display: flex;
  align-items: baseline;
  gap: ${space[3]}px;
  white-space: nowrap;
  input {
    width: 76px;
  }
`;

const Quiet = styled.span`
  color: ${colour.ink2};
`;

/** One revision's words of a row; those that the other revision does not have are underlined. */
function Words({ label, text, other }: { label: string; text: string | null; other: string | null }) {
  return (
    <p>
      <Quiet>{label}</Quiet>
      {text === null ? <Quiet>not there</Quiet> : <RowWords text={text} other={other} />}
    </p>
  );
}

function BeforeAfter({ before, after }: { before: string | null; after: string | null }) {
  if (before === after) return <Words label="both" text={after} other={before} />;
  return (
    <>
      <Words label="was" text={before} other={after} />
      <Words label="is" text={after} other={before} />
    </>
  );
}

function Row({ row }: { row: ComparedRow }) {
  const [left, right] = row.kind === 'sheet' ? row.ends : [];
  return (
    <tr>
      <td>
        <strong dir="auto">{row.what}</strong>
        <br />
        <Quiet dir="auto">{row.where}</Quiet>
      </td>
      {row.kind === 'field' ? (
        <td colSpan={2}>
          <BeforeAfter before={row.before} after={row.after} />
        </td>
      ) : (
        [left, right].map((end, i) => (
          <td key={i}>
            {end && (
              <>
                <Quiet>{end.station}</Quiet>
                <BeforeAfter before={end.before} after={end.after} />
              </>
            )}
          </td>
        ))
      )}
    </tr>
  );
}

/** Asks for two other revisions. */
function ChooseRevisions({ project, from, to }: { project: string; from: string; to: string }) {
  const navigate = useNavigate();
  const { register, handleSubmit } = useForm({ defaultValues: { from, to } });
  const compare = handleSubmit((chosen) => {
    const [first, second] = [chosen.from.trim() || '0', chosen.to.trim() || 'newest'];
    void navigate(`/p/${project}/history/${first}/${second}`);
  });
  return (
    <Choice onSubmit={(event) => void compare(event)}>
      compare revision <Input aria-label="From revision" inputMode="numeric" {...register('from')} /> with{' '}
      <Input aria-label="To revision" {...register('to')} />
      <BoxButton type="submit">Compare</BoxButton>
    </Choice>
  );
}

/** Two revisions beside each other: every row that differs, old and new at both ends, and nothing else. */
export function ComparePage() {
  const { project: address = '', from = '', to = 'newest' } = useParams();
  const { id } = placeOf(address);
  const newest = useStateOf((s) => s.project.revision);
  const [compared, setCompared] = useState<Compared | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const last = to === 'newest' ? newest : Number(to);

  useEffect(() => {
    let open = true;
    Promise.all([api.revision(id, Number(from)), to === 'newest' ? api.open(id) : api.revision(id, Number(to))])
      .then(([before, after]) => compareInWorker(before, after))
      .then((result) => open && setCompared(result))
      .catch((error: Error) => open && setProblem(error.message));
    return () => {
      open = false;
    };
  }, [id, from, to, newest]);

  const count = compared?.rows.length ?? 0;
  return (
    <Scroll>
      <PageTitle>
        <h1>
          Revision {from} and {to === 'newest' ? `the newest, ${last}` : to}
        </h1>
        <ChooseRevisions key={`${from} ${to}`} project={id} from={from} to={to} />
        <p>
          <Link to={`/p/${id}/history`}>History</Link>
        </p>
      </PageTitle>
      <Section>
        {problem && <p role="alert">{problem}</p>}
        {!compared && !problem && <Empty role="status">Comparing …</Empty>}
        {compared && (
          <p>
            {count === 0 ? 'Nothing differs.' : `${count} ${count === 1 ? 'row differs' : 'rows differ'}.`}
            {compared.stations.length > 0 && ` Stations affected: ${compared.stations.join(', ')}.`}
          </p>
        )}
        {count > 0 && (
          <Table>
            <thead>
              <tr>
                <th scope="col">Row</th>
                <th scope="col">One end, or the field</th>
                <th scope="col">The other end</th>
              </tr>
            </thead>
            <tbody>
              {compared!.rows.map((row, i) => (
                <Row key={i} row={row} />
              ))}
            </tbody>
          </Table>
        )}
      </Section>
    </Scroll>
  );
}
