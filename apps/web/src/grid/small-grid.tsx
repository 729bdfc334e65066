import type { KeyboardEvent } from 'react';
import styled from 'styled-components';
import type { ClipboardBlock } from './clipboard-block';
import { Grid } from './grid';
import type { CellAt, CellEdit, GoTo, GridColumn, GridRow, Judged } from './types';

/** Among titles that have an inset already, the first column needs none. */
const Box = styled.div`
  --grid-inset: 0px;
  display: flex;
  flex-direction: column;
`;

interface Props {
  label: string;
  columns: readonly GridColumn[];
  rows: readonly GridRow[];
  onEdit: (edits: CellEdit[]) => void;
  judge?: (at: CellAt, text: string) => Judged;
  onPaste?: (at: CellAt, block: ClipboardBlock) => void;
  /** other keys; true: taken */
  onKey?: (event: KeyboardEvent, at: CellAt) => boolean;
  fillText?: (from: CellAt, n: number) => string | null;
  /** Ctrl+Delete on a row */
  onDrop?: (row: string) => void;
  /** to and from the address bar */
  link?: { goTo: GoTo | null; onCursor: (at: CellAt) => void };
}

/** A grid as tall as its rows, among others on a page. */
export function SmallGrid({ label, columns, rows, onEdit, judge, onPaste, onKey, onDrop, fillText, link }: Props) {
  const height = 30 + rows.reduce((sum, row) => sum + row.height, 0);
  return (
    <Box style={{ height }}>
      <Grid
        label={label}
        columns={columns}
        rows={rows}
        onEdit={onEdit}
        judge={judge}
        onPaste={onPaste}
        goTo={link?.goTo}
        onCursor={link?.onCursor}
        fillText={fillText}
        onKey={(event, at) => {
          if (onKey?.(event, at)) return true;
          if (event.key !== 'Delete' || !event.ctrlKey || !onDrop || at.row.startsWith('new')) return false;
          onDrop(at.row);
          return true;
        }}
      />
    </Box>
  );
}
