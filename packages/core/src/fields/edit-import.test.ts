import { taggedPlant } from '../testing/random-edits.testing.js';
import { applied } from '../testing/two-stations.testing.js';
import { editField } from './field.js';
import { IMPORT } from './tag-lists.js';
import { typing } from '../testing/typing.testing.js';

const project = taggedPlant();
const entry = project.get('import', 'imp')!;
function source(text: string) {
  const edit = editField(IMPORT, 'source', entry, text, typing());
  if (edit.problem !== null) return edit.problem;
  return applied(project, { id: 'e', label: '', changes: edit.changes }).get('import', 'imp')!.source;
}

test.each([
  ['2026-05-31', '2026-05-31T00:00:00.000Z'],
  [' 2026-05-31 14:30 ', '2026-05-31T14:30:00.000Z'],
  ['2026-05-31T14:30', '2026-05-31T14:30:00.000Z'],
  ['2024-02-29', '2024-02-29T00:00:00.000Z'],
  ['', null],
])('“%s” is when the source was changed', (text, expected) => {
  expect(source(text)).toBe(expected);
});

test.each(['31.5.2026', '2026-13-01', '2026-05-31 25:00', '2026-02-30', '2025-02-29', 'May', '2026-5-1'])('“%s” is not a valid date', (text) => {
  expect(source(text)).toBe(`“${text}” is not a valid date; write it as 2026-05-31 or 2026-05-31 14:30`);
});
