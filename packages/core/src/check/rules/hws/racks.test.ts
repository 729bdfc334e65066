import { mended, plant, words } from '../../../testing/edited-plant.testing.js';
import {
  codesOf,
  edited,
  findingsOf,
  fixed,
  theFinding,
  wordsOf,
  type FieldEdit,
} from '../../../testing/two-stations.testing.js';

test('HWS 1: two modules in a slot', () => {
  expect(words('HWS 1', ['module', 'm3', 'slot', 1])).toContain('m2 and m3 both in slot 1');
});

test('HWS 2: a slot outside the rack; a rack of another size; a landing that has another slot', () => {
  expect(words('HWS 2', ['module', 'm3', 'slot', 40])).toContain('slot 40; the rack has 0 to 3');
  const size: FieldEdit = ['rack', 'rack', 'found', 7];
  expect(words('HWS 2', size)).toContain('4 slots planned, 7 found');
  expect(mended('HWS 2', size)).toEqual([]);
  const told: FieldEdit = ['landing', 'l2', 'slot', 2];
  expect(words('HWS 2', told)).toContain('A has m2 in slot 2; it is in slot 1');
  expect(mended('HWS 2', told)).toEqual([]);
});

test('HWS 2: a landing with other bytes than the module has', () => {
  const project = plant(['landing', 'l2', 'outputs', 7]);
  const finding = findingsOf(project).find((f) => f.code === 'HWS 2')!;
  expect(wordsOf(finding)).toContain('7 bytes of outputs');
  expect(codesOf(fixed(project, finding))).not.toContain('HWS 2');
});

test('HWS 3: a gap where none is allowed', () => {
  expect(words('HWS 3', ['module', 'm3', 'slot', 3])).toContain('slot 2 is empty');
  expect(codesOf(plant(['module', 'm3', 'slot', 3], ['rack', 'rack', 'gaps', true]))).toEqual([]);
});

test('HWS 4: a module in a zone for another kind, and one that the base does not take', () => {
  const zones = { z: { order: 1, name: 'Heads', slot: 0, size: 2, kinds: ['head'] } };
  expect(words('HWS 4', ['rack', 'rack', 'zones', zones])).toContain('zone Heads takes head only');
  const takes: FieldEdit[] = [
    ['rack', 'rack', 'takes', ['DO-16']],
    ['module', 'm1', 'orderCode', 'HD-9'],
    ['module', 'm1', 'found', null],
  ];
  expect(words('HWS 4', ...takes)).toContain('HD-9, which this base does not take');
});

// [common practice]
test('HWS 5: 5.2 accepted, 4.6 found: both figures, and the found one is accepted, not any', () => {
  const refused: FieldEdit = ['landing', 'l2', 'accepted', '5.2'];
  const said = words('HWS 5', refused);
  expect(said).toContain('A accepts 5.2');
  expect(said).toContain('4.6 was found');
  expect(said).toContain('Do not enter “any”');
  const project = plant(refused);
  const accepted = (choice: number) =>
    fixed(project, theFinding(project, 'HWS 5'), choice).get('landing', 'l2')?.accepted;
  expect([accepted(0), accepted(1)]).toEqual(['4.6–4.x', '4.6']);
  expect(words('HWS 5', ['landing', 'l2', 'accepted', 'newest'])).toContain('“newest” is not a valid revision');
  // Before anybody has looked it is the list that says what will be there; afterwards the two are compared.
  const listed = { orderCode: 'DO-16', revision: '3.1', source: 'offer of May' };
  const module = project.get('landing', 'l2')!.module;
  const ordered = plant(
    ['module', module, 'found', null],
    ['module', module, 'listed', listed],
    ['landing', 'l2', 'accepted', '4.6'],
  );
  const said2 = findingsOf(ordered).find((f) => f.code === 'HWS 5')!;
  expect(wordsOf(said2)).toContain('the hardware list has 3.1');
  const another = plant(['module', module, 'listed', listed]);
  expect(wordsOf(findingsOf(another).find((f) => f.code === 'HWS 5')!)).toContain(
    'revision 4.6 was found, and the hardware list has 3.1',
  );
});

test('HWS 6: any revision is a Doubt', () => {
  expect(theFinding(plant(['landing', 'l2', 'accepted', 'any']), 'HWS 6').severity).toBe('doubt');
});

test('HWS 7: another order code in the list, in the rack, or at a controller', () => {
  const listed: FieldEdit = ['module', 'm2', 'listed', { orderCode: 'DO-32', revision: '', source: 'list of May' }];
  expect(words('HWS 7', listed)).toContain('planned DO-16, listed DO-32 (list of May)');
  const found: FieldEdit = ['module', 'm2', 'found', { orderCode: 'DO-8', revision: '4.6' }];
  expect(words('HWS 7', found)).toContain('DO-8 was found');
  const landing: FieldEdit = ['landing', 'l2', 'orderCode', 'DO-4'];
  expect(words('HWS 7', landing)).toContain('A has DO-4 entered for m2 in slot 1');
  expect(mended('HWS 7', landing)).toEqual([]);
  // Another code than on the list and than in the rack: both are told, and not once more at who claims it.
  const both = plant(
    ['module', 'm2', 'orderCode', 'DO-99'],
    ['module', 'm2', 'listed', { orderCode: 'DO-16', revision: '' }],
  );
  expect(
    findingsOf(both)
      .filter((f) => f.code === 'HWS 7')
      .map((f) => f.message),
  ).toEqual(['listed', 'found']);
});

