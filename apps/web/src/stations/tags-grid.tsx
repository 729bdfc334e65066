import {
  ACCESSES,
  childrenOf,
  dropWithDependents,
  editTag,
  OPENNESS,
  placeText,
  typeText,
  type Tag,
  type TagColumn,
} from '@dialoga/core';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { useWrongCells } from '../findings/use-wrong-cells';
import { newRow } from '../grid/new-row';
import type { CellEdit, GridCell, GridColumn } from '../grid/types';
import { newId } from '../store/new-id';
import { useStateOf } from '../store/store';
import { SmallGrid } from './small-grid';
import { useEdits } from './use-edits';

const FIELDS: readonly TagColumn[] = ['name', 'type', 'place', 'access', 'open', 'program', 'unit', 'comment'];
const SHOWN: Shown = { kind: 'tag', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Tag', names: true, fills: 'series', track: 'minmax(160px, 1.4fr)' },
  { id: 'type', title: 'Type', track: '120px' },
  { id: 'place', title: 'Address', track: '100px' },
  { id: 'access', title: 'Access', track: '110px' },
  { id: 'open', title: 'To others', track: '96px' },
  { id: 'program', title: 'Local to', track: '110px' },
  { id: 'unit', title: 'Unit', track: '80px' },
  { id: 'comment', title: 'Comment', track: 'minmax(120px, 1fr)' },
];

/** The named variables of a station; one without an address is a memory of its own. */
export function TagsGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const wrong = useWrongCells('tag');
  const commit = useEdits();
  const link = useGridLink(SHOWN);
  const tags = childrenOf(project, 'tag', station);
  const rowFor = (tag: Tag) => {
    const cell = (field: TagColumn, text: string, more: Partial<GridCell> = {}): GridCell => ({
      ...{ text, editable: true, differs: wrong(tag.id, field) },
      ...more,
    });
    const { type, place } = tag;
    return {
      id: tag.id,
      height: 26,
      cells: [
        cell('name', tag.name),
        cell('type', !type ? '' : 'typed' in type ? type.typed : typeText(project, type), {
          unread: type !== null && 'typed' in type,
        }),
        cell('place', !place ? '' : 'typed' in place ? place.typed : placeText(project, place), {
          mono: true,
          unread: place !== null && 'typed' in place,
        }),
        cell('access', tag.access ?? '', { options: ACCESSES }),
        cell('open', tag.open ?? '', { options: OPENNESS }),
        cell('program', tag.program ?? ''),
        cell('unit', tag.unit ?? ''),
        cell('comment', tag.comment ?? ''),
      ],
    };
  };

  function onEdit(edits: CellEdit[]) {
    commit(
      'Edit tag',
      edits.flatMap(({ row, column, text }) => {
        if (row === 'new') return text.trim() === '' ? [] : [editTag(project, station, newId(), 'name', text)];
        return [editTag(project, station, row, FIELDS[column]!, text)];
      }),
    );
  }
  return (
    <SmallGrid
      label="Tags"
      columns={COLUMNS}
      rows={[...tags.map(rowFor), newRow(COLUMNS.length, 0, 'new tag')]}
      onEdit={onEdit}
      link={link}
      onDrop={(id) => commit('Delete tag', [{ changes: dropWithDependents(project, 'tag', id), problem: null }])}
    />
  );
}
