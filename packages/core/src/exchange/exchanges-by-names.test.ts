import { stationFromLine } from '../fields/station-line.js';
import { Project } from '../model/project.js';
import { applied } from '../testing/two-stations.testing.js';
import { createExchange } from './create-exchange.js';
import { exchangesByNames } from './exchanges-by-names.js';

let ids = 0;
const newId = () => `n${++ids}`;
const plant = (...lines: string[]) =>
  lines.reduce((project, line, i) => {
    const { changes } = stationFromLine(project, line, newId);
    return applied(project, { id: `made ${i}`, label: '', changes });
  }, Project.of({}));
const asked = (project: Project, text: string) =>
  exchangesByNames(project, text).map(({ wish, protocol }) => {
    const names = wish.stations.map((id) => project.get('station', id)!.name);
    return `${wish.kind}: ${names.join(' calls ')}, ${protocol.name}`;
  });

const two = plant('CutterCtl, byte memory, 10.8.2.11/24', 'BakeCtl, registers, 10.8.2.12');

test('two controllers that speak the same are peers, whichever is named first', () => {
  expect(asked(two, 'CutterCtl → BakeCtl')[0]).toBe('peer connection: CutterCtl calls BakeCtl, Modbus TCP');
  expect(asked(two, 'BakeCtl → CutterCtl')[0]).toBe('peer connection: BakeCtl calls CutterCtl, Modbus TCP');
});

test('names may be short, and stand beside each other with any mark or word between them', () => {
  for (const text of [
    'cut → bake',
    'cut -> bake',
    'cut bake',
    'cut to bake',
    'cut, bake',
    'Cut ↔ Bake',
    'cut and bake',
  ]) {
    expect(asked(two, text)[0]).toBe('peer connection: CutterCtl calls BakeCtl, Modbus TCP');
  }
});

test('a name that fits two stations, none, or the same twice asks for nothing', () => {
  const three = plant('PumpA', 'PumpB', 'Tank');
  for (const text of ['pump → tank', 'nobody → tank', 'tank → tank', 'tank', ''])
    expect(asked(three, text)).toEqual([]);
});

test('a kind behind the names is the only one', () => {
  expect(asked(two, 'CutterCtl, BakeCtl, shared variables')).toEqual([
    expect.stringMatching(/^shared variables: CutterCtl calls BakeCtl, /),
  ]);
});

test('a protocol behind the names is the one, with the kinds that it suits', () => {
  expect(asked(two, 'CutterCtl → BakeCtl, Modbus RTU')[0]).toBe('peer connection: CutterCtl calls BakeCtl, Modbus RTU');
  expect(asked(two, 'CutterCtl → BakeCtl, gateway memory, Modbus TCP')).toEqual([
    'gateway memory: CutterCtl calls BakeCtl, Modbus TCP',
  ]);
  expect(asked(two, 'CutterCtl → BakeCtl, nonsense')).toHaveLength(3);
});

test.each([
  ['Panel, operator panel, 10.8.2.40', 'tag map: Panel calls CutterCtl'],
  ['Laptop, workstation, 10.8.2.99', 'service link: Laptop calls CutterCtl'],
  ['Meter, Modbus TCP device, 10.8.2.50', 'peer connection: CutterCtl calls Meter, Modbus TCP'],
  ['Head, remote head, 10.8.2.51', 'remote I/O: CutterCtl calls Head, Cyclic Ethernet I/O'],
  ['Gate, memory gateway, 10.8.2.52', 'gateway memory: CutterCtl calls Gate, Modbus TCP'],
])('the roles of the two say the kind and who calls: %s', (line, expected) => {
  const project = plant('CutterCtl, byte memory, 10.8.2.11/24', line);
  const [name = ''] = line.split(',');
  for (const text of [`CutterCtl → ${name}`, `${name} → CutterCtl`])
    expect(asked(project, text)[0]).toContain(expected);
});

test('two controllers on networks that only a coupler joins share the areas of the coupler', () => {
  const project = plant(
    'A, byte memory, 10.1.0.1/24',
    'B, byte memory, 10.2.0.1/24',
    'Link, coupler, 10.1.0.9, 10.2.0.9',
  );
  expect(asked(project, 'A → B')[0]).toMatch(/^coupler area: A calls B/);
});

test('a second exchange of the two has a name of its own', () => {
  const [first] = exchangesByNames(two, 'CutterCtl → BakeCtl');
  const { changes } = createExchange(two, first!.wish, newId);
  const [second] = exchangesByNames(applied(two, { id: 'x', label: '', changes }), 'CutterCtl → BakeCtl');
  expect([first!.wish.name, second!.wish.name]).toEqual([
    'CutterCtl – BakeCtl',
    'CutterCtl – BakeCtl, peer connection',
  ]);
});
