import { CheckEngine } from '../../engine.js';
import { newEnd, newPort } from '../../../create/new-entities.js';
import { proposeStart, startMembers, stepWords } from '../../../exchange/start-sequence.js';
import { mended, plant, words } from '../../../testing/edited-plant.testing.js';
import { smallPlant } from '../../../testing/random-edits.testing.js';
import {
  added,
  applied,
  codesOf,
  edited,
  fixed,
  theFinding,
  twoStations,
  wordsOf,
  type FieldEdit,
} from '../../../testing/two-stations.testing.js';

const closed: FieldEdit = ['claim', 'cb3', 'open', 'closed'];

test('DIR 3: what is closed to others is refused, what is open for reading only cannot be set', () => {
  expect(words('DIR 3', closed)).toContain('closed to others at C, and A reads it');
  expect(mended('DIR 3', closed)).toEqual([]);
  expect(codesOf(plant(['claim', 'cb3', 'open', 'may read']))).toEqual([]);
  const sets: FieldEdit[] = [
    ['claim', 'cb3', 'open', 'may read'],
    ['claim', 'cb3', 'direction', 'both'],
    ['claim', 'ca3', 'direction', 'both'],
  ];
  expect(wordsOf(theFinding(plant(...sets), 'DIR 3'))).toContain('A sets it, and C lets others only read it');
  expect(mended('DIR 3', ...sets)).not.toContain('DIR 3');
  // Nothing is said of a variable that nobody has decided on.
  expect(codesOf(plant())).toEqual([]);
});

/** The exchange y through a coupler, whose two ends are on two networks. */
function coupled() {
  const base = added(smallPlant(), 'network', { id: 'far', order: 60, name: 'Far', kind: 'ethernet' });
  const ports = added(
    base,
    'port',
    { ...newPort('k1', 300, 'sd', 'net'), address: '10.0.0.40' },
    { ...newPort('k2', 310, 'sd', 'far'), address: '10.7.0.40' },
  );
  return edited(
    ports,
    ['station', 'sd', 'roles', ['coupler']],
    ['port', 'portc', 'network', 'far'],
    ['port', 'portc', 'address', '10.7.0.3'],
    ['exchange', 'y', 'via', 'sd'],
    ['end', 'ya', 'told.yc.address', '10.0.0.40'],
    ['end', 'yc', 'calling', 'calls'],
    ['end', 'yc', 'told', { ya: { address: '10.7.0.40', tcpPort: '', unit: '' } }],
  );
}

test('a coupler is called from both sides, each told its address there, and joins their subnets for its own area', () => {
  expect(codesOf(coupled())).toEqual([]);
  const wrong = edited(coupled(), ['end', 'yc', 'told.ya.address', '10.0.0.40']);
  expect(wordsOf(theFinding(wrong, 'ADR 13'))).toContain('C has address 10.0.0.40 entered for D; it is 10.7.0.40');
  // Without a coupler there is no way, and nobody listens.
  expect(codesOf(edited(coupled(), ['exchange', 'y', 'via', null]))).toEqual(
    expect.arrayContaining(['ADR 6', 'DIR 6']),
  );
});

test('DIR 7: the same slot on both sides of a coupler', () => {
  const slots: FieldEdit[] = [
    ['claim', 'ca3', 'slot', 3],
    ['claim', 'cb3', 'slot', 4],
  ];
  const project = edited(coupled(), ...slots);
  expect(wordsOf(theFinding(project, 'DIR 7'))).toContain('slot 3 at A, slot 4 at C');
  expect(codesOf(edited(project, ['claim', 'cb3', 'slot', 3]))).toEqual([]);
});

test('DIR 13: both ends on one side; a slot twice in one direction, but not in both', () => {
  const one = edited(coupled(), ['port', 'portc', 'network', 'net']);
  expect([...new CheckEngine(one).findings.values()].filter((f) => f.code === 'DIR 13').map((f) => f.severity)).toEqual(
    ['blocker'],
  );
  const project = coupled();
  const [ca, cb] = ['ca3', 'cb3'].map((id) => project.get('claim', id)!);
  const more = added(project, 'lane', { id: 'lane4', order: 20, exchange: 'y', items: {} });
  const at = (area: string, view: string, number: number) => ({ area, view, number });
  const two = added(
    more,
    'claim',
    { ...ca!, id: 'ca4', lane: 'lane4', name: 'More', slot: 3, toldPlace: 'b40', place: at('areaa', 'va', 340) },
    { ...cb!, id: 'cb4', lane: 'lane4', name: 'More', slot: 3, place: at('areac', 'vb', 40) },
  );
  const same = edited(two, ['claim', 'ca3', 'slot', 3], ['claim', 'cb3', 'slot', 3]);
  expect(codesOf(same)).toEqual(['DIR 13', 'DIR 13']);
  const other = edited(same, ['claim', 'ca4', 'direction', 'writes'], ['claim', 'cb4', 'direction', 'reads']);
  expect(codesOf(other)).toEqual([]);
});

