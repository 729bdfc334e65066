import { set } from '@dialoga/core/change';
import { addZone, editZone, type ZoneColumn } from '@dialoga/core/fields';
import { entriesInOrder, MODULE_KINDS, type Rack } from '@dialoga/core/model';
import { newRow } from '../grid/new-row';
import type { GridColumn, GridRow } from '../grid/types';
import { newId } from '../api/new-id';
import { SmallGrid } from '../grid/small-grid';
import { useTable } from '../grid/use-table';
import { useEdits } from '../store/use-edits';

const FIELDS: readonly ZoneColumn[] = ['name', 'slot', 'size', 'kinds', 'first', 'gaps'];
const COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Zone', names: true, track: 'minmax(110px, 1fr)' },
  { id: 'slot', title: 'From slot', track: '72px', right: true },
  { id: 'size', title: 'Slots', track: '56px', right: true },
  { id: 'kinds', title: 'Takes', track: 'minmax(260px, 3fr)' },
  { id: 'first', title: 'Counts from', track: '96px', right: true },
  { id: 'gaps', title: 'Gaps allowed', track: '104px' },
];

/** Neighbouring slots of a rack that take only some kinds of module, with a count and a gap rule of their own. */
export function ZonesGrid({ rack }: { rack: Rack }) {
  const commit = useEdits();
  const rows = entriesInOrder(rack.zones).map(([key, zone]): GridRow => ({
    id: key,
    height: 22,
    cells: [
      { text: zone.name, editable: true },
      { text: String(zone.slot), editable: true, right: true, mono: true },
      { text: String(zone.size), editable: true, right: true, mono: true },
      {
        text: zone.kinds.join(', '),
        editable: true,
        ...(zone.kinds.length === 0 ? { show: 'every kind', muted: true } : {}),
        options: MODULE_KINDS,
      },
      {
        text: zone.first === undefined ? '' : String(zone.first),
        editable: true,
        right: true,
        mono: true,
        ...(zone.first === undefined ? { show: 'as the rack', muted: true } : {}),
      },
      {
        text: zone.gaps === undefined ? '' : zone.gaps ? 'yes' : 'no',
        editable: true,
        options: ['yes', 'no'],
        ...(zone.gaps === undefined ? { show: 'as the rack', muted: true } : {}),
      },
    ],
  }));
  const table = useTable({
    ...{ label: 'Edit zones', columns: COLUMNS },
    rows: [...rows, newRow(COLUMNS.length, 0, 'new zone')],
    begin(now, _, column, text) {
      const [known, id] = [now.get('rack', rack.id), newId()];
      return column === 0 && known ? { row: id, label: 'New zone', edits: [addZone(known, id, text)] } : null;
    },
    edit(now, row, column, text) {
      const known = now.get('rack', rack.id);
      return known ? [editZone(known, row, FIELDS[column]!, text)] : [];
    },
  });
  return (
    <SmallGrid
      label={`Zones of ${rack.name || 'the rack'}`}
      {...table}
      onDrop={(key) =>
        commit('Delete zone', [{ changes: [set('rack', rack, ['zones', key], undefined)], problem: null }])
      }
    />
  );
}
