/** What the clipboard holds, as lines of cells between tabs, and how many cells of it were merged at their source. */
export interface ClipboardBlock {
  text: string;
  merged: number;
}

/**
 * A block from the clipboard. Its plain text, unless its table has merged cells: as text these look like empty ones. A cell
 * merged over several rows stands for each of them; over several columns, for the first.
 */
export function clipboardBlock(data: Pick<DataTransfer, 'getData'>): ClipboardBlock {
  const plain = { text: data.getData('text/plain'), merged: 0 };
  const html = data.getData('text/html');
  if (!/\b(?:row|col)span\s*=\s*["']?(?!1\b)\d/i.test(html)) return plain;
  const table = new DOMParser().parseFromString(html, 'text/html').querySelector('table');
  return table ? spread(table) : plain;
}

function spread(table: HTMLTableElement): ClipboardBlock {
  const lines: string[][] = [];
  let merged = 0;
  [...table.rows].forEach((row, r) => {
    let column = 0;
    for (const cell of row.cells) {
      const line = (lines[r] ??= []);
      while (line[column] !== undefined) column++;
      const rows = Math.min(cell.rowSpan || 1, table.rows.length - r);
      const columns = Math.min(cell.colSpan || 1, 1000);
      if (rows > 1 || columns > 1) merged++;
      const text = cell.textContent.replace(/\s+/g, ' ').trim();
      for (let i = 0; i < rows; i++) {
        const into = (lines[r + i] ??= []);
        for (let c = 0; c < columns; c++) into[column + c] = c === 0 ? text : '';
      }
      column += columns;
    }
  });
  const text = lines.map((line) => Array.from(line, (cell: string | undefined) => cell ?? '').join('\t')).join('\n');
  return { text, merged };
}
