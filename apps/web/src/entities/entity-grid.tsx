import type { Cell } from '@dialoga/core/finding';
import type { Rows } from '@dialoga/core/fields';
import type { Project } from '@dialoga/core/model';
import type { FieldEdit } from '@dialoga/core/text';
import type { KeyboardEvent } from 'react';
import { useGridLink } from '../findings/use-grid-link';
import { Grid } from '../grid/grid';
import { newRow } from '../grid/new-row';
import { SmallGrid } from '../grid/small-grid';
import type { CellAt, CellEdit, GridColumn, GridRow } from '../grid/types';
import { useTableOf } from '../grid/use-table';
import { dropRow } from '../store/dropping';
import { useAppDispatch, useStateOf } from '../store/store';
import { columnsOf, pathsOf, rowOf, type Shown } from './entity-rows';
import { useShown } from './use-shown';

/** How a new row begins. */
export interface Adding<Row, Id extends string> {
  /** what it says in the empty row: `new port` */
  hint: string;
  /** the field that begins it */
  by: Id;
  options?: readonly string[];
  /** the changes that make it from a typed text, and how it is found then */
  begin: (
    project: Project,
    text: string,
  ) => { edits: readonly FieldEdit[]; label?: string; made?: (project: Project) => Row | undefined };
  /** what a pasted line begins, where its cells need not be in the order of the columns */
  line?: GridRow['line'];
}

export interface EntityGridProps<Row, Id extends string> {
  label: string;
  of: Rows<Row, Id>;
  rows: readonly Row[];
  /** which fields, in this order; all where nothing is said */
  columns?: readonly NoInfer<Id>[];
  /** of the undo step; `Edit port` where nothing is said */
  step?: string;
  add?: Adding<Row, NoInfer<Id>>;
  look?: Shown<Row, NoInfer<Id>>['look'];
  edit?: Shown<Row, NoInfer<Id>>['edit'];
  height?: number;
  /** rows that stand for something else, before the new one */
  others?: readonly GridRow[];
  /** takes a row out, where that is not simply deleting it; null: it cannot be */
  onDrop?: ((row: Row) => void) | null;
  /** the main thing of its page */
  main?: boolean;
  /** other tables of the page show the other fields of the same rows */
  strict?: boolean;
  /** cells that another table of the page shows, though they stand here, too: a link to one leads there */
  leaves?: (cell: Cell) => boolean;
  onKey?: (event: KeyboardEvent, row: Row | null) => boolean;
  fillText?: (row: Row, id: NoInfer<Id>, n: number) => string | null;
  /** columns as they are to be in this table */
  titled?: (columns: GridColumn[]) => GridColumn[];
  /** typed cells, before they are taken; true: they are dealt with */
  onEdit?: (edits: CellEdit[], rows: readonly GridRow[]) => boolean;
}

/** Any list of rows of one sort as a table: what a table can do, every one can. */
export function EntityGrid<Row, Id extends string>(props: EntityGridProps<Row, Id>) {
  const {
    label,
    of,
    add,
    height,
    others = [],
    main = false,
    strict = false,
    leaves,
    onKey,
    fillText,
    titled,
    onEdit,
  } = props;
  const project = useStateOf((s) => s.project.project)!;
  const tableOf = useTableOf();
  const linkOf = useGridLink();
  const dispatch = useAppDispatch();
  const columns = props.columns ?? (Object.keys(of.fields) as Id[]);
  const paths = pathsOf(of, columns);
  const shown = useShown(of, columns, { look: props.look, edit: props.edit, height });
  const drawn = props.rows.map((row) => rowOf(row, shown, paths));
  const rowAt = (at: CellAt): Row | null => drawn.find(({ id }) => id === at.row)?.row ?? null;
  const fresh = add ? [freshRow(add, shown)] : [];
  const rows = [...drawn, ...others, ...fresh];
  const all = columnsOf(of, columns);
  const table = tableOf({ label: props.step ?? `Edit ${of.one}`, columns: titled?.(all) ?? all, rows });
  const link = linkOf(rows, strict, leaves);

  function dropOne(row: Row) {
    if (props.onDrop !== undefined) return props.onDrop?.(row);
    const ref = of.refOf(row);
    const entity = project.get(ref.kind, ref.id);
    if (!entity) return;
    const name = 'name' in entity && ref.path.length === 0 ? entity.name : '';
    dispatch(dropRow(`Delete ${name || of.one}`, ref));
  }

  const Table = main ? Grid : SmallGrid;
  return (
    <Table
      label={label}
      {...table}
      {...(main ? { main, ...link } : { link })}
      {...(onEdit ? { onEdit: (edits: CellEdit[]) => onEdit(edits, rows) || table.onEdit(edits) } : {})}
      {...(fillText
        ? {
            fillText: (from: CellAt, n: number) => {
              const [row, id] = [rowAt(from), columns[from.column]];
              return row && id ? fillText(row, id, n) : null;
            },
          }
        : {})}
      onKey={(event, at) => {
        const row = rowAt(at);
        if (onKey?.(event, row)) return true;
        if (event.key !== 'Delete' || !event.ctrlKey || row === null || props.onDrop === null) return false;
        dropOne(row);
        return true;
      }}
    />
  );
}

/** The row at the foot, and how the rest of a pasted line goes into what it has made. */
function freshRow<Row, Id extends string>(add: Adding<Row, Id>, shown: Shown<Row, Id>): GridRow {
  const { columns, height } = shown;
  return newRow(columns.length, columns.indexOf(add.by), add.hint, {
    ...(add.options ? { options: add.options } : {}),
    ...(height ? { height } : {}),
    ...(add.line ? { line: add.line } : {}),
    begin: (now, _, text) => {
      const { edits, label, made } = add.begin(now, text);
      return {
        edits,
        ...(label ? { label } : {}),
        then: (after, column, other) => {
          const row = made?.(after);
          return row === undefined ? [] : rowOf(row, shown).edit(after, column, other);
        },
      };
    },
  });
}
