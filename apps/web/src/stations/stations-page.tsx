import { put } from '@dialoga/core/change';
import { tallyOf } from '@dialoga/core/check';
import { newPort, newStation } from '@dialoga/core/create';
import { editStation, type StationColumn } from '@dialoga/core/fields';
import { childrenOf, inOrder, orderAfter, PARTIES, ROLES, type Station } from '@dialoga/core/model';
import { profilesToChoose } from '@dialoga/core/profiles';
import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { grouped } from '../findings/grouped';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { Grid } from '../grid/grid';
import { newRow } from '../grid/new-row';
import type { GridColumn, GridRow } from '../grid/types';
import { useTable } from '../grid/use-table';
import { Counts } from '../marks/counts';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { useCounting } from '../store/checked';
import { useAppDispatch, useStateOf } from '../store/store';
import { PageTitle } from '../theme/parts';

const FIELDS: readonly StationColumn[] = ['name', 'roles', 'typeText', 'profile', 'party', 'supplier'];
const SHOWN: Shown = { kind: 'station', fields: [null, ...FIELDS] };
const COLUMNS: readonly GridColumn[] = [
  { id: 'open', title: 'Open', track: '60px', quiet: true },
  { id: 'name', title: 'Station', names: true, fills: 'series', track: 'minmax(120px, 1fr)' },
  { id: 'roles', title: 'Roles', track: 'minmax(120px, 1fr)' },
  { id: 'typeText', title: 'Type', track: 'minmax(120px, 1fr)' },
  { id: 'profile', title: 'Profile', track: 'minmax(140px, 1.4fr)' },
  { id: 'party', title: 'Party', track: '70px' },
  { id: 'supplier', title: 'Supplier', track: 'minmax(100px, 0.8fr)' },
  { id: 'addresses', title: 'Addresses', track: '140px' },
  { id: 'exchanges', title: 'Exchanges', track: '76px', right: true },
  { id: 'findings', title: 'Findings', track: '110px' },
];

/** All stations, as a grid to type into. */
export function StationsPage() {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const project = useStateOf((s) => s.project.project)!;
  const findings = useCounting();
  const dispatch = useAppDispatch();

  const profiles = useMemo(() => profilesToChoose(project).map((p) => p.name), [project]);
  const rows = useMemo((): GridRow[] => {
    const byStation = grouped(findings, (f) => f.parties.flatMap((p) => p.station ?? []));
    const rowFor = (station: Station): GridRow => {
      const touching = byStation.get(station.id) ?? [];
      const tally = tallyOf(touching);
      const ends = childrenOf(project, 'end', station.id);
      const named = touching.filter((f) => f.cells.some((c) => c.kind === 'station' && c.id === station.id));
      const cell = (text: string) => ({ text, editable: true });
      return {
        id: station.id,
        height: 26,
        cells: [
          {
            text: 'Open',
            action: {
              label: `Open ${station.name}`,
              run: () => void navigate(`/p/${projectId}/stations/${station.id}`),
            },
          },
          { ...cell(station.name), differs: named.length > 0 },
          { ...cell(station.roles.join(', ')), options: ROLES },
          cell(station.typeText ?? ''),
          { ...cell(station.profile ? (project.get('profile', station.profile)?.name ?? '') : ''), options: profiles },
          { ...cell(station.party), options: PARTIES },
          cell(station.supplier ?? ''),
          {
            text: childrenOf(project, 'port', station.id)
              .map((p) => p.address)
              .filter((a) => a !== '')
              .join(', '),
            mono: true,
          },
          { text: String(new Set(ends.map((e) => e.exchange)).size), right: true },
          { text: '', show: <Counts tally={tally} />, look: Object.values(tally).join(' ') },
        ],
      };
    };
    const stations = inOrder(project, 'station').map(rowFor);
    return [...stations, newRow(COLUMNS.length, 1, 'new station')];
  }, [project, profiles, findings, navigate, projectId]);

  const link = useGridLink(SHOWN);

  const table = useTable({
    ...{ label: 'Edit stations', columns: COLUMNS, rows },
    begin(now, _, column, text) {
      if (column !== 1) return null;
      const station = newStation(newId(), orderAfter(inOrder(now, 'station')), text);
      const port = newPort(newId(), 10, station.id, inOrder(now, 'network')[0]?.id ?? null);
      const changes = [put('station', station), put('port', port)];
      return { row: station.id, label: `New station ${text}`, edits: [{ changes, problem: null }] };
    },
    edit(now, row, column, text) {
      const station = now.get('station', row);
      const field = FIELDS[column - 1];
      return station && field ? [editStation(now, station, field, text)] : [];
    },
  });

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
      <Grid
        label="Stations"
        main
        {...table}
        goTo={link.goTo}
        onCursor={link.onCursor}
        onKey={(event, at) => {
          if (event.key !== 'Delete' || !event.ctrlKey) return false;
          const station = project.get('station', at.row);
          if (station) dispatch(drop(`Delete ${station.name}`, 'station', station.id));
          return true;
        }}
      />
    </>
  );
}
