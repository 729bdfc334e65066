import type { FieldEdit as Edit } from '../text/field-edit.js';
import type { Project } from '../model/project.js';
import { put } from '../change/make.js';
import { reservedBlocks } from '../profiles/member-block.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { applied, codesOf, edited, theFinding, wordsOf } from '../testing/two-stations.testing.js';
import { editField, fieldText } from '../fields/field.js';
import { addBlockPart, BLOCK_PART } from '../fields/block-part.js';
import { COPY, newCopy } from '../fields/copy.js';
import { END } from '../fields/end.js';
import { addStep, dropStep, EXCHANGE, STEP } from '../fields/exchange.js';
import { LANE } from '../fields/lane.js';
import { RESERVATION } from '../fields/reservation.js';
import { entryOf, partOf, typing } from '../testing/typing.testing.js';

const after = (project: Project, { changes }: Edit) => applied(project, { id: 'e', label: '', changes });
const exchange = (project: Project) => project.get('exchange', 'y')!;

test('an instance of 70,000, a width of 12 bits: refused with what would be right, and nothing is changed', () => {
  const end = smallPlant().get('end', 'yc')!;
  const instance = editField(END, 'input', end, '70000', typing());
  expect(instance).toMatchObject({ changes: [] });
  expect(instance.problem).toContain('an instance is a whole number from 0 to 65535');
  expect(editField(END, 'elementBits', end, '12', typing()).problem).toContain('write 8, 16, 32');
  // A connection may be called anything.
  expect(editField(END, 'connection', end, '70000 left', typing()).problem).toBeNull();
});

test('references are typed one by one, and gone when the last is emptied', () => {
  const input = after(smallPlant(), editField(END, 'input', smallPlant().get('end', 'yc')!, ' 100 ', typing()));
  const both = after(input, editField(END, 'configuration', input.get('end', 'yc')!, '1', typing()));
  expect(both.get('end', 'yc')!.references).toEqual({ input: '100', configuration: '1' });
  const one = after(both, editField(END, 'input', both.get('end', 'yc')!, '', typing()));
  expect(one.get('end', 'yc')!.references).toEqual({ configuration: '1' });
  expect(
    after(one, editField(END, 'configuration', one.get('end', 'yc')!, '', typing())).get('end', 'yc')!.references,
  ).toBeNull();
  const wide = after(one, editField(END, 'elementBits', one.get('end', 'yc')!, '32 bits', typing()));
  expect(wide.get('end', 'yc')!.elementBits).toBe(32);
});

test('an interval of 0, of 10 days, or of −5 ms is refused with the bounds; s and min are understood', () => {
  const y = exchange(smallPlant());
  for (const text of ['0', '864000 s', '-5', 'soon']) {
    const refused = editField(EXCHANGE, 'cadence', y, text, typing());
    expect([refused.changes, refused.problem]).toEqual([[], expect.stringContaining('from 1 to 86400000')]);
  }
  const set = (text: string) => editField(EXCHANGE, 'keepAlive', y, text, typing()).changes[0]?.after;
  expect([set('2 s'), set('3 min'), set('250')]).toEqual([2000, 180_000, 250]);
  expect(editField(LANE, 'mostAge', smallPlant().get('lane', 'lane')!, '0', typing()).problem).toContain(
    'an age in ms',
  );
});

test('a step is typed with its program, by the name of an end', () => {
  const typed = after(smallPlant(), addStep(exchange(smallPlant()), 's1', 'sets Go'));
  const named = after(typed, editField(STEP, 'end', entryOf(exchange(typed), 'start', 's1'), 'c', typing(typed)));
  expect(exchange(named).start).toEqual({ s1: { order: 10, end: 'yc', does: 'sets Go' } });
  expect(editField(STEP, 'end', entryOf(exchange(named), 'start', 's1'), 'B', typing(named)).problem).toContain(
    'its ends: A, C',
  );
  expect(exchange(after(named, dropStep(exchange(named), 's1'))).start).toBeNull();
});

