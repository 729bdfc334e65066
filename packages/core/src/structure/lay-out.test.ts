import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ASSUMED_LAYOUT, type FullLayout } from '../model/layout-defaults.js';
import type { TypeRef } from '../model/claim.js';
import type { Project } from '../model/project.js';
import type { Structure } from '../model/structure.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added } from '../testing/two-stations.testing.js';
import type { Frame } from '../data/layout.js';
import { containsItself, layOut } from './lay-out.js';
import { editField } from '../fields/field.js';
import { addMember, MEMBER } from '../fields/structure.js';
import { entryOf, typing } from '../testing/typing.testing.js';

type Table = Record<string, { size: number; offsets: Record<string, number> }>;
const table = (file: string) => JSON.parse(readFileSync(join(__dirname, 'check-values', file), 'utf8')) as Table;

const frame = (layout: Partial<FullLayout>): Frame => {
  const full = { ...ASSUMED_LAYOUT, ...layout };
  return { unit: 8, wordBits: 16, highFirst: full.byteOrder === 'high first', layout: full };
};

const structure = (id: string, members: readonly [string, Partial<TypeRef>][]): Structure => ({
  id,
  order: 10,
  name: id,
  members: Object.fromEntries(
    members.map(([name, type], i) => [
      `m${i}`,
      { order: i, name, type: { base: 'STRUCT', count: 1, ...type } as TypeRef },
    ]),
  ),
});
const of = (base: string, count = 1) => ({ base, count });

const MIXED = structure('mixed', [
  ['a', of('BYTE')],
  ['b', of('INT')],
  ['c', of('DINT')],
  ['d', of('BYTE')],
  ['e', of('LREAL')],
  ['f', of('REAL')],
]);
const STRUCTURES = [
  MIXED,
  structure('shorts', [
    ['a', of('INT')],
    ['b', of('BYTE')],
    ['c', of('BYTE')],
    ['d', of('BYTE')],
  ]),
  structure('longs', [
    ['a', of('BYTE')],
    ['b', of('LINT')],
    ['c', of('INT')],
  ]),
  structure('arrays', [
    ['a', of('BYTE', 3)],
    ['b', of('REAL', 2)],
    ['c', of('BYTE')],
    ['d', of('INT', 2)],
  ]),
];
const INNER = structure('inner', [
  ['x', of('BYTE')],
  ['y', of('DINT')],
]);
const OUTER = structure('outer', [
  ['a', of('BYTE')],
  ['b', { structure: 'inner' }],
  ['c', of('BYTE')],
  ['d', { structure: 'inner', count: 2 }],
  ['e', of('LINT')],
]);
const PROJECT: Project = added(smallPlant(), 'structure', INNER, ...STRUCTURES, OUTER);

const laid = (s: Structure, layout: Partial<FullLayout>) => {
  const out = layOut(PROJECT, s, frame(layout))!;
  return { size: out.size / 8, offsets: Object.fromEntries(out.members.map((m) => [m.path, m.offset.bits / 8])) };
};

test('natural alignment is where a C compiler puts the members [library: gcc, offsetof]', () => {
  const expected = table('offsetof.json');
  for (const s of [...STRUCTURES, OUTER]) expect(laid(s, { alignment: 'natural' })).toEqual(expected[s.id]);
});

test('without alignment they lie as Python’s struct packs them [library: Python, struct]', () => {
  const expected = table('packed.json');
  for (const s of STRUCTURES) expect(laid(s, { alignment: '1' })).toEqual(expected[s.id]);
});

test('at even bytes: values of a byte follow each other, all longer ones begin at an even one', () => {
  expect(laid(MIXED, { alignment: '2' })).toEqual({ size: 22, offsets: { a: 0, b: 2, c: 4, d: 8, e: 10, f: 18 } });
});

