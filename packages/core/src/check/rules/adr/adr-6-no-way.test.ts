import { newNetwork, newPort, newStation } from '../../../create/new-entities.js';
import { added, codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const apart = () =>
  edited(twoStations(), ['port', 'portb', 'address', '10.0.1.2'], ['end', 'ea', 'told.eb.address', '10.0.1.2']);

test('two subnets with nothing between', () => {
  const words = wordsOf(theFinding(apart(), 'ADR 6'));
  expect(words).toContain('A is in 10.0.0.0/24, B in 10.0.1.0/24');
});

test('a router that is the gateway of both leads across', () => {
  const router = added(apart(), 'station', { ...newStation('r', 30, 'R'), roles: ['router'] });
  const wired = added(
    router,
    'port',
    { ...newPort('r1', 10, 'r', 'net'), address: '10.0.0.254' },
    { ...newPort('r2', 20, 'r', 'net'), address: '10.0.1.254' },
  );
  const named = edited(wired, ['port', 'porta', 'gateway', '10.0.0.254'], ['port', 'portb', 'gateway', '10.0.1.254']);
  expect(codesOf(named)).toEqual([]);
  expect(codesOf(edited(named, ['port', 'portb', 'gateway', '']))).toEqual(['ADR 6']);
});

test('two routers in a row lead across where each is the gateway of the one before, there and back', () => {
  const nets = added(
    apart(),
    'network',
    { ...newNetwork('mid', 20, 'Mid'), subnet: '10.0.2.0/24' },
    newNetwork('far', 30, 'Far'),
  );
  const routers = added(nets, 'profile', {
    id: 'ip',
    order: 90,
    name: 'IP router',
    layout: {},
    views: {},
    limits: {},
    words: {},
    nameRule: { caseMatters: false, source: 's' },
    forwards: { ip: { what: 'IP packets', source: 's' } },
  });
  const router = (id: string) => ({ ...newStation(id, 40, id), roles: ['router' as const], profile: 'ip' });
  const at = (id: string, station: string, network: string, address: string, gateway = '') => ({
    ...newPort(id, 10, station, network),
    address,
    mask: '255.255.255.0',
    gateway,
  });
  const wired = added(
    added(routers, 'station', router('r1'), router('r2')),
    'port',
    at('r1a', 'r1', 'net', '10.0.0.254'),
    at('r1b', 'r1', 'mid', '10.0.2.1', '10.0.2.2'),
    at('r2a', 'r2', 'mid', '10.0.2.2', '10.0.2.1'),
    at('r2b', 'r2', 'far', '10.0.1.254'),
  );
  const named = edited(
    wired,
    ['port', 'portb', 'network', 'far'],
    ['port', 'porta', 'gateway', '10.0.0.254'],
    ['port', 'portb', 'gateway', '10.0.1.254'],
  );
  expect(codesOf(named)).not.toContain('ADR 6');
  expect(codesOf(edited(named, ['port', 'r2a', 'gateway', '']))).toContain('ADR 6');
});

test('a second address of the port, or any port of the computer that a program runs on, is in the subnet', () => {
  const further = { f: { order: 1, address: '10.0.1.9', mask: '255.255.255.0', how: 'by hand' } };
  expect(codesOf(edited(apart(), ['port', 'porta', 'further', further]))).toEqual([]);
  const host = added(apart(), 'station', newStation('host', 30, 'Host'));
  const wired = added(host, 'port', { ...newPort('ph', 10, 'host', 'net'), address: '10.0.1.50' });
  expect(codesOf(wired)).toContain('ADR 6');
  expect(codesOf(edited(wired, ['station', 'sa', 'runsOn', 'host']))).not.toContain('ADR 6');
});
