import { ROUTE_FIELDS, routedPlant } from '../testing/routed-plant.testing.js';
import { added, edited, without } from '../testing/two-stations.testing.js';
import { newNetwork, newPort, newStation } from '../create/new-entities.js';
import { inOrder } from '../model/order.js';
import { Project } from '../model/project.js';
import type { Traffic } from '../model/words.js';
import { findRoutes, type FoundRoute } from './find-routes.js';
import { expectationHolds, reachOf, throughWords } from './reach.js';
import { wantedHelpers } from './helpers.js';
import { judgeText } from './judge-text.js';
import { routeFormOf, routeText } from './route-text.js';

const plant = routedPlant();
const way = (project: Project, from: string, to: string, traffic: Traffic = 'requests', port: string | null = null) =>
  findRoutes(project, { from, to, traffic, port });
const text = (project: Project, from: string, to: string, traffic?: Traffic) =>
  way(project, from, to, traffic).found.map(({ hops }) => routeText(hops, routeFormOf(project, from)));

test('a way leads over networks, through what passes this traffic, and through the backplane to the CPU', () => {
  expect(text(plant, 'a', 't')).toEqual(['Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 0']);
  expect(text(plant, 'a', 'd', 'program transfer')).toEqual(['Net 1 > 10.0.1.2 / Bus > 9']);
  // From a module of its own the first hop is through the backplane, too.
  expect(text(plant, 't', 'r')).toEqual(['rack > 1 / Net 2 > 10.0.2.2']);
  expect(way(plant, 'a', 't').found[0]!.hops.map((hop) => hop.kind)).toEqual(['network', 'network', 'backplane']);
});

test('no backplane hop where the port is on the CPU itself', () => {
  expect(text(edited(plant, ['port', 't2', 'module', 'cpu']), 'a', 't')).toEqual([
    'Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9',
  ]);
});

// [common practice] A coupler passes its own data only; a memory gateway answers itself; a request router passes requests.
test.each([
  ['a coupler', plant, 'q', 'requests', 'stops at K: K is a coupler'],
  ['a request router', plant, 'd', 'cyclic data', 'passes requests and service access, and no cyclic data'],
  ['a gateway', edited(plant, ['station', 'k', 'roles', ['gateway']]), 'q', 'requests', 'from a memory of its own'],
  [
    'old firmware',
    edited(plant, ['station', 'r', 'firmware.f.version', '2.3']),
    'd',
    'firmware',
    'from firmware 2.4 on',
  ],
  ['a port that is off', edited(plant, ['port', 't2', 'enabled', false]), 't', 'requests', 'it is not enabled'],
  ['no address', edited(plant, ['port', 't2', 'address', '']), 't', 'requests', 'it has none yet'],
  [
    'another subnet',
    edited(plant, ['port', 't2', 'address', '10.0.7.9']),
    't',
    'requests',
    '10.0.2.2 is in 10.0.2.0/24, 10.0.7.9 in 10.0.7.0/24',
  ],
  ['no CPU', edited(plant, ['module', 'cpu', 'kind', 'other']), 't', 'requests', 'its rack holds none there'],
  ['what the port takes', edited(plant, ['port', 'db', 'takes', ['firmware']]), 'd', 'looking on', 'it takes firmware'],
] as const)('what stops a way is said with the furthest station reached: %s', (_, project, to, traffic, why) => {
  const { found, nearest, why: said } = way(project, 'a', to, traffic);
  expect([found, said]).toEqual([[], expect.stringContaining(why) as string]);
  expect(nearest?.failures.length).toBeGreaterThan(0);
});

test('where no network leads there at all, nothing is near', () => {
  const alone = added(plant, 'station', newStation('z', 90, 'Z'));
  expect(way(alone, 'a', 'z')).toEqual({ found: [], nearest: null, why: 'no network leads from A towards Z' });
  expect(way(alone, 'z', 'a').why).toBe('Z is not connected to a network');
  expect(way(plant, 'a', 'a').why).toBe('A is where it begins');
});

