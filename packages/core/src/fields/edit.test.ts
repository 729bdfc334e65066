import { applied, edited, twoStations } from '../testing/two-stations.testing.js';
import { newArea, newView } from '../create/new-entities.js';
import type { NotationId } from '../model/words.js';
import type { FieldEdit } from '../text/field-edit.js';
import { createExchange } from '../exchange/create-exchange.js';
import { editField, fieldText } from './field.js';
import { AREA } from './area.js';
import { editTold } from './end.js';
import { EXCHANGE } from './exchange.js';
import { NETWORK } from './network.js';
import { PORT } from './port.js';
import { addReservation, RESERVATION } from './reservation.js';
import { STATION } from './station.js';
import { VIEW } from './view.js';
import { entryOf, typing } from '../testing/typing.testing.js';

const after = (edit: FieldEdit, project = twoStations()) => applied(project, { id: 'e', label: '', changes: edit.changes });
const station = (column: keyof typeof STATION.fields, text: string) => {
  const project = twoStations();
  return editField(STATION, column, project.get('station', 'sa')!, text, typing(project));
};
const port = (column: keyof typeof PORT.fields, text: string) => {
  const project = twoStations();
  return editField(PORT, column, project.get('port', 'portb')!, text, { project: project, newId: () => 'fresh' });
};
const exchange = (field: keyof typeof EXCHANGE.fields, text: string) => editField(EXCHANGE, field, twoStations().get('exchange', 'x')!, text, typing());

test('several roles, and a profile by its name', () => {
  expect(after(station('roles', 'controller, router')).get('station', 'sa')!.roles).toEqual(['controller', 'router']);
  expect(after(station('profile', 'profile B')).get('station', 'sa')!.profile).toBe('pb');
  expect(station('roles', 'boss').problem).toContain('“boss” is not a valid role; write controller');
  expect(station('profile', 'none such').problem).toContain('profiles: Profile a, Profile b');
});

test('an address with its mask sets both, and the old one becomes a former', () => {
  const result = after(port('address', '10.0.0.77/16')).get('port', 'portb')!;
  expect(result).toMatchObject({ address: '10.0.0.77', mask: '255.255.0.0', former: ['10.0.0.2'] });
  expect(port('address', '10.0.0.77/40').problem).toContain('/40 is above /32');
});

test('a network that is not there yet is made', () => {
  const project = after(port('network', 'Quay LAN'));
  expect(project.get('network', 'fresh')?.name).toBe('Quay LAN');
  expect(project.get('port', 'portb')?.network).toBe('fresh');
});

test('ports, units and sizes are whole numbers in their range', () => {
  expect(after(port('tcpPort', '1502')).get('port', 'portb')!.listens).toEqual({ 'modbus-tcp': { tcpPort: 1502 } });
  expect(port('tcpPort', '70000').problem).toContain('70000 is out of range');
  expect(port('unit', '3,5').problem).toContain('with a comma');
  const area = twoStations().get('area', 'areaa')!;
  expect(after(editField(AREA, 'words', area, '6144 words', typing())).get('area', 'areaa')!.words).toBe(6144);
  expect(editField(AREA, 'words', area, '-1', typing()).problem).toContain('is not a whole number');
  expect(after(editField(AREA, 'writers', area, 'exchanges only', typing())).get('area', 'areaa')!.writers).toEqual([]);
  expect(after(editField(AREA, 'writers', area, 'program, keys', typing())).get('area', 'areaa')!.writers).toEqual(['program', 'keys']);
});

test('a view of the area’s own, and a reservation by address', () => {
  const project = edited(twoStations(), ['area', 'areaa', 'views', { own: { order: 1, name: 'v', notation: 'iec elements', unit: 16, first: 0 } }]);
  const area = project.get('area', 'areaa')!;
  const notation = after(editField(VIEW, 'notation', entryOf(area, 'views', 'own'), 'reference 6', typing()), project).get('area', 'areaa')!;
  expect(notation.views.own).toMatchObject({ notation: 'reference 6', first: 1, table: 'holding registers' });
  expect(editField(VIEW, 'name', entryOf(area, 'views', 'va'), 'x', typing()).problem).toContain('one of the profile');
  const taken = after(addReservation(area, 'r'), project);
  const ranged = taken.get('area', 'areaa')!;
  const reserved = after(editField(RESERVATION, 'from', entryOf(ranged, 'reservations', 'r'), 'a10', typing(project)), taken).get('area', 'areaa')!;
  expect(reserved.reservations.r).toMatchObject({ start: 160 });
  expect(editField(RESERVATION, 'from', entryOf(ranged, 'reservations', 'r'), 'q10', typing(project)).problem).toContain('is not an address');
});

