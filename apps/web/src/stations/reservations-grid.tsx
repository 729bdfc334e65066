import { set } from '@dialoga/core/change';
import { editReservation, mayStartText, type ReservationColumn } from '@dialoga/core/fields';
import { childrenOf, entriesInOrder } from '@dialoga/core/model';
import { formatBits, memoryOf, spanAddresses } from '@dialoga/core/place';
import { refused } from '@dialoga/core/text';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { newRow } from '../grid/new-row';
import type { GridColumn, GridRow } from '../grid/types';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';
import { SmallGrid } from '../grid/small-grid';
import { useTable } from '../grid/use-table';
import { useEdits } from '../store/use-edits';

const FIELDS: readonly (ReservationColumn | null)[] = [null, 'from', 'length', 'owner', 'reason', 'puts', 'mayStart'];
const SHOWN: Shown = { kind: 'area', list: 'reservations', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'area', title: 'Area', track: 'minmax(90px, 1fr)' },
  { id: 'from', title: 'From', track: '80px' },
  { id: 'length', title: 'Length', track: '80px', right: true },
  { id: 'owner', title: 'Taken by', track: 'minmax(110px, 1fr)' },
  { id: 'reason', title: 'Reason', track: 'minmax(120px, 1.4fr)' },
  { id: 'puts', title: 'It writes there', track: '104px' },
  { id: 'mayStart', title: 'May start at', track: 'minmax(120px, 0.8fr)' },
];

/** Parts of areas that something else takes. */
export function ReservationsGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const areas = childrenOf(project, 'area', station);
  const rows: GridRow[] = areas.flatMap((area) => {
    const memory = memoryOf(project, area.id);
    return entriesInOrder(area.reservations).map(([id, r]) => ({
      id: `${area.id} ${id}`,
      height: 26,
      cells: [
        { text: area.name, muted: true },
        {
          text: memory ? spanAddresses(memory, { start: r.start, end: r.start + r.length }).first : '',
          editable: true,
          mono: true,
        },
        { text: formatBits(r.length, area.wordBits), editable: true, right: true, mono: true },
        { text: r.owner, editable: true },
        { text: r.reason ?? '', editable: true },
        { text: r.puts ? 'yes' : 'no', editable: true, options: ['yes', 'no'], muted: !r.puts },
        {
          text: mayStartText(project, area, r),
          show: mayStartText(project, area, r) || 'anywhere',
          editable: true,
          mono: true,
        },
      ],
    }));
  });
  if (areas.length > 0) {
    const fresh = newRow(COLUMNS.length, 0, 'new: area');
    rows.push({ ...fresh, cells: fresh.cells.map((c) => c && { ...c, options: areas.map((a) => a.name) }) });
  }
  const link = useGridLink(SHOWN);

  const table = useTable({
    ...{ label: 'Edit reserved range', columns: COLUMNS, rows },
    begin(now, _, column, text) {
      if (column !== 0) return null;
      const areas = childrenOf(now, 'area', station);
      const area = areas.find((a) => a.name.toLowerCase() === text.toLowerCase());
      const expected = `areas of this station: ${areas.map((a) => a.name).join(', ')}`;
      const id = newId();
      const edit = area
        ? editReservation(now, area, id, 'owner', '')
        : refused({ found: `“${text}” is no area`, expected });
      return { row: `${area?.id ?? ''} ${id}`, edits: [edit] };
    },
    edit(now, row, column, text) {
      const [areaId = '', id = ''] = row.split(' ');
      const area = now.get('area', areaId);
      const field = FIELDS[column];
      return area && field ? [editReservation(now, area, id, field, text)] : [];
    },
  });
  return (
    <SmallGrid
      label="Reserved ranges"
      {...table}
      link={link}
      onDrop={(row) => {
        const [areaId = '', id = ''] = row.split(' ');
        const area = project.get('area', areaId);
        if (area?.reservations[id]) {
          commit('Delete reserved range', [
            { changes: [set('area', area, ['reservations', id], undefined)], problem: null },
          ]);
        }
      }}
    />
  );
}
