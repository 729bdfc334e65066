import { encodingOf, readTable, tableOf, textIn, type TextTable } from '@dialoga/core/formats';
import { unread, type Read } from '@dialoga/core/text';

const MOST_BYTES = 50_000_000;

/** One sheet of a workbook, or the whole of a text file. */
export interface ListSheet {
  name: string;
  table: Read<TextTable>;
}

/** What a file holds, by its first bytes: a workbook (XLSX) or text. Binary files are refused in a sentence. */
export async function sheetsOf(file: File): Promise<ListSheet[]> {
  const alone = (table: Read<TextTable>): ListSheet[] => [{ name: file.name, table }];
  if (file.size > MOST_BYTES) {
    return alone(unread(`${file.name} has ${Math.round(file.size / 1e6)} MB`, 'a list has at most 50 MB'));
  }
  const head = new Uint8Array(await file.slice(0, 4).arrayBuffer());
  if (head[0] === 0x50 && head[1] === 0x4b) return workbook(file, alone);
  const bytes = new Uint8Array(await file.arrayBuffer());
  return alone(readTable(textIn(bytes, encodingOf(bytes))));
}

async function workbook(file: File, alone: (table: Read<TextTable>) => ListSheet[]): Promise<ListSheet[]> {
  try {
    const { default: readWorkbook } = await import('read-excel-file/browser');
    const sheets = await readWorkbook(file);
    return sheets.map(({ sheet, data }) => ({ name: sheet, table: tableOf(data) }));
  } catch {
    return alone(
      unread(`${file.name} is no workbook that can be read`, 'save it as XLSX or as CSV, and bring that in'),
    );
  }
}
