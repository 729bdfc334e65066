import type { FieldEdit as Edit } from '../text/field-edit.js';
import type { Project } from '../model/project.js';
import { editLane } from '../fields/edit-lane.js';
import { editBlockMember, memberText } from '../fields/edit-block-member.js';
import { reservedBlocks } from '../profiles/member-block.js';
import { editCopy } from '../fields/edit-copy.js';
import { editReservation, mayStartText } from '../fields/edit-area.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { applied, codesOf, edited, theFinding, wordsOf } from '../testing/two-stations.testing.js';
import { editEnd } from '../fields/edit-end.js';
import { editExchange } from '../fields/edit-exchange.js';
import { dropStep, editStep } from '../fields/edit-step.js';

const after = (project: Project, { changes }: Edit) => applied(project, { id: 'e', label: '', changes });
const exchange = (project: Project) => project.get('exchange', 'y')!;

test('an instance of 70,000, a width of 12 bits: refused with what would be right, and nothing is changed', () => {
  const end = smallPlant().get('end', 'yc')!;
  const instance = editEnd(end, 'input', '70000');
  expect(instance).toMatchObject({ changes: [] });
  expect(instance.problem).toContain('an instance is a whole number from 0 to 65535');
  expect(editEnd(end, 'elementBits', '12').problem).toContain('write 8, 16, 32');
  // A connection may be called anything.
  expect(editEnd(end, 'connection', '70000 left').problem).toBeNull();
});

test('references are typed one by one, and gone when the last is emptied', () => {
  const input = after(smallPlant(), editEnd(smallPlant().get('end', 'yc')!, 'input', ' 100 '));
  const both = after(input, editEnd(input.get('end', 'yc')!, 'configuration', '1'));
  expect(both.get('end', 'yc')!.references).toEqual({ input: '100', configuration: '1' });
  const one = after(both, editEnd(both.get('end', 'yc')!, 'input', ''));
  expect(one.get('end', 'yc')!.references).toEqual({ configuration: '1' });
  expect(after(one, editEnd(one.get('end', 'yc')!, 'configuration', '')).get('end', 'yc')!.references).toBeNull();
  const wide = after(one, editEnd(one.get('end', 'yc')!, 'elementBits', '32 bits'));
  expect(wide.get('end', 'yc')!.elementBits).toBe(32);
});

test('a cadence of 0, of 10 days, or of −5 ms is refused with the bounds; s and min are understood', () => {
  const y = exchange(smallPlant());
  for (const text of ['0', '864000 s', '-5', 'soon']) {
    const refused = editExchange(y, 'cadence', text);
    expect([refused.changes, refused.problem]).toEqual([[], expect.stringContaining('from 1 to 86400000')]);
  }
  const set = (text: string) => editExchange(y, 'keepAlive', text).changes[0]?.after;
  expect([set('2 s'), set('3 min'), set('250')]).toEqual([2000, 180_000, 250]);
  expect(editLane(smallPlant().get('lane', 'lane')!, 'mostAge', '0').problem).toContain('an age in ms');
});

test('a step is typed with its program, by the name of an end', () => {
  const typed = after(smallPlant(), editStep(smallPlant(), exchange(smallPlant()), 's1', 'does', 'sets Go'));
  const named = after(typed, editStep(typed, exchange(typed), 's1', 'end', 'c'));
  expect(exchange(named).start).toEqual({ s1: { order: 10, end: 'yc', does: 'sets Go' } });
  expect(editStep(named, exchange(named), 's1', 'end', 'B').problem).toContain('its ends: A, C');
  expect(exchange(after(named, dropStep(exchange(named), 's1'))).start).toBeNull();
});

test('a copy is typed in the notations of its station; what cannot be read stays, with why', () => {
  const project = smallPlant();
  const made = after(project, editCopy(project, 'sc', 'c9', 'from', 'b100'));
  const sized = after(made, editCopy(made, 'sc', 'c9', 'length', '3'));
  expect(sized.get('copy', 'c9')).toMatchObject({
    ...{ station: 'sc', from: { area: 'areac', view: 'vb', number: 100 }, length: { count: 3, unit: 16 } },
  });
  const wrong = editCopy(sized, 'sc', 'c9', 'to', 'a100');
  expect(wrong).toMatchObject({ changes: [{ after: { typed: 'a100' } }] });
  expect(wrong.problem).toContain('“a100” is not an address of this station');
  expect(editCopy(sized, 'sc', 'c9', 'length', '−4').changes[0]!.after).toEqual({ typed: '−4' });
  expect(editCopy(sized, 'sc', 'c9', 'reader', 'Nobody').problem).toContain('“Nobody” is no station');
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
    editReservation(ranged, ranged.get('area', 'areac')!, 'r', 'mayStart', 'b10 to b50 every 4 words'),
  );
  const area = typed.get('area', 'areac')!;
  expect(area.reservations.r).toMatchObject({ firstStart: 160, lastStart: 800, startStep: 64 });
  expect(mayStartText(typed, area, area.reservations.r!)).toBe('b10 to b50 every 4 words');
  expect(editReservation(typed, area, 'r', 'mayStart', 'q1 every 4').problem).toContain('q1');
  expect(editReservation(typed, area, 'r', 'mayStart', 'b50 to b10').problem).toContain('b10 lies before b50');
  const free = after(typed, editReservation(typed, area, 'r', 'mayStart', ''));
  expect(mayStartText(free, free.get('area', 'areac')!, free.get('area', 'areac')!.reservations.r!)).toBe('');
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
  project = after(project, editBlockMember(block(), 'm1', 'name', 'Listen'));
  project = after(project, editBlockMember(block(), 'm1', 'bits', '1 word'));
  project = after(project, editBlockMember(block(), 'm2', 'name', 'Error'));
  expect(area().reservations.r!.members).toMatchObject({ m1: { offset: 0, bits: 16 }, m2: { offset: 16, bits: 1 } });
  expect(memberText(block(), area().reservations.r!.members!.m2!, 'offset')).toBe('1 word');
  const beyond = editBlockMember(block(), 'm2', 'bits', '4 words');
  expect([beyond.changes, beyond.problem]).toEqual([[], expect.stringContaining('the range is 4 words long')]);
  expect(editBlockMember(block(), 'm2', 'use', 'for fun').problem).toContain('to start');
});

test('of a protocol of one’s own everything is said on the exchange: its networks and the longest transfer, too', () => {
  const serial = after(smallPlant(), editExchange(exchange(smallPlant()), 'media', 'serial, ethernet'));
  const limited = after(serial, editExchange(exchange(serial), 'limit', '4 bytes'));
  expect(exchange(limited).facts).toMatchObject({ media: ['serial line', 'ethernet'], limit: 4 });
  expect(wordsOf(theFinding(limited, 'SIZ 5'))).toContain('at most 2 words at once');
  const radio = after(smallPlant(), editExchange(exchange(smallPlant()), 'media', 'radio'));
  expect(codesOf(radio)).toContain('LIN 9');
  expect(editExchange(exchange(radio), 'media', 'pigeon').problem).toContain('“pigeon” is no kind of network');
});
