import { tallyOf } from '@dialoga/core/check';
import { protocolsFor } from '@dialoga/core/exchange';
import { editExchange, type ExchangeField } from '@dialoga/core/fields';
import type { Verdict } from '@dialoga/core/lane';
import { childrenOf, inOrder, EXCHANGE_KINDS } from '@dialoga/core/model';
import { protocolOf } from '@dialoga/core/protocol';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { grouped } from '../findings/grouped';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { Grid } from '../grid/grid';
import type { GridColumn, GridRow } from '../grid/types';
import { useTable } from '../grid/use-table';
import { Counts } from '../marks/counts';
import { VerdictMark } from '../marks/verdict-mark';
import { drop } from '../store/dropping';
import { useChecked, useCounting } from '../store/checked';
import { useAppDispatch, useStateOf } from '../store/store';
import { BoxButton, Empty, PageTitle } from '../theme/parts';
import { NewExchange } from './new-exchange';
import { cadenceWords } from './words';

const FIELDS: readonly (ExchangeField | null)[] = [null, 'name', 'kind', 'protocol', null, 'cadence'];
const SHOWN: Shown = { kind: 'exchange', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'open', title: 'Open', track: '60px', quiet: true },
  { id: 'name', title: 'Exchange', names: true, track: 'minmax(160px, 1fr)' },
  { id: 'kind', title: 'Kind', track: '118px' },
  { id: 'protocol', title: 'Protocol', track: '170px' },
  { id: 'ends', title: 'Between', track: 'minmax(180px, 1fr)' },
  { id: 'cadence', title: 'Cadence', track: '92px' },
  { id: 'lanes', title: 'Its lanes', track: 'minmax(140px, 1fr)' },
  { id: 'agreed', title: 'Agreed', track: '90px', right: true },
  { id: 'findings', title: 'Findings', track: '110px' },
];

const LaneMarks = ({ verdicts }: { verdicts: readonly Verdict[] }) =>
  verdicts.map((verdict, i) => <VerdictMark key={i} verdict={verdict} alone />);

/** All exchanges with their verdicts. */
export function ExchangesPage() {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const project = useStateOf((s) => s.project.project)!;
  const { lanes } = useChecked();
  const findings = useCounting();
  const dispatch = useAppDispatch();
  const [beginning, setBeginning] = useState(false);

  // What changes with the project only: the rows below are made anew with every change of a verdict.
  const exchanges = useMemo(
    () =>
      inOrder(project, 'exchange').map((exchange) => ({
        exchange,
        lanes: childrenOf(project, 'lane', exchange.id).map((lane) => lane.id),
        names: childrenOf(project, 'end', exchange.id).map((e) => project.get('station', e.station)?.name ?? ''),
      })),
    [project],
  );
  const rows = useMemo((): GridRow[] => {
    const byExchange = grouped(findings, (f) => [f.about.id]);
    return exchanges.map(({ exchange, lanes: ids, names }) => {
      const verdicts = ids.map((id) => lanes.get(id)?.verdict ?? 'unchecked');
      const own = byExchange.get(exchange.id) ?? [];
      const tally = tallyOf(own);
      return {
        id: exchange.id,
        height: 26,
        cells: [
          {
            text: 'Open',
            action: {
              label: `Open ${exchange.name}`,
              run: () => void navigate(`/p/${projectId}/exchanges/${exchange.id}`),
            },
          },
          { text: exchange.name, editable: true, differs: own.some((f) => f.cells.some((c) => c.kind === 'exchange')) },
          { text: exchange.kind, editable: true, options: EXCHANGE_KINDS },
          {
            text: protocolOf(exchange).name,
            editable: true,
            options: protocolsFor(exchange.kind).map((p) => p.name),
          },
          { text: names.length > 2 ? names.join(', ') : names.join(' and ') },
          {
            text: exchange.cadence === null ? '' : String(exchange.cadence),
            show: cadenceWords(exchange.cadence),
            editable: true,
          },
          {
            text: '',
            show:
              verdicts.length > 0 ? (
                <LaneMarks verdicts={verdicts} />
              ) : exchange.kind === 'service link' ? (
                'moves no data'
              ) : (
                'no lanes yet'
              ),
            look: verdicts.join(' '),
          },
          { text: `${verdicts.filter((v) => v === 'agreed').length} of ${verdicts.length}`, right: true },
          { text: '', show: <Counts tally={tally} />, look: Object.values(tally).join(' ') },
        ],
      };
    });
  }, [exchanges, findings, lanes, navigate, projectId]);

  const link = useGridLink(SHOWN);

  const table = useTable({
    ...{ label: 'Edit exchange', columns: COLUMNS, rows },
    edit(now, row, column, text) {
      const [exchange, field] = [now.get('exchange', row), FIELDS[column]];
      return exchange && field ? [editExchange(exchange, field, text)] : [];
    },
  });

  const verdicts = exchanges.flatMap(({ lanes: ids }) => ids.map((id) => lanes.get(id)?.verdict));
  const agreed = verdicts.filter((verdict) => verdict === 'agreed').length;
  const unchecked = verdicts.filter((verdict) => verdict === 'unchecked').length;
  return (
    <>
      <PageTitle>
        <h1>Exchanges</h1>
        <p>
          {rows.length} {rows.length === 1 ? 'exchange' : 'exchanges'}, {agreed} of {verdicts.length}{' '}
          {verdicts.length === 1 ? 'lane' : 'lanes'} agreed
          {unchecked > 0 && `, ${unchecked} unchecked`}
        </p>
        <Link to={`/p/${projectId}/structures`} style={{ marginLeft: 'auto' }}>
          Structures
        </Link>
        <BoxButton autoFocus={rows.length === 0} onPress={() => setBeginning(true)}>
          New exchange
        </BoxButton>
      </PageTitle>
      {rows.length === 0 ? (
        <Empty>
          <p>
            An exchange is an agreement between two stations: what each writes, what each reads, where and how long.
            Begin with “New exchange”. It needs two stations; they are made under Stations.
          </p>
        </Empty>
      ) : (
        <Grid
          label="Exchanges"
          main
          {...table}
          goTo={link.goTo}
          onCursor={link.onCursor}
          onKey={(event, at) => {
            if (event.key !== 'Delete' || !event.ctrlKey) return false;
            dispatch(drop(`Delete ${project.get('exchange', at.row)?.name ?? 'exchange'}`, 'exchange', at.row));
            return true;
          }}
        />
      )}
      {beginning && <NewExchange onClose={() => setBeginning(false)} />}
    </>
  );
}
