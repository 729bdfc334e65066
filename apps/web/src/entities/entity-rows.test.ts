import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { apply, set } from '@dialoga/core/change';
import { readProject } from '@dialoga/core/entry';
import { PORT, RESERVATION, type Field } from '@dialoga/core/fields';
import { childrenOf, type Port, type Project } from '@dialoga/core/model';
import { linkOf, placeOf } from '../findings/use-grid-link';
import { pastedInto } from '../grid/table-edits';
import { columnsOf, pathsOf, rowOf, type Shown } from './entity-rows';

const read = readProject(readFileSync(join(__dirname, '../../../../e2e/projects/two-suppliers.dialoga.json'), 'utf8'));
if (!read.ok) throw new Error('the project of the browser tests cannot be read');
const project: Project = read.project;
const [port] = [...project.all('port')] as [Port];

/** One entry more, and nothing else: a column that no page has heard of. */
const room: Field<Port> = {
  title: 'Room',
  width: 80,
  text: ({ recognised }) => recognised ?? '',
  edit: (one, text) => ({ changes: [set('port', one, ['recognised'], text)], problem: null }),
  path: ['recognised'],
  examples: ['cellar'],
  help: 'Where it is.',
};
const WITH_ROOM = { ...PORT, fields: { ...PORT.fields, room } };
const COLUMNS = Object.keys(WITH_ROOM.fields) as (keyof typeof WITH_ROOM.fields)[];
const LAST = COLUMNS.length - 1;
const shown: Shown<Port, (typeof COLUMNS)[number]> = {
  of: WITH_ROOM,
  columns: COLUMNS,
  project,
  wrong: (id, ...path) => id === port.id && path.join() === 'recognised',
  editing: (now) => ({ project: now, newId: () => 'fresh' }),
};
const paths = pathsOf(WITH_ROOM, COLUMNS);
const rows = childrenOf(project, 'port', port.station).map((one) => rowOf(one, shown, paths));

test('a column is one entry: it is headed, typed, pasted, marked, explained and found by links', () => {
  const columns = columnsOf(WITH_ROOM, COLUMNS);
  expect(columns[LAST]).toMatchObject({ title: 'Room', track: '80px' });
  const cell = rows[0]!.cells[LAST]!;
  expect(cell).toMatchObject({ editable: true, differs: true, about: room });
  const at = { row: rows[0]!.id, column: LAST };
  const { changes } = pastedInto(project, { rows, columns }, at, 'attic');
  const applied = apply(project, { id: 'p', label: '', changes });
  expect(applied.ok && project.with(applied.entities).get('port', port.id)!.recognised).toBe('attic');
  expect(linkOf(at, rows)).toBe(`port:${port.id}:recognised`);
});

test('every cell that a link can name leads back to its row and column', () => {
  for (const row of rows) {
    row.paths!.forEach((path, column) => {
      if (!path) return;
      const cell = { ...row.of!, path: [...row.of!.path, ...path] };
      const first = row.paths!.findIndex((other) => other?.join() === path.join());
      expect(placeOf(cell, rows, false)).toEqual({ row: row.id, column: first });
      expect(column).toBeGreaterThanOrEqual(first);
    });
  }
});

test('a link to what no column shows leads to the row, unless another table shows it', () => {
  const cell = { kind: 'port' as const, id: port.id, path: ['nothing'] };
  expect(placeOf(cell, rows, false)).toEqual({ row: port.id, column: 0 });
  expect(placeOf(cell, rows, true)).toBeNull();
  expect(placeOf({ ...cell, id: 'gone' }, rows, false)).toBeNull();
});

test('an entry of a list is found by its path in its entity', () => {
  const area = {
    ...[...project.all('area')][0]!,
    reservations: { r1: { order: 10, start: 0, length: 16, owner: 'card' } },
  };
  const row = rowOf(
    { entity: area, key: 'r1', entry: area.reservations.r1 },
    { ...shown, of: RESERVATION, columns: ['owner'] } as never,
    pathsOf(RESERVATION, ['owner']),
  );
  const cell = { kind: 'area' as const, id: area.id, path: ['reservations', 'r1', 'owner'] };
  expect(placeOf(cell, [row], false)).toEqual({ row: row.id, column: 0 });
  expect(linkOf({ row: row.id, column: 0 }, [row])).toBe(`area:${area.id}:reservations:r1:owner`);
});
