import type { LaneResult } from '@dialoga/core/check';
import { childrenOf, type End } from '@dialoga/core/model';
import { protocolOf } from '@dialoga/core/protocol';
import { SHEET_COLUMNS, SHEET_FIELDS, sheetRows, type PageCells, type SheetRow } from '@dialoga/core/sheet';
import { TOLD_WORDS, toldFields } from '@dialoga/core/told';
import { useEffect } from 'react';
import { Link, useLocation, useParams, useSearchParams } from 'react-router';
import { NothingHere } from '../page/nothing-here';
import { Paper, Sheet, Tools } from '../page/paper';
import { VERDICT_WORDS, VerdictMark } from '../marks/verdict-mark';
import { useStateOf } from '../store/store';
import { BoxButton } from '../theme/parts';
import { pagesOf } from './pages';
import { cadenceWords, partnerWords } from './words';

const TITLES = SHEET_COLUMNS.map((column) => SHEET_FIELDS[column].short ?? SHEET_FIELDS[column].title);
const SPAN = SHEET_COLUMNS.length;

/** The sheet of an exchange as it is handed to the other side: every lane and value, in black and white, on A4. */
export function PrintPage() {
  const { project: address = '', exchange: id = '' } = useParams();
  const location = useLocation();
  const { project, revision, past } = useStateOf((s) => s.project);
  const lanes = useStateOf((s) => s.findings.lanes);
  const ready = useStateOf((s) => s.findings.ready);
  const exchange = project?.get('exchange', id);
  const [search] = useSearchParams();
  const { left, right } = (exchange && pagesOf(childrenOf(project!, 'end', id), search, null)) ?? {};
  const atOnce = (location.state as { print?: boolean } | null)?.print === true;
  useEffect(() => {
    if (atOnce && ready) window.print();
  }, [atOnce, ready]);
  if (!project || !exchange || !left || !right) {
    return (
      <NothingHere what="There is no such exchange." back={{ to: `/p/${address}/exchanges`, label: 'All exchanges' }} />
    );
  }
  const open = new Set(project.referrers('lane', id));
  const rows = sheetRows(project, exchange, left, right, open);
  const unchecked = [...open].filter((lane) => lanes.get(lane)?.verdict === 'unchecked').length;
  const date = new Date().toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
  return (
    <Paper tabIndex={0} role="region" aria-label={`${exchange.name}, to print`}>
      <Tools>
        <BoxButton autoFocus onPress={() => window.print()}>
          Print
        </BoxButton>
        <Link to={`/p/${address}/exchanges/${id}?${search.toString()}`.replace(/\?$/, '')}>Back to the sheet</Link>
      </Tools>
      <Sheet>
        <thead>
          <tr className="head">
            <th colSpan={2 * SPAN + 2}>
              <h1 dir="auto">{exchange.name}</h1> · {project.info.name} · revision {past ?? revision} · {date} ·{' '}
              {protocolOf(exchange).name} {exchange.transfer} · {cadenceWords(exchange.cadence)}
              {unchecked > 0 && ` · ${unchecked} of ${open.size} lanes unchecked`}
            </th>
          </tr>
          <tr className="head">
            <td />
            <th colSpan={SPAN}>
              <EndWords end={left} />
            </th>
            <td className="difference" />
            <th colSpan={SPAN}>
              <EndWords end={right} />
            </th>
          </tr>
          <tr>
            <th>Lane</th>
            {TITLES.map((title, i) => (
              <th key={i}>{title}</th>
            ))}
            <th className="difference">Difference</th>
            {TITLES.map((title, i) => (
              <th key={i}>{title}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={`${row.lane} ${row.key ?? ''}`} className={row.kind}>
              <td>{row.number}</td>
              <Page cells={row.left} />
              <td className="difference">
                <Difference row={row} lane={lanes.get(row.lane)} />
              </td>
              <Page cells={row.right} />
            </tr>
          ))}
        </tbody>
      </Sheet>
    </Paper>
  );
}

function Page({ cells }: { cells: PageCells | null }) {
  return SHEET_COLUMNS.map((column) => {
    const second = { address: cells?.told?.text && `partner: ${cells.told.text}`, type: cells?.swap?.text }[
      column as string
    ];
    const header = column === 'length' && cells?.header?.text ? `header ${cells.header.text}` : second;
    const { mono, right } = SHEET_FIELDS[column];
    return (
      <td key={column} className={`${mono ? 'mono' : ''} ${right ? 'right' : ''}`} dir="auto">
        {cells?.[column].text}
        {header && <small>{header}</small>}
      </td>
    );
  });
}

function Difference({ row, lane }: { row: SheetRow; lane: LaneResult | undefined }) {
  if (row.kind === 'item') return lane?.differing[row.key!] ?? null;
  const verdict = lane?.verdict ?? 'unchecked';
  return (
    <>
      <VerdictMark verdict={verdict} leftEmpty={!row.left} /> {VERDICT_WORDS[verdict]}
      {verdict === 'unchecked' && lane?.unknown && <small>{lane.unknown}</small>}
    </>
  );
}

/** Who this end is, where it is, whom it calls and what it was told. */
function EndWords({ end }: { end: End }) {
  const project = useStateOf((s) => s.project.project)!;
  const exchange = project.get('exchange', end.exchange)!;
  const station = project.get('station', end.station);
  const port = end.port ? project.get('port', end.port) : undefined;
  const partner = station ? partnerWords(station) : '';
  const several = childrenOf(project, 'end', exchange.id).length > 2;
  const nameBefore = (other: End) => (several ? `${project.get('station', other.station)?.name ?? ''} ` : '');
  const told = toldFields(project, exchange, end)
    .map(
      (t, i, all) =>
        (t.other === all[i - 1]?.other ? '' : nameBefore(t.other)) + `${TOLD_WORDS[t.field]} ${t.told || 'not set'}`,
    )
    .join(', ');
  return (
    <>
      <strong dir="auto">{station?.name}</strong> {port?.address} · {end.calling ?? 'calls or listens: not decided'}
      {told && ` · entered: ${told}`}
      {partner && ` · ${partner}`}
    </>
  );
}
