import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { apply } from '../change/apply.js';
import { readProject } from '../file/read-project.js';
import type { Project } from '../model/project.js';
import { routedPlant } from '../testing/routed-plant.testing.js';
import { smallPlant, taggedPlant } from '../testing/random-edits.testing.js';
import { edited } from '../testing/two-stations.testing.js';
import { typing } from '../testing/typing.testing.js';
import { ALL_ROWS, wordsAt } from './catalogue.js';
import { editField, fieldText, type Field, type Rows } from './field.js';

const demo = (() => {
  const file = readFileSync(join(__dirname, '../../../../demo/kestrel-quay.dialoga.json'), 'utf8');
  const read = readProject(file);
  if (!read.ok) throw new Error('the demo cannot be read');
  return read.project;
})();
const TAKEN = { project: 'Harbour works', station: 'GateCtl', revision: '12' };
const PROJECTS = [demo, edited(smallPlant(), ['station', 'sb', 'takenFrom', TAKEN]), taggedPlant(), routedPlant()];

const every = Object.entries(ALL_ROWS as unknown as Record<string, Rows<unknown>>).flatMap(([name, rows]) =>
  Object.entries(rows.fields).map(([id, field]): [string, string, Rows<unknown>, Field<unknown>] => [name, id, rows, field]),
);
const typed = every.filter(([, , , field]) => field.edit);

/** Whether a row of the project takes this text. */
function isTaken(project: Project, rows: Rows<unknown>, id: string, text: string): boolean {
  return rows.all(project).some((row) => {
    const { changes, problem } = editField(rows, id, row, text, typing(project));
    if (problem !== null) return false;
    return apply(project, { id: 'e', label: '', changes }).ok;
  });
}

test.each(typed)('%s: each example for %s is taken by some row', (_, id, rows, { examples = [] }) => {
  for (const text of examples) {
    expect([text, PROJECTS.some((project) => isTaken(project, rows, id, text))]).toEqual([text, true]);
  }
});

test.each(typed)('%s: %s says what can be typed', (_, __, ___, { help, examples, options }) => {
  expect(help).toMatch(/^[A-ZÄÖÜ/0-9].*\.$/);
  // Names of the project's own things are offered instead.
  expect((examples?.length ?? 0) > 0 || options !== undefined || examples?.length === 0).toBe(true);
});

test('every row is found again by its reference', () => {
  let rowsSeen = 0;
  for (const project of PROJECTS) {
    for (const rows of Object.values(ALL_ROWS as unknown as Record<string, Rows<unknown>>)) {
      for (const row of rows.all(project)) {
        expect(rows.find(project, rows.refOf(row))).toEqual(row);
        rowsSeen++;
      }
    }
  }
  expect(rowsSeen).toBeGreaterThan(1000);
});

test('what a field shows is taken again, and changes nothing that is shown', () => {
  for (const [, id, rows] of typed) {
    for (const row of rows.all(demo).slice(0, 40)) {
      const text = fieldText(rows, id, row, demo);
      if (text === '' || rows.locked?.(row)) continue;
      const { changes } = editField(rows, id, row, text, typing(demo));
      const applied = apply(demo, { id: 'e', label: '', changes });
      if (!applied.ok) throw new Error(`${rows.one} ${id} “${text}”: ${applied.refusal.sentence}`);
      const after = demo.with(applied.entities);
      const ref = rows.refOf(row);
      const again = rows.find(after, ref) ?? rows.all(after).find((one) => JSON.stringify(rows.refOf(one)) === JSON.stringify(ref));
      if (again) expect([rows.one, id, fieldText(rows, id, again, after)]).toEqual([rows.one, id, text]);
    }
  }
});

test('a path is called by its title, and one that no field has by its own words', () => {
  expect(wordsAt('port', ['address'])).toBe('address');
  expect(wordsAt('exchange', ['onLoss', 'sinks'])).toBe('on a lost link the sinks');
  expect(wordsAt('port', ['radio', 'sort'])).toBe('sort');
  expect(wordsAt('port', ['nothingKnown'])).toBe('nothing known');
});
