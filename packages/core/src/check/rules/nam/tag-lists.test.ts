import type { Project } from '../../../model/project.js';
import { CheckEngine, type Beside } from '../../engine.js';
import { taggedPlant } from '../../../testing/random-edits.testing.js';
import {
  added,
  codesOf,
  edited,
  fixed,
  theFinding,
  wordsOf,
  type FieldEdit,
} from '../../../testing/two-stations.testing.js';

const plant = (...edits: FieldEdit[]): Project => edited(taggedPlant(), ...edits);
const words = (project: Project, code: string) => wordsOf(theFinding(project, code));
const mended = (project: Project, code: string, which = 0) => codesOf(fixed(project, theFinding(project, code), which));

test('NAM 4: bound by its exact name, in another case where case matters: named with the nearest, renamed by a fix', () => {
  const other = plant(['tag', 'tag2', 'name', 'duty']);
  // Case does not distinguish at these stations.
  expect(codesOf(other)).toEqual([]);
  const exact = edited(other, ['profile', 'pb', 'nameRule.caseMatters', true]);
  expect(words(exact, 'NAM 4')).toContain(
    'A looks for Duty, and C has no such tag; it has duty: upper and lower case differ',
  );
  const [, second] = [0, 1].map((which) => fixed(exact, theFinding(exact, 'NAM 4'), which));
  expect(fixed(exact, theFinding(exact, 'NAM 4')).get('tag', 'tag2')!.name).toBe('Duty');
  expect(second!.get('tag', 'tag1')!.name).toBe('duty');
});

test('NAM 4: what is looked for is typed beside the lane; it names another tag than the lane says', () => {
  const two = added(taggedPlant(), 'tag', {
    id: 'other',
    order: 90,
    station: 'sc',
    name: 'Other',
    type: { base: 'REAL', count: 2 },
    place: null,
  });
  const elsewhere = edited(two, ['claim', 'ca6', 'toldPlace', 'Other']);
  expect(words(elsewhere, 'NAM 4')).toContain('A looks for Other, and C says of this lane that it is Duty');
  expect(fixed(elsewhere, theFinding(elsewhere, 'NAM 4')).get('claim', 'ca6')!.toldPlace).toBe('Duty');
});

test('NAM 4: a required point that is nowhere is a Blocker, one that is declared not used a Hint', () => {
  const required = plant(['tag', 'spare', 'internal', undefined], ['tag', 'spare', 'required', true]);
  expect(words(required, 'NAM 4')).toContain('Spare of A is required, and C has no such tag');
  const waived = edited(required, ['tag', 'spare', 'notUsed', { reason: 'comes in phase two', by: 'R. Vale' }]);
  expect(theFinding(waived, 'NAM 4').severity).toBe('hint');
  expect(words(waived, 'NAM 4')).toContain('comes in phase two');
});

test('NAM 5 and SIZ 11: a hole in a series, a name that another tag has, a count that is another', () => {
  const hole = plant(['tag', 'door1', 'name', 'Gate_1']);
  expect(words(hole, 'NAM 5')).toContain('has no Door_1, and goes on after it');
  const collision = plant(['tag', 'door2', 'series', null]);
  expect(words(collision, 'NAM 5')).toContain('Door_2 of the series Door_1 is the name of another tag');
  expect(words(collision, 'NAM 5')).toContain('is one of Door_1 to Door_2, and the tag Door_2');
  // Counted on with other digits than the names that are there.
  const width = plant(['series', 'doors', 'sample', 'Door_01'], ['tag', 'door1', 'series', null]);
  expect(words(width, 'NAM 5')).toContain(
    'Door_01 of the series Door_01 is there with another number of digits, Door_1',
  );
  const more = plant(['series', 'doors', 'count', 3]);
  expect(words(more, 'SIZ 11')).toContain('has 3 points and 2 tags');
  expect(mended(more, 'SIZ 11')).toEqual([]);
});

