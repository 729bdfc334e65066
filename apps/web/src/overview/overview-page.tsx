import { textOf } from '../findings/text-of';
import { VERDICTS } from '@dialoga/core/lane';
import type { Overview } from '@dialoga/core/overview';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { linkToFinding } from '../findings/link';
import { useStandings } from './use-standings';
import { Counts } from '../marks/counts';
import { LaneMarks } from '../marks/lane-marks';
import { VERDICT_WORDS, VerdictMark } from '../marks/verdict-mark';
import { useStateOf } from '../store/store';
import { Differs, Empty, PageTitle, Section, SectionHead } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { MatrixSection } from './matrix-section';
import { useOverview } from './use-overview';

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.45fr) minmax(380px, 1fr);
  flex: 1;
  min-height: 0;
  overflow: auto;
  > * + * {
    border-left: 1px solid ${colour.hairline};
  }
  @media (max-width: 1100px) {
    grid-template-columns: minmax(0, 1fr);
    > * + * {
      border-left: 0;
      border-top: 1px solid ${colour.hairline};
    }
  }
`;

const Steps = styled.ol`
  padding: 0;
  list-style: none;
  li {
    display: grid;
    grid-template-columns: 20px minmax(0, 1fr) auto;
    column-gap: ${space[2]}px;
    padding: ${space[2]}px 0;
    border-bottom: 1px solid ${colour.hairline};
  }
  li > :last-child {
    grid-column: 2 / 4;
    color: ${colour.ink2};
  }
`;

const Lanes = styled.ul`
  padding: 0;
  list-style: none;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr) 64px;
    gap: ${space[4]}px;
    align-items: center;
    min-height: 26px;
    border-bottom: 1px solid ${colour.hairline};
  }
`;

const Far = styled.small`
  display: block;
  color: ${colour.ink2};
  font-size: ${size.data}px;
`;

const Tallies = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: ${space[1]}px ${space[4]}px;
`;

const MOST_MARKS = 20;

/** Who sends what to whom, what is still to do, and how many lanes agree. */
export function OverviewPage() {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const overview = useOverview();
  const standings = useStandings();
  const count = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;
  return (
    <>
      <PageTitle>
        <h1>Overview</h1>
        <p>
          {count(project.count('station'), 'station')} on {count(project.count('network'), 'network')},{' '}
          {count(project.count('exchange'), 'exchange')} with {count(project.count('lane'), 'lane')}.{' '}
          {overview && agreement(overview)}
        </p>
      </PageTitle>
      {!overview && <Empty role="status">Checking …</Empty>}
      {overview && project.count('exchange') === 0 && (
        <Empty>
          Nothing is exchanged yet. <Link to={`/p/${projectId}/stations`}>Begin with the stations</Link>, then make the
          first exchange between two of them.
        </Empty>
      )}
      {overview && project.count('exchange') > 0 && (
        <Columns tabIndex={0} role="region" aria-label="Overview">
          <MatrixSection matrix={overview.matrix} />
          <div>
            <Section aria-label="Still to do">
              <h2>Still to do</h2>
              <Steps>
                {overview.toDo.map(({ step, counts, first }, i) => (
                  <li key={step}>
                    <span>{i + 1}</span>
                    <strong>{step}</strong>
                    <Counts tally={counts} />
                    <span>
                      {first ? (
                        <Link to={linkToFinding(project, projectId, first)}>{textOf(first).headline}</Link>
                      ) : (
                        'no findings'
                      )}
                    </span>
                  </li>
                ))}
                <FurtherStep number={overview.toDo.length + 1} step="Rehearsal" to={`/p/${projectId}/rehearsal`}>
                  {standings.all.rehearsed} of {count(standings.all.planned, 'lane')} rehearsed on stand-ins
                </FurtherStep>
                <FurtherStep number={overview.toDo.length + 2} step="Site" to={`/p/${projectId}/site/points`}>
                  {standings.all.observed} of {count(standings.all.planned, 'lane')} observed on site
                </FurtherStep>
              </Steps>
            </Section>
            <Section aria-label="Lanes">
              <SectionHead>
                <h2>Lanes</h2>
                <Tallies>
                  {VERDICTS.filter((v) => overview.counts[v] > 0).map((verdict) => (
                    <span key={verdict}>
                      <VerdictMark verdict={verdict} />
                      <strong>{overview.counts[verdict]}</strong> {VERDICT_WORDS[verdict]}
                    </span>
                  ))}
                </Tallies>
              </SectionHead>
              <Lanes>
                {overview.exchanges.map(({ exchange, name, verdicts, heldUp }) => (
                  <li key={exchange}>
                    <span>
                      <Link to={`/p/${projectId}/exchanges/${exchange}`}>{name || 'exchange without a name'}</Link>
                      <Far>{standings.of(exchange)}</Far>
                    </span>
                    <span>
                      {verdicts.length > 0 && <LaneMarks verdicts={verdicts} most={MOST_MARKS} />}
                      {verdicts.length > MOST_MARKS && `and ${verdicts.length - MOST_MARKS} more`}
                      {verdicts.length === 0 &&
                        (project.get('exchange', exchange)?.kind === 'service link' ? 'moves no data' : 'no lanes yet')}
                    </span>
                    <span>{heldUp && <Differs>blocked</Differs>}</span>
                  </li>
                ))}
              </Lanes>
            </Section>
          </div>
        </Columns>
      )}
    </>
  );
}

function FurtherStep({
  number,
  step,
  to,
  children,
}: {
  number: number;
  step: string;
  to: string;
  children: ReactNode;
}) {
  return (
    <li>
      <span>{number}</span>
      <strong>{step}</strong>
      <span />
      <span>
        <Link to={to}>{children}</Link>
      </span>
    </li>
  );
}

function agreement({ counts }: Overview): string {
  const all = VERDICTS.reduce((sum, verdict) => sum + counts[verdict], 0);
  if (all === 0) return '';
  return counts.agreed === all ? 'All lanes agree.' : `${counts.agreed} of ${all} lanes agree.`;
}
