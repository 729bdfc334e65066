/** Files of other programs: what each reads becomes a list of texts with the line of each, and is written from it again. */
export { columnsText, readColumns, tableTags, TAG_HEADINGS, tagRows, understandTable, writeCsv } from './csv-tags.js';
export { type Decimal, decimalOf, DECIMALS } from './decimal.js';
export { readIecText, writeIecText } from './iec-text.js';
export { readPlcopen } from './plcopen-xml.js';
export {
  fieldsOf,
  type ListedTag,
  TAG_COLUMNS,
  type TagColumnName,
  type TagColumns,
  type TagList,
} from './tag-list.js';
export { type Encoding, encodingOf, ENCODINGS, textIn } from './text-of-bytes.js';
export { readTable, type Separator, separatorOf, SEPARATORS, tableOf, type TextTable } from './text-table.js';
export { workbookSize } from './workbook-size.js';
export { writePlcopen } from './write-plcopen.js';
