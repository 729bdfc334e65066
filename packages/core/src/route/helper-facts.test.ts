import { added, edited } from '../testing/two-stations.testing.js';
import { routedPlant } from '../testing/routed-plant.testing.js';
import { newPort } from '../create/new-entities.js';
import { findRoutes } from './find-routes.js';
import { alternativesTo, broughtAlong, toBeLoaded } from './helper-facts.js';
import { wantedHelpers } from './helpers.js';

const plant = routedPlant();
const route = plant.get('route', 'to-d')!;
const wanted = (project = plant) => wantedHelpers(project, route)[0]!;

test('the other networks of a router come along when it is drawn in', () => {
  expect(broughtAlong(plant, wanted()).map(({ network, meets }) => [network.name, meets])).toEqual([
    ['Net 1', null],
    ['Net 2', null],
  ]);
});

test('a network that shares addresses with one of the far project is said', () => {
  const own = added(plant, 'port', { ...newPort('dn', 20, 'd', 'n3'), address: '10.0.3.9' });
  const shared = edited(own, ['network', 'n3', 'subnet', '10.0.2.128/25']);
  expect(broughtAlong(shared, wanted(shared)).map(({ network, meets }) => [network.id, meets?.id])).toEqual([
    ['n1', undefined],
    ['n2', 'n3'],
  ]);
});

test('nobody has to be loaded for what only a tool reads; a gateway is a setting of the device', () => {
  const loaded = (project: typeof plant, to: string) => {
    const [way] = findRoutes(project, { from: 'a', to, port: null, traffic: 'program transfer' }, 1).found;
    return toBeLoaded(project, way!);
  };
  expect(loaded(plant, 'd')).toEqual([]);
  const packets = edited(plant, ['profile', 'router', 'forwards', { ip: { what: 'IP packets', source: 's' } }]);
  expect(loaded(packets, 't')).toEqual(['a', 't']);
  expect(loaded(edited(packets, ['station', 'a', 'roles', ['workstation']]), 't')).toEqual(['t']);
});

test('what else would do: going there oneself, another way, leaving it in', () => {
  const said = (project = plant) =>
    alternativesTo(project, route, wanted(project)).map(({ what, missing }) => [what, missing]);
  expect(said()).toEqual([
    ['attach A to Bus itself', 'A has no port on Bus'],
    ['leave R in for good', ''],
  ]);
  const attached = added(plant, 'port', { ...newPort('ab', 30, 'a', 'bus'), node: '3' });
  // Attached there, nothing has to be drawn in at all.
  expect(wantedHelpers(attached, { ...route, port: null })).toEqual([]);
});
