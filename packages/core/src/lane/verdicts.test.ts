import { CheckEngine } from '../check/engine.js';
import { set } from '../change/make.js';
import { newArea, newView } from '../create/new-entities.js';
import type { Claim, ClaimItem } from '../model/claim.js';
import type { Project } from '../model/project.js';
import { ASSUMED, type AreaKind, type NotationId, type Unit } from '../model/words.js';
import {
  added,
  applied,
  codesOf,
  edited,
  fixed,
  theFinding,
  twoStations,
  wordsOf,
  type FieldEdit,
} from '../testing/two-stations.testing.js';
import { compareLane } from './compare.js';
import { editLaneCell } from '../sheet/edit-cell.js';

const type = (base: string, count = 1) => ({ base, count });
const verdictOf = (project: Project) =>
  compareLane(project, project.get('lane', 'lane')!, project.get('exchange', 'x')!);
const items = (...list: [name: string, base: string, bits: number, bit?: number][]): Record<string, ClaimItem> =>
  Object.fromEntries(
    list.map(([name, base, bits, bit], i) => [
      `k${i}`,
      { name, type: type(base), offset: { bits, ...(bit === undefined ? {} : { bit }) } },
    ]),
  );
const keyed = (count: number): FieldEdit => [
  'lane',
  'lane',
  'items',
  Object.fromEntries(Array.from({ length: count }, (_, i) => [`k${i}`, { order: i }])),
];
const claims = (a: Partial<Claim>, b: Partial<Claim>): FieldEdit[] => [
  ...Object.entries(a).map(([field, value]): FieldEdit => ['claim', 'ca', field, value]),
  ...Object.entries(b).map(([field, value]): FieldEdit => ['claim', 'cb', field, value]),
];
/** The two ends with tables of these kinds, written as these notations do; what is typed is read as on the sheet. */
function tables(kind: AreaKind, notation: NotationId, unit: Unit, wordBits: 8 | 16 | 32 = 16): Project {
  const base = twoStations();
  const area = (id: string, station: string) => ({
    ...newArea(id, 90, station, 'Table'),
    kind,
    wordBits,
    words: 1000,
    views: { t: { ...newView(10, notation), unit, table: kind as never } },
  });
  return added(base, 'area', area('ta', 'sa'), area('tb', 'sb'));
}
function typed(project: Project, id: 'ca' | 'cb', column: 'address' | 'length' | 'told', text: string): Project {
  const claim = project.get('claim', id)!;
  const { claim: next } = editLaneCell(project, project.get('end', claim.end)!, claim, column, text);
  const field = { address: 'place', length: 'length', told: 'toldPlace' }[column];
  const value = next[field as 'place'];
  return applied(project, { id: 'e', label: '', changes: [set('claim', claim, [field], value)] });
}
const cells = (project: Project, ...texts: ['ca' | 'cb', 'address' | 'length' | 'told', string][]) =>
  texts.reduce((now, [id, column, text]) => typed(now, id, column, text), project);

