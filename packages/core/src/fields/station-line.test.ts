import fc from 'fast-check';
import { inspectEntity } from '../model/inspect.js';
import { KINDS } from '../model/kinds.js';
import { childrenOf, inOrder } from '../model/order.js';
import { Project } from '../model/project.js';
import { SHIPPED_PROFILES } from '../profiles/shipped.js';
import { applied } from '../testing/two-stations.testing.js';
import { stationFromLine } from './station-line.js';
import { plantFromLines } from './plant-from-lines.js';

let ids = 0;
const newId = () => `n${++ids}`;
const lined = (line: string | readonly string[], project = Project.of({})) => {
  const { changes, id, unread } = stationFromLine(project, line, newId);
  const after = applied(project, { id: newId(), label: '', changes });
  return { after, station: after.get('station', id)!, unread };
};
const portsOf = (project: Project, station: string) =>
  childrenOf(project, 'port', station).map(({ name, network, address, mask, unit, node }) => [
    name,
    network ? project.get('network', network)!.name : null,
    address || (unit !== null ? `unit ${unit}` : node ? `node ${node}` : ''),
    mask,
  ]);

test('a name alone is a controller with an Ethernet port on nothing', () => {
  const { after, station } = lined('PumpCtl');
  expect(station).toMatchObject({ name: 'PumpCtl', roles: ['controller'], profile: null });
  expect(portsOf(after, station.id)).toEqual([['Ethernet', null, '', '255.255.255.0']]);
});

test('name, type and address, in any order behind the name, are a station that is ready to exchange', () => {
  for (const line of ['PumpCtl, registers, 10.8.2.11/23', 'PumpCtl; 10.8.2.11/23 ;registers', 'PumpCtl\tregisters\t10.8.2.11/23']) {
    const { after, station, unread } = lined(line);
    expect(unread).toEqual([]);
    expect(after.get('profile', station.profile!)!.name).toBe('Controller with registers, low register first');
    expect(portsOf(after, station.id)).toEqual([['Ethernet', 'LAN', '10.8.2.11', '255.255.254.0']]);
    expect(inOrder(after, 'network')).toMatchObject([{ name: 'LAN', kind: 'ethernet', subnet: '10.8.2.0/23' }]);
    expect(childrenOf(after, 'area', station.id)).toMatchObject([{ name: 'Registers', wordBits: 16, words: 10_000 }]);
  }
});

test('the second takes the network that holds its address, and its mask; a short address is of the only network', () => {
  const first = lined('A, registers, 10.8.2.11/23').after;
  for (const address of ['10.8.3.7', '.7']) {
    const { after, station } = lined(`B, operator panel, ${address}`, first);
    const [port] = portsOf(after, station.id);
    expect(port).toEqual(['Ethernet', 'LAN', address === '.7' ? '10.8.2.7' : '10.8.3.7', '255.255.254.0']);
  }
  const { after, station } = lined('C, free', first);
  expect(portsOf(after, station.id)).toEqual([['Ethernet', 'LAN', '10.8.2.12', '255.255.254.0']]);
});

test('an address that no network holds makes one; two addresses are two ports', () => {
  const { after, station } = lined('Link, coupler, 10.1.0.9, 10.2.0.9');
  expect(portsOf(after, station.id)).toEqual([
    ['Side A', 'LAN', '10.1.0.9', '255.255.255.0'],
    ['Side B', 'LAN 2', '10.2.0.9', '255.255.255.0'],
  ]);
});

test('units and nodes find their line or bus by its settings, and make it where there is none', () => {
  const first = lined('Meter A, telemetry unit, unit 11 on 9600 8E1');
  expect(portsOf(first.after, first.station.id)).toEqual([
    ['Serial', 'Serial line', 'unit 11', ''],
    ['Ethernet', null, '', '255.255.255.0'],
  ]);
  const second = lined('Meter B, telemetry unit, unit free on 9600 8E1', first.after);
  expect(portsOf(second.after, second.station.id)[0]).toEqual(['Serial', 'Serial line', 'unit 12', '']);
  const other = lined('Meter C, unit 11 on 19200 8N1', second.after);
  expect(portsOf(other.after, other.station.id)).toEqual([['Serial line 2', 'Serial line 2', 'unit 11', '']]);
  const bus = lined('Press, node 4 on 187.5 kbit/s', other.after);
  expect(portsOf(bus.after, bus.station.id)).toEqual([['Token bus', 'Token bus', 'node 4', '']]);
});

