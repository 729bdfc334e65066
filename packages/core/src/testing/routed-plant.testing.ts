import type { Change } from '../change/change.js';
import { set } from '../change/make.js';
import { newNetwork, newPort, newStation } from '../create/new-entities.js';
import type { Module } from '../model/module.js';
import type { Port } from '../model/port.js';
import { Project } from '../model/project.js';
import type { Route } from '../model/route.js';
import type { ModuleKind, Traffic } from '../model/words.js';

const S = 'assumed for the example';

const port = (id: string, station: string, network: string, address: string, rest: Partial<Port> = {}): Port => ({
  ...newPort(id, 10, station, network),
  name: id,
  address,
  ...rest,
});
const plugged = (id: string, slot: number, kind: ModuleKind): Module => ({
  id,
  order: slot,
  name: id,
  rack: 'rack',
  slot,
  kind,
  orderCode: 'M',
  inputs: 0,
  outputs: 0,
});
const route = (id: string, order: number, to: string, traffic: Traffic, stated: string): Route => ({
  id,
  order,
  from: 'a',
  to,
  port: 'a1',
  traffic,
  stated,
});

/**
 * A asks over Net 1; R routes to Net 2 and to a bus; T on Net 2 has its CPU in slot 0 and its port on a module in slot 1;
 * D is on the bus; K couples Net 1 with Net 3, where Q is alone.
 */
export function routedPlant(): Project {
  const net = (id: string, order: number, name: string, subnet: string) => ({ ...newNetwork(id, order, name), subnet });
  return Project.of({
    project: [{ id: 'project', name: 'Routes' }],
    profile: [
      {
        id: 'router',
        order: 10,
        name: 'Router',
        layout: {},
        views: {},
        limits: {},
        words: {},
        nameRule: { caseMatters: false, source: S },
        forwards: {
          requests: { what: 'requests', source: S },
          service: { what: 'service access', firmware: '2.4', source: S },
        },
      },
    ],
    station: [
      newStation('a', 10, 'A'),
      {
        ...newStation('r', 20, 'R'),
        roles: ['router'],
        profile: 'router',
        firmware: { f: { order: 10, part: '', version: '2.10' } },
      },
      newStation('t', 30, 'T'),
      newStation('d', 40, 'D'),
      { ...newStation('k', 50, 'K'), roles: ['coupler'] },
      newStation('q', 60, 'Q'),
    ],
    rack: [{ id: 'rack', order: 10, name: 'Rack', station: 't', size: 4, first: 0, gaps: true, zones: {}, takes: [] }],
    module: [plugged('cpu', 0, 'CPU'), plugged('link', 1, 'communication'), plugged('out', 2, 'other')],
    network: [
      net('n1', 10, 'Net 1', '10.0.1.0/24'),
      net('n2', 20, 'Net 2', '10.0.2.0/24'),
      net('n3', 30, 'Net 3', '10.0.3.0/24'),
      { ...newNetwork('bus', 40, 'Bus'), kind: 'token bus', busRate: '500 kbit/s', highestAddress: '126' },
    ],
    port: [
      port('a1', 'a', 'n1', '10.0.1.1', { gateway: '10.0.1.2' }),
      port('a2', 'a', 'n2', '10.0.2.1', { enabled: false }),
      port('r1', 'r', 'n1', '10.0.1.2'),
      port('r2', 'r', 'n2', '10.0.2.2'),
      port('rb', 'r', 'bus', '', { node: '5', busActive: true }),
      port('t2', 't', 'n2', '10.0.2.9', { module: 'link', gateway: '10.0.2.2' }),
      port('db', 'd', 'bus', '', { node: '9', busActive: true }),
      port('k1', 'k', 'n1', '10.0.1.4'),
      port('k3', 'k', 'n3', '10.0.3.4'),
      port('q3', 'q', 'n3', '10.0.3.9'),
    ],
    route: [
      route('to-t', 10, 't', 'requests', 'Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 0'),
      {
        ...route('to-d', 20, 'd', 'program transfer', ''),
        built: { from: 'a tag', checked: true, permitted: { one: { order: 10, text: 'Net 1 > 10.0.1.2 / Bus > 9' } } },
      },
      { ...route('to-r', 30, 'r', 'requests', ''), port: null },
    ],
    helper: [
      {
        id: 'helper',
        order: 10,
        station: 'd',
        standsFor: 'r',
        route: 'to-d',
        drawnAs: 'router',
        address: '5',
        presence: 'planned',
      },
      {
        id: 'other',
        order: 20,
        station: 'd',
        standsFor: 'k',
        route: 'to-d',
        drawnAs: 'router',
        address: '7',
        presence: 'planned',
      },
    ],
    expectation: [
      { id: 'must', order: 10, from: 'a', to: 't', traffic: 'requests', must: 'must reach' },
      { id: 'not', order: 20, from: 'a', to: 'q', traffic: 'requests', must: 'must not reach' },
    ],
  });
}

/** Both at once: R passes IP packets, and T has no gateway to answer through. */
export function noWayBack(project: Project): Change[] | null {
  const [router, port] = [project.get('profile', 'router'), project.get('port', 't2')];
  if (!router || !port) return null;
  return [
    set('profile', router, ['forwards'], { packets: { what: 'IP packets', source: S } }),
    set('port', port, ['gateway'], ''),
  ];
}

/** Fields of that plant with values that make and mend what rules of routes look for. */
export const ROUTE_FIELDS = [
  [
    'route',
    'stated',
    ['', 'Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 0', 'Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9'],
    /to-t/,
  ],
  ['route', 'stated', ['Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 1', 'Net 1 > 10.0.1.7', '> /', ''], /to-t/],
  ['route', 'port', [null, 'a1']],
  ['route', 'to', ['t', 'q', 'd'], /to-t/],
  ['route', 'built.checked', [true, false], /to-d/],
  ['station', 'roles', [['controller'], ['workstation'], ['router']], /^[akt]$/],
  ['station', 'firmware.f.version', ['2.10', '2.3'], /^r$/],
  [
    'profile',
    'forwards',
    [
      { requests: { what: 'requests', source: S }, service: { what: 'service access', firmware: '2.4', source: S } },
      { packets: { what: 'IP packets', source: S } },
      { service: { what: 'service access', source: S } },
      null,
    ],
  ],
  ['port', 'enabled', [true, false], /^[rt]/],
  ['port', 'enabled', [false, true], /^a2$/],
  ['port', 'address', ['10.0.2.9', '', '10.0.7.9'], /^t2$/],
  ['port', 'address', ['10.0.1.1', '10.0.8.1'], /^a1$/],
  ['port', 'gateway', ['10.0.1.2', '10.0.2.2', ''], /^(a1|t2)$/],
  ['port', 'takes', [null, ['firmware'], ['requests']], /^(t2|db)$/],
  ['port', 'network', ['n1', 'n2', null], /^(k3|r2)$/],
  ['port', 'tunnel', [null, '192.168.170.1-8', '10.0.2.100-120', ''], /^r[1b]$/],
  ['network', 'subnet', ['10.0.3.0/24', '10.0.2.0/24'], /^n3$/],
  ['module', 'kind', ['CPU', 'other'], /^cpu$/],
  ['module', 'slot', [0, 3], /^cpu$/],
  ['helper', 'presence', ['planned', 'found', 'removed']],
  ['helper', 'address', ['5', '7', '']],
  ['expectation', 'must', ['must reach', 'must not reach']],
] as const;
