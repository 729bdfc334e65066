import { newNetwork, newPort, newStation } from '../create/new-entities.js';
import { added, edited, twoStations } from '../testing/two-stations.testing.js';
import { ownPorts } from './own-port.js';

/** A laptop with one adapter on Net, and one on nothing whose wide subnet covers Net's. */
function laptop() {
  const station = { ...newStation('lap', 30, 'Laptop'), roles: ['workstation' as const] };
  const other = { ...newNetwork('far', 20, 'Far'), subnet: '192.168.7.0/24' };
  const base = edited(twoStations(), ['network', 'net', 'subnet', '10.0.0.0/24']);
  return added(
    added(added(base, 'station', station), 'network', other),
    'port',
    { ...newPort('first', 10, 'lap', 'net'), address: '10.0.0.200' },
    { ...newPort('second', 20, 'lap', null), address: '10.0.1.2', mask: '255.255.248.0' },
  );
}
const on = (project: ReturnType<typeof laptop>, network: string) =>
  ownPorts(project, project.get('station', 'lap')!).find((p) => p.network.id === network)!;

test('the adapter that is attached, on its own address; the other would mislead', () => {
  const net = on(laptop(), 'net');
  expect(net).toMatchObject({ port: { id: 'first' }, address: '10.0.0.200/24', toSet: false });
  expect(net.others[0]?.why).toContain('its subnet 10.0.0.0/21 overlaps that of Net');
});

test('an address outside the subnet is to be set, a free one is proposed', () => {
  const net = on(edited(laptop(), ['port', 'first', 'address', '172.16.0.9']), 'net');
  expect(net).toMatchObject({ address: '10.0.0.3/24', toSet: true });
  expect(net.why).toContain('must be in 10.0.0.0/24 with mask 255.255.255.0');
});

test('for a network that no adapter is attached to, the loose one, with a first address there', () => {
  const far = on(laptop(), 'far');
  expect(far).toMatchObject({ port: { id: 'second' }, address: '192.168.7.1/24', toSet: true });
  expect(far.others[0]?.why).toBe('it is attached to another network');
  expect(on(edited(laptop(), ['port', 'second', 'enabled', false]), 'far').port).toBeNull();
});

test('an adapter of a virtual machine: the host’s adapter that it is bridged to is the one to plug in', () => {
  const bridged = edited(laptop(), ['port', 'first', 'bridgedTo', 'portb']);
  expect(on(bridged, 'net').why).toContain('it is bridged to Ethernet of B, which is plugged in there');
  const elsewhere = edited(bridged, ['port', 'portb', 'network', 'far']);
  expect(on(elsewhere, 'net').why).toContain('it is bridged to Ethernet of B: plug that one into Net');
});
