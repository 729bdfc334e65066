import fc from 'fast-check';
import { CheckEngine } from '../check/engine.js';
import { childrenOf, inOrder } from '../model/order.js';
import { Project } from '../model/project.js';
import { formatAddress } from '../place/format-address.js';
import { memoryOf } from '../place/memory.js';
import { readable } from '../model/as-typed.js';
import { applied } from '../testing/two-stations.testing.js';
import { layTwoLists, type ListedSide } from './two-lists.js';

let ids = 0;
const newId = () => `n${++ids}`;
const side = (name: string, address: string, ...rows: string[]): ListedSide => ({
  name,
  address,
  list: rows.join('\n'),
});

function laid(left: ListedSide, right: ListedSide, before = Project.of({})) {
  const made = layTwoLists(before, [left, right], newId);
  const project = applied(before, { id: newId(), label: '', changes: made.changes });
  const ends = childrenOf(project, 'end', made.exchange);
  const lanes = childrenOf(project, 'lane', made.exchange).map((lane) =>
    ends.map((end) => {
      const claim = childrenOf(project, 'claim', lane.id).find((one) => one.end === end.id);
      const place = readable(claim?.place);
      const memory = place && memoryOf(project, place.area);
      return claim ? `${claim.name} ${String(claim.direction)} ${memory ? formatAddress(memory, place) : '?'}` : null;
    }),
  );
  return { ...made, project, lanes };
}

const CUTTER = side('CutterCtl', '10.8.2.12/24', 'Speed\tREAL\t%MW300', 'Load\tREAL\t%MW302', 'State\tWORD\t%MW304');
const BAKE = side('BakeCtl', '10.8.2.13', '40105\tstate\tWORD', '40101\tspeed\tREAL', '40103\tload\tREAL');

test('two lists are two stations of the types that read their addresses, on one network, with lanes paired by name', () => {
  const { lanes, sides, paired, by, project } = laid(CUTTER, BAKE);
  expect(lanes).toEqual([
    ['Speed writes %MW300', 'speed reads 40101'],
    ['Load writes %MW302', 'load reads 40103'],
    ['State writes %MW304', 'state reads 40105'],
  ]);
  expect(sides.map(({ profile, read, addresses }) => [profile, read, addresses])).toEqual([
    ['Controller with byte images and word memory', 3, 3],
    ['Modbus TCP device', 3, 3],
  ]);
  expect([paired, by]).toEqual([3, 'name']);
  expect(
    inOrder(project, 'port')
      .map(({ address }) => address)
      .sort(),
  ).toEqual(['10.8.2.12', '10.8.2.13']);
  expect(inOrder(project, 'network')).toHaveLength(1);
  expect(inOrder(project, 'exchange')).toMatchObject([{ kind: 'peer connection', protocol: 'modbus-tcp' }]);
});

test.each([
  [
    ['Speed\tREAL\t%MD100', 'Load\tREAL\t%MD104', 'Run\tWORD\t%MW108', 'Stop\tWORD\t%MW110'],
    'byte memory, high byte first',
  ],
  [
    ['Speed\tREAL\t%MW300', 'Load\tREAL\t%MW302', 'Run\tWORD\t%MW304', 'Stop\tWORD\t%MW305'],
    'byte images and word memory',
  ],
])('an address that two types read is read so that values lie beside one another: %j', (list, type) => {
  const { sides } = laid(side('CutterCtl', '', ...list), BAKE);
  expect(sides[0].profile).toBe(`Controller with ${type}`);
});

test('where no names match, rows are paired by their order', () => {
  const { lanes, by } = laid(CUTTER, side('BakeCtl', '', '40201\ta1\tREAL', '40203\ta2\tREAL', '40205\ta3\tWORD'));
  expect(by).toBe('order');
  expect(lanes.map(([, right]) => right)).toEqual(['a1 reads 40201', 'a2 reads 40203', 'a3 reads 40205']);
});

