/** Files of other programs: what each reads becomes a list of texts with the line of each, and is written from it again. */
export { formatOf, LIST_FORMATS } from './catalogue.js';
export { columnsText, readColumns, TAG_LIST, tagRows, writeCsv } from './csv-tags.js';
export { type Decimal, decimalOf, DECIMALS } from './decimal.js';
export { writeIecText } from './iec-text.js';
export type { Sheet } from './list-format.js';
export type { ListKind } from './list-kind.js';
export { fieldsOf, type ListedTag, type TagList } from './tag-list.js';
export { type Encoding, encodingOf, ENCODINGS, textIn } from './text-of-bytes.js';
export { readTable, type Separator, SEPARATORS, type TextTable } from './text-table.js';
export { writePlcopen } from './write-plcopen.js';
