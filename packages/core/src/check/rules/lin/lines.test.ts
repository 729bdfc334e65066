import { put } from '../../../change/make.js';
import { newPort } from '../../../create/new-entities.js';
import { smallPlant } from '../../../testing/random-edits.testing.js';
import { mended, plant, words } from '../../../testing/edited-plant.testing.js';
import {
  added,
  applied,
  codesOf,
  edited,
  findingsOf,
  fixed,
  theFinding,
  twoStations,
  wordsOf,
  type FieldEdit,
} from '../../../testing/two-stations.testing.js';

test('LIN 1: the one whose parity differs, with both settings, against the caller of the line', () => {
  const parity: FieldEdit = ['port', 'pl3', 'serial', '9600 8N1'];
  const said = words('LIN 1', parity);
  expect(said).toContain('C has 9600 8N1');
  expect(said).toContain('9600 8E1: parity');
  expect(mended('LIN 1', parity)).toEqual([]);
  expect(words('LIN 1', ['port', 'pl3', 'serial', '19200 8O2'])).toContain('rate, parity, stop bits');
  // Of seven data bits RTU framing speaks: one cause, one finding.
  expect(codesOf(plant(['port', 'pl3', 'serial', '9600 7E1']))).toEqual(['LIN 6']);
});

test('LIN 1: a setting that cannot be read is said where it stands', () => {
  expect(words('LIN 1', ['port', 'pl2', 'serial', '9600'])).toContain('“9600” is not a valid serial setting');
});

test('LIN 2: another electrical standard; three on a line for two', () => {
  expect(words('LIN 2', ['port', 'pl2', 'electrical', 'RS-422'])).toContain('RS-422');
  const said = words('LIN 2', ['network', 'line', 'wiring', 'point-to-point']);
  expect(said).toContain('3 devices on a line for two');
});

// A driver carries 32 unit loads. [published: TIA-485-A] [from memory]
test('LIN 3: the 33rd device on a line', () => {
  const more = (count: number) =>
    applied(smallPlant(), {
      id: 'm',
      label: '',
      changes: Array.from({ length: count }, (_, i) => put('port', newPort(`more${i}`, 1000 + i, 'sd', 'line'))),
    });
  expect(codesOf(more(29))).toEqual([]);
  expect(wordsOf(theFinding(more(30), 'LIN 3'))).toContain('33 devices on one line');
});

test('LIN 4: two callers, or none', () => {
  const two: FieldEdit = ['port', 'pl2', 'lineRole', 'calls'];
  expect(words('LIN 4', two)).toContain('both call');
  expect(mended('LIN 4', two)).toEqual([]);
  expect(words('LIN 4', ['port', 'pl1', 'lineRole', 'answers'])).toContain('nobody calls');
});

test('LIN 5: rate, bus profile, and an active node above the highest address', () => {
  const rate: FieldEdit = ['port', 'pn2', 'busRate', '1.5 Mbit/s'];
  expect(words('LIN 5', rate)).toContain('Bus runs at 500 kbit/s');
  expect(mended('LIN 5', rate)).toEqual([]);
  const times: FieldEdit[] = [
    ['network', 'bus', 'busProfile', 'standard'],
    ['port', 'pn2', 'busProfile', 'long lines'],
  ];
  expect(words('LIN 5', ...times)).toContain('long lines');
  expect(mended('LIN 5', ...times)).toEqual([]);
  const above: FieldEdit = ['network', 'bus', 'highestAddress', '4'];
  expect(words('LIN 5', above)).toContain('node 5, above the highest address 4');
  expect(mended('LIN 5', above)).toEqual([]);
});

test('LIN 7: a port that is off, or meant for programming only', () => {
  const off: FieldEdit = ['port', 'portc', 'enabled', false];
  expect(words('LIN 7', off)).toContain('is not enabled');
  expect(mended('LIN 7', off)).toEqual([]);
  const purpose: FieldEdit = ['port', 'portc', 'purpose', 'programming'];
  expect(words('LIN 7', purpose)).toContain('programming only');
  expect(mended('LIN 7', purpose)).toEqual([]);
  // A port beside it that is meant for it comes first.
  const two = added(plant(purpose), 'port', {
    ...newPort('beside', 90, 'sc', 'net'),
    name: 'Second',
    address: '10.0.0.33',
  });
  const finding = findingsOf(two).find((f) => f.code === 'LIN 7')!;
  const after = fixed(two, finding);
  expect([...after.all('end')].some((end) => end.port === 'beside')).toBe(true);
});

test('LIN 7: an I/O port carries no requests between controllers, but those to an I/O device', () => {
  const codes = (...edits: FieldEdit[]) => findingsOf(edited(twoStations(), ...edits)).map(({ code }) => code);
  const purpose: FieldEdit = ['port', 'portb', 'purpose', 'I/O'];
  expect(codes(purpose)).toEqual(['LIN 7']);
  expect(codes(purpose, ['station', 'sb', 'roles', ['remote I/O head']])).not.toContain('LIN 7');
  expect(codes(purpose, ['station', 'sb', 'roles', ['remote I/O head']], ['end', 'eb', 'calling', 'calls'])).toContain(
    'LIN 7',
  );
});