test('DIR 9: cyclic data asks for a decision; what returns by itself, and a source that knows nothing, are Doubts', () => {
  const loss = (value: unknown): FieldEdit => ['exchange', 'y', 'onLoss', value];
  expect(words('DIR 9', loss(null))).toContain(
    'not decided what the sinks do (A), whether the source is told of it (C) and how',
  );
  const told = { sinks: 'go to zero', source: 'is told by a status', back: 'wait for a release' };
  expect(codesOf(plant(loss(told)))).toEqual([]);
  expect(words('DIR 9', loss({ ...told, back: 'come back by themselves' }))).toContain('come back by themselves');
  expect(mended('DIR 9', loss({ ...told, back: 'come back by themselves' }))).toEqual([]);
  expect(words('DIR 9', loss({ ...told, source: 'goes on commanding' }))).toContain('goes on commanding');
  // Each of the three is asked for; those that are open stand in one finding.
  expect(words('DIR 9', loss({ ...told, back: undefined }))).toContain('not decided: how outputs come back');
  expect(words('DIR 9', loss({ sinks: told.sinks }))).toContain('told of it (C) and how outputs come back');
  // A request that is not answered is known to fail.
  expect(codesOf(edited(twoStations(), ['exchange', 'x', 'onLoss', null]))).toEqual([]);
});

test('SIZ 5: 125 registers are read and 123 written at once [published: MODBUS Application Protocol V1.1b3, 6.3, 6.12] [from memory]', () => {
  const long = (count: number): FieldEdit[] =>
    ['ca', 'cb'].flatMap((id): FieldEdit[] => [
      ['claim', id, 'length', { count, unit: 16 }],
      ['claim', id, 'type', { base: 'WORD', count }],
    ]);
  const over = (count: number) => codesOf(plant(...long(count))).includes('SIZ 5');
  const writes = plant().get('claim', 'ca')?.direction === 'writes';
  expect([over(writes ? 123 : 125), over(writes ? 124 : 126)]).toEqual([false, true]);
});

test('TIM 1 and 2: not more often than a pass of the program, not given up before the next is due', () => {
  expect(words('TIM 1', ['station', 'sc', 'scan', 250])).toContain(
    'interval 100 ms is shorter than the scan of C, 250 ms',
  );
  expect(mended('TIM 1', ['station', 'sc', 'scan', 250])).toEqual([]);
  expect(words('TIM 2', ['exchange', 'y', 'timeout', 50])).toContain(
    'timeout 50 ms is shorter than the interval, 100 ms',
  );
  expect(mended('TIM 2', ['exchange', 'y', 'timeout', 50])).toEqual([]);
  expect(codesOf(plant(['exchange', 'y', 'timeout', 100]))).toEqual([]);
});

test('DIR 10: cyclic data without a status or a heartbeat; a named one will do', () => {
  const unwatched: FieldEdit = ['exchange', 'y', 'watchedBy', ''];
  const untold: FieldEdit[] = [['exchange', 'y', 'onLoss', { sinks: 'go to zero' }], unwatched];
  expect(words('DIR 10', ...untold)).toContain('nothing shows its ends that the other is still there');
  expect(codesOf(plant(untold[0]!))).not.toContain('DIR 10');
  // Told by a status: then one has to be named.
  expect(words('DIR 10', unwatched)).toContain('is told of a lost link by a status, and no status is named');
});

test('DIR 11: what watches an exchange is not open for setting, and has no second writer', () => {
  const watched: FieldEdit = ['exchange', 'y', 'watchedBy', 'lane3'];
  expect(words('DIR 11', watched, ['claim', 'cb3', 'open', 'may set'])).toContain('open to others for setting');
  const twice = words('DIR 11', watched, ['claim', 'ca2', 'place.number', 316]);
  expect(twice).toContain('Exchange, Block ca puts data there, too');
});

test('DIR 8: a station that lets nobody set refuses a caller that writes, and the fix allows it', () => {
  const reading: FieldEdit = ['station', 'sb', 'fromOutside', 'reading'];
  const found = words('DIR 8', reading, ['exchange', 'rtu', 'transfer', 'cyclic blocks']);
  expect(found).toContain('B lets others do reading only, and A needs setting');
  expect(mended('DIR 8', reading)).toEqual([]);
  expect(codesOf(plant(['station', 'sb', 'fromOutside', 'nothing']))).toEqual(['DIR 8', 'DIR 8']);
  expect(codesOf(plant(['station', 'sb', 'fromOutside', 'reading and setting']))).toEqual([]);
});

const member = (rest: object) => ({
  order: 1,
  name: 'Listen',
  offset: 16,
  bits: 1,
  use: 'to listen',
  access: 'read and set',
  signal: 'level',
  ...rest,
});
const block = (members: object) => ({ r: { order: 1, start: 1600, length: 64, owner: 'Ethernet module', members } });

