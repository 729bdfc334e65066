import { applied, edited, twoStations } from '../testing/two-stations.testing.js';
import { newArea, newView } from '../create/new-entities.js';
import type { NotationId } from '../model/words.js';
import { editArea, editReservation, editView, formatWritten, type ViewColumn } from './edit-area.js';
import { editNetwork } from './edit-network.js';
import { editPort, type PortColumn } from './edit-port.js';
import { editStation, type StationColumn } from './edit-station.js';
import type { FieldEdit } from '../text/field-edit.js';
import { editExchange, editTold, type ExchangeField } from './edit-exchange.js';
import { createExchange } from '../exchange/create-exchange.js';

const after = (edit: FieldEdit, project = twoStations()) =>
  applied(project, { id: 'e', label: '', changes: edit.changes });
const station = (column: StationColumn, text: string) => {
  const project = twoStations();
  return editStation(project, project.get('station', 'sa')!, column, text);
};
const port = (column: PortColumn, text: string) => {
  const project = twoStations();
  return editPort(project, project.get('port', 'portb')!, column, text, () => 'fresh');
};
const exchange = (field: ExchangeField, text: string) => editExchange(twoStations().get('exchange', 'x')!, field, text);

test('several roles, and a profile by its name', () => {
  expect(after(station('roles', 'controller, router')).get('station', 'sa')!.roles).toEqual(['controller', 'router']);
  expect(after(station('profile', 'profile B')).get('station', 'sa')!.profile).toBe('pb');
  expect(station('roles', 'boss').problem).toContain('“boss” is no role; write controller');
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
  expect(after(editArea(area, 'words', '6144 words')).get('area', 'areaa')!.words).toBe(6144);
  expect(editArea(area, 'words', '-1').problem).toContain('is not a whole number');
  expect(after(editArea(area, 'writers', 'exchanges only')).get('area', 'areaa')!.writers).toEqual([]);
  expect(after(editArea(area, 'writers', 'program, keys')).get('area', 'areaa')!.writers).toEqual(['program', 'keys']);
});

test('a view of the area’s own, and a reservation by address', () => {
  const project = edited(twoStations(), [
    'area',
    'areaa',
    'views',
    { own: { order: 1, name: 'v', notation: 'iec elements', unit: 16, first: 0 } },
  ]);
  const area = project.get('area', 'areaa')!;
  const notation = after(editView(area, 'own', 'notation', 'reference 6'), project).get('area', 'areaa')!;
  expect(notation.views.own).toMatchObject({ notation: 'reference 6', first: 1, table: 'holding registers' });
  expect(editView(area, 'va', 'name', 'x').problem).toContain('one of the profile');
  const reserved = after(editReservation(project, area, 'r', 'from', 'a10'), project).get('area', 'areaa')!;
  expect(reserved.reservations.r).toMatchObject({ start: 160 });
  expect(editReservation(project, area, 'r', 'from', 'q10').problem).toContain('is not an address');
});

test('cadence in ms, s or min; another protocol brings its facts along', () => {
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
  const { id, changes } = createExchange(
    project,
    { name: 'New', kind: 'peer connection', protocol: 'modbus-tcp', stations: ['sb', 'sa'] },
    () => `n${n++}`,
  );
  const made = applied(project, { id: 'c', label: '', changes });
  const ends = made.referrers('end', id).map((e) => made.get('end', e)!);
  expect(ends.map((e) => [e.station, e.port, e.calling])).toEqual([
    ['sb', 'portb', 'calls'],
    ['sa', 'porta', 'listens'],
  ]);
});

test('a network: its kind by the start of the word, its subnet as it is meant, or refused with what would be right', () => {
  const network = twoStations().get('network', 'net')!;
  expect(editNetwork(network, 'kind', 'serial').changes[0]!.after).toBe('serial line');
  expect(editNetwork(network, 'kind', 'string').problem).toContain('write ethernet, serial line');
  expect(editNetwork(network, 'subnet', '10.48.10.7/24').changes[0]!.after).toBe('10.48.10.0/24');
  expect(editNetwork(network, 'subnet', '10.48.10/24').problem).toContain('has 3 parts');
  expect(editNetwork({ ...network, subnet: '10.0.0.0/8' }, 'subnet', '').changes[0]!.after).toBeUndefined();
});

test('a view: how its numbers are written, which table it has, bits of a byte offset', () => {
  const withView = (notation: NotationId) => ({
    ...newArea('a', 1, 's', 'Memory'),
    views: { v: newView(1, notation) },
  });
  const after = (notation: NotationId, column: ViewColumn, text: string) =>
    editView(withView(notation), 'v', column, text);
  expect(after('prefix and number', 'written', 'hex, 4').changes.map((c) => c.after)).toEqual(['hexadecimal', 4]);
  expect(after('prefix and number', 'written', '5 digits').changes.map((c) => c.after)).toEqual([undefined, 5]);
  expect(after('prefix and number', 'written', 'roman').problem).toContain('write decimal, hexadecimal');
  expect(after('table and number', 'prefix', 'coils').changes[0]!.after).toBe('coils');
  expect(after('table and number', 'prefix', 'drawer').problem).toContain('holding registers');
  expect(after('byte offset', 'unit', '16').problem).toContain('a byte has 8 bits');
  expect(after('prefix and number', 'access', 'read').changes[0]!.after).toBe('read');
  expect(formatWritten({ ...newView(1, 'prefix and number'), radix: 'hexadecimal', digits: 4 })).toBe(
    'hexadecimal, 4 digits',
  );
});
