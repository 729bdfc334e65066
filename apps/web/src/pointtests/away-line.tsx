import { useStateOf } from '../store/store';
import { formatTime } from '../words/when';
import { useAway } from '../store/use-away';

/** Says that the server is away, since when, and what becomes of what is said meanwhile; nothing while it is there. */
export function AwayLine() {
  const away = useAway();
  const pending = useStateOf((s) => s.project.pending.length);
  if (away === null) return null;
  const kept = pending === 1 ? 'one edit is' : `${pending} edits are`;
  return (
    <b role="status">
      The server is away since {formatTime(away)}.{' '}
      {pending === 0 ? 'What you say is kept in this browser' : `So far ${kept} kept in this browser`}, and sent when it
      is back.
    </b>
  );
}
