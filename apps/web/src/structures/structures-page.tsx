import { dropMember, editMember, editStructure } from '@dialoga/core/fields';
import {
  ASSUMED_LAYOUT,
  childrenOf,
  entriesInOrder,
  inOrder,
  type Alignment,
  type Structure,
} from '@dialoga/core/model';
import { formatBits } from '@dialoga/core/place';
import { layOut, typeText, type LaidStructure } from '@dialoga/core/structure';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { useWrongCells } from '../findings/use-wrong-cells';
import { Grid } from '../grid/grid';
import { newRow } from '../grid/new-row';
import type { GridColumn, GridRow } from '../grid/types';
import { useTable } from '../grid/use-table';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { useAppDispatch, useStateOf } from '../store/store';
import { useEdits } from '../store/use-edits';
import { PageTitle } from '../theme/parts';

const ALIGNMENTS: readonly Alignment[] = ['1', '2', '4', 'natural'];
const SHOWN: Shown = { kind: 'structure', list: 'members', fields: ['name', 'type', null, null, null, null] };
const COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Structure, member', names: true, track: 'minmax(200px, 1.4fr)' },
  { id: 'type', title: 'Type', track: 'minmax(140px, 1fr)' },
  { id: '1', title: 'Packed', track: '110px', right: true },
  { id: '2', title: 'At even bytes', track: '110px', right: true },
  { id: '4', title: 'At four bytes', track: '110px', right: true },
  { id: 'natural', title: 'Natural', track: '110px', right: true },
];

/** Structured data types, and where each alignment puts their members. */
export function StructuresPage() {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const dispatch = useAppDispatch();
  const wrong = useWrongCells('structure');
  const link = useGridLink(SHOWN);
  const structures = inOrder(project, 'structure');
  const frame = (alignment: Alignment) => ({
    ...{ unit: 8, wordBits: 16, highFirst: true },
    layout: { ...ASSUMED_LAYOUT, alignment },
  });
  const rowsFor = (structure: Structure): GridRow[] => {
    const laid = ALIGNMENTS.map((alignment) => layOut(project, structure, frame(alignment)));
    const figures = (of: (layout: LaidStructure) => string) =>
      laid.map((layout) => ({ text: layout ? of(layout) : 'not known yet', right: true, muted: true, mono: true }));
    const uses = childrenOf(project, 'claim', structure.id).length + childrenOf(project, 'tag', structure.id).length;
    const head: GridRow = {
      id: structure.id,
      height: 28,
      tone: 'main',
      cells: [
        { text: structure.name, editable: true },
        { text: uses === 1 ? 'used once' : `used ${uses} times`, muted: true },
        ...figures(({ size }) => formatBits(size, 8)),
      ],
    };
    const members = entriesInOrder(structure.members).map(([key, member]): GridRow => {
      const { type } = member;
      const first = (layout: LaidStructure) =>
        layout.members.find(
          (m) => m.path === member.name || m.path.startsWith(`${member.name}.`) || m.path.startsWith(`${member.name}[`),
        );
      return {
        id: `${structure.id} ${key}`,
        height: 22,
        tone: 'sub',
        cells: [
          { text: member.name, editable: true },
          {
            text: !type ? '' : 'typed' in type ? type.typed : typeText(project, type),
            editable: true,
            mono: true,
            unread: type !== null && 'typed' in type,
            differs: wrong(structure.id, 'members', key, 'type'),
          },
          ...figures((layout) => {
            const at = first(layout);
            return at
              ? `byte ${Math.floor(at.offset.bits / 8)}${at.offset.bit === undefined ? '' : `, bit ${at.offset.bit}`}`
              : '';
          }),
        ],
      };
    });
    return [head, ...members, { ...newRow(COLUMNS.length, 0, 'new member'), id: `new ${structure.id}`, height: 22 }];
  };

  const table = useTable({
    ...{ label: 'Edit structures', columns: COLUMNS },
    rows: [...structures.flatMap(rowsFor), newRow(COLUMNS.length, 0, 'new structure')],
    begin(now, row, column, text) {
      const key = newId();
      if (column !== 0) return null;
      if (row === 'new') return { row: key, edits: [editStructure(now, key, text)] };
      const structure = now.get('structure', row.slice('new '.length));
      return structure
        ? { row: `${structure.id} ${key}`, edits: [editMember(now, structure, key, 'name', text)] }
        : null;
    },
    edit(now, row, column, text) {
      const [id = '', key] = row.split(' ');
      const structure = now.get('structure', id);
      if (!structure) return [];
      if (key === undefined) return [editStructure(now, id, text)];
      return [editMember(now, structure, key, column === 1 ? 'type' : 'name', text)];
    },
  });
  return (
    <>
      <PageTitle>
        <h1>Structures</h1>
        <p>members in order, and where each alignment puts them; type a structure’s name as the type of a lane</p>
      </PageTitle>
      <Grid
        label="Structures"
        main
        {...table}
        goTo={link.goTo}
        onCursor={link.onCursor}
        onKey={(event, at) => {
          if (event.key !== 'Delete' || !event.ctrlKey || at.row.startsWith('new')) return false;
          const [id = '', key] = at.row.split(' ');
          const structure = project.get('structure', id);
          if (!structure) return false;
          if (key !== undefined) commit('Delete member', [dropMember(structure, key)]);
          else dispatch(drop(`Delete structure ${structure.name}`, 'structure', id));
          return true;
        }}
      />
    </>
  );
}