// [published: RFC 1122, 3.3.1: a host sends to its own network directly, and else through a gateway on it] [from memory]
test('an IP router passes what is IP where each side names it as its gateway, and is not written in the text', () => {
  const packets = edited(plant, ['profile', 'router', 'forwards', { p: { what: 'IP packets', source: 's' } }]);
  expect(text(packets, 'a', 't', 'program transfer')).toEqual(['Net 2 > 10.0.2.9 / rack > 0']);
  const noBack = edited(packets, ['port', 't2', 'gateway', '']);
  expect(way(noBack, 'a', 't', 'requests', 'a1').nearest?.failures[0]?.condition).toMatchObject({
    code: 'ROU 9',
    found: 'it has none',
  });
  const wrong = edited(packets, ['port', 'a1', 'gateway', '10.0.1.9']);
  expect(way(wrong, 'a', 't', 'requests', 'a1').nearest?.failures[0]?.condition).toMatchObject({
    code: 'ROU 6',
    found: 'it has 10.0.1.9',
  });
  // A bus carries no IP packets.
  expect(way(packets, 'a', 'd').found).toEqual([]);
});

test('programs on one computer reach each other there', () => {
  const together = edited(plant, ['station', 'q', 'runsOn', 'a']);
  expect(way(together, 'q', 'a').found[0]!.hops[0]).toMatchObject({ kind: 'same computer', address: '127.0.0.1' });
  // Its true addresses are those of the host.
  expect(text(together, 'q', 'r')).toEqual(['Net 1 > 10.0.1.2']);
});

// [common practice] Several controllers that are software on one computer are told from each other by their slots there.
test('a program on a host is reached through the host, by the slot that it has there', () => {
  const program = newStation('soft', 95, 'Soft');
  const onHost = added(plant, 'station', { ...program, runsOn: 'r' });
  // Alone, and no slot said: its host's address is all there is.
  expect(text(onHost, 'a', 'soft')).toEqual(['Net 1 > 10.0.1.2']);
  const rack = { ...plant.get('rack', plant.get('module', 'cpu')!.rack)!, id: 'softrack', station: 'soft' };
  const cpu = { ...plant.get('module', 'cpu')!, id: 'softcpu', rack: 'softrack', slot: 3, name: 'Soft CPU' };
  const slotted = added(added(onHost, 'rack', rack), 'module', cpu);
  expect(text(slotted, 'a', 'soft')).toEqual(['Net 1 > 10.0.1.2 / rack > 3']);
  expect(way(slotted, 'a', 'soft').found[0]!.cost).toBe(costOf(way(slotted, 'a', 'soft').found[0]!));
  // In the rack of the host a CPU of its name says so, too.
  const named = added(onHost, 'rack', { ...rack, id: 'hostrack', station: 'r' });
  const inHost = added(named, 'module', { ...cpu, rack: 'hostrack', slot: 2, name: 'Soft' });
  expect(text(inHost, 'a', 'soft')).toEqual(['Net 1 > 10.0.1.2 / rack > 2']);
  const route = { id: 'x', order: 1, from: 'a', to: 'soft', port: null, traffic: 'requests', stated: {} } as never;
  expect(judgeText(slotted, route, 'Net 1 > 10.0.1.2').faults).toMatchObject([
    { kind: 'rack missing', right: 'rack > 3' },
  ]);
  expect(judgeText(slotted, route, 'Net 1 > 10.0.1.2 / rack > 4').faults[0]!.found).toBe('slot 4 holds nothing');
});

