import styled from 'styled-components';
import { useStateOf } from '../store/store';
import { colour } from '../theme/tokens';

const Words = styled.span`
  color: ${colour.ink2};
  white-space: nowrap;
`;

/** Says so when edits wait to be sent, or lanes to be checked. */
export function Waiting() {
  const pending = useStateOf((s) => s.project.pending.length);
  const sending = useStateOf((s) => s.project.sending);
  const left = useStateOf((s) => s.findings.left);
  const wait = `${pending} ${pending === 1 ? 'edit waits' : 'edits wait'}`;
  const words =
    sending === 'away' || sending === 'full'
      ? `${sending === 'away' ? 'server not reachable' : 'server’s disk full'}; ${wait} here`
      : pending > 1
        ? `sending ${pending} edits`
        : left > 0
          ? `checking ${left.toLocaleString('en')} more`
          : '';
  return <Words role="status">{words}</Words>;
}
