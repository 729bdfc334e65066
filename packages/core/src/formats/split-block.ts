import Papa from 'papaparse';

/**
 * Tab-separated text to rows; empty lines at the end are dropped. A cell that its spreadsheet quoted may hold tabs, quotes
 * and line ends; the latter are spaces here, as a cell has one line. Quotes that do not fit together are left as they are:
 * then every line is a row. [published: RFC 4180, 2: quotes, separators and line ends within cells] [from memory]
 */
export function splitBlock(text: string): string[][] {
  const clean = text.replace(/\r\n?/g, '\n').replace(/\n+$/, '');
  if (clean === '') return [['']];
  const { data, errors } = Papa.parse<string[]>(clean, { delimiter: '\t', newline: '\n' });
  const rows = errors.some(({ type }) => type === 'Quotes') ? clean.split('\n').map((line) => line.split('\t')) : data;
  return rows.map((row) => row.map((cell) => cell.replace(/\s*\n\s*/g, ' ').trim()));
}
