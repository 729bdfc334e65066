import { copyUnit, editCopy, type CopyColumn } from '@dialoga/core/fields';
import { childrenOf, inOrder, type MemoryCopy } from '@dialoga/core/model';
import { formatBits, lengthBits, placeText } from '@dialoga/core/place';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { useWrongCells } from '../findings/use-wrong-cells';
import { newRow } from '../grid/new-row';
import type { GridCell, GridColumn } from '../grid/types';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { useAppDispatch, useStateOf } from '../store/store';
import { SmallGrid } from '../grid/small-grid';
import { useTable } from '../grid/use-table';

const FIELDS: readonly CopyColumn[] = ['name', 'from', 'to', 'length', 'reader', 'comment'];
const SHOWN: Shown = { kind: 'copy', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Copy', fills: 'series', track: 'minmax(140px, 1fr)' },
  { id: 'from', title: 'From', track: '120px' },
  { id: 'to', title: 'To', track: '120px' },
  { id: 'length', title: 'Length', track: '90px', right: true },
  { id: 'reader', title: 'Meant to be read by', track: 'minmax(140px, 0.8fr)' },
  { id: 'comment', title: 'Comment', track: 'minmax(140px, 1.2fr)' },
];

/** What a station moves inside itself: readings to the block that is asked for, a status to where it is looked for. */
export function CopiesGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const wrong = useWrongCells('copy');
  const dispatch = useAppDispatch();
  const link = useGridLink(SHOWN);
  const copies = childrenOf(project, 'copy', station).filter((c) => c.station === station);
  const stations = inOrder(project, 'station').map((s) => s.name);
  const rowFor = (copy: MemoryCopy) => {
    const cell = (field: CopyColumn, text: string, more: Partial<GridCell> = {}): GridCell => ({
      ...{ text, editable: true, differs: wrong(copy.id, field) },
      ...more,
    });
    const place = (field: 'from' | 'to') => {
      const value = copy[field];
      if (value && 'typed' in value) return cell(field, value.typed, { unread: true, mono: true });
      return cell(field, value ? placeText(project, value) : '', { mono: true });
    };
    const { length } = copy;
    const lengthText = !length
      ? ''
      : 'typed' in length
        ? length.typed
        : formatBits(lengthBits(length), copyUnit(project, copy));
    return {
      id: copy.id,
      height: 26,
      cells: [
        cell('name', copy.name),
        place('from'),
        place('to'),
        cell('length', lengthText, { mono: true, right: true, unread: length !== null && 'typed' in length }),
        cell('reader', project.get('station', copy.reader ?? '')?.name ?? '', { options: stations }),
        cell('comment', copy.comment ?? ''),
      ],
    };
  };

  const table = useTable({
    ...{ label: 'Edit copy', columns: COLUMNS },
    rows: [...copies.map(rowFor), newRow(COLUMNS.length, 0, 'new copy')],
    begin(now, _, column, text) {
      const id = newId();
      return column === 0 ? { row: id, edits: [editCopy(now, station, id, 'name', text)] } : null;
    },
    edit: (now, row, column, text) => [editCopy(now, station, row, FIELDS[column]!, text)],
  });
  return <SmallGrid label="Copies" {...table} link={link} onDrop={(id) => dispatch(drop('Delete copy', 'copy', id))} />;
}
