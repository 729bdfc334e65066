import { unread } from '../text/read.js';
import { tagRows } from './csv-tags.js';
import type { ListFormat } from './list-format.js';
import { tableOf } from './text-table.js';
import { workbookSize } from './workbook-size.js';

const nothing = (found: string, expected: string) => [
  { name: '', content: { holds: 'cells' as const, table: unread(found, expected), separator: null } },
];

/** Office Open XML: a ZIP archive (`PK`), unpacked and read by a library. */
export const WORKBOOK: ListFormat = {
  name: 'XLSX',
  endings: ['xlsx'],
  isText: false,
  recognise: (bytes) => bytes[0] === 0x50 && bytes[1] === 0x4b,
  async read(bytes, { workbook }) {
    const size = workbookSize(bytes);
    if (!size.ok) return nothing(size.found, size.expected);
    try {
      const sheets = await workbook(bytes);
      return sheets.map(({ sheet, data }) => ({
        name: sheet,
        content: { holds: 'cells', table: tableOf(data as never), separator: null },
      }));
    } catch {
      return nothing('a workbook that cannot be read', 'save it as XLSX or as CSV, and import that');
    }
  },
  write: ({ tags }) => ({ cells: tagRows(tags) }),
};
