import type { Change } from '../change/change.js';
import type { Project } from '../model/project.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added, applied, edited } from '../testing/two-stations.testing.js';
import { fieldsToSet } from './fields-to-set.js';
import { editField } from '../fields/field.js';
import { SETTING } from '../fields/setting.js';
import { keepForSettingBack, setBack } from '../fields/setting-back.js';

const SAID = { by: 'R. Vale', at: '2026-05-12T08:00:00Z' };
const fields = (project: Project, station = 'sb') => fieldsToSet(project, project.get('station', station)!);
const field = (project: Project, id: string) => fields(project).find((f) => f.field === id)!;
const after = (project: Project, changes: Change[]) => applied(project, { id: 'c', label: '', changes });

const typedAt = (project: Project, id: string, column: keyof typeof SETTING.fields, text: string) =>
  editField(SETTING, column, { station: 'sb', planned: field(project, id) }, text, {
    project,
    newId: () => 'fresh',
    ...SAID,
  });

function typed(project: Project, id: string, column: keyof typeof SETTING.fields, text: string): Project {
  const edit = typedAt(project, id, column, text);
  if (edit.problem !== null) throw new Error(edit.problem);
  return after(project, edit.changes);
}

test('what has to be set at a station: its ports, its dials, what it says of modules, and its ends', () => {
  const list = fields(smallPlant());
  expect(list.map((f) => f.field)).toEqual(
    expect.arrayContaining(['port portb address', 'port pl2 unit', 'port pn2 node', 'landing l4', 'end eb']),
  );
  expect(list.find((f) => f.field === 'port pl2 serial')).toMatchObject({
    what: 'pl2, rate and character',
    text: '9600 8E1',
  });
  // What is not planned is not to be set.
  expect(list.some((f) => f.field === 'port portb gateway')).toBe(false);
});

test('sent, in force, and changed since: a state is of the value that stood there when it was said', () => {
  const id = 'port pl2 unit';
  expect(field(smallPlant(), id).state).toBe('not sent');
  const sent = typed(smallPlant(), id, 'state', 'sent');
  expect(field(sent, id)).toMatchObject({ state: 'sent', setting: { sent: '11', by: 'R. Vale' } });
  const changed = edited(sent, ['port', 'pl2', 'unit', 12]);
  expect(field(changed, id).state).toBe('changed since sent');
  expect(field(edited(changed, ['port', 'pl2', 'unit', 11]), id).state).toBe('sent');
  expect(field(typed(changed, id, 'state', 'in force'), id)).toMatchObject({
    state: 'in force',
    setting: { sent: '12' },
  });
});

test('an end that was sent has changed since as soon as anything that it holds is another', () => {
  const sent = typed(smallPlant(), 'end eb', 'state', 'sent');
  expect(field(sent, 'end eb').state).toBe('sent');
  for (const edit of [
    ['claim', 'cb', 'name', 'Other'],
    ['claim', 'cb', 'place.number', 21],
    ['end', 'eb', 'swap', 'bytes'],
    ['exchange', 'x', 'timeout', 900],
  ] as const) {
    expect(field(edited(sent, [...edit]), 'end eb').state).toBe('changed since sent');
  }
  expect(field(edited(sent, ['claim', 'ca', 'name', 'Other']), 'end eb').state).toBe('sent');
});

test('how it is changed, for which firmware, and what is not understood', () => {
  const id = 'port portb address';
  const known = typed(typed(smallPlant(), id, 'how', 'by serial'), id, 'firmware', '4.x');
  expect(field(known, id).setting).toMatchObject({ id: 'set1', how: 'by serial line first', firmware: '4.x' });
  expect(field(typed(known, id, 'how', ''), id).setting).not.toHaveProperty('how');
  const wrong = typedAt(known, id, 'state', 'perhaps');
  expect(wrong.problem).toContain(
    '“perhaps” is not a valid state; write not sent, sent, in force after a restart, in force',
  );
  expect(typedAt(known, id, 'firmware', 'new').problem).toContain('“new” is not a valid revision');
});

test('an adapter keeps what it had until it is set back, also over several changes', () => {
  const start = smallPlant();
  const port = start.get('port', 'pe2')!;
  const kept = after(start, keepForSettingBack(start, port, 'back', SAID));
  const moved = edited(kept, ['port', 'pe2', 'address', '10.0.0.201']);
  expect(keepForSettingBack(moved, moved.get('port', 'pe2')!, 'again', SAID)).toEqual([]);
  const back = after(moved, setBack(moved, moved.get('port', 'pe2')!)!);
  expect(back.get('port', 'pe2')).toEqual(port);
  expect(setBack(back, port)).toBeNull();
  const bare = added(start, 'port', { ...port, id: 'pe9', address: '' });
  expect(keepForSettingBack(bare, bare.get('port', 'pe9')!, 'n', SAID)).toEqual([]);
});
