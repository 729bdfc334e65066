import { ownerMapOf } from '@dialoga/core/hardware';
import { slotName } from '@dialoga/core/rack';
import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { Grid } from '../grid/grid';
import type { GridColumn, GridRow } from '../grid/types';
import { useStateOf } from '../store/store';
import { PageTitle } from '../theme/parts';

/** Every module that moves data, and which controller owns it or listens to it. */
export function OwnerMapPage() {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const project = useStateOf((s) => s.project.project)!;
  const map = useMemo(() => ownerMapOf(project), [project]);
  const columns: GridColumn[] = [
    { id: 'station', title: 'In the rack of', names: true, track: 'minmax(120px, 1fr)' },
    { id: 'slot', title: 'Slot', track: '56px', right: true },
    { id: 'module', title: 'Module', track: 'minmax(150px, 1.4fr)' },
    { id: 'kind', title: 'Kind', track: '150px' },
    ...map.controllers.map((c) => ({ id: c.id, title: c.name, track: 'minmax(84px, 1fr)' })),
    { id: 'notice', title: 'Remark', track: 'minmax(150px, 1.4fr)' },
  ];
  const rows = map.rows.map(({ station, rack, module, roles, notice }, i): GridRow => {
    const first = map.rows[i - 1]?.rack.id !== rack.id;
    const slot = module.slot === null ? 'none yet' : slotName(rack, module.slot);
    return {
      id: module.id,
      height: 26,
      cells: [
        { text: first ? station.name : '' },
        { text: slot, mono: true, right: true },
        { text: module.name || module.kind },
        { text: module.kind, muted: true },
        ...map.controllers.map((c) => ({ text: roles[c.id] ?? '' })),
        { text: notice, differs: notice.includes('owners') },
      ],
    };
  });
  const twice = map.rows.filter((r) => r.notice.includes('owners of')).length;
  return (
    <>
      <PageTitle>
        <h1>Owner map</h1>
        <p>
          {map.rows.length} modules that move data, {map.controllers.length} stations that claim them
          {twice > 0 && `, ${twice} with outputs of two owners`}. Enter goes to the rack.
        </p>
        <Link to={`/p/${projectId}/stations`} style={{ marginLeft: 'auto' }}>
          All stations
        </Link>
      </PageTitle>
      <Grid
        label="Owner map"
        main
        columns={columns}
        rows={rows}
        onEdit={() => undefined}
        onKey={(event, at) => {
          const row = map.rows.find((r) => r.module.id === at.row);
          if (event.key !== 'Enter' || !row) return false;
          void navigate(`/p/${projectId}/stations/${row.station.id}`);
          return true;
        }}
      />
    </>
  );
}