test('DIR 12: what a module waits for is in the start sequence; it can be proposed', () => {
  const parts = { m: member({}), n: member({ name: 'Start', use: 'to start', role: 'calls', offset: 32 }) };
  const project = plant(['area', 'areac', 'reservations', block(parts)]);
  // C listens, so its bit for calling does not matter.
  const finding = theFinding(project, 'DIR 12');
  expect(wordsOf(finding)).toContain('lacks “sets Listen at b101, and holds it” of C');
  const y = project.get('exchange', 'y')!;
  const changes = proposeStart(project, y);
  const proposed = applied(project, { id: 'p', label: '', changes });
  expect(codesOf(proposed)).toEqual([]);
  expect(Object.values(proposed.get('exchange', 'y')!.start!)).toEqual([
    { order: 10, end: 'yc', does: 'sets Listen at b101, and holds it', member: 'areac r m' },
  ]);
  expect(proposeStart(proposed, proposed.get('exchange', 'y')!)).toEqual([]);
  // The finding's own fix adds its step.
  expect(codesOf(fixed(project, finding))).toEqual([]);
  // A step that was typed by hand and names the part, or its address, counts.
  const typed = (does: string) =>
    codesOf(edited(project, ['exchange', 'y', 'start', { s: { order: 10, end: 'yc', does } }]));
  expect([typed('sets Listen, held'), typed('holds b101'), typed('sets Listening')]).toEqual([[], [], ['DIR 12']]);
});

test('DIR 2: a step of the start sequence sets a part that can only be read', () => {
  const part = member({ name: 'Link', use: 'status', access: 'read' });
  const step = (does: string): FieldEdit[] => [
    ['area', 'areac', 'reservations', block({ m: part })],
    ['exchange', 'y', 'start', { s: { order: 10, end: 'yc', does, member: 'areac r m' } }],
  ];
  expect(codesOf(plant(...step('sees Link')))).toEqual([]);
  expect(wordsOf(theFinding(plant(...step('sets Link')), 'DIR 2'))).toContain(
    'the program of C is to set Link of Ethernet module, which can only be read',
  );
});

test('a start sequence begins with whoever listens, and sees what it may only read', () => {
  const listens = block({ m: member({}) });
  const calls = block({
    a: member({ name: 'Start', use: 'to start', role: 'calls', offset: 0, signal: 'pulse' }),
    b: member({ name: 'Link', use: 'interlock', access: 'read', offset: 8, signal: undefined }),
  });
  const project = plant(['area', 'areac', 'reservations', listens], ['area', 'areaa', 'reservations', calls]);
  const y = project.get('exchange', 'y')!;
  expect(startMembers(project, y).map(stepWords)).toEqual([
    'sets Listen at b101, and holds it',
    'sees Link at a100',
    'sets Start at a100, as a pulse',
  ]);
});

test('DIR 7: references of a connection and the width of its elements are the same at both ends', () => {
  const cip: FieldEdit[] = [
    ['exchange', 'y', 'protocol', 'cip'],
    ['end', 'ya', 'told.yc.address', '10.0.0.3'],
  ];
  const widths: FieldEdit[] = [...cip, ['end', 'ya', 'elementBits', 16], ['end', 'yc', 'elementBits', 32]];
  expect(words('DIR 7', ...widths)).toContain('A counts in elements of 16 bits, C in elements of 32');
  expect(mended('DIR 7', ...widths)).toEqual([]);
  const instances: FieldEdit[] = [
    ...cip,
    ['end', 'ya', 'references', { input: '101' }],
    ['end', 'yc', 'references', { input: '100' }],
  ];
  expect(words('DIR 7', ...instances)).toContain('input instance 101 at A, 100 at C');
  // As told, a reference drifts like an address.
  const told: FieldEdit[] = [
    ...cip,
    ['end', 'yc', 'references', { input: '100' }],
    ['end', 'ya', 'told.yc.input', '101'],
  ];
  expect(words('ADR 13', ...told)).toContain('A has input instance 101 entered for C; it is 100');
});

test('of partners chosen at run time each is compared with the caller, never with each other', () => {
  const base = smallPlant();
  const claim = base.get('claim', 'cb3')!;
  const third = added(base, 'end', { ...newEnd('yb', 30, 'y', 'sb', 'portb', 'listens'), permitted: true });
  const both = edited(
    added(third, 'claim', { ...claim, id: 'cc3', end: 'yb', place: { area: 'areab', view: 'vb', number: 600 } }),
    ['end', 'yc', 'permitted', true],
    ['claim', 'ca3', 'toldPlace', null],
    ['end', 'ya', 'told.yb', { address: '10.0.0.2', tcpPort: '', unit: '' }],
  );
  expect(codesOf(both)).toEqual([]);
  expect(new CheckEngine(both).laneResults.get('lane3')!.verdict).toBe('agreed');
  const short = edited(both, ['claim', 'cc3', 'length', { count: 3, unit: 16 }]);
  expect(wordsOf(theFinding(short, 'SIZ 1'))).toContain('reads 4 words');
});
