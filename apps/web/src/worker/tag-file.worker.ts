import {
  decimalOf,
  encodingOf,
  readColumns,
  readIecText,
  readPlcopen,
  readTable,
  separatorOf,
  tableOf,
  tableTags,
  textIn,
  understandTable,
  workbookSize,
  type Decimal,
  type Encoding,
  type Separator,
  type TagColumns,
  type TagList,
  type TextTable,
} from '@dialoga/core/formats';
import type { TagFormat } from '@dialoga/core/model';
import { unread, type Read } from '@dialoga/core/text';
import { expose } from 'comlink';

const MOST_BYTES = 50_000_000;
const SAMPLE_ROWS = 4;

/** What of a file was corrected by hand; all else is recognised. */
export interface FileChoice {
  encoding?: Encoding;
  separator?: Separator;
  decimal?: Decimal;
  sheet?: number;
  columns?: TagColumns;
  /** how a file with the same headings was understood before */
  remembered?: string;
  /** the station has addresses of its own */
  ownAddresses: boolean;
}

/** How a file was understood, and the tags that it lists. */
export interface FileRead {
  format: TagFormat;
  encoding: Encoding | null;
  separator: Separator | null;
  decimal: Decimal | null;
  sheets: readonly string[];
  sheet: number;
  /** of a table: its headings, which column is taken for what, what stands twice, and its first rows */
  table: { headings: readonly string[]; columns: TagColumns; twice: readonly string[]; rows: string[][] } | null;
  list: Read<TagList>;
}

interface Opened {
  name: string;
  bytes: Uint8Array;
  /** of a workbook */
  sheets: { name: string; table: Read<TextTable> }[] | null;
}
let file: Opened | null = null;

/** Reads one file off the page; whoever gives it up ends the whole worker, so that nothing is left of it. */
const reader = {
  async open(name: string, buffer: ArrayBuffer): Promise<string | null> {
    const bytes = new Uint8Array(buffer);
    if (bytes.length > MOST_BYTES) return `${name} has ${Math.round(bytes.length / 1e6)} MB; a list has at most 50 MB`;
    if (bytes.length === 0) return `${name} is empty`;
    file = { name, bytes, sheets: null };
    if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) return null;
    const size = workbookSize(bytes);
    if (!size.ok) return `${name}: ${size.found}; ${size.expected}`;
    try {
      const { default: readWorkbook } = await import('read-excel-file/web-worker');
      const sheets = await readWorkbook(new Blob([buffer]));
      file.sheets = sheets.map(({ sheet, data }) => ({ name: sheet, table: tableOf(data) }));
      return null;
    } catch {
      return `${name} is no workbook that can be read; save it as XLSX or as CSV, and bring that in`;
    }
  },
  read(choice: FileChoice, progress: (rows: number) => void): FileRead | null {
    if (!file) return null;
    const nothing = { encoding: null, separator: null, decimal: null, sheets: [], sheet: 0, table: null };
    if (file.sheets) {
      const sheet = choice.sheet ?? 0;
      const names = file.sheets.map((one) => one.name);
      const table = file.sheets[sheet]?.table ?? unread('there is no such sheet', 'choose another');
      return { ...nothing, format: 'XLSX', sheets: names, sheet, ...ofTable(table, choice) };
    }
    const encoding = choice.encoding ?? encodingOf(file.bytes);
    const text = textIn(file.bytes, encoding);
    const head = text.slice(0, 4000).trimStart();
    if (head.startsWith('<')) return { ...nothing, format: 'PLCopen XML', encoding, list: readPlcopen(text) };
    if (/\b(VAR_GLOBAL|END_VAR|END_TYPE)\b/i.test(text.slice(0, 200_000))) {
      if (text.includes('\u0000')) return { ...nothing, format: 'IEC 61131-3 text', encoding, list: NULLS };
      return {
        ...nothing,
        format: 'IEC 61131-3 text',
        encoding,
        list: { ok: true, value: readIecText(text, progress) },
      };
    }
    const separator = choice.separator ?? separatorOf(text);
    return { ...nothing, format: 'CSV', encoding, separator, ...ofTable(readTable(text, separator, progress), choice) };
  },
};

const NULLS = unread('null bytes', 'declarations are text');

function ofTable(table: Read<TextTable>, choice: FileChoice): Pick<FileRead, 'table' | 'list' | 'decimal'> {
  if (!table.ok) return { table: null, list: table, decimal: null };
  const found = understandTable(table.value, choice.ownAddresses);
  const remembered = choice.remembered ? readColumns(choice.remembered, found.headings) : {};
  const taken = new Set(Object.values(remembered));
  const further = Object.entries(found.columns).filter(([, at]) => !taken.has(at));
  const columns = choice.columns ?? { ...Object.fromEntries(further), ...remembered };
  const decimal = choice.decimal ?? decimalOf(table.value);
  const rows = table.value.rows.slice(found.heading + 1, found.heading + 1 + SAMPLE_ROWS).map((row) => [...row]);
  return {
    table: { headings: found.headings, columns, twice: found.twice, rows },
    decimal,
    list: tableTags(table.value, found, columns, decimal),
  };
}

export type TagFileReader = typeof reader;
expose(reader);