test('what is left over on either side is a lane with one end', () => {
  const { lanes, paired } = laid(
    side('A', '', 'Speed\tINT\t%MW10', 'Only here\tINT\t%MW11'),
    side('B', '', 'Only there\tINT\t40010', 'speed\tINT\t40011'),
  );
  expect(paired).toBe(1);
  expect(lanes).toEqual([
    ['Speed writes %MW10', 'speed reads 40011'],
    ['Only here writes %MW11', null],
    [null, 'Only there reads 40010'],
  ]);
});

test('one list says who writes: the other end does the opposite', () => {
  const { lanes } = laid(
    side('A', '', 'Speed\treads\tINT\t%MW10', 'Mode\twrites\tINT\t%MW11'),
    side('B', '', 'Speed\tINT\t40010', 'Mode\tINT\t40011'),
  );
  expect(lanes).toEqual([
    ['Speed reads %MW10', 'Speed writes 40010'],
    ['Mode writes %MW11', 'Mode reads 40011'],
  ]);
});

test('a station that is there already is the one, with its own areas', () => {
  const first = laid(CUTTER, BAKE).project;
  const { sides, project } = laid(
    side('cutterctl', '', 'Rate\tINT\t%MW400'),
    side('WrapCtl', '', 'Rate\tINT\tw10'),
    first,
  );
  expect(inOrder(project, 'station').map(({ name }) => name)).toEqual(['CutterCtl', 'BakeCtl', 'WrapCtl']);
  expect(sides.map(({ profile }) => profile)).toEqual([null, 'Controller with registers, low register first']);
  expect(inOrder(project, 'exchange')).toHaveLength(2);
});

test('lists with headings, columns in any order and rows that cannot be read: each is said, nothing is lost', () => {
  const { lanes, sides } = laid(
    side('A', '', 'Type\tAddress\tName', 'INT\t%MW10\tSpeed', 'INT\tsomewhere\tMode'),
    side('B', '', 'Speed\tINT\t40010', 'Mode\tINT\t40011'),
  );
  expect(lanes[0]).toEqual(['Speed writes %MW10', 'Speed reads 40010']);
  expect(lanes[1]![1]).toBe('Mode reads 40011');
  expect(sides[0].problems).toEqual([expect.stringContaining('somewhere')]);
  expect([sides[0].read, sides[0].addresses]).toEqual([1, 2]);
});

test('a row that is left over is understood as its list is, and what it says is kept', () => {
  const { project, lanes } = laid(
    side('A', '', 'Speed\tREAL\t%MW300', 'Load\tREAL\t%MW302', 'Mode\tINT\tsomewhere'),
    side('B', '', 'speed\tREAL\t40101', 'load\tREAL\t40103'),
  );
  expect(lanes[2]).toEqual(['Mode writes ?', null]);
  const mode = [...project.all('claim')].find(({ name }) => name === 'Mode')!;
  expect(mode).toMatchObject({ place: { typed: 'somewhere' }, type: { base: 'INT' } });
});

test('of any two lists every row of either stands in exactly one lane', () => {
  const row = fc.tuple(fc.constantFrom('Speed', 'Load', 'State', 'speed', 'Tank 1', 'Tank_01', ''), fc.nat(400));
  fc.assert(
    fc.property(
      fc.array(row, { minLength: 1, maxLength: 6 }),
      fc.array(row, { minLength: 1, maxLength: 6 }),
      (a, b) => {
        const { lanes, paired } = laid(
          side('A', '', ...a.map(([name, n]) => `${name}\twrites\t%MW${n}\tINT`)),
          side('B', '', ...b.map(([name, n]) => `${name}\treads\tw${n}\tINT`)),
        );
        expect(lanes.filter(([left]) => left !== null)).toHaveLength(a.length);
        expect(lanes.filter(([, right]) => right !== null)).toHaveLength(b.length);
        expect(lanes.filter(([left, right]) => left !== null && right !== null)).toHaveLength(paired);
      },
    ),
    { numRuns: 40 },
  );
});

test('what is laid is checked as any other: only what is not entered yet stands against it', () => {
  const { project } = laid(CUTTER, BAKE);
  const codes = [...new CheckEngine(project).findings.values()].map(({ code }) => code);
  expect(new Set(codes)).toEqual(new Set(['ADR 13', 'POS 13']));
});
