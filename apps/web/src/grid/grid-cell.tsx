import { memo, type ReactNode } from 'react';
import { inTwo } from './middle';
import { sameLook } from './same-cell';
import type { GridCell } from './types';

interface Props {
  id: string;
  cell: GridCell;
  column: number;
  sunk: boolean;
  page: boolean;
  name: boolean;
  first: boolean;
  chosen: boolean;
  cursor: boolean;
  editor: ReactNode;
}

/** A cell that looks as it did is not drawn again: an edit touches few of the many on screen. */
const drawnAlike = (a: Props, b: Props): boolean =>
  sameLook(a.cell, b.cell) &&
  a.id === b.id &&
  a.chosen === b.chosen &&
  a.cursor === b.cursor &&
  a.editor === b.editor &&
  a.column === b.column;

/** One cell as it is seen. The cursor and the selection are the grid's. */
export const GridCellView = memo(function GridCellView(props: Props) {
  const { id, cell, column, sunk, page, name, first, chosen, cursor, editor } = props;
  const { right, mono, muted, differs, unread, action } = cell;
  const parts = name && !cell.action && cell.show === undefined ? inTwo(cell.text) : null;
  const through = cell.through ?? column;
  const look = classes({
    mono,
    right: right && !sunk,
    muted,
    sunk,
    page,
    first,
    chosen: chosen && !cursor,
    cursor,
    action: action !== undefined,
    solid: cell.line === 'solid',
    dashed: cell.line === 'dashed',
  });
  return (
    <div
      id={id}
      role="gridcell"
      aria-colindex={column + 1}
      aria-selected={chosen || cursor}
      aria-readonly={!cell.editable}
      aria-label={action?.label ?? (parts ? cell.text : undefined)}
      data-column={column}
      className={`cell ${look}`}
      style={{ gridColumn: `${column + 1} / ${through + 2}` }}
    >
      {editor ??
        (parts ? (
          <span className={`text middle ${classes({ differs, unread })}`} dir="auto">
            <span>{parts[0]}</span>
            <span>{parts[1]}</span>
          </span>
        ) : cell.text === '' && cell.show === undefined ? null : (
          <span className={`text ${classes({ differs, unread })}`} dir="auto">
            {action && typeof cell.show !== 'object' ? <u>{cell.show ?? cell.text}</u> : (cell.show ?? cell.text)}
          </span>
        ))}
    </div>
  );
}, drawnAlike);

const classes = (names: Record<string, boolean | undefined>): string =>
  Object.keys(names)
    .filter((name) => names[name])
    .join(' ');
