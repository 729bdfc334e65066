import { laneName } from '@dialoga/core/lane';
import { protocolOf } from '@dialoga/core/protocol';
import { foldedReport } from '@dialoga/core/rehearse';
import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { SmallGrid } from '../grid/small-grid';
import type { GridColumn } from '../grid/types';
import { useStateOf } from '../store/store';
import { Empty, PageTitle, Scroll, Section, SectionHead } from '../theme/parts';
import { formatWhen } from '../words/when';
import { rehearsedByExchange } from './rehearsed-of';
import { useLastWalk } from './use-last-walk';
import { StandInsSection } from './stand-ins-section';
import { ReportList } from './report-list';
import { WalkHead } from './walk-head';

const COLUMNS: readonly GridColumn[] = [
  { id: 'exchange', title: 'Exchange', track: 'minmax(160px, 1.4fr)' },
  { id: 'kind', title: 'Kind', track: 'minmax(110px, 1fr)' },
  { id: 'protocol', title: 'Protocol', track: 'minmax(140px, 1.2fr)' },
  { id: 'lanes', title: 'Lanes', track: '64px', right: true },
  { id: 'rehearsed', title: 'Rehearsed', track: '86px', right: true },
  { id: 'last', title: 'Last walked', track: 'minmax(220px, 1.6fr)' },
];

/** What was walked and came through, exchange by exchange, and what did not. */
export function RehearsalPage() {
  const { project: address = '' } = useParams();
  const navigate = useNavigate();
  const project = useStateOf((s) => s.project.project)!;
  const rehearsed = useStateOf((s) => s.findings.rehearsed);
  const all = useMemo(() => rehearsedByExchange(project, rehearsed), [project, rehearsed]);
  const lanes = all.reduce((sum, one) => sum + one.lanes.length, 0);
  const done = all.reduce((sum, one) => sum + one.rehearsed, 0);
  const walked = useLastWalk();
  const report = useMemo(
    () => (walked ? foldedReport(walked.walks, project, (id) => laneName(project, project.get('lane', id)!)) : []),
    [walked, project],
  );
  const rows = all.map(({ exchange, lanes: own, rehearsed: passed, last: mark }) => {
    const open = {
      label: `Walk of ${exchange.name}`,
      run: () => void navigate(`/p/${address}/rehearsal/${exchange.id}`),
    };
    const cells = [
      { text: exchange.name, action: open },
      { text: exchange.kind },
      { text: protocolOf(exchange).name },
      { text: String(own.length), right: true },
      {
        text: passed === own.length ? 'all' : passed === 0 ? 'none' : String(passed),
        right: true,
        muted: passed === 0,
      },
      {
        text: mark ? `revision ${mark.revision}, ${formatWhen(mark.at)}${mark.by ? `, ${mark.by}` : ''}` : '',
        muted: true,
      },
    ];
    return { id: exchange.id, height: 26, cells };
  });
  return (
    <>
      <PageTitle>
        <h1>Rehearsal</h1>
        <p>
          {done} of {lanes} lanes rehearsed on stand-ins; nothing here touches a device
        </p>
        <WalkHead about={{}} name="all lanes" lanes={lanes} />
      </PageTitle>
      <Scroll>
        {lanes === 0 && (
          <Empty>
            Nothing can be rehearsed yet: there is no lane.{' '}
            <Link to={`/p/${address}/exchanges`}>Begin an exchange</Link> with what both ends say of it.
          </Empty>
        )}
        {walked && (
          <Section aria-label="What came otherwise">
            <SectionHead>
              <h2>{report.length === 0 ? 'Everything came through' : 'What came otherwise'}</h2>
              <p>
                {walked.passed} of {walked.walks.length} lanes came through, {walked.bits.toLocaleString('en')} bits of{' '}
                {walked.values.toLocaleString('en')} values, each set and cleared alone
              </p>
            </SectionHead>
            <ReportList report={report} />
          </Section>
        )}
        {lanes > 0 && (
          <Section aria-label="Exchanges">
            <SectionHead>
              <h2>Exchanges</h2>
              <p>Enter shows an exchange value by value; a mark is lost with the first edit that touches its lane</p>
            </SectionHead>
            <SmallGrid
              label="Exchanges and how far they are rehearsed"
              columns={COLUMNS}
              rows={rows}
              onEdit={() => undefined}
            />
          </Section>
        )}
        {lanes > 0 && <StandInsSection />}
      </Scroll>
    </>
  );
}
