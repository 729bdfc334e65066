import { memo, type ReactNode } from 'react';
import { GridCellView } from './grid-cell';
import type { GridColumn, GridRow } from './types';

interface Props {
  gridId: string;
  row: GridRow;
  index: number;
  columns: readonly GridColumn[];
  template: string;
  /** px */
  start: number;
  size: number;
  /** the next row belongs to this one */
  joined: boolean;
  /** the column of the cursor, where it is in this row and the grid has the focus; else −1 */
  cursor: number;
  /** first and last column that are chosen; from 0 to −1: none */
  chosenFrom: number;
  chosenTo: number;
  /** what stands in the cell that is edited, where it is in this row */
  editor: ReactNode;
  editorColumn: number;
}

export const cellId = (gridId: string, row: number, column: number): string => `${gridId}-${row}-${column}`;

/** One row as it is seen; while the grid scrolls or the cursor moves elsewhere it is not drawn again. */
export const GridRowView = memo(function GridRowView(props: Props) {
  const { gridId, row, index, columns, template, start, size, joined, cursor, chosenFrom, chosenTo } = props;
  const tone = row.tone ?? 'main';
  return (
    <div
      role="row"
      aria-rowindex={index + 2}
      data-row={index}
      data-id={row.id}
      className={`row ${tone} ${joined ? 'joined' : ''}`}
      style={{ gridTemplateColumns: template, height: size, transform: `translateY(${start}px)` }}
    >
      {row.cells.map((cell, column) =>
        cell ? (
          <GridCellView
            key={column}
            id={cellId(gridId, index, column)}
            cell={cell}
            column={column}
            sunk={columns[column]?.tone === 'difference'}
            page={columns[column]?.page ?? false}
            name={columns[column]?.names ?? false}
            first={columns[column]?.page === true || column === 1}
            chosen={column >= chosenFrom && column <= chosenTo}
            cursor={cursor === column}
            editor={props.editorColumn === column ? props.editor : null}
          />
        ) : null,
      )}
    </div>
  );
});
