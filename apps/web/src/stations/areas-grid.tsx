import { put } from '@dialoga/core/change';
import { newAreaOf } from '@dialoga/core/create';
import { editArea, type AreaColumn } from '@dialoga/core/fields';
import { AREA_KINDS, childrenOf, orderAfter, OWN_WRITERS, WORD_BITS, type Area } from '@dialoga/core/model';
import { formatSpan, memoryOf } from '@dialoga/core/place';
import { useWrongCells } from '../findings/use-wrong-cells';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { newRow } from '../grid/new-row';
import type { GridColumn } from '../grid/types';
import { useTable } from '../grid/use-table';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { useAppDispatch, useStateOf } from '../store/store';
import { SmallGrid } from '../grid/small-grid';

const FIELDS: readonly (AreaColumn | null)[] = ['name', 'kind', 'wordBits', 'words', 'writers', null, 'lastWord'];
const SHOWN: Shown = { kind: 'area', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Area', fills: 'series', track: 'minmax(140px, 1fr)' },
  { id: 'kind', title: 'Kind', track: '150px' },
  { id: 'wordBits', title: 'Bits per word', track: '90px', right: true },
  { id: 'words', title: 'Words', track: '90px', right: true },
  { id: 'writers', title: 'Written also by', track: 'minmax(160px, 1fr)' },
  { id: 'range', title: 'Addresses', track: 'minmax(160px, 1fr)' },
  { id: 'lastWord', title: 'Priority on conflict', track: 'minmax(130px, 0.8fr)' },
];

/** The addressable memory of a station. */
export function AreasGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const wrong = useWrongCells('area');
  const dispatch = useAppDispatch();
  const areas = childrenOf(project, 'area', station);
  const rowFor = (area: Area) => {
    const memory = memoryOf(project, area.id);
    const range =
      memory && memory.views.length > 0
        ? formatSpan(memory, { start: 0, end: memory.bits })
        : 'no notation yet; add a view below';
    return {
      id: area.id,
      height: 26,
      cells: [
        { text: area.name, editable: true, differs: wrong(area.id, 'name') },
        { text: area.kind, editable: true, options: AREA_KINDS },
        { text: String(area.wordBits), editable: true, right: true, options: WORD_BITS.map(String) },
        { text: String(area.words), editable: true, right: true },
        {
          text: area.writers.join(', '),
          show: area.writers.join(', ') || 'exchanges only',
          editable: true,
          options: OWN_WRITERS,
        },
        { text: range, mono: memory !== null && memory.views.length > 0, muted: true },
        { text: area.lastWord ?? '', editable: true, differs: wrong(area.id, 'lastWord') },
      ],
    };
  };
  const link = useGridLink(SHOWN);

  const table = useTable({
    ...{ label: 'Edit areas', columns: COLUMNS },
    rows: [...areas.map(rowFor), newRow(COLUMNS.length, 0, 'new area')],
    begin(now, _, column, text) {
      if (column !== 0) return null;
      const area = newAreaOf(now, station, newId(), orderAfter(childrenOf(now, 'area', station)), text, newId());
      return { row: area.id, label: `New area ${text}`, edits: [{ changes: [put('area', area)], problem: null }] };
    },
    edit(now, row, column, text) {
      const area = now.get('area', row);
      const field = FIELDS[column];
      return area && field ? [editArea(area, field, text)] : [];
    },
  });
  return (
    <SmallGrid
      label="Areas"
      {...table}
      link={link}
      onDrop={(id) => dispatch(drop(`Delete ${project.get('area', id)?.name ?? 'area'}`, 'area', id))}
    />
  );
}
