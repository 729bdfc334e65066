import { FindingsInForce } from './findings-in-force.js';
import type { Cell, Finding } from '../finding/finding.js';

const cell = (id: string): Cell => ({ kind: 'claim', id, path: ['type'] });
const finding = (code: string, message: string, rest: Partial<Finding> = {}): Finding => ({
  key: `${code} ${message} ${rest.lane ?? ''} ${rest.cells?.map((c) => c.id).join(' ') ?? ''}`,
  code,
  message,
  severity: 'blocker',
  about: { kind: 'exchange', id: 'x', name: 'X' },
  parties: [],
  cells: [],
  params: {},
  label: '',
  ...rest,
});

/** What is shown after these were added and dropped. */
function shown(add: Finding[], drop: Finding[] = []) {
  const all = new FindingsInForce();
  const changed = new Map<string, Finding | null>();
  for (const one of add) all.add(one);
  all.settle(changed);
  for (const one of drop) all.drop(one);
  all.settle(changed);
  return { codes: [...all.shown.values()].map((f) => `${f.code} ${f.message}`), changed };
}

test('a rule is silent where one that it yields to speaks of the same lane, and heard again when that is gone', () => {
  // SIZ 2 yields to SIZ 1.
  const [weak, strong] = [finding('SIZ 2', 'differs', { lane: 'l1' }), finding('SIZ 1', 'differs', { lane: 'l1' })];
  expect(shown([weak, strong]).codes).toEqual(['SIZ 1 differs']);
  expect(shown([strong, weak]).codes).toEqual(['SIZ 1 differs']);
  expect(shown([weak, strong], [strong])).toEqual({
    codes: ['SIZ 2 differs'],
    changed: new Map([
      [weak.key, weak],
      [strong.key, null],
    ]),
  });
  expect(shown([weak, finding('SIZ 1', 'differs', { lane: 'l2' })]).codes).toHaveLength(2);
});

test('at one cell it yields wherever in the project the other was found', () => {
  // DOC 7 yields to TYP 1 at its cell.
  const elsewhere = { about: { kind: 'station', id: 's', name: 'S' } } as const;
  const weak = finding('DOC 7', 'type', { cells: [cell('c1')] });
  expect(shown([weak, finding('TYP 1', 'differs', { ...elsewhere, cells: [cell('c1')] })]).codes).toEqual([
    'TYP 1 differs',
  ]);
  expect(shown([weak, finding('TYP 1', 'differs', { ...elsewhere, cells: [cell('c2')] })]).codes).toHaveLength(2);
});

test('what is said of an exchange as a whole covers its lanes; what is said of a lane does not cover the exchange', () => {
  // ADR 13 and DIR 2 yield to DIR 6.
  expect(shown([finding('DIR 2', 'table', { lane: 'l1' }), finding('DIR 6', 'call')]).codes).toEqual(['DIR 6 call']);
  expect(shown([finding('ADR 13', 'differs'), finding('DIR 6', 'call', { lane: 'l1' })]).codes).toHaveLength(2);
});

test('two of one sort never silence each other', () => {
  // HWS 2 yields to its own message of a slot outside the rack.
  const [a, b] = ['l1', 'l2'].map((lane) => finding('HWS 2', 'outside', { lane, cells: [cell('m')] })) as [
    Finding,
    Finding,
  ];
  expect(shown([a, b]).codes).toEqual(['HWS 2 outside', 'HWS 2 outside']);
  expect(shown([a, finding('HWS 2', 'landing', { cells: [cell('m')] })]).codes).toEqual(['HWS 2 outside']);
});

test('one message of a rule may yield where the others do not', () => {
  // Lanes that overlap since one was put in a wrong place; values that overlap inside a lane are another fault.
  const wrong = finding('POS 1', 'told', { lane: 'l1' });
  expect(shown([finding('POS 9', 'overlap', { lane: 'l1' }), wrong]).codes).toEqual(['POS 1 told']);
  expect(shown([finding('POS 9', 'values', { lane: 'l1' }), wrong]).codes).toEqual(['POS 9 values', 'POS 1 told']);
});