test('a copy is typed in the notations of its station; what cannot be read stays, with why', () => {
  const project = smallPlant();
  const fresh = { id: 'n', label: '', changes: [put('copy', newCopy(project, 'c9', 'sc'))] };
  const empty = applied(project, fresh);
  const made = after(empty, editField(COPY, 'from', empty.get('copy', 'c9')!, 'b100', typing(empty)));
  const sized = after(made, editField(COPY, 'length', made.get('copy', 'c9')!, '3', typing(made)));
  expect(sized.get('copy', 'c9')).toMatchObject({
    station: 'sc',
    from: { area: 'areac', view: 'vb', number: 100 },
    length: { count: 3, unit: 16 },
  });
  const wrong = editField(COPY, 'to', sized.get('copy', 'c9')!, 'a100', typing(sized));
  expect(wrong).toMatchObject({ changes: [{ after: { typed: 'a100' } }] });
  expect(wrong.problem).toContain('“a100” is not an address of this station');
  expect(editField(COPY, 'length', sized.get('copy', 'c9')!, '−4', typing(sized)).changes[0]!.after).toEqual({
    typed: '−4',
  });
  expect(editField(COPY, 'reader', sized.get('copy', 'c9')!, 'Nobody', typing(sized)).problem).toContain(
    'there is no station “Nobody”',
  );
});

test('where a reserved range may start is written as an address and a step, and read back', () => {
  const ranged = edited(smallPlant(), [
    'area',
    'areac',
    'reservations',
    { r: { order: 1, start: 160, length: 64, owner: 'M' } },
  ]);
  const typed = after(
    ranged,
    editField(
      RESERVATION,
      'mayStart',
      entryOf(ranged.get('area', 'areac')!, 'reservations', 'r'),
      'b10 to b50 every 4 words',
      typing(ranged),
    ),
  );
  const mayStart = (project: Project) =>
    fieldText(RESERVATION, 'mayStart', entryOf(project.get('area', 'areac')!, 'reservations', 'r'), project);
  const area = typed.get('area', 'areac')!;
  expect(area.reservations.r).toMatchObject({ firstStart: 160, lastStart: 800, startStep: 64 });
  expect(mayStart(typed)).toBe('b10 to b50 every 4 words');
  expect(
    editField(RESERVATION, 'mayStart', entryOf(area, 'reservations', 'r'), 'q1 every 4', typing(typed)).problem,
  ).toContain('q1');
  expect(
    editField(RESERVATION, 'mayStart', entryOf(area, 'reservations', 'r'), 'b50 to b10', typing(typed)).problem,
  ).toContain('b10 lies before b50');
  const free = after(typed, editField(RESERVATION, 'mayStart', entryOf(area, 'reservations', 'r'), '', typing(typed)));
  expect(mayStart(free)).toBe('');
});

test('a part of a reserved range lies within it; the next begins where the last ended', () => {
  let project = edited(smallPlant(), [
    'area',
    'areac',
    'reservations',
    { r: { order: 1, start: 160, length: 64, owner: 'M' } },
  ]);
  const area = () => project.get('area', 'areac')!;
  const block = () => reservedBlocks(project, 'sc')[0]!;
  project = after(project, addBlockPart(block(), 'm1', 'Listen'));
  project = after(project, editField(BLOCK_PART, 'bits', partOf(block(), 'm1'), '1 word', typing()));
  project = after(project, addBlockPart(block(), 'm2', 'Error'));
  expect(area().reservations.r!.members).toMatchObject({ m1: { offset: 0, bits: 16 }, m2: { offset: 16, bits: 1 } });
  expect(fieldText(BLOCK_PART, 'offset', partOf(block(), 'm2'), project)).toBe('1 word');
  const beyond = editField(BLOCK_PART, 'bits', partOf(block(), 'm2'), '4 words', typing());
  expect([beyond.changes, beyond.problem]).toEqual([[], expect.stringContaining('the range is 4 words long')]);
  expect(editField(BLOCK_PART, 'use', partOf(block(), 'm2'), 'for fun', typing()).problem).toContain('to start');
});

test('of a protocol of one’s own everything is said on the exchange: its networks and the longest transfer, too', () => {
  const serial = after(
    smallPlant(),
    editField(EXCHANGE, 'media', exchange(smallPlant()), 'serial, ethernet', typing()),
  );
  const limited = after(serial, editField(EXCHANGE, 'limit', exchange(serial), '4 bytes', typing()));
  expect(exchange(limited).facts).toMatchObject({ media: ['serial line', 'ethernet'], limit: 4 });
  expect(wordsOf(theFinding(limited, 'SIZ 5'))).toContain('at most 2 words at once');
  const radio = after(smallPlant(), editField(EXCHANGE, 'media', exchange(smallPlant()), 'radio', typing()));
  expect(codesOf(radio)).toContain('LIN 9');
  expect(editField(EXCHANGE, 'media', exchange(radio), 'pigeon', typing()).problem).toContain(
    '“pigeon” is not a valid kind of network',
  );
});