test('BOOLs side by side share a word, and are numbered as the layout says', () => {
  const bools = structure('bools', [
    ['on', of('BOOL')],
    ['off', of('BOOL')],
    ['speed', of('INT')],
    ['many', of('BOOL', 9)],
  ]);
  const out = layOut(PROJECT, bools, frame({ alignment: '2' }))!;
  expect(out.members.map((m) => [m.path, m.offset.bits, m.offset.bit])).toEqual([
    ['on', 0, 0],
    ['off', 0, 1],
    ['speed', 16, undefined],
    ['many', 32, 0],
  ]);
  // Nine of them take two bytes.
  expect(out.size).toBe(48);
  const bytes = layOut(PROJECT, bools, frame({ boolPacking: 'byte' }))!;
  expect(bytes.members.map((m) => m.offset.bits)).toEqual([0, 8, 16, 32]);
});

test('members never overlap, keep their order, and begin where their alignment allows', () => {
  const base = fc.constantFrom('BYTE', 'SINT', 'INT', 'WORD', 'DINT', 'REAL', 'LINT', 'LREAL');
  const list = fc.array(fc.tuple(base, fc.integer({ min: 1, max: 4 })), { minLength: 1, maxLength: 12 });
  const alignment = fc.constantFrom('1', '2', '4', '8', 'natural' as const);
  const BITS: Record<string, number> = {
    BYTE: 8,
    SINT: 8,
    INT: 16,
    WORD: 16,
    DINT: 32,
    REAL: 32,
    LINT: 64,
    LREAL: 64,
  };
  fc.assert(
    fc.property(list, alignment, (members, rule) => {
      const s = structure(
        'random',
        members.map(([b, count], i) => [`m${i}`, of(b, count)]),
      );
      const out = layOut(PROJECT, s, frame({ alignment: rule as FullLayout['alignment'] }))!;
      let end = 0;
      out.members.forEach((m, i) => {
        const bits = BITS[members[i]![0]]!;
        const step = rule === 'natural' ? bits : Math.min(bits, Number(rule) * 8);
        expect(m.offset.bits % step).toBe(0);
        expect(m.offset.bits).toBeGreaterThanOrEqual(end);
        // Never a gap that was not needed.
        expect(m.offset.bits - end).toBeLessThan(step);
        end = m.offset.bits + bits * members[i]![1];
      });
      expect(out.size).toBeGreaterThanOrEqual(end);
      expect(out.size % out.alignment).toBe(0);
    }),
  );
});

test('a structure that contains itself has no layout, over any number of others', () => {
  const loop = added(
    PROJECT,
    'structure',
    structure('p', [['q', { structure: 'q' }]]),
    structure('q', [['p', { structure: 'p', count: 3 }]]),
  );
  expect(layOut(loop, loop.get('structure', 'p')!, frame({}))).toBeNull();
  expect(containsItself(loop, 'p', { base: 'STRUCT', count: 1, structure: 'q' })).toBe(true);
  expect(containsItself(loop, 'p', { base: 'STRUCT', count: 1, structure: 'outer' })).toBe(false);
});

test('a member is typed with its type at once; one that would lead back to its structure is refused', () => {
  const outer = PROJECT.get('structure', 'outer')!;
  const inner = PROJECT.get('structure', 'inner')!;
  expect(addMember(PROJECT, inner, 'new', 'Speed REAL ×2').changes[0]!.after).toEqual({
    order: 11,
    name: 'Speed',
    type: { base: 'REAL', count: 2 },
  });
  // A name may have spaces where no type follows.
  expect(addMember(PROJECT, inner, 'new', 'Motor speed').changes[0]!.after).toMatchObject({
    name: 'Motor speed',
    type: null,
  });
  expect(editField(MEMBER, 'type', entryOf(inner, 'members', 'm0'), 'outer', typing(PROJECT)).problem).toContain(
    'would make inner contain itself',
  );
  expect(editField(MEMBER, 'type', entryOf(outer, 'members', 'm0'), 'REEL', typing(PROJECT))).toMatchObject({
    changes: [{ path: ['members', 'm0', 'type'], after: { typed: 'REEL' } }],
    problem: expect.stringContaining('“REEL” is not a type known here') as string,
  });
});
