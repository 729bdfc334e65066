import { tagRows, writeCsv } from './csv-tags.js';
import type { ListFormat } from './list-format.js';
import { readTable, separatorOf } from './text-table.js';

/** Separated values (RFC 4180): what is text, and none of the others. */
export const SEPARATED: ListFormat = {
  name: 'CSV',
  endings: ['csv', 'tsv', 'txt'],
  isText: true,
  recognise: () => true,
  read(_, { text, progress, ...chosen }) {
    const separator = chosen.separator ?? separatorOf(text);
    return [{ name: '', content: { holds: 'cells', table: readTable(text, separator, progress), separator } }];
  },
  write: ({ tags }) => ({ text: `\uFEFF${writeCsv(tagRows(tags), ';')}`, type: 'text/csv;charset=utf-8' }),
};
