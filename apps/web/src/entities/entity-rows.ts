import { editField, fieldText, pathOf, type Editing, type Field, type RowRef, type Rows } from '@dialoga/core/fields';
import { isTyped, type Project } from '@dialoga/core/model';
import type { FieldEdit } from '@dialoga/core/text';
import type { GridCell, GridColumn, GridRow } from '../grid/types';

/** What a table adds to the fields of its rows. */
export interface Shown<Row, Id extends string> {
  of: Rows<Row, Id>;
  columns: readonly Id[];
  project: Project;
  wrong: (id: string, ...path: string[]) => boolean;
  /** what the cell of a field has besides: an action, something drawn, a text that only the page knows */
  look?: ((row: Row, id: Id) => Partial<GridCell> | undefined) | undefined;
  /** what a typed text does, where that is more than the field's own edit */
  edit?: ((row: Row, id: Id, text: string, editing: Editing) => readonly FieldEdit[]) | undefined;
  editing: (project: Project) => Editing;
  height?: number | undefined;
}

const trackOf = (width: Field<never>['width']): string =>
  typeof width === 'number' ? `${width}px` : `minmax(${width[0]}px, ${width[1]}fr)`;

/** The columns of these fields. */
export function columnsOf<Row, Id extends string>(of: Rows<Row, Id>, columns: readonly Id[]): GridColumn[] {
  return columns.map((id): GridColumn => {
    const { title, width, right, names, counts, quiet, help } = of.fields[id];
    return {
      id,
      title,
      track: trackOf(width),
      right: right ?? false,
      names: names ?? false,
      quiet: quiet ?? false,
      ...(help === undefined ? {} : { help }),
      ...(counts ? { fills: 'series' } : {}),
    };
  });
}

/** What tells a row from the others of its table; nothing is read out of it again. */
const rowKey = ({ id, path }: RowRef): string => [id, ...path].join(' ');

/** A row of fields. Its cells are worked out when they are drawn: of a hundred thousand rows few are. */
export const rowOf = <Row, Id extends string>(
  row: Row,
  shown: Shown<Row, Id>,
  paths: GridRow['paths'] = [],
): FieldRow<Row, Id> => new FieldRow(row, shown, paths);

/** One object a row, whose functions are shared: a table may have a hundred thousand of them. */
export class FieldRow<Row, Id extends string> implements GridRow {
  readonly id: string;
  private made: GridRow['cells'] | null = null;

  constructor(
    readonly row: Row,
    private readonly shown: Shown<Row, Id>,
    readonly paths: NonNullable<GridRow['paths']>,
  ) {
    this.id = rowKey(shown.of.refOf(row));
  }

  get height(): number {
    return this.shown.height ?? 26;
  }

  get of(): RowRef {
    return this.shown.of.refOf(this.row);
  }

  get cells(): GridRow['cells'] {
    return (this.made ??= this.shown.columns.map((id) => cellOf(this.row, id, this.shown)));
  }

  edit(project: Project, column: number, text: string): readonly FieldEdit[] {
    const { of, columns, edit, editing } = this.shown;
    const now = of.find(project, this.of);
    const id = columns[column];
    if (now === undefined || id === undefined) return [];
    return edit?.(now, id, text, editing(project)) ?? [editField(of, id, now, text, editing(project))];
  }

  /** The same row with something of it otherwise: cells before or behind its own. */
  but(other: Partial<GridRow>): GridRow {
    const { id, height, of, paths } = this;
    return { id, height, of, paths, cells: this.cells, edit: this.edit.bind(this), ...other };
  }
}

/** Where each column stands in its row: the same list for all rows. */
export const pathsOf = <Row, Id extends string>(
  of: Rows<Row, Id>,
  columns: readonly Id[],
): NonNullable<GridRow['paths']> => columns.map((id) => pathOf(id, of.fields[id]));

function cellOf<Row, Id extends string>(
  row: Row,
  id: Id,
  { of, project, wrong, look }: Shown<Row, Id>,
): GridCell | null {
  const field = of.fields[id];
  if (field.has && !field.has(row, project)) return null;
  const ref = of.refOf(row);
  const path = pathOf(id, field);
  const options = typeof field.options === 'function' ? field.options(row, project) : field.options;
  const show = field.shown?.(row, project);
  const muted = typeof field.muted === 'function' ? field.muted(row, project) : field.muted;
  const editable = field.edit !== undefined && !of.locked?.(row);
  return {
    text: fieldText(of, id, row, project),
    ...(show === undefined ? {} : { show }),
    editable,
    mono: field.mono ?? false,
    right: field.right ?? false,
    muted: muted ?? false,
    ...(editable && options && options.length > 0 ? { options } : {}),
    unread: isTyped(field.text(row, project)),
    differs: path !== null && wrong(ref.id, ...ref.path, ...path),
    about: field,
    ...look?.(row, id),
  };
}