test('LIN 7: no port chosen, on no network, or without an address is not known yet, once and not as a wrong address', () => {
  const found = (...edits: FieldEdit[]) =>
    findingsOf(edited(twoStations(), ...edits)).map((f) => `${f.code} ${f.message}`);
  expect(found(['end', 'ea', 'port', null])).toEqual(['LIN 7 noPort']);
  expect(found(['port', 'porta', 'network', null])).toEqual(['LIN 7 unattached']);
  expect(found(['port', 'portb', 'address', ''])).toEqual(['LIN 7 noAddress']);
  expect(found(['port', 'porta', 'address', ''], ['port', 'porta', 'how', 'automatic'])).toEqual([]);
  // Of an outside station only what is on paper is known.
  expect(found(['end', 'ea', 'port', null], ['station', 'sa', 'party', 'outside'])).toEqual([]);
});

test('LIN 8: another id; no base; one unit planned and two there', () => {
  const id: FieldEdit = ['port', 'pr2', 'radio.id', '8'];
  expect(words('LIN 8', id)).toContain('network id 8');
  expect(mended('LIN 8', id)).toEqual([]);
  expect(words('LIN 8', ['port', 'pr1', 'radio.sort', 'repeater'])).toContain('no unit is the base');
  expect(words('LIN 8', ['port', 'pr2', 'radio.sort', 'base'])).toContain('are set up as its base');
  const two = applied(smallPlant(), {
    id: 'two',
    label: '',
    changes: [put('port', { ...newPort('pr3', 90, 'sc', 'air'), radio: { sort: 'end unit', id: '7', number: '3' } })],
  });
  const finding = theFinding(two, 'LIN 8');
  expect(wordsOf(finding)).toContain('1 end unit planned at A, 2 there');
  expect(codesOf(fixed(two, finding))).toEqual([]);
});

test('LIN 8: a dial that was turned and not read in', () => {
  const project = applied(plant(['module', 'm2', 'dial', '3'], ['module', 'm2', 'dialRead', false]), {
    id: 'air',
    label: '',
    changes: [put('port', { ...newPort('pr4', 90, 'sd', 'air'), radio: { sort: 'end unit', id: '7', number: '3' } })],
  });
  const found = edited(project, ['network', 'air', 'radio.endUnits', 2]);
  expect(wordsOf(theFinding(found, 'LIN 8'))).toContain('not read in since it was turned');
});

test('LIN 6: seven data bits cannot carry RTU frames; ten bits a character is a Hint [published: MODBUS over Serial Line V1.02, 2.5.1] [from memory]', () => {
  const all = (serial: string): FieldEdit[] => ['pl1', 'pl2', 'pl3'].map((id) => ['port', id, 'serial', serial]);
  expect(codesOf(plant(...all('9600 8N2')))).toEqual([]);
  expect(codesOf(plant(...all('9600 8N1')))).toEqual(['LIN 6']);
  expect(theFinding(plant(...all('9600 8N1')), 'LIN 6').severity).toBe('hint');
  const seven = plant(...all('9600 7E1'));
  expect(codesOf(seven)).toEqual(['LIN 6', 'LIN 6', 'LIN 6']);
  // Nothing of the line frames in RTU once nobody makes requests there.
  expect(codesOf(edited(seven, ['exchange', 'rtu', 'protocol', 'dnp3'])).filter((c) => c === 'LIN 6')).toEqual([]);
});

test('LIN 7: a protocol that is switched off in the role that an exchange needs', () => {
  const off: FieldEdit = ['port', 'portb', 'off', { 'modbus-tcp': { roles: ['listens'] } }];
  expect(words('LIN 7', off)).toContain('Modbus TCP is switched off at B, where it listens');
  expect(mended('LIN 7', off)).toEqual([]);
  expect(codesOf(plant(['port', 'portb', 'off', { 'modbus-tcp': { roles: ['calls'] } }]))).toEqual([]);
});

test('LIN 7: what is wrong with a port is told once, however many exchanges go through it', () => {
  const first = twoStations();
  const more = added(
    added(first, 'exchange', { ...first.get('exchange', 'x')!, id: 'y', name: 'Second' }),
    'end',
    { ...first.get('end', 'ea')!, id: 'ya', exchange: 'y' },
    { ...first.get('end', 'eb')!, id: 'yb', exchange: 'y' },
  );
  const finding = theFinding(edited(more, ['port', 'portb', 'enabled', false]), 'LIN 7');
  expect(wordsOf(finding)).toContain('Exchange and Second: the port of B is not enabled');
  expect(finding.cells.map(({ id }) => id)).toEqual(['portb', 'eb', 'yb']);
});
