import { addMember, addStructure, editField, entriesOf, MEMBER, STRUCTURE } from '@dialoga/core/fields';
import { ASSUMED_LAYOUT, childrenOf, inOrder, type Alignment, type Structure } from '@dialoga/core/model';
import { formatBits } from '@dialoga/core/place';
import { layOut, type LaidStructure } from '@dialoga/core/structure';
import { set } from '@dialoga/core/change';
import { newId } from '../api/new-id';
import { rowOf } from '../entities/entity-rows';
import { typingNow, useShown } from '../entities/use-shown';
import { useGridLink } from '../findings/use-grid-link';
import { Grid } from '../grid/grid';
import { newRow } from '../grid/new-row';
import type { GridCell, GridColumn, GridRow } from '../grid/types';
import { useTable } from '../grid/use-table';
import { drop } from '../store/dropping';
import { useAppDispatch, useStateOf } from '../store/store';
import { useEdits } from '../store/use-edits';
import { PageTitle } from '../theme/parts';

const ALIGNMENTS: readonly Alignment[] = ['1', '2', '4', 'natural'];
const COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Structure, member', names: true, track: 'minmax(200px, 1.4fr)' },
  { id: 'type', title: 'Type', track: 'minmax(140px, 1fr)' },
  { id: '1', title: 'Packed', track: '110px', right: true },
  { id: '2', title: 'At even bytes', track: '110px', right: true },
  { id: '4', title: 'At four bytes', track: '110px', right: true },
  { id: 'natural', title: 'Natural', track: '110px', right: true },
];
type Member = Structure['members'][string];

/** Structured data types, and where each alignment puts their members. */
export function StructuresPage() {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const dispatch = useAppDispatch();
  const link = useGridLink();
  const names = useShown(STRUCTURE, ['name'], { height: 28 });
  const members = useShown(MEMBER, ['name', 'type'], { height: 22 });

  const rowsFor = (structure: Structure): GridRow[] => {
    const laid = ALIGNMENTS.map((alignment) => layOut(project, structure, frameOf(alignment)));
    const uses = childrenOf(project, 'claim', structure.id).length + childrenOf(project, 'tag', structure.id).length;
    const used: GridCell = { text: uses === 1 ? 'used once' : `used ${uses} times`, muted: true };
    const name = rowOf(structure, names, [['name']]);
    return [
      name.but({ tone: 'main', cells: [...name.cells, used, ...figures(laid, ({ size }) => formatBits(size, 8))] }),
      ...entriesOf<'structure', Member>(structure, ['members']).map((member): GridRow => {
        const row = rowOf(member, members, [['name'], ['type']]);
        return row.but({
          tone: 'sub',
          cells: [...row.cells, ...figures(laid, (of) => whereIn(of, member.entry.name))],
        });
      }),
      freshMember(structure.id),
    ];
  };
  const rows = [...inOrder(project, 'structure').flatMap(rowsFor), FRESH];
  const table = useTable({ label: 'Edit structures', columns: COLUMNS, rows });
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
        {...link(rows)}
        onKey={(event, at) => {
          const of = rows.find(({ id }) => id === at.row)?.of;
          const structure = of && project.get('structure', of.id);
          if (event.key !== 'Delete' || !event.ctrlKey || !structure) return false;
          if (of.path.length === 0) dispatch(drop(`Delete structure ${structure.name}`, 'structure', of.id));
          else commit('Delete member', [{ changes: [set('structure', structure, of.path, undefined)], problem: null }]);
          return true;
        }}
      />
    </>
  );
}

const frameOf = (alignment: Alignment) => ({
  unit: 8,
  wordBits: 16,
  highFirst: true,
  layout: { ...ASSUMED_LAYOUT, alignment },
});

const figures = (laid: readonly (LaidStructure | null)[], of: (layout: LaidStructure) => string): GridCell[] =>
  laid.map((layout) => ({ text: layout ? of(layout) : 'not known yet', right: true, muted: true, mono: true }));

/** Where a member begins: the first of its values, where it is a structure or an array itself. */
function whereIn(layout: LaidStructure, name: string): string {
  const at = layout.members.find(
    ({ path }) => path === name || path.startsWith(`${name}.`) || path.startsWith(`${name}[`),
  );
  if (!at) return '';
  const { bits, bit } = at.offset;
  return `byte ${Math.floor(bits / 8)}${bit === undefined ? '' : `, bit ${bit}`}`;
}

const FRESH: GridRow = newRow(COLUMNS.length, 0, 'new structure', {
  begin: (now, _, text) => ({ edits: [addStructure(now, newId(), text)] }),
});

const freshMember = (structure: string): GridRow =>
  newRow(COLUMNS.length, 0, 'new member', {
    id: `new ${structure}`,
    height: 22,
    begin: (now, _, text) => {
      const [known, key] = [now.get('structure', structure), newId()];
      const ref = { kind: 'structure' as const, id: structure, path: ['members', key] };
      return {
        edits: known ? [addMember(now, known, key, text)] : [],
        then: (after, column, other) => {
          const member = MEMBER.find(after, ref);
          return member && column === 1 ? [editField(MEMBER, 'type', member, other, typingNow(after))] : [];
        },
      };
    },
  });
