import { dropGroup, editGroup } from '@dialoga/core/fields';
import { entriesInOrder, inOrder, type Station } from '@dialoga/core/model';
import type { CellEdit, GridColumn, GridRow } from '../grid/types';
import { newRow } from '../grid/new-row';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';
import { SmallGrid } from '../grid/small-grid';
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
  const onEdit = (edits: CellEdit[]) =>
    commit(
      `Groups of ${station.name}`,
      edits.flatMap(({ row, column, text }) => {
        if (row === 'new') return text.trim() === '' ? [] : [editGroup(project, station, newId(), 'name', text)];
        return [editGroup(project, station, row, column === 0 ? 'name' : 'station', text)];
      }),
    );
  return (
    <Foot aria-label="Groups">
      <SectionHead>
        <h2>Groups</h2>
        <p>the first part of an item text; each stands for one station</p>
      </SectionHead>
      <SmallGrid
        label="Groups of item texts"
        columns={COLUMNS}
        rows={[...rows, newRow(COLUMNS.length, 0, 'new group')]}
        onEdit={onEdit}
        onDrop={(row) => commit(`Groups of ${station.name}`, [dropGroup(station, row)])}
      />
    </Foot>
  );
}
