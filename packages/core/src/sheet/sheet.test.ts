import { edited, twoStations } from '../testing/two-stations.testing.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { sheetRows } from './sheet.js';

const rows = (project: Project, open: string[] = []) => {
  const [left, right] = childrenOf(project, 'end', 'x');
  return sheetRows(project, project.get('exchange', 'x')!, left!, right!, new Set(open));
};

test('each end stands in its own notation; the calling end has the other’s place under its address', () => {
  const [lane] = rows(twoStations());
  expect(lane!.left).toMatchObject({
    name: { text: 'Block ca' },
    direction: { text: 'writes' },
    area: { text: 'Memory' },
    address: { text: 'a100' },
    told: { text: 'b200' },
    length: { text: '4 words' },
    type: { text: 'REAL ×2' },
  });
  expect(lane!.right).toMatchObject({ address: { text: 'b200' }, direction: { text: 'reads' } });
  expect(lane!.right!.told).toBeUndefined();
});

test('a place that was told stands there whatever the protocol, since it is compared', () => {
  const free = { name: 'frames', carries: 'bytes', places: 'free', tcpPort: null, unitTold: false };
  const facts = [
    ['exchange', 'x', 'protocol', 'other'],
    ['exchange', 'x', 'facts', free],
  ] as const;
  const told = edited(twoStations(), ...facts, ['claim', 'ca', 'toldPlace', 'b300']);
  expect(rows(told)[0]!.left!.told).toEqual({ text: 'b300' });
  expect(rows(edited(told, ['claim', 'ca', 'toldPlace', null]))[0]!.left!.told).toBeUndefined();
});

test('what could not be read stands as it was typed, marked', () => {
  const [lane] = rows(edited(twoStations(), ['claim', 'ca', 'place', { typed: '%MZ5' }]));
  expect(lane!.left!.address).toEqual({ text: '%MZ5', unread: true });
});

test('items lie in the notation of their lane; an end that does not know one has no cells for it', () => {
  const project = edited(
    twoStations(),
    ['lane', 'lane', 'items', { k1: { order: 10 }, k2: { order: 20 } }],
    [
      'claim',
      'ca',
      'items',
      {
        k1: { name: 'One', type: { base: 'REAL', count: 1 }, offset: { bits: 0 } },
        k2: { name: 'Two', type: { base: 'BOOL', count: 1 }, offset: { bits: 32, bit: 3 } },
      },
    ],
  );
  const [lane, one, two] = rows(project, ['lane']);
  expect(lane!.left!.type).toEqual({ text: '2 values', derived: true });
  expect(one!.left).toMatchObject({ name: { text: 'One' }, address: { text: 'a100' }, length: { text: '2 words' } });
  expect(two!.left).toMatchObject({ name: { text: 'Two' }, address: { text: 'a102.3' }, length: { text: '1 bit' } });
  expect(one!.right).toBeNull();
});