describe('a value without a name, or two on one place', () => {
  const block = { length: { count: 6, unit: 16 as const } };
  const against = (list: Record<string, ClaimItem>) =>
    edited(
      twoStations(),
      keyed(3),
      ...claims({ ...block, type: type('REAL', 3) }, { ...block, type: null, items: list }),
    );

  test('a block of three against three values, each its own', () => {
    expect(codesOf(against(items(['One', 'REAL', 0], ['Two', 'REAL', 32], ['Three', 'REAL', 64])))).toEqual([]);
  });
  test('the third is not named at the other end', () => {
    const finding = theFinding(against(items(['One', 'REAL', 0], ['Two', 'REAL', 32])), 'TYP 9');
    expect(finding.severity).toBe('blocker');
    expect(wordsOf(finding)).toContain('element 3 of Block ca of A has no counterpart at B');
  });
  test('two names on one element', () => {
    const project = against(items(['One', 'REAL', 0], ['Two', 'REAL', 32], ['Three', 'REAL', 32]));
    expect(codesOf(project)).toEqual(['TYP 10', 'TYP 9']);
  });
  test.each([
    ['an INT on an element of another', ['Level', 'INT', 0], ['Flow', 'UINT', 0]],
    ['two texts over one another', ['Text', 'LREAL', 0], ['Other', 'WORD', 32]],
  ] as const)('%s, said at both ends alike', (_, one, two) => {
    const both = items([...one], [...two]);
    const project = edited(
      twoStations(),
      keyed(2),
      ...claims({ type: null, items: both }, { type: null, items: both }),
    );
    expect(codesOf(project)).toEqual(['POS 9', 'POS 9']);
    expect(verdictOf(project).verdict).toBe('differs');
  });
  test('a BOOL inside a text is no bit of it; inside a word it is', () => {
    const over = (base: string, count: number, capacity?: number) => {
      const whole: ClaimItem = {
        name: 'Whole',
        type: { base, count, ...(capacity ? { capacity } : {}) },
        offset: { bits: 0 },
      };
      const both = { k0: whole, k1: { name: 'Bit', type: type('BOOL'), offset: { bits: 0, bit: 3 } } };
      return edited(twoStations(), keyed(2), ...claims({ type: null, items: both }, { type: null, items: both }));
    };
    expect(codesOf(over('STRING', 1, 6))).toEqual(['POS 9', 'POS 9']);
    expect(codesOf(over('WORD', 1))).toEqual([]);
    expect(codesOf(over('DINT', 1))).toEqual([]);
  });
});

describe('single bits and tables of bits', () => {
  const coils = (kind: AreaKind, notation: NotationId, ...texts: Parameters<typeof cells>[1][]) =>
    edited(
      cells(tables(kind, notation, 1), ...texts),
      ['claim', 'ca', 'type', type('BOOL')],
      ['claim', 'cb', 'type', type('BOOL')],
    );
  test('coil 18 to coil 18 [published: MODBUS Application Protocol V1.1b3, 6.1: coils are asked for one by one] [from memory]', () => {
    const project = coils(
      'coils',
      'reference 5',
      ['ca', 'address', '00018'],
      ['cb', 'address', '00018'],
      ['ca', 'length', '1 bit'],
      ['cb', 'length', '1 bit'],
      ['ca', 'told', '00018'],
    );
    expect(verdictOf(project)).toMatchObject({ verdict: 'agreed', unknown: null });
    const other = typed(project, 'ca', 'told', '00019');
    expect(codesOf(other)).toEqual(['POS 1']);
  });
  test('a bit in the middle of a word, as BOOL', () => {
    const project = coils(
      'coils',
      'reference 5',
      ['ca', 'address', 'a200.4'],
      ['cb', 'address', 'b300.7'],
      ['ca', 'length', '1 bit'],
      ['cb', 'length', '1 bit'],
      ['ca', 'told', 'b300.7'],
    );
    expect(verdictOf(project)).toMatchObject({ verdict: 'agreed', unknown: null });
    expect(verdictOf(typed(project, 'ca', 'told', 'b300.8')).verdict).toBe('differs');
    // The register is swapped before the bit is taken from it: which one that is, nobody has said.
    const swapped = edited(project, ['end', 'ea', 'swap', 'bytes']);
    expect(verdictOf(swapped).verdict).toBe('unchecked');
    expect(verdictOf(swapped).unknown).toContain('A swaps the register that this bit is in');
  });
  test('a block of sixteen against sixteen single bits, coil for coil and by name', () => {
    const sixteen = items(...Array.from({ length: 16 }, (_, i): [string, string, number] => [`Door ${i}`, 'BOOL', i]));
    const project = edited(
      coils(
        'coils',
        'reference 5',
        ['ca', 'address', '00033'],
        ['cb', 'address', '00100'],
        ['ca', 'length', '16 bits'],
        ['cb', 'length', '16 bits'],
        ['ca', 'told', '00100'],
      ),
      keyed(16),
      ...claims({ type: type('BOOL', 16) }, { type: null, items: sixteen }),
    );
    expect(codesOf(project)).toEqual([]);
    const words = edited(cells(project, ['ca', 'address', 'a10'], ['ca', 'length', '1 word']), [
      'claim',
      'ca',
      'type',
      type('BOOL', 16),
    ]);
    expect(codesOf(words)).toEqual([]);
    const named = edited(project, ['exchange', 'x', 'protocol', 'cip'], ['claim', 'ca', 'toldPlace', null]);
    expect(verdictOf(named).verdict).toBe('agreed');
    // One of them left out, or two exchanged for one.
    const { k7: _gone, ...fifteen } = sixteen;
    expect(codesOf(edited(project, ['claim', 'cb', 'items', fifteen]))).toEqual(['TYP 9']);
  });
  test.each([8, 16, 32] as const)('tables kept in words of %d bits, numbered from either side', (wordBits) => {
    const project = edited(
      cells(
        tables('discrete inputs', 'reference 5', 1, wordBits),
        ['ca', 'address', '10007'],
        ['cb', 'address', '10007'],
        ['ca', 'length', '3 bits'],
        ['cb', 'length', '3 bits'],
        ['ca', 'told', '10007'],
      ),
      ['claim', 'ca', 'direction', 'reads'],
      ['claim', 'cb', 'direction', 'writes'],
      ['claim', 'ca', 'type', type('BOOL', 3)],
      ['claim', 'cb', 'type', type('BOOL', 3)],
      ['area', 'tb', 'views.t.bitNumbering', 'from the top'],
      ['area', 'tb', 'layout', { byteOrder: 'low first' }],
    );
    expect(verdictOf(project).verdict).toBe('agreed');
  });
});

