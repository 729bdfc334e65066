import { set } from '@dialoga/core/change';
import { newView } from '@dialoga/core/create';
import { editView, formatWritten, writesTable, type ViewColumn } from '@dialoga/core/fields';
import {
  ACCESSES,
  BYTE_ORDERS,
  childrenOf,
  NOTATIONS,
  NUMBERINGS,
  orderAfter,
  TABLES,
  UNITS,
} from '@dialoga/core/model';
import { memoryOf, NOTATION } from '@dialoga/core/place';
import { refused } from '@dialoga/core/text';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { newRow } from '../grid/new-row';
import type { GridColumn, GridRow } from '../grid/types';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';
import { SmallGrid } from '../grid/small-grid';
import { useTable } from '../grid/use-table';
import { useEdits } from '../store/use-edits';

const FIELDS: readonly (ViewColumn | null)[] = [
  null,
  'name',
  'notation',
  'prefix',
  'unit',
  'first',
  'written',
  'byteOrder',
  'bitNumbering',
  'access',
];
const SHOWN: Shown = { kind: 'area', list: 'views', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'area', title: 'Area', track: 'minmax(110px, 1fr)' },
  { id: 'name', title: 'View', track: 'minmax(90px, 1fr)' },
  { id: 'notation', title: 'Notation', track: '140px' },
  { id: 'prefix', title: 'Prefix or table', track: '126px' },
  { id: 'unit', title: 'Bits a number', track: '92px', right: true },
  { id: 'first', title: 'First', track: '52px', right: true },
  { id: 'written', title: 'Written', track: '92px' },
  { id: 'byteOrder', title: 'Bytes in a word', track: '112px' },
  { id: 'bitNumbering', title: 'Bits numbered', track: '116px' },
  { id: 'access', title: 'Access', track: '92px' },
  { id: 'example', title: 'For example', track: '96px' },
  { id: 'from', title: 'From', track: '78px' },
];

/** Every view of every area: those of the profile to read, those of the area to edit. */
export function ViewsGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const link = useGridLink(SHOWN);
  const areas = childrenOf(project, 'area', station);
  const rows: GridRow[] = areas.flatMap((area) =>
    (memoryOf(project, area.id)?.views ?? []).map(([id, view]) => {
      const own = area.views[id] !== undefined;
      const cell = (text: string, more = {}) => ({ text, editable: own, ...more });
      return {
        id: `${area.id} ${id}`,
        height: 26,
        cells: [
          { text: area.name, muted: true },
          cell(view.name),
          cell(view.notation, { options: NOTATIONS }),
          writesTable(view.notation)
            ? cell(view.table ?? 'holding registers', { options: TABLES })
            : cell(view.prefix ?? '', { mono: true }),
          cell(String(view.unit), { right: true, options: UNITS.map(String) }),
          cell(String(view.first), { right: true }),
          cell(formatWritten(view)),
          cell(view.byteOrder ?? '', { options: BYTE_ORDERS, show: view.byteOrder ?? 'by layout rule' }),
          cell(view.bitNumbering ?? '', { options: NUMBERINGS, show: view.bitNumbering ?? 'from the bottom' }),
          cell(view.access ?? '', { options: ACCESSES, show: view.access ?? 'read and set' }),
          { text: NOTATION[view.notation].example(view), mono: true },
          { text: own ? 'this area' : 'the profile', muted: true },
        ],
      };
    }),
  );
  if (areas.length > 0) {
    const fresh = newRow(COLUMNS.length, 0, 'new view: area');
    rows.push({ ...fresh, cells: fresh.cells.map((c) => c && { ...c, options: areas.map((a) => a.name) }) });
  }

  const table = useTable({
    ...{ label: 'Edit view', columns: COLUMNS, rows },
    begin(now, _, column, text) {
      if (column !== 0) return null;
      const areas = childrenOf(now, 'area', station);
      const area = areas.find((a) => a.name.toLowerCase() === text.toLowerCase());
      const expected = `areas of this station: ${areas.map((a) => a.name).join(', ')}`;
      if (!area) return { row: '', edits: [refused({ found: `“${text}” is no area`, expected })] };
      const view = newView(orderAfter(Object.values(area.views)), 'iec elements');
      const id = newId();
      const changes = [set('area', area, ['views', id], view)];
      return { row: `${area.id} ${id}`, edits: [{ changes, problem: null }] };
    },
    edit(now, row, column, text) {
      const [areaId = '', viewId = ''] = row.split(' ');
      const area = now.get('area', areaId);
      const field = FIELDS[column];
      return area && field ? [editView(area, viewId, field, text)] : [];
    },
  });
  return (
    <SmallGrid
      label="Views"
      {...table}
      link={link}
      onDrop={(row) => {
        const [areaId = '', viewId = ''] = row.split(' ');
        const area = project.get('area', areaId);
        if (area?.views[viewId])
          commit('Delete view', [{ changes: [set('area', area, ['views', viewId], undefined)], problem: null }]);
      }}
    />
  );
}
