import styled from 'styled-components';
import { useStateOf } from '../store/store';
import { useAway } from '../store/use-away';
import { colour } from '../theme/tokens';
import { formatTime } from '../words/when';

const Words = styled.span`
  color: ${colour.ink2};
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  max-width: 30vw;
  &:empty {
    display: none;
  }
`;

/** Says so when edits wait to be sent, or lanes to be checked. */
export function Waiting() {
  const pending = useStateOf((s) => s.project.pending.length);
  const sending = useStateOf((s) => s.project.sending);
  const left = useStateOf((s) => s.findings.left);
  const away = useAway();
  const since = away === null ? '' : ` since ${formatTime(away)}`;
  const wait = `${pending} ${pending === 1 ? 'edit waits' : 'edits wait'}`;
  const words =
    sending === 'away' || sending === 'full'
      ? `${sending === 'away' ? `server not reachable${since}` : 'server’s disk full'}${pending > 0 ? `; ${wait} here` : ''}`
      : pending > 1
        ? `sending ${pending} edits`
        : left > 0
          ? `checking ${left.toLocaleString('en')} more`
          : '';
  return <Words role="status">{words}</Words>;
}
