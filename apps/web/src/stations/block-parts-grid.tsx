import { dropBlockMember, editBlockMember, memberText, type MemberColumn } from '@dialoga/core/fields';
import { ACCESSES, CALLING, entriesInOrder, MEMBER_USES, SIGNALS, type Project } from '@dialoga/core/model';
import { memoryOf, spanAddresses } from '@dialoga/core/place';
import type { MemberBlock } from '@dialoga/core/profiles';
import type { GridColumn, GridRow } from '../grid/types';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';
import { SmallGrid } from '../grid/small-grid';
import { useTableOf } from '../grid/use-table';
import { useEdits } from '../store/use-edits';

const FIELDS: readonly (MemberColumn | null)[] = [
  ...[null, 'name' as const, null, 'offset' as const, 'bits' as const, 'use' as const, 'role' as const],
  ...(['signal', 'access', 'atStart', 'meaning'] as const),
];
const COLUMNS: readonly GridColumn[] = [
  { id: 'range', title: 'Block of', names: true, track: 'minmax(110px, 1.2fr)' },
  { id: 'name', title: 'Part', track: 'minmax(100px, 0.8fr)' },
  { id: 'address', title: 'Address', track: '90px' },
  { id: 'offset', title: 'From its start', track: '104px', right: true },
  { id: 'bits', title: 'Size', track: '80px', right: true },
  { id: 'use', title: 'For', track: '90px' },
  { id: 'role', title: 'Where it', track: '78px' },
  { id: 'signal', title: 'Set as', track: '72px' },
  { id: 'access', title: 'Program may', track: '108px' },
  { id: 'atStart', title: 'At start', track: '64px' },
  { id: 'meaning', title: 'Meaning', track: 'minmax(120px, 1.2fr)' },
];

/** What stands where in blocks of a memory: bits that a program sets or sees, settings, states. */
export function BlockPartsGrid({ blocksOf, label }: { blocksOf: (project: Project) => MemberBlock[]; label: string }) {
  const blocks = blocksOf(useStateOf((s) => s.project.project)!);
  const tableOf = useTableOf();
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const idOf = ({ holder, path }: MemberBlock) => `${holder.entity.id} ${path[1]}`;
  const rows = blocks.flatMap((block): GridRow[] => {
    const memory = block.holder.kind === 'area' ? memoryOf(project, block.holder.entity.id) : null;
    const parts = entriesInOrder(block.members ?? {}).map(([key, part], i): GridRow => {
      const start = (block.start ?? 0) + part.offset;
      const cell = (text: string, more = {}) => ({ text, editable: true, ...more });
      return {
        id: `${idOf(block)} ${key}`,
        height: 22,
        cells: [
          { text: i === 0 ? block.owner : '', muted: true },
          cell(part.name),
          {
            text: memory ? spanAddresses(memory, { start, end: start + part.bits }).first : '',
            mono: true,
            muted: true,
          },
          cell(memberText(block, part, 'offset'), { mono: true, right: true }),
          cell(memberText(block, part, 'bits'), { mono: true, right: true }),
          cell(part.use, { options: MEMBER_USES }),
          cell(part.role ?? '', { show: part.role ?? 'either', options: CALLING, muted: !part.role }),
          cell(part.signal ?? '', { options: SIGNALS }),
          cell(part.access, { options: ACCESSES }),
          cell(part.atStart ? 'yes' : 'no', { options: ['yes', 'no'], muted: !part.atStart }),
          cell(part.meaning ?? ''),
        ],
      };
    });
    const fresh: GridRow = {
      id: `new ${idOf(block)}`,
      height: 22,
      tone: 'new',
      cells: COLUMNS.map((column) =>
        column.id === 'name'
          ? { text: '', show: 'new part', editable: true, muted: true }
          : column.id === 'range' && parts.length === 0
            ? { text: block.owner, muted: true }
            : null,
      ),
    };
    return [...parts, fresh];
  });
  if (rows.length === 0) return null;
  /** What a type takes has no address before a station reserves it. */
  const placed = blocks.some((block) => block.start !== null);
  const shown = COLUMNS.flatMap((column, i) => (placed || column.id !== 'address' ? [i] : []));

  const named = (row: string, among: readonly MemberBlock[]): [MemberBlock | undefined, string | undefined] => {
    const [holder, block, key] = row.replace(/^new /, '').split(' ');
    return [among.find((b) => idOf(b) === `${holder} ${block}`), key];
  };
  const table = tableOf({
    label: 'Edit a part of a block',
    columns: shown.map((i) => COLUMNS[i]!),
    rows: rows.map((row) => ({ ...row, cells: shown.map((i) => row.cells[i]!) })),
    begin(now, row, column, text) {
      const [block, field, key] = [named(row, blocksOf(now))[0], FIELDS[shown[column]!], newId()];
      return block && field
        ? { row: `${idOf(block)} ${key}`, edits: [editBlockMember(block, key, field, text)] }
        : null;
    },
    edit(now, row, column, text) {
      const [block, key] = named(row, blocksOf(now));
      const field = FIELDS[shown[column]!];
      return block && field && key !== undefined ? [editBlockMember(block, key, field, text)] : [];
    },
  });
  return (
    <SmallGrid
      label={label}
      {...table}
      onDrop={(row) => {
        const [block, key] = named(row, blocks);
        if (block && key) commit('Delete a part of a block', [dropBlockMember(block, key)]);
      }}
    />
  );
}
