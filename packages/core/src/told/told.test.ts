import { newPort, newStation } from '../create/new-entities.js';
import { added, edited, twoStations } from '../testing/two-stations.testing.js';
import type { Project } from '../model/project.js';
import { nextFreeIn, pageTotals } from '../sheet/totals.js';
import { toldFields } from './told.js';

const told = (project: Project, end = 'ea') =>
  toldFields(project, project.get('exchange', 'x')!, project.get('end', end)!);

test('an empty told value takes the protocol’s default, shown as such', () => {
  const [address, port, unit] = told(twoStations());
  expect(address).toMatchObject({ field: 'address', told: '10.0.0.2', isDefault: false, same: true });
  // A Modbus server listens on TCP 502. [published: IANA service name and port number registry] [from memory]
  expect(port).toMatchObject({ field: 'tcpPort', told: '502', isDefault: true, same: true });
  // A device that stands alone takes unit 255. [published: MODBUS Messaging on TCP/IP Implementation Guide V1.0b] [from memory]
  expect(unit).toMatchObject({ field: 'unit', told: '255', isDefault: true, truth: null });
});

test('an answering end is told nothing about its callers', () => {
  expect(told(twoStations(), 'eb')).toEqual([]);
  expect(told(edited(twoStations(), ['end', 'ea', 'calling', null]))).toEqual([]);
});

test('a port that listens elsewhere than the protocol’s own is the truth', () => {
  const project = edited(twoStations(), ['port', 'portb', 'listens', { 'modbus-tcp': { tcpPort: 1502 } }]);
  expect(told(project)[1]).toMatchObject({ told: '502', truth: '1502', same: false });
});

test('an address that belongs to another station on the network is named', () => {
  const station = added(twoStations(), 'station', newStation('s9', 90, 'Nine'));
  const project = added(station, 'port', { ...newPort('p9', 10, 's9', 'net'), address: '10.0.0.9' });
  const [address] = told(edited(project, ['end', 'ea', 'told.eb.address', ' 10.0.0.9 ']));
  expect(address).toMatchObject({ same: false, former: false, belongsTo: 'Nine' });
});

describe('totals of a page', () => {
  test('count what each end writes and reads, and name the next free address', () => {
    const project = twoStations();
    expect(pageTotals(project, project.get('end', 'ea')!)).toEqual({ writes: 64, reads: 0, nextFree: 'a104' });
    expect(pageTotals(project, project.get('end', 'eb')!)).toEqual({ writes: 0, reads: 64, nextFree: 'b204' });
  });

  test('leave out what cannot be read', () => {
    const project = edited(twoStations(), ['claim', 'ca', 'length', { typed: '?' }]);
    expect(pageTotals(project, project.get('end', 'ea')!)).toEqual({ writes: 0, reads: 0, nextFree: 'a0' });
  });

  test('a full area has no free address', () => {
    const project = edited(twoStations(), ['area', 'areaa', 'words', 104]);
    expect(nextFreeIn(project, 'areaa')).toBeNull();
  });
});