describe('bits of long elements', () => {
  const elements = (order: 'high first' | 'low first') => {
    const base = added(twoStations(), 'area', {
      ...newArea('long', 90, 'sb', 'Elements'),
      views: { e: { ...newView(10, 'name and element'), unit: 32 as const } },
      layout: { registerOrder: order },
    });
    return base;
  };
  test('bit 17 of a 32-bit element is bit 1 of its upper word, wherever that lies', () => {
    for (const [order, word] of [
      ['high first', 6],
      ['low first', 7],
    ] as const) {
      const project = edited(
        cells(
          elements(order),
          ['cb', 'address', 'Data[3].17'],
          ['cb', 'length', '1 bit'],
          ['ca', 'address', 'a5.1'],
          ['ca', 'length', '1 bit'],
          ['ca', 'told', 'Data[3].17'],
        ),
        ['claim', 'ca', 'type', type('BOOL')],
        ['claim', 'cb', 'type', type('BOOL')],
      );
      expect(verdictOf(project).verdict).toBe('agreed');
      const [side] = verdictOf(project).sides.filter((s) => s.end.id === 'eb');
      expect(side!.block!.spans).toEqual([{ start: word * 16 + 1, end: word * 16 + 2 }]);
      expect(verdictOf(typed(project, 'ca', 'told', 'Data[3].1')).verdict).toBe('differs');
    }
  });
  test('bit 32 does not exist', () => {
    const project = cells(elements('high first'), ['cb', 'address', 'Data[3].32']);
    expect(wordsOf(theFinding(project, 'POS 11'))).toContain('bits are 0 to 31');
  });
});

