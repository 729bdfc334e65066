import { dropGroup, editGroup } from '@dialoga/core/fields';
import { entriesInOrder, inOrder, type Station } from '@dialoga/core/model';
import type { GridColumn, GridRow } from '../grid/types';
import { newRow } from '../grid/new-row';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';
import { SmallGrid } from '../grid/small-grid';
import { useTableOf } from '../grid/use-table';
import { useEdits } from '../store/use-edits';
import { SectionHead } from '../theme/parts';
import { Foot } from './foot';

const COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Group', names: true, track: 'minmax(140px, 1fr)' },
  { id: 'station', title: 'Stands for', names: true, track: 'minmax(160px, 2fr)' },
];

/** The groups of a tag server: the first part of an item text, each standing for one station. */
export function GroupsGrid({ station }: { station: Station }) {
  const project = useStateOf((s) => s.project.project)!;
  const tableOf = useTableOf();
  const commit = useEdits();
  const groups = entriesInOrder(station.groups ?? {});
  if (groups.length === 0 && !station.roles.includes('tag server')) return null;
  const stations = inOrder(project, 'station').filter((s) => s.id !== station.id);
  const rows: GridRow[] = groups.map(([key, group]) => ({
    id: key,
    height: 24,
    cells: [
      { text: group.name, editable: true },
      {
        ...{ text: group.station ? (project.get('station', group.station)?.name ?? '') : '', editable: true },
        options: stations.map((s) => s.name),
      },
    ],
  }));
  const table = tableOf({
    ...{ label: `Groups of ${station.name}`, columns: COLUMNS },
    rows: [...rows, newRow(COLUMNS.length, 0, 'new group')],
    begin(now, _, column, text) {
      const [server, id] = [now.get('station', station.id), newId()];
      return column === 0 && server ? { row: id, edits: [editGroup(now, server, id, 'name', text)] } : null;
    },
    edit(now, row, column, text) {
      const server = now.get('station', station.id);
      return server ? [editGroup(now, server, row, column === 0 ? 'name' : 'station', text)] : [];
    },
  });
  return (
    <Foot aria-label="Groups">
      <SectionHead>
        <h2>Groups</h2>
        <p>the first part of an item text; each stands for one station</p>
      </SectionHead>
      <SmallGrid
        label="Groups of item texts"
        {...table}
        onDrop={(row) => commit(`Groups of ${station.name}`, [dropGroup(station, row)])}
      />
    </Foot>
  );
}
