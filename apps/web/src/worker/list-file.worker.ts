import {
  decimalOf,
  encodingOf,
  formatOf,
  readColumns,
  TAG_LIST,
  textIn,
  type Decimal,
  type Encoding,
  type ListKind,
  type Separator,
  type Sheet,
  type TagList,
  type TextTable,
} from '@dialoga/core/formats';
import { HARDWARE_LIST, type ListRow } from '@dialoga/core/hardware';
import { FOUND_LIST, type FoundRow } from '@dialoga/core/survey';
import { unread, type Read } from '@dialoga/core/text';
import { expose } from 'comlink';

const MOST_BYTES = 50_000_000;
const SAMPLE_ROWS = 4;

/** The kinds of list that can be brought in, each with what its rows are read as. */
export interface ListRows {
  tags: TagList;
  hardware: ListRow[];
  found: FoundRow[];
  /** cells as they stand, to be pasted */
  block: string[][];
}
const BLOCK: ListKind<string[][]> = {
  columns: {},
  understand: () => ({ heading: -1, headings: [], columns: {}, twice: [] }),
  read: ({ rows }) => ({ ok: true, value: rows.map((row) => [...row]) }),
};
const KINDS: { [K in keyof ListRows]: ListKind<ListRows[K]> } = {
  tags: TAG_LIST,
  hardware: HARDWARE_LIST,
  found: FOUND_LIST,
  block: BLOCK,
};

/** What of a file was corrected by hand; all else is recognised. */
export interface FileChoice {
  encoding?: Encoding;
  separator?: Separator;
  decimal?: Decimal;
  sheet?: number;
  columns?: Partial<Record<string, number>>;
  /** how a file with the same headings was understood before */
  remembered?: string;
  /** the station has addresses of its own */
  ownAddresses: boolean;
}

/** How a file was understood, and the rows that it lists. */
export interface FileRead<K extends keyof ListRows = keyof ListRows> {
  format: string;
  encoding: Encoding | null;
  separator: Separator | null;
  decimal: Decimal | null;
  sheets: readonly string[];
  sheet: number;
  /** of a table: its columns, their headings, which is taken for what, what stands twice, and its first rows */
  table: {
    titles: Readonly<Record<string, string>>;
    headings: readonly string[];
    columns: Partial<Record<string, number>>;
    twice: readonly string[];
    rows: string[][];
  } | null;
  list: Read<ListRows[K]>;
}

let file: { bytes: Uint8Array; text: Map<Encoding, string>; sheets: readonly Sheet[] | null } | null = null;

async function workbook(bytes: Uint8Array) {
  const { default: readWorkbook } = await import('read-excel-file/web-worker');
  return readWorkbook(new Blob([bytes as Uint8Array<ArrayBuffer>]));
}

/** Reads one file off the page; whoever gives it up ends the whole worker, so that nothing is left of it. */
const reader = {
  open(name: string, buffer: ArrayBuffer): string | null {
    const bytes = new Uint8Array(buffer);
    if (bytes.length > MOST_BYTES) return `${name} has ${Math.round(bytes.length / 1e6)} MB; a list has at most 50 MB`;
    if (bytes.length === 0) return `${name} is empty`;
    file = { bytes, text: new Map(), sheets: null };
    return null;
  },
  async read<K extends keyof ListRows>(
    kind: K,
    choice: FileChoice,
    progress: (rows: number) => void,
  ): Promise<FileRead<K> | null> {
    if (!file) return null;
    const { bytes } = file;
    const encoding = choice.encoding ?? encodingOf(bytes);
    const text = () => {
      const known = file!.text.get(encoding) ?? textIn(bytes, encoding);
      file!.text.set(encoding, known);
      return known;
    };
    const format = formatOf(bytes, text);
    const { separator } = choice;
    const opening = { text: format.isText ? text() : '', workbook, progress, ...(separator ? { separator } : {}) };
    // A workbook is unpacked once, whichever of its sheets is looked at.
    const sheets = (!format.isText && file.sheets) || (await format.read(bytes, opening));
    file.sheets = format.isText ? null : sheets;
    const at = choice.sheet ?? 0;
    const content = sheets[at]?.content;
    const head = {
      format: format.name,
      encoding: format.isText ? encoding : null,
      sheet: at,
      separator: null,
      decimal: null,
      sheets: sheets.map(({ name }) => name),
      table: null,
    };
    if (!content) return { ...head, list: unread('there is no such sheet', 'choose another') };
    if (content.holds === 'cells') {
      return { ...head, separator: content.separator, ...ofTable(KINDS[kind], content.table, choice) };
    }
    if (kind === 'tags') return { ...head, list: content.list as Read<ListRows[K]> };
    return { ...head, list: unread(`${format.name} lists tags`, 'this list is read from CSV or XLSX') };
  },
};

function ofTable<Rows>(kind: ListKind<Rows>, table: Read<TextTable>, choice: FileChoice) {
  if (!table.ok) return { table: null, list: table, decimal: null };
  const found = kind.understand(table.value, choice.ownAddresses);
  if (!found) {
    const titles = Object.keys(kind.columns).join(', ');
    const list = unread('no row of headings in the first ten rows', `at least two of ${titles} must be named`);
    return { table: null, list, decimal: null };
  }
  const remembered = choice.remembered ? readColumns(choice.remembered, found.headings) : {};
  const taken = new Set(Object.values(remembered));
  const further = Object.entries(found.columns).filter(([, at]) => at !== undefined && !taken.has(at));
  const columns = choice.columns ?? { ...Object.fromEntries(further), ...remembered };
  const decimal = choice.decimal ?? decimalOf(table.value);
  const rows = table.value.rows.slice(found.heading + 1, found.heading + 1 + SAMPLE_ROWS).map((row) => [...row]);
  return {
    table: { titles: kind.columns, headings: found.headings, columns, twice: found.twice, rows },
    decimal,
    list: kind.read(table.value, found.heading, columns, decimal),
  };
}

export type ListFileReader = typeof reader;
expose(reader);
