import { EXCHANGE, exchangeFromLine } from '@dialoga/core/fields';
import { childrenOf, inOrder, type Exchange, type Project } from '@dialoga/core/model';
import { refused } from '@dialoga/core/text';
import { newId } from '../api/new-id';
import { EntityGrid } from '../entities/entity-grid';
import type { GridCell } from '../grid/types';
import { useStateOf } from '../store/store';
import { tallyOf } from '@dialoga/core/check';
import type { Verdict } from '@dialoga/core/lane';
import { useMemo, useState } from 'react';
import { Link, useLocation, useNavigate, useParams } from 'react-router';
import { grouped } from '../findings/grouped';
import { Counts } from '../marks/counts';
import { LaneMarks } from '../marks/lane-marks';
import { useChecked, useCounting } from '../store/checked';
import { BoxButton, Empty, PageTitle } from '../theme/parts';
import { NewExchange, type From } from './new-exchange';

const COLUMNS = ['open', 'name', 'kind', 'protocol', 'ends', 'cadence', 'lanes', 'agreed', 'findings'] as const;

/** Two names begin an exchange of the kind that suits them; the dialog asks for more. */
function begin(now: Project, text: string) {
  const line = exchangeFromLine(now, text, newId);
  if (!line) {
    const expected = 'write both, as in CutterCtl → BakeCtl, with a kind behind them if you like';
    return { edits: [refused({ found: `“${text}” does not name two stations`, expected })] };
  }
  const { id, changes, unread } = line;
  const made = (after: Project) => after.get('exchange', id);
  return { label: 'New exchange', edits: [{ changes, problem: unread.length > 0 ? unread.join('; ') : null }], made };
}

/** All exchanges with their verdicts. */
export function ExchangesPage() {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const project = useStateOf((s) => s.project.project)!;
  const { lanes } = useChecked();
  const findings = useCounting();
  const { state } = useLocation() as { state: { begin?: From } | null };
  const [beginning, setBeginning] = useState<From | null>(state?.begin ?? null);

  const exchanges = useMemo(
    () =>
      inOrder(project, 'exchange').map((exchange) => ({
        exchange,
        lanes: childrenOf(project, 'lane', exchange.id).map((lane) => lane.id),
      })),
    [project],
  );
  const byExchange = useMemo(() => grouped(findings, (f) => [f.about.id]), [findings]);
  const verdictsOf = useMemo(
    () =>
      new Map(
        exchanges.map(({ exchange, lanes: ids }) => [
          exchange.id,
          ids.map((id): Verdict => lanes.get(id)?.verdict ?? 'unchecked'),
        ]),
      ),
    [exchanges, lanes],
  );
  function look({ id, name, kind }: Exchange, field: keyof typeof EXCHANGE.fields): Partial<GridCell> | undefined {
    const own = byExchange.get(id) ?? [];
    const verdicts = verdictsOf.get(id) ?? [];
    switch (field) {
      case 'open':
        return { action: { label: `Open ${name}`, run: () => void navigate(`/p/${projectId}/exchanges/${id}`) } };
      case 'name':
        return { differs: own.some((f) => f.cells.some((c) => c.kind === 'exchange')) };
      case 'lanes': {
        const none = kind === 'service link' ? 'moves no data' : 'no lanes yet';
        return { show: verdicts.length > 0 ? <LaneMarks verdicts={verdicts} /> : none, look: verdicts.join(' ') };
      }
      case 'agreed':
        return { text: `${verdicts.filter((v) => v === 'agreed').length} of ${verdicts.length}` };
      case 'findings': {
        const tally = tallyOf(own);
        return { show: <Counts tally={tally} />, look: Object.values(tally).join(' ') };
      }
      default:
        return undefined;
    }
  }

  const verdicts = exchanges.flatMap(({ lanes: ids }) => ids.map((id) => lanes.get(id)?.verdict));
  const agreed = verdicts.filter((verdict) => verdict === 'agreed').length;
  const unchecked = verdicts.filter((verdict) => verdict === 'unchecked').length;
  return (
    <>
      <PageTitle>
        <h1>Exchanges</h1>
        <p>
          {exchanges.length} {exchanges.length === 1 ? 'exchange' : 'exchanges'}, {agreed} of {verdicts.length}{' '}
          {verdicts.length === 1 ? 'lane' : 'lanes'} agreed
          {unchecked > 0 && `, ${unchecked} unchecked`}
        </p>
        <Link to={`/p/${projectId}/structures`} style={{ marginLeft: 'auto' }}>
          Structures
        </Link>
        <BoxButton autoFocus={exchanges.length === 0 && project.count('station') < 2} onPress={() => setBeginning({})}>
          New exchange
        </BoxButton>
      </PageTitle>
      {exchanges.length === 0 && project.count('station') < 2 ? (
        <Empty>
          <p>
            An exchange is an agreement between two stations: what each writes, what each reads, where and how long. It
            needs two stations: make them under <Link to={`/p/${projectId}/stations`}>Stations</Link>, or{' '}
            <Link to={`/p/${projectId}/begin`}>begin with lists</Link> that you have.
          </p>
        </Empty>
      ) : (
        <EntityGrid
          label="Exchanges"
          main
          of={EXCHANGE}
          rows={exchanges.map(({ exchange }) => exchange)}
          columns={COLUMNS}
          look={look}
          add={{ hint: 'new: one station → another', by: 'name', begin }}
        />
      )}
      {beginning && <NewExchange {...beginning} onClose={() => setBeginning(null)} />}
    </>
  );
}