test('NAM 6: a point that is neither bound nor declared not used; internal tags are left out', () => {
  const open = plant(['tag', 'spare', 'internal', undefined]);
  expect(words(open, 'NAM 6')).toContain('A: of 2 points 1 is neither bound nor declared not used: Spare');
  expect(codesOf(edited(open, ['tag', 'spare', 'notUsed', { reason: 'no such door', by: 'R. Vale' }]))).toEqual([
    'NAM 4',
  ]);
  // Who does not ask for tags has none to bind.
  expect(
    codesOf(plant(['exchange', 'map', 'kind', 'peer connection'], ['tag', 'spare', 'internal', undefined])),
  ).toEqual([]);
});

test('NAM 7: where some tags have a name for people, all have, and each its own', () => {
  const some = plant(['tag', 'door1', 'alias', 'Left door']);
  expect(words(some, 'NAM 7')).toContain('1 of 2 tags without an alias, where the others have one: Door_2');
  const same = edited(some, ['tag', 'door2', 'alias', 'left door']);
  expect(words(same, 'NAM 7')).toContain('2 tags have the alias Left door');
  // What nobody but its own program sees needs no name for people.
  expect(codesOf(edited(some, ['tag', 'door2', 'program', 'Main']))).not.toContain('NAM 7');
  expect(codesOf(edited(some, ['tag', 'door2', 'open', 'closed']))).not.toContain('NAM 7');
});

test('NAM 2: a list has a group for each partner, and a name is one within its group', () => {
  const project = plant();
  const named = added(project, 'tag', { ...project.get('tag', 'tag1')!, id: 'tag3', station: 'sa' });
  expect(words(named, 'NAM 2')).toContain('2 tags are called Duty');
  const bound = edited(named, ['claim', 'ca', 'place', { area: 'tag3', view: 'tag', number: 0 }]);
  expect(codesOf(bound)).not.toContain('NAM 2');
  // Before anything is bound a list says itself in which group a name stands.
  const grouped = edited(named, ['tag', 'tag1', 'group', 'Press'], ['tag', 'tag3', 'group', 'Kiln']);
  expect(codesOf(grouped)).not.toContain('NAM 2');
  expect(words(edited(grouped, ['tag', 'tag3', 'group', 'press']), 'NAM 2')).toContain('2 tags are called Duty');
});

test('NAM 8: an item text with a group that is not there; the right text is the fix', () => {
  const groups = { g: { order: 1, name: 'Plant', station: 'sc' } };
  const text = plant(
    ['exchange', 'map', 'binding', 'by item text'],
    ['station', 'sa', 'groups', groups],
    ['claim', 'ca6', 'toldPlace', 'Plnt.Duty'],
  );
  expect(words(text, 'NAM 8')).toContain('A asks for Plnt.Duty: there is no group “Plnt”');
  expect(words(text, 'NAM 8')).toContain('Plant is near: one letter differs');
  expect(fixed(text, theFinding(text, 'NAM 8')).get('claim', 'ca6')!.toldPlace).toBe('Plant.Duty[0]');
  expect(mended(text, 'NAM 8')).toEqual([]);
  expect(words(edited(text, ['claim', 'ca6', 'toldPlace', null]), 'NAM 8')).toContain('has none for it');
});

test('POS 10: two tags at one address, unless one is the alias of the other', () => {
  const at = { area: 'areaa', view: 'va', number: 500 };
  const twice = plant(
    ['tag', 'tag1', 'place', at],
    ['tag', 'spare', 'place', at],
    ['tag', 'spare', 'type', { base: 'REAL', count: 2 }],
  );
  expect(words(twice, 'POS 10')).toContain('A: Duty and Spare are both at a500–a503');
  expect(codesOf(edited(twice, ['tag', 'spare', 'alias', 'Duty']))).not.toContain('POS 10');
});

