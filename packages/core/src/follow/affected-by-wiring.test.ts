import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { newNetwork, newPort, newStation } from '../create/new-entities.js';
import { added, applied, edited, twoStations } from '../testing/two-stations.testing.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { routedPlant } from '../testing/routed-plant.testing.js';
import { copiesOf, followUp } from '../told/copies.js';
import { goesThrough } from '../route/goes-through.js';

const port = (project: Project, id: string) => project.get('port', id)!;
const copies = (project: Project, id: string) =>
  copiesOf(project, port(project, id)).map(({ holder, field, value, state }) => [holder, field, value, state]);

test('texts of routes, permitted ones and helper objects hold an address, too; a former one is recognised', () => {
  const plant = routedPlant();
  expect(copies(plant, 't2')).toEqual([['a', 'route text', '10.0.2.9', 'as it is']]);
  expect(copies(plant, 'rb')).toEqual([['d', 'placeholder station', '5', 'as it is']]);
  expect(copies(plant, 'db')).toEqual([['a', 'permitted text', '9', 'as it is']]);
  const moved = edited(plant, ['port', 't2', 'address', '10.0.2.7'], ['port', 't2', 'former', ['10.0.2.9']]);
  expect(copies(moved, 't2')).toEqual([['a', 'route text', '10.0.2.9', 'its former address']]);
});

test('followed up, only the address in the text is another', () => {
  const moved = edited(routedPlant(), ['port', 't2', 'address', '10.0.2.7'], ['port', 't2', 'former', ['10.0.2.9']]);
  const [copy] = copiesOf(moved, port(moved, 't2'));
  const next = applied(moved, { id: 'f', label: '', changes: followUp(moved, copy!) });
  expect(next.get('route', 'to-t')!.stated).toBe('Net 1 > 10.0.1.2 / Net 2 > 10.0.2.7 / rack > 0');
  expect(copies(next, 't2')).toEqual([['a', 'route text', '10.0.2.7', 'as it is']]);
  const other = edited(routedPlant(), ['helper', 'helper', 'address', '6']);
  const [drawn] = copiesOf(other, port(other, 'rb'));
  expect(drawn).toMatchObject({ value: '6', truth: '5', state: 'another' });
  const mended = applied(other, { id: 'g', label: '', changes: followUp(other, drawn!) });
  expect(mended.get('helper', 'helper')!.address).toBe('5');
});

test('rows of tags that repeat an address are one place for each text, and are typed over together', () => {
  const rows = edited(
    smallPlant(),
    ['claim', 'ca', 'toldStation', '10.0.0.9:502/1'],
    ['port', 'portb', 'former', ['10.0.0.9']],
  );
  const copy = copiesOf(rows, port(rows, 'portb')).find(({ field }) => field === 'a row')!;
  expect(copy).toMatchObject({ holder: 'sa', value: '10.0.0.9:502/1', state: 'its former address' });
  const next = applied(rows, { id: 'f', label: '', changes: followUp(rows, copy) });
  expect(next.get('claim', 'ca')!.toldStation).toBe('10.0.0.2:502/1');
});

test('through a port go the exchanges that have an end there, and the routes that pass it: nothing else', () => {
  const plant = routedPlant();
  const through = (id: string) => {
    const { exchanges, routes } = goesThrough(plant, port(plant, id));
    return [exchanges.map((e) => e.exchange.id), routes.map((r) => [r.route.id, r.hop])];
  };
  expect(through('rb')).toEqual([[], [['to-d', 2]]]);
  expect(through('k3')).toEqual([[], []]);
  const small = smallPlant();
  const { exchanges } = goesThrough(small, port(small, 'portb'));
  const ends = childrenOf(small, 'end', 'portb').map((end) => end.exchange);
  expect(exchanges.map((e) => e.exchange.id)).toEqual([...new Set(ends)]);
});

test('a coupler carries the exchanges between its two sides, and is affected with them', () => {
  const coupler = added(added(twoStations(), 'network', newNetwork('far', 20, 'Far')), 'station', {
    ...newStation('k', 30, 'K'),
    roles: ['coupler'],
  });
  const sides = added(
    coupler,
    'port',
    newPort('k1', 10, 'k', 'net'),
    newPort('k2', 20, 'k', 'far'),
    newPort('k3', 30, 'k', null),
  );
  const via = edited(sides, ['exchange', 'x', 'via', 'k'], ['port', 'portb', 'network', 'far']);
  const carried = (id: string) => goesThrough(via, port(via, id)).exchanges.map((e) => e.exchange.id);
  expect([carried('k1'), carried('k2'), carried('k3')]).toEqual([['x'], ['x'], []]);
});
