import { addBlockPart, BLOCK_PART, editField, partRef, partsOf } from '@dialoga/core/fields';
import type { Project } from '@dialoga/core/model';
import type { MemberBlock } from '@dialoga/core/profiles';
import { newId } from '../api/new-id';
import { columnsOf, pathsOf, rowOf } from '../entities/entity-rows';
import { typingNow, useShown } from '../entities/use-shown';
import { newRow } from '../grid/new-row';
import { SmallGrid } from '../grid/small-grid';
import type { GridRow } from '../grid/types';
import { useTableOf } from '../grid/use-table';
import { dropRow } from '../store/dropping';
import { useAppDispatch, useStateOf } from '../store/store';

type PartField = keyof typeof BLOCK_PART.fields;
const ALL = Object.keys(BLOCK_PART.fields) as PartField[];

/** What stands where in blocks of a memory: bits that a program sets or sees, settings, states. */
export function BlockPartsGrid({ blocksOf, label }: { blocksOf: (project: Project) => MemberBlock[]; label: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const tableOf = useTableOf();
  const dispatch = useAppDispatch();
  const blocks = blocksOf(project);
  /** What a type takes has no address before a station reserves it. */
  const placed = blocks.some((block) => block.start !== null);
  const columns = ALL.filter((field) => placed || field !== 'address');
  const shown = useShown(BLOCK_PART, columns, { height: 22 });
  const paths = pathsOf(BLOCK_PART, columns);
  const rows = blocks.flatMap((block) => [
    ...partsOf(block).map((part) => rowOf(part, shown, paths)),
    freshPart(block, columns),
  ]);
  if (rows.length === 0) return null;
  const table = tableOf({ label: 'Edit a part of a block', columns: columnsOf(BLOCK_PART, columns), rows });
  return (
    <SmallGrid
      label={label}
      {...table}
      onDrop={(id) => {
        const part = blocks.flatMap(partsOf).find((one) => rowOf(one, shown).id === id);
        if (part) dispatch(dropRow('Delete a part of a block', BLOCK_PART.refOf(part)));
      }}
    />
  );
}

/** The empty row of a block; of one that has no part yet it says which block it is. */
function freshPart(block: MemberBlock, columns: readonly PartField[]): GridRow {
  const { path } = partRef(block, '');
  const fresh = newRow(columns.length, columns.indexOf('name'), 'new part', {
    height: 22,
    id: `new ${block.holder.entity.id} ${path.join(' ')}`,
    begin: (_, __, text) => {
      const key = newId();
      return {
        edits: [addBlockPart(block, key, text)],
        then: (after, column, other) => {
          const part = BLOCK_PART.find(after, partRef(block, key));
          const field = columns[column];
          return part && field ? [editField(BLOCK_PART, field, part, other, typingNow(after))] : [];
        },
      };
    },
  });
  if (Object.keys(block.members ?? {}).length > 0) return fresh;
  return { ...fresh, cells: fresh.cells.map((cell, i) => (i === 0 ? { text: block.owner, muted: true } : cell)) };
}
