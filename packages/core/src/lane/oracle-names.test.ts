import fc from 'fast-check';
import type { Project } from '../model/project.js';
import type { Tag } from '../model/tag.js';
import { convert, type NumberKind } from '../testing/byte-machine.testing.js';
import { holds } from '../testing/oracle.testing.js';
import { added, edited, twoStations, type FieldEdit } from '../testing/two-stations.testing.js';
import { compareLane } from './compare.js';

interface NamedType {
  base: string;
  count: number;
  /** of a text */
  capacity?: number;
}

/** A list of variables at one end, and what the other asks for by name. */
interface Asked {
  list: { name: string; type: NamedType; low: number }[];
  /** which of them the lane is of, and from which of its elements on */
  of: number;
  element: number;
  /** as it is typed at the end that asks */
  text: string;
  /** what both ends say of it */
  here: NamedType;
  there: NamedType;
  /** upper and lower case tell names apart */
  exact: boolean;
  kind: 'tag map' | 'peer connection' | 'shared variables';
}

const KINDS: Record<string, NumberKind> = {
  BOOL: { bits: 1, family: 'bool' },
  INT: { bits: 16, family: 'signed' },
  UINT: { bits: 16, family: 'unsigned' },
  DINT: { bits: 32, family: 'signed' },
  REAL: { bits: 32, family: 'real' },
  LREAL: { bits: 64, family: 'real' },
  STRING: { bits: 8, family: 'text' },
};
const NAMES = ['Level', 'level', 'Flow', 'Pump_1', 'Pump_10', 'State'];

const namedType = fc
  .record({
    base: fc.constantFrom(...Object.keys(KINDS)),
    count: fc.constantFrom(1, 1, 2, 8),
    capacity: fc.constantFrom(8, 20),
  })
  .map(({ base, count, capacity }): NamedType => ({ base, count, ...(base === 'STRING' ? { capacity } : {}) }));

const OFF = ['nothing', 'nothing', 'nothing', 'case', 'name', 'element', 'count', 'type'] as const;

const asked: fc.Arbitrary<Asked> = fc
  .record({
    names: fc.uniqueArray(fc.constantFrom(...NAMES), { minLength: 2, maxLength: 5, selector: (n) => n.toLowerCase() }),
    types: fc.array(namedType, { minLength: 5, maxLength: 5 }),
    low: fc.constantFrom(0, 0, 1, -2),
    of: fc.nat(4),
    element: fc.nat(7),
    off: fc.constantFrom(...OFF),
    other: namedType,
    exact: fc.boolean(),
    kind: fc.constantFrom('tag map' as const, 'peer connection' as const, 'shared variables' as const),
  })
  .map(({ names, types, low, of, element, off, other, exact, kind }): Asked => {
    const list = names.map((name, i) => ({ name, type: types[i]!, low: types[i]!.count > 1 ? low : 0 }));
    const index = of % list.length;
    const tag = list[index]!;
    // Numbers are asked for one by one or as a whole.
    const one = tag.type.count > 1 && tag.type.base !== 'STRING' && element % 2 === 1;
    const at = one ? element % tag.type.count : 0;
    const said: NamedType = one ? { ...tag.type, count: 1 } : tag.type;
    let name = tag.name;
    if (off === 'case') name = name === name.toLowerCase() ? name.toUpperCase() : name.toLowerCase();
    if (off === 'name') name = list[(index + 1) % list.length]!.name;
    const asks = off === 'element' && tag.type.count > 1 ? (at + 1) % tag.type.count : at;
    const subscript = one || asks !== at ? `[${asks + tag.low}]` : '';
    const here =
      off === 'type' ? { ...other, count: said.count } : off === 'count' ? { ...said, count: said.count + 1 } : said;
    return { list, of: index, element: at, text: `${name}${subscript}`, here, there: said, exact, kind };
  });

function projectOf({ list, of, element, text, here, there, exact, kind }: Asked): Project {
  const tags = list.map(({ name, type, low }, i): Tag => ({
    id: `t${i}`,
    order: i,
    station: 'sb',
    name,
    place: null,
    type: { ...type, ...(low === 0 ? {} : { bounds: `${low}..${low + type.count - 1}` }) },
  }));
  const bits = (t: NamedType) => Math.max(1, (t.capacity ?? 1) * KINDS[t.base]!.bits * t.count);
  const claim = (id: string, type: NamedType): FieldEdit[] => [
    ['claim', id, 'type', type],
    ['claim', id, 'length', { count: bits(type), unit: 1 }],
  ];
  const own: Tag = { id: 'mine', order: 1, station: 'sa', name: 'Mine', place: null, type: here };
  return edited(
    added(twoStations(), 'tag', own, ...tags),
    ['profile', 'pb', 'nameRule', { caseMatters: exact, source: 'its manual' }],
    ['exchange', 'x', 'kind', kind],
    ['exchange', 'x', 'protocol', 'cip'],
    ['exchange', 'x', 'transfer', 'requests'],
    ...(kind === 'tag map' ? ([['exchange', 'x', 'binding', 'by name']] as FieldEdit[]) : []),
    ['claim', 'ca', 'direction', 'reads'],
    ['claim', 'cb', 'direction', 'writes'],
    ['claim', 'ca', 'place', { area: 'mine', view: 'tag', number: 0 }],
    ['claim', 'cb', 'place', { area: `t${of}`, view: 'tag', number: element }],
    ['claim', 'ca', 'toldPlace', text],
    ...claim('ca', here),
    ...claim('cb', there),
  );
}

/** Whether the server finds what is asked for, and each value of it comes out as the number or the text that it was. */
function arrives({ list, of, element, text, here, there, exact }: Asked): boolean {
  const match = /^(\w+)(?:\[(-?\d+)\])?$/.exec(text)!;
  const [, name = '', subscript] = match;
  const found = list.findIndex((tag) => tag.name === name || (!exact && tag.name.toLowerCase() === name.toLowerCase()));
  if (found !== of) return false;
  const at = subscript === undefined ? 0 : Number(subscript) - list[found]!.low;
  if (at !== element || here.count !== there.count || here.capacity !== there.capacity) return false;
  const [from, to] = [KINDS[there.base]!, KINDS[here.base]!];
  if (from.family === 'text' || from.family === 'bool') return from.family === to.family;
  const most = (1n << BigInt(from.bits)) - 1n;
  const telling = [0n, 1n, most, most >> 1n, (most >> 1n) + 1n, 0x5a5a5a5a5a5a5a5an & most, 0x123456789abcdefn & most];
  return telling.every((raw) => convert(from, to, raw) !== null);
}

test('what is asked for by name is Agreed if and only if that name is there and its values come out as they were', () => {
  const seen = { agreed: 0, other: 0, unchecked: 0 };
  holds(
    'by name',
    asked,
    600,
    (one) => {
      const project = projectOf(one);
      const { verdict, unknown } = compareLane(project, project.get('lane', 'lane')!, project.get('exchange', 'x')!);
      if (verdict === 'unchecked') {
        seen.unchecked++;
        expect(unknown).not.toBeNull();
      } else seen[verdict === 'agreed' ? 'agreed' : 'other']++;
      expect(verdict === 'agreed').toBe(arrives(one));
    },
    projectOf,
  );
  const all = seen.agreed + seen.other + seen.unchecked;
  expect(seen.agreed).toBeGreaterThan(all / 3);
  expect(seen.other).toBeGreaterThan(all / 4);
  expect(seen.unchecked).toBeLessThan(all / 50);
});