test('POS 10: two rows of a panel that ask for one address', () => {
  const z = [...plant().all('exchange')].find((e) => e.kind === 'tag map')!;
  const mapped = plant(['exchange', z.id, 'binding', 'by address'], ['claim', 'ca6', 'toldPlace', 'b20']);
  const row = mapped.get('claim', 'ca6')!;
  const second = added(mapped, 'lane', { id: 'again', order: 990, exchange: z.id, items: {} });
  const twice = added(
    second,
    'claim',
    { ...row, id: 'ca7', lane: 'again', name: 'Again', toldPlace: 'B 20' },
    { ...mapped.get('claim', 'cb6')!, id: 'cb7', lane: 'again' },
  );
  expect(words(twice, 'POS 10')).toContain('all ask for b20');
  expect(codesOf(edited(twice, ['claim', 'ca7', 'toldPlace', 'b24']))).not.toContain('POS 10');
});

test('TYP 10: a number of two registers over a neighbour that is only in the list [common practice]', () => {
  const at = (number: number) => ({ area: 'areaa', view: 'va', number });
  const listed = (number: number) =>
    added(
      edited(
        plant(),
        ['claim', 'ca', 'type', { base: 'REAL', count: 1 }],
        ['claim', 'cb', 'type', { base: 'REAL', count: 1 }],
      ),
      'tag',
      {
        id: 'beside',
        order: 99,
        station: 'sa',
        name: 'Beside',
        type: { base: 'INT', count: 1 },
        place: at(number),
      },
    );
  const two = (number: number) =>
    edited(listed(number), ...['ca', 'cb'].map((id): FieldEdit => ['claim', id, 'length', { count: 2, unit: 16 }]));
  expect(words(two(101), 'TYP 10')).toContain('takes a100–a101, and the list has Beside at a101, inside it');
  expect(codesOf(two(102))).not.toContain('TYP 10');
});

test('TYP 7: polarity is compared wherever both ends state it, by the tag at the address, too', () => {
  const tag = (id: string, station: string, area: string, view: string, number: number, polarity: string) => ({
    id,
    order: 90,
    station,
    name: id,
    type: { base: 'WORD', count: 1 },
    polarity,
    place: { area, view, number },
  });
  const listed = (polarity: string) =>
    added(
      edited(plant(), ['claim', 'ca', 'type', null], ['claim', 'cb', 'type', null]),
      'tag',
      tag('atA', 'sa', 'areaa', 'va', 100, 'true at rest'),
      tag('atB', 'sb', 'areab', 'vb', 200, polarity),
    );
  expect(words(listed('true when active'), 'TYP 7')).toContain('atA is true at rest at A, atB true when active at B');
  expect(codesOf(listed('true at rest'))).not.toContain('TYP 7');
});

// A contact closed at rest gives 1 while nothing happens. [common practice]
test('TYP 7: polarity differs, or is turned over twice, so that only the trial passes', () => {
  const differs = plant(['tag', 'tag1', 'polarity', 'true at rest'], ['tag', 'tag2', 'polarity', 'true when active']);
  expect(words(differs, 'TYP 7')).toContain('Duty is true at rest at A, Duty true when active at C');
  expect(mended(differs, 'TYP 7')).toEqual([]);
  const twice = edited(
    differs,
    ['tag', 'tag1', 'polarity', 'true when active'],
    ['lane', 'lane6', 'contact', 'true at rest'],
  );
  expect(words(twice, 'TYP 7')).toContain('inverted twice');
  expect(mended(twice, 'TYP 7')).toEqual([]);
});

test('TYP 8: unit and scaling of the two tags', () => {
  expect(words(plant(['tag', 'tag1', 'unit', 'bar'], ['tag', 'tag2', 'unit', 'mbar']), 'TYP 8')).toContain(
    'Duty of A has bar',
  );
  const scaling = (high: number) => ({ rawLow: 0, rawHigh: 27648, low: 0, high });
  const scaled = plant(['tag', 'tag1', 'scaling', scaling(100)], ['tag', 'tag2', 'scaling', scaling(10)]);
  expect(words(scaled, 'TYP 8')).toContain('0–27648 = 0–100');
  expect(mended(scaled, 'TYP 8')).toEqual([]);
});