test('interval in ms, s or min; another protocol brings its facts along', () => {
  expect(after(exchange('cadence', '2 s')).get('exchange', 'x')!.cadence).toBe(2000);
  expect(after(exchange('cadence', '')).get('exchange', 'x')!.cadence).toBeNull();
  expect(exchange('cadence', '0').problem).toContain('0 is out of range');
  expect(exchange('cadence', 'often').problem).toContain('is not a whole number');
  const other = after(exchange('protocol', 'other')).get('exchange', 'x')!;
  expect(other).toMatchObject({ protocol: 'other', facts: { carries: 'bytes', places: 'free' } });
  expect(exchange('protocol', 'telepathy').problem).toContain('write Modbus TCP, Modbus RTU,');
});

test('told is stored as typed', () => {
  const end = twoStations().get('end', 'ea')!;
  expect(after(editTold(end, 'eb', 'tcpPort', ' 503 ')).get('end', 'ea')!.told.eb).toMatchObject({
    address: '10.0.0.2',
    tcpPort: '503',
  });
});

test('a new exchange has two ends with their first ports, the first calls', () => {
  let n = 0;
  const project = twoStations();
  const { id, changes } = createExchange(project, { name: 'New', kind: 'peer connection', protocol: 'modbus-tcp', stations: ['sb', 'sa'] }, () => `n${n++}`);
  const made = applied(project, { id: 'c', label: '', changes });
  const ends = made.referrers('end', id).map((e) => made.get('end', e)!);
  expect(ends.map((e) => [e.station, e.port, e.calling])).toEqual([
    ['sb', 'portb', 'calls'],
    ['sa', 'porta', 'listens'],
  ]);
});

test('a network: its kind by the start of the word, its subnet as it is meant, or refused with what would be right', () => {
  const network = twoStations().get('network', 'net')!;
  expect(editField(NETWORK, 'kind', network, 'serial', typing()).changes[0]!.after).toBe('serial line');
  expect(editField(NETWORK, 'kind', network, 'string', typing()).problem).toContain('write ethernet, serial line');
  expect(editField(NETWORK, 'subnet', network, '10.48.10.7/24', typing()).changes[0]!.after).toBe('10.48.10.0/24');
  expect(editField(NETWORK, 'subnet', network, '10.48.10/24', typing()).problem).toContain('has 3 parts');
  expect(editField(NETWORK, 'subnet', { ...network, subnet: '10.0.0.0/8' }, '', typing()).changes[0]!.after).toBeUndefined();
});

test('a view: how its numbers are written, which table it has, bits of a byte offset', () => {
  const withView = (notation: NotationId) => ({
    ...newArea('a', 1, 's', 'Memory'),
    views: { v: newView(1, notation) },
  });
  const after = (notation: NotationId, column: keyof typeof VIEW.fields, text: string) =>
    editField(VIEW, column, entryOf(withView(notation), 'views', 'v'), text, typing());
  expect(after('prefix and number', 'written', 'hex, 4').changes.map((c) => c.after)).toEqual(['hexadecimal', 4]);
  expect(after('prefix and number', 'written', '5 digits').changes.map((c) => c.after)).toEqual([undefined, 5]);
  expect(after('prefix and number', 'written', 'roman').problem).toContain('write decimal, hexadecimal');
  expect(after('table and number', 'prefix', 'coils').changes[0]!.after).toBe('coils');
  expect(after('table and number', 'prefix', 'drawer').problem).toContain('holding registers');
  expect(after('byte offset', 'unit', '16').problem).toContain('a byte has 8 bits');
  expect(after('prefix and number', 'access', 'read').changes[0]!.after).toBe('read');
  const entry = { ...newView(1, 'prefix and number'), radix: 'hexadecimal' as const, digits: 4 };
  const row = { entity: withView('byte offset'), key: 'v', entry };
  expect(fieldText(VIEW, 'written', row, twoStations())).toBe('hexadecimal, 4 digits');
});
