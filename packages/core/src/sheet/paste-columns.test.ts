import fc from 'fast-check';
import Papa from 'papaparse';
import { splitBlock } from '../formats/split-block.js';

test.each([
  [
    'a line a row, whatever its end',
    'a\tb\r\nc\td\r\n',
    [
      ['a', 'b'],
      ['c', 'd'],
    ],
  ],
  ['empty lines at the end', 'a\n\n\n', [['a']]],
  ['an empty line between is a row', 'a\n\nb', [['a'], [''], ['b']]],
  ['empty cells', '\ta\t', [['', 'a', '']]],
  ['spaces around', ' a \t  b', [['a', 'b']]],
  ['quotes within quotes', '"say ""go"""\tb', [['say "go"', 'b']]],
  ['a tab within a cell', '"a\tb"\tc', [['a\tb', 'c']]],
  [
    'two lines within a cell',
    '"Skid\nstatus"\tw1260\nNext\tw1264',
    [
      ['Skid status', 'w1260'],
      ['Next', 'w1264'],
    ],
  ],
  [
    'inches',
    'Valve 3/4"\tw1\nPipe 2"\tw2',
    [
      ['Valve 3/4"', 'w1'],
      ['Pipe 2"', 'w2'],
    ],
  ],
  [
    'a quote that is never closed',
    '"Valve\tw1\nPipe\tw2',
    [
      ['"Valve', 'w1'],
      ['Pipe', 'w2'],
    ],
  ],
  [
    'text after a closing quote',
    '"A" side\tw1\nB\tw2',
    [
      ['"A" side', 'w1'],
      ['B', 'w2'],
    ],
  ],
  ['nothing', '', [['']]],
])('%s', (_, text, rows) => {
  expect(splitBlock(text)).toEqual(rows);
});

test('what a spreadsheet writes comes back cell by cell [library: papaparse, its writer]', () => {
  const cell = fc.string({ unit: fc.constantFrom('a', 'é', ' ', '"', '\t', '\n', ',', "'", '=', '1'), maxLength: 6 });
  const table = fc
    .tuple(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 1, max: 5 }))
    .chain(([columns, rows]) =>
      fc.array(fc.array(cell, { minLength: columns, maxLength: columns }), { minLength: rows, maxLength: rows }),
    );
  fc.assert(
    fc.property(table, (rows) => {
      const text = Papa.unparse(rows, { delimiter: '\t', newline: '\n', quotes: true });
      const shown = rows.map((row) => row.map((c) => c.replace(/\s*\n\s*/g, ' ').trim()));
      expect(splitBlock(text)).toEqual(shown);
    }),
    { numRuns: 500 },
  );
});
