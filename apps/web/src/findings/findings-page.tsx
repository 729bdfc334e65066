import { tallyOf } from '@dialoga/core/check';
import { SEVERITIES, type Severity } from '@dialoga/core/finding';
import { useState } from 'react';
import styled from 'styled-components';
import { Counts } from '../marks/counts';
import { Meant, type OwnWord } from '../forms/term';
import { SEVERITY_WORDS } from '../marks/severity-mark';
import { useChecked, useCounting } from '../store/checked';
import { Empty, PageTitle, TextButton } from '../theme/parts';
import { colour, space } from '../theme/tokens';
import { grouped } from './grouped';
import { FixGroup } from './fix-group';
import { FindingEntry } from './finding-entry';
import { useGrowing } from './use-growing';

const Scroll = styled.div`
  overflow: auto;
  min-height: 0;
  flex: 1;
`;

const Choice = styled(TextButton)<{ $chosen: boolean }>`
  padding: ${space[2]}px 0;
  font-weight: ${({ $chosen }) => ($chosen ? 600 : 400)};
  border-bottom: 2px solid ${({ $chosen }) => ($chosen ? colour.ink : 'transparent')};
`;

const Group = styled.section`
  padding: ${space[4]}px ${space[4]}px ${space[3]}px;
  > header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0 ${space[5]}px;
    padding-bottom: ${space[3]}px;
    border-bottom: 1px solid ${colour.edge};
  }
`;

const Choices = styled.div`
  display: flex;
  gap: ${space[5]}px;
  margin-right: ${space[6]}px;
`;

type Grouping = 'subject' | 'rule';

/** All findings: what each end says, why it matters, the rule and its source, where to go and what mends it. */
export function FindingsPage() {
  const { byKey, accepted, ready } = useChecked();
  const all = useCounting();
  const settled = Object.values(accepted).flatMap((a) => (a.lapsed ? [] : (byKey.get(a.acceptance.finding) ?? [])));
  const [grouping, setGrouping] = useState<Grouping>('subject');
  const [only, setOnly] = useState<Severity | 'accepted' | null>(null);
  const tally = tallyOf(all);
  const shown = only === 'accepted' ? settled : only ? all.filter((f) => f.severity === only) : all;
  const groups = grouped(shown, (f) => [grouping === 'subject' ? f.about.name : f.code]);
  const { drawn, end } = useGrowing();
  // Where each group begins in the list of all; those that begin beyond what is drawn are left out.
  let begun = 0;
  const inView = [...groups].flatMap(([name, findings]) => {
    const from = begun;
    begun += findings.length;
    return from < drawn ? [{ name, findings, from }] : [];
  });
  return (
    <>
      <PageTitle>
        <h1>Findings</h1>
        <Choices role="group" aria-label="Grouped">
          <Choice
            $chosen={grouping === 'subject'}
            aria-pressed={grouping === 'subject'}
            onPress={() => setGrouping('subject')}
          >
            By subject
          </Choice>
          <Choice $chosen={grouping === 'rule'} aria-pressed={grouping === 'rule'} onPress={() => setGrouping('rule')}>
            By rule
          </Choice>
        </Choices>
        <Choices role="group" aria-label="Shown">
          <Choice $chosen={only === null} aria-pressed={only === null} onPress={() => setOnly(null)}>
            All {all.length}
          </Choice>
          {SEVERITIES.map((s) => (
            <Meant key={s} word={SEVERITY_WORDS[s][0] as OwnWord}>
              <Choice $chosen={only === s} aria-pressed={only === s} onPress={() => setOnly(s)}>
                {tally[s]} {SEVERITY_WORDS[s][tally[s] === 1 ? 0 : 1]}
              </Choice>
            </Meant>
          ))}
          <Choice $chosen={only === 'accepted'} aria-pressed={only === 'accepted'} onPress={() => setOnly('accepted')}>
            {settled.length} accepted
          </Choice>
        </Choices>
      </PageTitle>
      <Scroll tabIndex={0} role="region" aria-label="Findings">
        {shown.length === 0 && (
          <Empty>
            {ready
              ? only === 'accepted'
                ? 'No Doubt is accepted. A Doubt can be accepted here with a reason and a name.'
                : 'Nothing that was checked disagrees. Lanes with one end only are listed under Exchanges as one-sided.'
              : 'Checking …'}
          </Empty>
        )}
        {inView.map(({ name, findings, from }) => (
          <Group key={name} aria-label={name}>
            <header>
              <h2 dir="auto">{name}</h2>
              <Counts tally={tallyOf(findings)} />
              {only !== 'accepted' && <FixGroup name={name} findings={findings} />}
            </header>
            {findings.slice(0, drawn - from).map((finding, i) => (
              <FindingEntry key={finding.key} finding={finding} number={from + i + 1} of={shown.length} />
            ))}
          </Group>
        ))}
        {/* Made anew with each step, so that one that is still in view is noticed again. */}
        {drawn < shown.length && <div key={drawn} ref={end} />}
      </Scroll>
    </>
  );
}