describe('what an end says that never happens, and what a caller names', () => {
  test('both ways at one end, one way at the other', () => {
    for (const [never, other] of [
      ['writes', 'reads'],
      ['reads', 'writes'],
    ] as const) {
      const project = edited(twoStations(), ['claim', 'ca', 'direction', 'both'], ['claim', 'cb', 'direction', other]);
      expect(wordsOf(theFinding(project, 'DIR 1'))).toContain(`B never ${never}`);
      expect(codesOf(fixed(project, theFinding(project, 'DIR 1')))).not.toContain('DIR 1');
    }
    expect(
      codesOf(edited(twoStations(), ['claim', 'ca', 'direction', 'both'], ['claim', 'cb', 'direction', 'both'])),
    ).toEqual([]);
  });
  test('eighty elements asked by name where seventy-nine are', () => {
    const asked = (here: number, there: number) =>
      edited(
        twoStations(),
        ['exchange', 'x', 'protocol', 'cip'],
        ['claim', 'ca', 'toldPlace', null],
        ...claims(
          { type: type('INT', here), length: { count: here, unit: 16 } },
          { type: type('INT', there), length: { count: there, unit: 16 } },
        ),
      );
    expect(verdictOf(asked(80, 80)).verdict).toBe('agreed');
    for (const there of [79, 72]) {
      expect(wordsOf(theFinding(asked(80, there), 'SIZ 2'))).toContain(`INT ×80 at A, INT ×${there} at B`);
    }
    // The types say one element, the lengths say how many.
    const long = edited(asked(80, 79), ['claim', 'ca', 'type', type('INT')], ['claim', 'cb', 'type', type('INT')]);
    expect(codesOf(long)).toContain('SIZ 1');
  });
  test('a name that is asked for is looked up in the partner’s list at every check', () => {
    const tag = { id: 't1', order: 10, station: 'sb', name: 'Counts', type: type('REAL', 2), place: null };
    const project = edited(
      added(twoStations(), 'tag', tag),
      ['exchange', 'x', 'protocol', 'cip'],
      ['claim', 'cb', 'place', { area: 't1', view: 'tag', number: 0 }],
      ['claim', 'ca', 'toldPlace', 'Counts'],
    );
    expect(codesOf(project)).toEqual([]);
    const engine = new CheckEngine(project);
    const before = project.get('tag', 't1')!;
    const renamed = edited(project, ['tag', 't1', 'name', 'Count']);
    engine.update(renamed, [{ kind: 'tag', id: 't1', before, after: renamed.get('tag', 't1') }]);
    const [finding] = [...engine.findings.values()];
    expect([finding!.code, finding!.severity]).toEqual(['NAM 4', 'blocker']);
    expect(wordsOf(finding!)).toContain('A looks for Counts, and B has no such tag; it has Count');
    // In another case: right where both are known not to tell them apart, and not where that is merely assumed.
    const lower = edited(project, ['tag', 't1', 'name', 'counts']);
    expect(codesOf(lower)).toEqual([]);
    const assumed = edited(lower, ['profile', 'pb', 'nameRule.source', ASSUMED]);
    expect(codesOf(assumed)).toEqual(['NAM 4']);
    expect(codesOf(edited(lower, ['station', 'sa', 'profile', null]))).toContain('NAM 4');
  });
  test('a register that both ends call INT, and that the list of the one who is asked has as REAL', () => {
    const tag = {
      id: 't1',
      order: 10,
      station: 'sb',
      name: 'Duty',
      type: type('REAL'),
      place: { area: 'areab', view: 'vb', number: 200 },
    };
    const project = edited(
      added(twoStations(), 'tag', tag),
      ['exchange', 'x', 'kind', 'tag map'],
      ['exchange', 'x', 'binding', 'by address'],
      ...claims(
        { type: type('INT'), length: { count: 1, unit: 16 } },
        { type: type('INT'), length: { count: 1, unit: 16 } },
      ),
    );
    const finding = theFinding(project, 'TYP 10');
    expect(wordsOf(finding)).toContain('REAL at B');
    expect(verdictOf(project).verdict).toBe('differs');
    const after = fixed(project, finding);
    expect(verdictOf(after).verdict).toBe('agreed');
  });
});
