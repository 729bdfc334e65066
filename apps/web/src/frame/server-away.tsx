import { Link } from 'react-router';
import { keptEdits } from '../store/kept-edits';
import { placeOf } from '../store/place';
import { Empty } from '../theme/parts';

/** The project cannot be opened yet: it is asked for again by itself, and what was typed before is still here. */
export function ServerAway({ project, what }: { project: string; what: string }) {
  const kept = keptEdits(placeOf(project).id).reduce((sum, { sets }) => sum + sets.length, 0);
  return (
    <Empty role="status">
      <h1>Waiting for the server</h1>
      <p>{what} The project opens here as soon as it answers.</p>
      {kept > 0 && <p>{kept === 1 ? 'One edit is' : `${kept} edits are`} kept in this browser and sent then.</p>}
      <p>
        <Link to="/">All projects</Link>
      </p>
    </Empty>
  );
}
