import { tallyOf } from '@dialoga/core/check';
import { STATION, stationFromLine } from '@dialoga/core/fields';
import { inOrder, type Project } from '@dialoga/core/model';
import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { newId } from '../api/new-id';
import { EntityGrid } from '../entities/entity-grid';
import { grouped } from '../findings/grouped';
import { Counts } from '../marks/counts';
import { useCounting } from '../store/checked';
import { useStateOf } from '../store/store';
import { PageTitle } from '../theme/parts';

const COLUMNS = [
  ...(['open', 'name', 'profile', 'addresses', 'roles'] as const),
  ...(['typeText', 'party', 'supplier', 'exchanges', 'findings'] as const),
];

/** All stations, as a grid to type into. */
export function StationsPage() {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const project = useStateOf((s) => s.project.project)!;
  const findings = useCounting();
  const byStation = useMemo(() => grouped(findings, (f) => f.parties.flatMap((p) => p.station ?? [])), [findings]);
  return (
    <>
      <PageTitle>
        <h1>Stations</h1>
        <p>
          {project.count('station')} stations on {project.count('network')}{' '}
          {project.count('network') === 1 ? 'network' : 'networks'}; Ctrl+Delete takes one out with all that depends on
          it
        </p>
        <Link to={`/p/${projectId}/owner-map`} style={{ marginLeft: 'auto' }}>
          Owner map
        </Link>
        <Link to={`/p/${projectId}/profiles`}>Profiles</Link>
        <Link to={`/p/${projectId}/hardware-list`}>Import hardware list</Link>
      </PageTitle>
      <EntityGrid
        label="Stations"
        main
        of={STATION}
        rows={inOrder(project, 'station')}
        columns={COLUMNS}
        step="Edit stations"
        look={({ id, name }, field) => {
          const touching = byStation.get(id) ?? [];
          if (field === 'open') {
            const run = () => void navigate(`/p/${projectId}/stations/${id}`);
            return { action: { label: `Open ${name}`, run } };
          }
          if (field === 'name') {
            return { differs: touching.some((f) => f.cells.some((c) => c.kind === 'station' && c.id === id)) };
          }
          if (field !== 'findings') return undefined;
          const tally = tallyOf(touching);
          return { show: <Counts tally={tally} />, look: Object.values(tally).join(' ') };
        }}
        add={{
          hint: 'new: name, type, address',
          by: 'name',
          line: (now, cells) => {
            const { changes, name, unread } = stationFromLine(now, cells, newId);
            const problem = unread.length > 0 ? unread.join('; ') : null;
            return { label: `New station ${name}`, edits: [{ changes, problem }] };
          },
          begin(now, text) {
            const { changes, id, name } = stationFromLine(now, text, newId);
            const made = (after: Project) => after.get('station', id);
            return { label: `New station ${name}`, edits: [{ changes, problem: null }], made };
          },
        }}
      />
    </>
  );
}
