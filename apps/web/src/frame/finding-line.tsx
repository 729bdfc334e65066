import { textOf } from '../findings/text-of';
import type { Finding } from '@dialoga/core/finding';
import { lazy, memo, Suspense, useState } from 'react';
import styled, { css } from 'styled-components';
import { findingAtHand } from '../findings/at-hand';
import { onlyNotTold } from '../findings/only-not-told';
import { usePinned } from '../findings/pinned';
import { useFindingActions, useGoThrough } from '../findings/use-current-finding';
import { useFirstFix } from '../findings/use-fixes';
import { Arrowed } from '../marks/arrowed';
import { SeverityMark } from '../marks/severity-mark';
import { useStateOf } from '../store/store';
import { TextButton } from '../theme/parts';
import { colour, space } from '../theme/tokens';
import { useKeys } from '../page/keys';
import { Standing } from './standing';

const ExplainFinding = lazy(async () => ({
  default: (await import('../exchanges/explain-finding')).ExplainFinding,
}));

const FixAllDialog = lazy(async () => ({ default: (await import('./fix-all-dialog')).FixAllDialog }));

const Line = styled.footer`
  display: flex;
  align-items: center;
  gap: ${space[3]}px;
  padding: 0 ${space[4]}px;
  border-top: 1px solid ${colour.edge};
  background: ${colour.sunk};
  min-width: 0;
  strong {
    font-weight: 600;
    white-space: nowrap;
  }
`;

const Headline = styled.span`
  flex: 1;
  min-width: 0;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
`;

/** What is left out first where the window is narrow. */
const folds = css`
  @media (max-width: 900px) {
    display: none;
  }
`;

const FixLabel = styled.span`
  ${folds}
  flex: 0 1 auto;
  min-width: 60px;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  color: ${colour.ink2};
`;

const KeyHint = styled.span`
  @media (max-width: 1500px) {
    display: none;
  }
  color: ${colour.ink2};
  white-space: nowrap;
`;

/** At the foot of every screen: one finding, and the keys to show it, fix it and go to the next. */
export function FindingLine() {
  const findings = useStateOf((s) => s.findings);
  const { byKey, order, ready, left } = findings;
  const status = useStateOf((s) => s.project.status);
  const { fix } = useFindingActions();
  const go = useGoThrough();
  const { possible, pinned, pin } = usePinned();
  const [explaining, setExplaining] = useState(false);
  const [fixingAll, setFixingAll] = useState(false);
  const finding = findingAtHand(findings);
  const at = finding ? Math.max(order.indexOf(finding.key), 0) : 0;
  const first = useFirstFix(finding);
  const tells = onlyNotTold(order.map((key) => byKey.get(key)));

  useKeys((event) => {
    const explains = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'i';
    if (explains && finding && !event.defaultPrevented) {
      event.preventDefault();
      setExplaining(true);
    }
    if (!event.altKey) return;
    if (event.key === 'PageDown') go(1);
    else if (event.key === 'PageUp') go(-1);
    else if (event.key === 'Enter' && event.shiftKey) setFixingAll(finding !== undefined);
    else if (event.key === 'Enter' && finding) fix(finding);
    else return;
    event.preventDefault();
  });

  if (!finding) {
    const waits = status === 'loading' || status === 'ready' ? 'Checking …' : 'Nothing is checked: no project is open.';
    return (
      <Line aria-label="Findings">
        <Headline>{ready && left === 0 ? 'No findings: nothing that was checked disagrees.' : waits}</Headline>
        <Standing />
      </Line>
    );
  }
  return (
    <Line aria-label="Findings">
      {explaining && (
        <Suspense>
          <ExplainFinding finding={finding} onClose={() => setExplaining(false)} />
        </Suspense>
      )}
      {fixingAll && (
        <Suspense>
          <FixAllDialog onClose={() => setFixingAll(false)} />
        </Suspense>
      )}
      <strong>
        {at + 1} of {order.length}
      </strong>
      <SeverityMark severity={finding.severity} />
      <Headline dir="auto" title={textOf(finding).headline}>
        {finding.code} · {textOf(finding).headline}
      </Headline>
      {first && (
        <FixLabel title={first}>
          <Arrowed text={first} />
        </FixLabel>
      )}
      <Buttons finding={finding} fixable={first !== undefined} />
      <KeyHint>Alt+Page Down</KeyHint>
      <TextButton aria-keyshortcuts="Alt+Shift+Enter" onPress={() => setFixingAll(true)}>
        {tells ? 'Tell both ends …' : 'Fix all …'}
      </TextButton>
      {possible && (
        <TextButton aria-pressed={pinned} onPress={() => pin(!pinned)}>
          {pinned ? 'Unpin the list' : 'Pin the list'}
        </TextButton>
      )}
      <Standing />
    </Line>
  );
}

const Buttons = memo(function Buttons({ finding, fixable }: { finding: Finding; fixable: boolean }) {
  const { show, fix } = useFindingActions();
  const go = useGoThrough();
  return (
    <>
      <TextButton onPress={() => show(finding)}>Show</TextButton>
      <TextButton isDisabled={!fixable} onPress={() => fix(finding)} aria-keyshortcuts="Alt+Enter">
        Fix
      </TextButton>
      <TextButton onPress={() => go(1)} aria-keyshortcuts="Alt+PageDown">
        Next
      </TextButton>
    </>
  );
});