test('a type that no profile has is its type as it was written, in a line as in cells', () => {
  expect(lined('PumpCtl, compact PLC, 10.8.2.11').station).toMatchObject({ name: 'PumpCtl', typeText: 'compact PLC' });
  expect(lined(['PumpCtl', 'compact PLC']).station).toMatchObject({ name: 'PumpCtl', typeText: 'compact PLC' });
  expect(lined(['PumpCtl', 'controller, registers']).station).toMatchObject({ profile: 'profile-skid' });
});

test('a line of which nothing is known is a name: nothing of it is lost', () => {
  expect(lined('Pump, north, upper').station.name).toBe('Pump, north, upper');
});

test('any line makes a station that can be stored, with all that was written', () => {
  const part = fc.oneof(
    fc.string({ maxLength: 12 }),
    fc.constantFrom('registers', 'controller', '10.1.2.3/33', '10.1.2.999', 'free', '.5', 'unit 300', 'node x', 'small'),
    fc.constantFrom(...SHIPPED_PROFILES.map(({ name }) => name)),
  );
  fc.assert(
    fc.property(fc.array(part, { minLength: 1, maxLength: 5 }), (cells) => {
      fc.pre(cells[0]!.trim() !== '');
      const { after, station } = lined(cells);
      expect(station.name).toBe(cells[0]!.trim());
      for (const kind of KINDS) for (const one of after.all(kind)) expect(inspectEntity(kind, one as never)).toEqual([]);
    }),
  );
});

test('every profile that begins with something begins with all of it, and with nothing besides', () => {
  for (const { name, begins } of SHIPPED_PROFILES) {
    const { after, station } = lined(['X', name]);
    if (!begins) throw new Error(`${name} begins with nothing`);
    expect(station.roles).toEqual(begins.roles);
    const named = (list: object) => Object.values(list).map((one: { name: string }) => one.name);
    expect(childrenOf(after, 'port', station.id).map((port) => port.name)).toEqual(named(begins.ports));
    expect(childrenOf(after, 'area', station.id).map((area) => area.name)).toEqual(named(begins.areas));
  }
});

describe('a list of stations', () => {
  const list = (text: string, project = Project.of({})) => {
    const listed = plantFromLines(project, text, newId);
    const after = applied(project, { id: newId(), label: '', changes: listed.changes });
    return { ...listed, after, names: inOrder(after, 'station').map(({ name }) => name) };
  };

  test('in cells, with commas or with wide gaps, with a heading or without, and empty lines between', () => {
    const text = 'Name\tType\tAddress\nA\tregisters\t10.1.0.1/24\n\nB, registers, 10.1.0.2\nHall panel   operator panel   10.1.0.3\n';
    const { names, stations, networks, problems } = list(text);
    expect([names, stations, networks, problems]).toEqual([['A', 'B', 'Hall panel'], 3, 1, []]);
  });

  test('a name that is there already is said with its line, and the rest is taken', () => {
    const { names, problems } = list('A\nB\na, registers\nC');
    expect(names).toEqual(['A', 'B', 'C']);
    expect(problems).toEqual(['line 3: there is a station a already']);
  });

  test('an arrow between two names is an exchange; names that are no stations are said', () => {
    const text = 'A\tbyte memory\t10.1.0.1/24\nB\tregisters\t10.1.0.2\nPanel\toperator panel\t.3\nA → B\nPanel -> A\nA → C';
    const { after, exchanges, problems } = list(text);
    expect(inOrder(after, 'exchange').map(({ name, kind }) => `${name}: ${kind}`)).toEqual(['A – B: peer connection', 'Panel – A: tag map']);
    expect([exchanges, problems]).toEqual([2, ['line 6: “A → C” does not name two stations of this project']]);
  });

  test('what a cell does not take is said with its line', () => {
    const { problems } = list('A\tregisters\t10.1.0.1/99');
    expect(problems).toEqual([expect.stringMatching(/^line 1: .*99/)]);
  });
});
