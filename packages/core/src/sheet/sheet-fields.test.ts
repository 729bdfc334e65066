import { EXCHANGE_KINDS } from '../model/words.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { edited } from '../testing/two-stations.testing.js';
import { editSheet } from './edit-sheet.js';
import {
  columnOf,
  columnOfValue,
  SECOND_FIELDS,
  SHEET_COLUMNS,
  SHEET_FIELDS,
  underColumn,
  type SecondLineColumn,
  type SheetColumn,
} from './sheet-fields.js';

const [view] = Object.entries(smallPlant().get('profile', 'pa')!.views)[0]!;
/** The notation of the examples: elements of IEC 61131-3. */
const project = edited(
  smallPlant(),
  ['profile', 'pa', `views.${view}.notation`, 'iec elements'],
  ['profile', 'pa', `views.${view}.prefix`, 'M'],
);
const typed = (column: SheetColumn | SecondLineColumn, text: string) =>
  editSheet(project, [{ end: project.get('end', 'ea')!, lane: 'lane', column, text }], () => 'fresh').problems;

test.each([...Object.entries(SHEET_FIELDS), ...Object.entries(SECOND_FIELDS)])(
  'of %s each example is taken, and something says what can be typed',
  (column, { examples, options, help }) => {
    expect(help).toMatch(/\.$/);
    for (const text of [...examples, ...(options ?? [])])
      expect([text, typed(column as SheetColumn, text)]).toEqual([text, []]);
  },
);

test('a path leads to the column that shows it, and each second line lies under one', () => {
  for (const column of SHEET_COLUMNS) {
    const shown = column === 'area' ? 'address' : column;
    expect(columnOf(SHEET_FIELDS[column].path)).toEqual({ column: shown, second: false });
    const { ofValue } = SHEET_FIELDS[column];
    if (ofValue !== null) expect(columnOfValue(ofValue)).toBe(column);
  }
  for (const [under, { path }] of Object.entries(SECOND_FIELDS)) {
    const { column, second } = columnOf(path)!;
    expect(second).toBe(true);
    expect(EXCHANGE_KINDS.map((kind) => underColumn(column, kind))).toContain(under);
  }
  expect(columnOf('nothing')).toBeNull();
});