test('HWS 4: zones that overlap, or reach outside the rack', () => {
  const zone = (order: number, name: string, slot: number, size: number) => ({ order, name, slot, size, kinds: [] });
  const zones = (a: object, b: object): FieldEdit => ['rack', 'rack', 'zones', { a, b }];
  expect(codesOf(plant(zones(zone(1, 'Left', 0, 2), zone(2, 'Right', 2, 2))))).toEqual([]);
  expect(words('HWS 4', zones(zone(1, 'Left', 0, 3), zone(2, 'Right', 2, 2)))).toContain(
    'the zones Right and Left both have slots 2',
  );
  expect(words('HWS 4', zones(zone(1, 'Left', 0, 2), zone(2, 'Right', 2, 3)))).toContain(
    'zone Right has slots 2 to 4; the rack has 0 to 3',
  );
});

test('NAM 1: a module without a name that another controller has entered', () => {
  expect(words('NAM 1', ['module', 'm2', 'name', ''])).toContain('A module of D that A has entered has no name');
  expect(codesOf(plant(['module', 'm1', 'name', '']))).not.toContain('NAM 1');
});

test('HWS 9: two modules in one range of their owner’s image', () => {
  expect(words('HWS 9', ['landing', 'l3', 'outputsAt.number', 700])).toContain('overlap');
  expect(codesOf(plant(['landing', 'l3', 'outputsAt.number', 701]))).toEqual([]);
});

test('HWS 10: no description, or one of another version', () => {
  const project = plant(['module', 'm3', 'description', '2.1']);
  expect(wordsOf(theFinding(project, 'HWS 10'))).toContain('has no description of m3');
  const other = edited(project, ['landing', 'l3', 'description', '2.0']);
  expect(wordsOf(theFinding(other, 'HWS 10'))).toContain('description 2.0');
  expect(codesOf(fixed(other, theFinding(other, 'HWS 10')))).toEqual([]);
});

test('DIR 4: two owners of one module’s outputs, and either can give way', () => {
  const two: FieldEdit = ['landing', 'l4', 'role', 'owner'];
  expect(words('DIR 4', two)).toContain('A and B both claim to own it');
  for (const choice of [0, 1]) {
    const project = plant(two);
    expect(codesOf(fixed(project, theFinding(project, 'DIR 4'), choice))).toEqual([]);
  }
  // A module without outputs may have as many as like to read it.
  expect(codesOf(plant(two, ['module', 'm2', 'outputs', 0]))).toEqual([]);
});

test('DIR 5: a controller that does not own what is in its own rack', () => {
  const project = plant(['station', 'sd', 'roles', ['controller']], ['landing', 'l3', 'role', 'listener']);
  expect(wordsOf(theFinding(project, 'DIR 5'))).toContain('D does not own m2 in slot 1 in its own rack; A does');
  // One decision is one finding, however many modules it is about.
  const both = edited(project, ['landing', 'l3', 'role', 'owner']);
  expect(wordsOf(theFinding(both, 'DIR 5'))).toContain('D does not own m2 in slot 1 and m3 in slot 2');
  expect(codesOf(both).filter((code) => code === 'DIR 5')).toHaveLength(1);
});

test('CAP 1 to 3: over the limits of the profile, with their source', () => {
  const limits = (key: string, value: number): FieldEdit => [
    'profile',
    'pa',
    'limits',
    { [key]: { value, source: 'data sheet, 7' } },
  ];
  expect(words('CAP 1', limits('connections', 1))).toContain('3 connections, and its type takes 1');
  expect(words('CAP 2', limits('bytes', 10))).toContain('at most 10 (data sheet, 7)');
  expect(words('CAP 3', limits('nodes', 2))).toContain('3 nodes');
  expect(codesOf(plant(limits('connections', 3)))).toEqual([]);
  // A limit says what it counts: A has one connection with C, and two with B, of which one is over each Modbus.
  expect(words('CAP 1', limits('connections-per-partner', 1))).toContain('2 connections with one partner');
  expect(codesOf(plant(limits('connections-per-partner', 2)))).toEqual([]);
  expect(words('CAP 1', limits('connections-by-modbus-tcp', 0))).toContain('1 connection over Modbus TCP');
  expect(codesOf(plant(limits('connections-by-modbus-tcp', 1)))).toEqual([]);
  const unsourced: FieldEdit = ['profile', 'pa', 'limits', { connections: { value: 1, source: '' } }];
  expect(words('CAP 1', unsourced)).not.toContain('()');
});

test('DOC 1 and 5: who answers for a station, and who may change it', () => {
  const one = plant(['station', 'sa', 'supplier', 'Coldside']);
  expect(codesOf(one)).toEqual(['DOC 1', 'DOC 1', 'DOC 1']);
  expect(words('DOC 5', ['station', 'sb', 'guard', 'default password'])).toContain('still the default password');
});

test('HWS 8: firmware is compared part by part with what the protocol needs', () => {
  const needs = (firmware: string): FieldEdit => [
    ...(['profile', 'pb', 'speaks'] as const),
    { 'modbus-tcp': { roles: ['calls', 'listens'], media: ['ethernet'], firmware, source: 'release note 4' } },
  ];
  expect(words('HWS 8', needs('4.2'))).toContain('CPU 4.1; Modbus TCP from 4.2 on (release note 4)');
  expect(words('HWS 8', needs('4.10'))).toContain('B has firmware 4.1, and Modbus TCP needs 4.10');
  expect(codesOf(plant(needs('4.1')))).not.toContain('HWS 8');
});