// Discrete in → discrete inputs; analogue out → holding registers. [common practice]
test('TYP 11: a signal in a table that is not meant for it; everything may stand in holding registers', () => {
  const asked = plant(
    ['exchange', 'x', 'kind', 'tag map'],
    ['claim', 'ca', 'place', { area: 'tag1', view: 'tag', number: 0 }],
    ['tag', 'tag1', 'signal', 'analogue out'],
    ['profile', 'pb', 'views.vb.table', 'input registers'],
  );
  expect(words(asked, 'TYP 11')).toContain('Duty of A is analogue out, and is asked for among the input registers');
  expect(codesOf(edited(asked, ['profile', 'pb', 'views.vb.table', 'holding registers']))).not.toContain('TYP 11');
});

test('CAP 4: more tags or drivers than the type takes', () => {
  const limits = { tags: { value: 1, source: 'licence' }, drivers: { value: 0, source: 'licence' } };
  const found = wordsOf(theFinding(plant(['profile', 'pa', 'limits', { tags: limits.tags }]), 'CAP 4'));
  expect(found).toContain('A: 2 tags, and its type takes 1');
  expect(words(plant(['profile', 'pa', 'limits', { drivers: limits.drivers }]), 'CAP 4')).toContain(
    '1 driver, and its type takes 0',
  );
});

test('DOC 4: an import, or a partner of another project, older than its source', () => {
  const older = plant(['import', 'imp', 'source', '2026-06-01T08:00:00Z']);
  expect(words(older, 'DOC 4')).toContain('c.csv, saved 2026-05-01; the source was changed 2026-06-01');
  const partner = plant([
    'station',
    'sc',
    'takenFrom',
    { project: 'North', station: 'G', revision: '11', newest: '12' },
  ]);
  expect(words(partner, 'DOC 4')).toContain('taken from revision 11 of North, which is at 12');
  expect(mended(partner, 'DOC 4')).toEqual([]);
});

test('DOC 4: a project beside this one is at a newer revision, typed or not, and as soon as that is known', () => {
  const taken = (revision: string) =>
    plant(['station', 'sc', 'takenFrom', { project: 'North', station: 'G', revision, newest: null }]);
  const found = (project: Project, ...beside: Beside[]) =>
    [...new CheckEngine(project, beside).findings.values()].filter(({ code }) => code === 'DOC 4');
  const [finding] = found(taken('11'), { name: 'North', revision: 14 }, { name: 'South', revision: 20 });
  expect(wordsOf(finding!)).toContain('taken from revision 11 of North, which is at 14');
  expect(found(taken('14'), { name: 'North', revision: 14 })).toEqual([]);
  expect(found(taken('as sent in May'), { name: 'North', revision: 14 })).toEqual([]);
  // Of two projects of one name nobody knows which is meant.
  expect(found(taken('11'), { name: 'North', revision: 14 }, { name: 'North', revision: 3 })).toEqual([]);
  const engine = new CheckEngine(taken('11'));
  engine.lookBeside([{ name: 'North', revision: 12 }]);
  const told = engine.advance();
  expect([...told.findings.values()].map((one) => one?.params.newest)).toEqual(['12']);
});

test('DIR 2: an entry on a tag that is for reading only', () => {
  const entry = plant(['tag', 'door1', 'access', 'read'], ['tag', 'door1', 'element', 'push button']);
  expect(words(entry, 'DIR 2')).toContain('behind a push button');
  expect(fixed(entry, theFinding(entry, 'DIR 2')).get('tag', 'door1')!.element).toBe('lamp');
});

test('NAM 2, NAM 3 and POS 12 of tags: twice, too long, kept as typed', () => {
  expect(words(plant(['tag', 'door2', 'name', 'door_1']), 'NAM 2')).toContain('B: 2 tags are called');
  expect(words(plant(['profile', 'pa', 'nameRule.longest', 4]), 'NAM 3')).toContain('Spare has 5 characters');
  expect(words(plant(['tag', 'door1', 'type', { typed: 'BOOLEAN?' }]), 'POS 12')).toContain(
    'the type “BOOLEAN?” of Door_1',
  );
});
