import { childrenOf, inOrder, type Station } from '@dialoga/core/model';
import { asksForTags, pointsOf } from '@dialoga/core/place';
import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { Grid } from '../grid/grid';
import type { GridColumn, GridRow } from '../grid/types';
import { useStateOf } from '../store/store';
import { PageTitle } from '../theme/parts';

const COLUMNS: readonly GridColumn[] = [
  { id: 'open', title: 'Open', track: '60px', quiet: true },
  { id: 'name', title: 'Station', names: true, track: 'minmax(140px, 1fr)' },
  { id: 'roles', title: 'Roles', track: 'minmax(140px, 1fr)' },
  { id: 'tags', title: 'Tags', track: '70px', right: true },
  { id: 'bound', title: 'Bound', track: '70px', right: true },
  { id: 'waived', title: 'Not used', track: '76px', right: true },
  { id: 'left', title: 'Unmatched', track: '76px', right: true },
  { id: 'internal', title: 'Internal', track: '76px', right: true },
  { id: 'from', title: 'Last import', names: true, track: 'minmax(180px, 1.4fr)' },
];

/** Every station with how many tags it has, and what became of them. Those that ask others for tags come first. */
export function TagsPage() {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const project = useStateOf((s) => s.project.project)!;
  const rows = useMemo(() => {
    const rowFor = (station: Station): GridRow => {
      const tags = childrenOf(project, 'tag', station.id).length;
      const asks = asksForTags(project, station);
      const points = pointsOf(project, station);
      const last = childrenOf(project, 'import', station.id).at(-1);
      const count = (n: number, always = asks) => ({ text: always || n > 0 ? String(n) : '', right: true });
      const to = `/p/${projectId}/tags/${station.id}`;
      return {
        id: station.id,
        height: 26,
        cells: [
          { text: 'Open', action: { label: `Open the tags of ${station.name}`, run: () => void navigate(to) } },
          { text: station.name },
          { text: station.roles.join(', '), muted: true },
          count(tags, true),
          count(points.bound.length),
          count(points.notUsed.length),
          { ...count(asks ? points.open.length : 0), differs: asks && points.open.length > 0 },
          count(tags - points.all),
          { text: last ? `${last.file}, ${last.at.slice(0, 10)}` : '', muted: true },
        ],
      };
    };
    const stations = inOrder(project, 'station');
    const asking = stations.filter((station) => asksForTags(project, station));
    return [...asking, ...stations.filter((station) => !asking.includes(station))].map(rowFor);
  }, [project, projectId, navigate]);
  return (
    <>
      <PageTitle>
        <h1>Tags</h1>
        <p>named variables of each station; first those that ask others for theirs</p>
      </PageTitle>
      <Grid label="Tags of all stations" main columns={COLUMNS} rows={rows} onEdit={() => undefined} />
    </>
  );
}
