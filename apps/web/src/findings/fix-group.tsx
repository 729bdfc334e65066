import type { Finding } from '@dialoga/core/finding';
import { useState } from 'react';
import styled from 'styled-components';
import { edit } from '../store/editing';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch } from '../store/store';
import { BoxButton, TextButton } from '../theme/parts';
import { colour, space } from '../theme/tokens';
import { checker } from '../worker/checker';
import type { FixedTogether } from '../worker/checker.worker';
import { FixPreview } from './fix-preview';
import { useOfFindings } from './use-fixes';

const Panel = styled.div`
  flex-basis: 100%;
  > div {
    display: flex;
    gap: ${space[4]}px;
    position: sticky;
    bottom: 0;
    padding: ${space[3]}px 0;
    background: ${colour.paper};
  }
`;

/** Fix all of a group: what it changes is shown first; one undo step. */
export function FixGroup({ name, findings }: { name: string; findings: readonly Finding[] }) {
  const [open, setOpen] = useState(false);
  const fixable = useOfFindings(findings, false, ({ findings: all }) => checker().anyFix(all.map(([key]) => key)));
  if (!fixable) return null;
  return (
    <>
      <TextButton aria-expanded={open} aria-label={`Fix all of ${name}`} onPress={() => setOpen(!open)}>
        Fix all …
      </TextButton>
      {open && <FixAll name={name} findings={findings} onClose={() => setOpen(false)} />}
    </>
  );
}

/** Worked out only when it is looked at: a group may have thousands. */
export function FixAll({
  name,
  findings,
  onClose,
}: {
  name: string;
  findings: readonly Finding[];
  onClose: () => void;
}) {
  const dispatch = useAppDispatch();
  const together = useOfFindings<FixedTogether | null>(findings, null, (asked) => checker().fixAll(asked));
  const count = (n: number) => `${n} ${n === 1 ? 'finding' : 'findings'}`;
  if (!together) return null;
  const { changes, fixed, left } = together;
  function take() {
    const refusal = dispatch(edit(`Fix ${count(fixed.length)} of ${name}`, changes));
    if (!refusal && left.length > 0) {
      dispatch(projectSlice.actions.noticed(`${count(left.length)} of ${name} have no certain fix.`));
    }
    onClose();
  }
  return (
    <Panel role="group" aria-label={`Fix all of ${name}`}>
      <p>
        Mends {count(fixed.length)}
        {left.length > 0 && `; ${count(left.length)} have no certain fix and stay`}.
      </p>
      <FixPreview changes={changes} />
      <div>
        <BoxButton autoFocus onPress={take}>
          Fix {count(fixed.length)}
        </BoxButton>
        <BoxButton onPress={onClose}>Cancel</BoxButton>
      </div>
    </Panel>
  );
}
