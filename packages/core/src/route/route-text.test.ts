import fc from 'fast-check';
import { routedPlant } from '../testing/routed-plant.testing.js';
import { edited } from '../testing/two-stations.testing.js';
import { HOP_ORDERS } from '../model/words.js';
import type { RouteHop } from './hop.js';
import { judgeText } from './judge-text.js';
import { readRouteText, routeText, wayText, type RouteForm } from './route-text.js';

const plant = routedPlant();
const route = plant.get('route', 'to-t')!;
const faults = (text: string, project = plant) =>
  judgeText(project, route, text).faults.map(({ kind, hop, found, right }) => [kind, hop, found, right]);
const RIGHT = 'Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 0';

const hop = (number: number, name: string, address: string): RouteHop => ({
  kind: 'network',
  from: '',
  to: '',
  fromPort: null,
  toPort: null,
  network: null,
  silent: false,
  conditions: [],
  lets: [],
  way: { number, name },
  address,
});
const forms = fc.record({
  separator: fc.constantFrom(' / ', ', ', ';', '\\'),
  joint: fc.constantFrom(' > ', '=', ' : '),
  hopOrder: fc.constantFrom(...HOP_ORDERS),
  named: fc.boolean(),
  firstPort: fc.boolean(),
  quote: fc.constantFrom('', '"'),
});
const hops = fc.array(
  fc.record({
    number: fc.integer({ min: 1, max: 14 }),
    name: fc.constantFrom('Plant LAN', 'rack', 'Bus'),
    address: fc.constantFrom('10.0.0.1', '0', '17'),
  }),
  { minLength: 1, maxLength: 8 },
);

test('a route written in any form is read back hop by hop', () => {
  fc.assert(
    fc.property(hops, forms, (list, form: RouteForm) => {
      const written = list.map(({ number, name, address }) => hop(number, name, address));
      const read = readRouteText(routeText(written, form), form);
      const expected = written.map((one, i) => ({
        way: i === 0 && !form.firstPort ? '' : wayText(one, form),
        address: one.address,
      }));
      expect(read).toEqual({ ok: true, value: expected });
    }),
  );
});

test('one separator for hops and for their parts is read two by two', () => {
  const form: RouteForm = {
    separator: ',',
    joint: ',',
    hopOrder: 'way first',
    named: false,
    firstPort: true,
    quote: '',
  };
  const read = readRouteText('2,10.0.0.1,1,0', form);
  expect(read.ok && read.value).toEqual([
    { way: '2', address: '10.0.0.1' },
    { way: '1', address: '0' },
  ]);
  expect(readRouteText('2,10.0.0.1,1', form)).toMatchObject({
    ok: false,
    found: 'hop 2, “1”, has not the form of one',
  });
});

test('the right text has no fault; what is wrong is said at its hop', () => {
  expect(faults(RIGHT)).toEqual([]);
  expect(faults('')).toEqual([]);
  expect(faults(RIGHT.toLowerCase())).toEqual([]);
  expect(faults('Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9')).toEqual([
    ['rack missing', 2, 'the hop through the backplane is left out', 'rack > 0'],
  ]);
  expect(faults('Net 2 > 10.0.2.9 / rack > 0')).toEqual([
    ['hop missing', 0, 'the hop over Net 1 is left out', 'Net 1 > 10.0.1.2'],
  ]);
  expect(faults('Net 1 > 10.0.1.7 / Net 2 > 10.0.2.9 / rack > 0')).toEqual([
    ['not there', 0, '“Net 1 10.0.1.7” is nobody’s address there', 'Net 1, 10.0.1.2'],
  ]);
});

// [common practice] The classic slip: the slot of the communication module in place of the CPU's.
test.each([
  ['1', 'slot 1 holds link, no CPU'],
  ['99', 'slot 99 holds nothing'],
  ['x', '“x” is not a valid slot'],
])('a slot that holds no CPU: %s', (slot, found) => {
  expect(faults(`Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > ${slot}`)).toEqual([['no CPU', 2, found, 'slot 0']]);
});

test('a backplane hop where none is needed', () => {
  const onCpu = edited(plant, ['port', 't2', 'module', 'cpu']);
  expect(faults(RIGHT, onCpu)[0]!.slice(0, 2)).toEqual(['rack needless', 2]);
});

test.each([
  ['Net 1 > 10.0.1.2 / / rack > 0', 'hop 2 is empty'],
  ['Net 1 - 10.0.1.2', 'hop 1, “Net 1 - 10.0.1.2”, has not the form of one'],
  [Array(30).fill('Net 1 > 10.0.1.2').join(' / '), '30 hops'],
  ['x'.repeat(10_000), '10000 characters'],
])('what cannot be read is said, and what would be right: %#', (text, found) => {
  const [first] = judgeText(plant, route, text).faults;
  expect(first).toMatchObject({ kind: 'unread', found: expect.stringContaining(found) as string, right: RIGHT });
});

test('a loop is more than the way, and is said where it begins', () => {
  const loop = 'Net 1 > 10.0.1.2 / Net 1 > 10.0.1.1 / Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 0';
  expect(faults(loop)[0]![1]).toBe(1);
});

test('an address that somebody has is named with its owner; a loopback address never leaves the computer', () => {
  expect(faults('Net 1 > 10.0.1.4 / Net 2 > 10.0.2.9 / rack > 0')[0]).toEqual([
    'not there',
    0,
    '“Net 1 10.0.1.4” is K, not on the way',
    'Net 1, 10.0.1.2',
  ]);
  expect(faults('Net 1 > 10.0.1.1 / Net 2 > 10.0.2.9 / rack > 0')[0]![2]).toBe('“Net 1 10.0.1.1” is A itself');
  expect(faults('Net 1 > 127.0.0.1')[0]![2]).toBe('“Net 1 127.0.0.1” is A itself, and T is on another computer');
});

test('of two programs on one computer the way is the computer itself: another address is the other computer', () => {
  const together = edited(plant, ['station', 't', 'runsOn', 'a'], ['port', 't2', 'network', null]);
  expect(faults('same computer > 127.0.0.1', together)).toEqual([]);
  expect(faults('Net 1 > 10.0.1.2', together)[0]![2]).toBe('“10.0.1.2” is the other computer; T is on the same one');
  expect(faults('Net 1 > 10.0.1.1', together)[0]![2]).toBe('“10.0.1.1” leaves the computer, and T is on it');
});
