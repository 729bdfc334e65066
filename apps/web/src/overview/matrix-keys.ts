import type { KeyboardEvent } from 'react';

const STEPS: Record<string, readonly [rows: number, columns: number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/** The arrow keys go from cell to cell of the matrix, to empty ones too; the diagonal, which has nothing to press, is passed over. */
export function moveInMatrix(event: KeyboardEvent<HTMLTableSectionElement>): void {
  const step = STEPS[event.key];
  const cell = (event.target as Element).closest('td');
  const row = cell?.closest('tr');
  if (!step || !cell || !row || event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return;
  const rows = [...event.currentTarget.rows];
  let [y, x] = [rows.indexOf(row) + step[0], cell.cellIndex + step[1]];
  for (; rows[y]?.cells[x]; [y, x] = [y + step[0], x + step[1]]) {
    const control = rows[y]!.cells[x]!.querySelector<HTMLElement>('button, a');
    if (!control) continue;
    event.preventDefault();
    control.focus();
    return;
  }
}