test('other ways come after the best, and none meets a station twice', () => {
  const more = { ...newPort('k2', 20, 'k', 'n2'), name: 'k2', address: '10.0.2.4' };
  const second = added(edited(plant, ['port', 'a2', 'enabled', true]), 'port', more);
  expect(text(second, 'a', 't')).toEqual([
    'Net 2 > 10.0.2.9 / rack > 0',
    'Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 0',
  ]);
  expect(findRoutes(second, { from: 'a', to: 't', traffic: 'requests', port: 'a1' }).found).toHaveLength(1);
});

/** What a way costs by its hops and the conditions that are shown. */
const costOf = ({ hops }: FoundRoute) =>
  hops.reduce((sum, hop) => {
    const failing = hop.conditions.filter(({ holds, code }) => holds === false && code !== 'ROU 5').length;
    const unknown = hop.conditions.filter(({ holds }) => holds === null).length;
    return sum + (hop.kind === 'backplane' ? 2 : 10) + failing * 100_000 + unknown;
  }, 0);

test('what a search counts is what is shown: the costs of a way are those of its hops and conditions', () => {
  const edits = ROUTE_FIELDS.filter(([kind]) => kind === 'port' || kind === 'profile' || kind === 'station');
  for (const [kind, path, values, which] of edits) {
    for (const entity of inOrder(plant, kind)) {
      if (which && !which.test(entity.id)) continue;
      for (const value of values) {
        const project = edited(plant, [kind, entity.id, path, value]);
        for (const to of ['t', 'd', 'q', 'r']) {
          const { found, nearest } = way(project, 'a', to, 'requests');
          for (const one of [...found, ...(nearest ? [nearest] : [])]) expect(costOf(one)).toBe(one.cost);
        }
      }
    }
  }
});

test('whether an expectation holds, and through what or why not', () => {
  const expected = plant.get('expectation', 'must')!;
  expect(expectationHolds(plant, expected)).toEqual({
    holds: true,
    why: 'over Net 1, through R, over Net 2',
    back: 'yes, over Net 2, through R, over Net 1',
  });
  expect(expectationHolds(plant, { ...expected, must: 'must not reach' }).holds).toBe(false);
  expect(expectationHolds(plant, plant.get('expectation', 'not')!)).toMatchObject({ holds: true });
  expect(reachOf(plant, { from: 't', to: 'a', traffic: 'requests' }).reaches).toBe(true);
  expect(throughWords(plant, way(plant, 'a', 'd').found[0]!)).toBe('over Net 1, through R, over Bus');
});

test('a router on the way of an engineer’s tool is drawn into the far project, with its address there', () => {
  const route = plant.get('route', 'to-d')!;
  expect(wantedHelpers(plant, route)).toMatchObject([
    { station: 'd', standsFor: 'r', drawnAs: 'router', address: '5' },
  ]);
  expect(wantedHelpers(plant, { ...route, traffic: 'requests' })).toEqual([]);
  expect(wantedHelpers(without(plant, 'helper', 'helper'), route)[0]!.known).toBeNull();
});

test('among 200 stations in a ring the search ends, with the shorter way round first', () => {
  const count = 200;
  const numbers = Array.from({ length: count }, (_, i) => i);
  const router = plant.get('profile', 'router')!;
  const ring = Project.of({
    project: [{ id: 'project', name: 'Ring' }],
    profile: [{ ...router, forwards: { r: { what: 'requests', source: 's' } } }],
    station: numbers.map((i) => ({
      ...newStation(`s${i}`, i, `S${i}`),
      roles: ['router' as const],
      profile: 'router',
    })),
    network: numbers.map((i) => newNetwork(`n${i}`, i, `N${i}`)),
    port: numbers.flatMap((i) => [
      { ...newPort(`p${i}`, 1, `s${i}`, `n${i}`), address: `10.${i}.0.1` },
      { ...newPort(`q${i}`, 2, `s${i}`, `n${(i + 1) % count}`), address: `10.${(i + 1) % count}.0.2` },
    ]),
  });
  const { found } = way(ring, 's0', 's50');
  expect(found.map(({ hops }) => hops.length)).toEqual([50, 150]);
});
