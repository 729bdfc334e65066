import { childrenOf } from '@dialoga/core/model';
import { useEffect } from 'react';
import { Link, useLocation, useParams, useSearchParams } from 'react-router';
import { typingInFrame } from '../../page/focus';
import { NothingHere } from '../../page/nothing-here';
import { useStateOf } from '../../store/store';
import { PageTitle, Scroll, Section, SectionHead } from '../../theme/parts';
import { AdviceSection } from './advice-section';
import { CallsSection } from './calls-section';
import { ReferencesSection } from './references-section';
import { StartSection } from './start-section';
import { TimesSection } from './times-section';

/** How an exchange runs: its times, how it starts, what happens on a lost link, and what each program has to call. */
export function RunningPage() {
  const { project: projectId = '', exchange: id = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const exchange = project.get('exchange', id);
  const [search] = useSearchParams();
  const { key: visit } = useLocation();
  const linked = search.get('at') ?? '';
  // Where a link leads to a field that is in no grid.
  useEffect(() => {
    if (linked.startsWith('exchange:') && !typingInFrame()) document.getElementById(linked)?.focus();
  }, [linked, visit]);
  if (!exchange) {
    return (
      <NothingHere
        what="There is no such exchange."
        back={{ to: `/p/${projectId}/exchanges`, label: 'All exchanges' }}
      />
    );
  }
  const ends = childrenOf(project, 'end', id);
  return (
    <>
      <PageTitle>
        <h1 dir="auto">{exchange.name || 'Exchange without a name'}</h1>
        <p>how it runs</p>
        <Link to={`/p/${projectId}/exchanges/${id}`} style={{ marginLeft: 'auto' }}>
          Both ends
        </Link>
      </PageTitle>
      <Scroll>
        <Section aria-label="Times">
          <SectionHead>
            <h2>Times and a lost link</h2>
            <p>in ms, s or min; what is not decided is asked for</p>
          </SectionHead>
          <TimesSection exchange={exchange} />
        </Section>
        <Section aria-label="References">
          <SectionHead>
            <h2>References</h2>
            <p>what each end’s own connection is called by, and in which elements it counts</p>
          </SectionHead>
          <ReferencesSection exchange={exchange} ends={ends} />
        </Section>
        <Section aria-label="Start sequence">
          <StartSection exchange={exchange} />
        </Section>
        <Section aria-label="What each program calls">
          <SectionHead>
            <h2>What each program calls</h2>
            <p>in its own notation and words; a block can be copied as a whole</p>
          </SectionHead>
          {ends.map((end) => (
            <CallsSection key={end.id} exchange={exchange} end={end} />
          ))}
        </Section>
        <Section aria-label="Cyclic or requests">
          <AdviceSection exchange={exchange} />
        </Section>
      </Scroll>
    </>
  );
}
