import type { PlacedStep } from '@dialoga/core/work';
import { afterWords, byWords, workRows } from './work-rows';

const step = (number: number, rest: Partial<PlacedStep> = {}): PlacedStep => ({
  key: `s${number}`,
  kind: 'load',
  station: 'a',
  about: null,
  who: 'controls',
  what: `Load ${number}`,
  fields: [],
  needs: [],
  effect: '',
  misleads: [],
  proof: '',
  basis: 'b',
  number,
  layer: 0,
  after: [],
  state: 'open',
  record: null,
  ready: true,
  ...rest,
});
const said = (reason: string, state: 'done' | 'failed' | 'skipped' = 'done'): NonNullable<PlacedStep['record']> => ({
  id: 'r',
  order: 10,
  step: 's1',
  state,
  basis: 'b',
  reason,
  by: 'Ada',
  at: '2026-11-30T10:12:00.000Z',
});

test('of what a step waits for the numbers stand there, three at most, and the last reason', () => {
  const numbers = new Map(['s1', 's2', 's3', 's4'].map((key, i) => [key, i + 1]));
  const after = (...keys: string[]) => step(9, { after: keys.map((key) => ({ key, why: `why ${key}` })) });
  expect(afterWords(after(), numbers)).toBe('');
  expect(afterWords(after('s2', 's1'), numbers)).toBe('2, 1 · why s2');
  expect(afterWords(after('s4', 's3', 's2', 's1'), numbers)).toBe('4, 3, 2 … · why s4');
});

test('an open step has who is to do it, a done one who did it and when, any other what became of it', () => {
  expect(byWords(step(1))).toBe('controls');
  expect(byWords(step(1, { state: 'done', record: said('') }))).toMatch(/^30 Nov, .*, Ada$/);
  expect(byWords(step(1, { state: 'done' }))).toBe('in force already');
  expect(byWords(step(1, { state: 'changed since', record: said('') }))).toMatch(/^changed since 30 Nov/);
  expect(byWords(step(1, { state: 'failed', record: said('lamp red', 'failed') }))).toMatch(/^failed 30 Nov/);
});

test('in layers a line stands above what can be done at the same time, and by whom', () => {
  const steps = [step(1), step(2, { layer: 1 }), step(3, { layer: 1, who: 'roof' })];
  expect(workRows(steps, steps, false).map(({ id }) => id)).toEqual(['s1', 's2', 's3']);
  const rows = workRows(steps, steps, true);
  expect(rows.map(({ id }) => id)).toEqual(['layer 0', 's1', 'layer 1', 's2', 's3']);
  expect(rows[0]!.cells[0]!.text).toBe('Layer 0: one step, by controls');
  expect(rows[2]!.cells[0]!.text).toBe('Layer 1: 2 steps that wait for none of each other, by controls, roof');
});

test('what a step does to the plant stands behind it; a settled one is quiet, a failed one underlined', () => {
  const cells = (rest: Partial<PlacedStep>) => workRows([step(1, rest)], [], false)[0]!.cells;
  expect(cells({ effect: 'it stops' })[1]!.text).toBe('Load 1: it stops');
  expect(cells({ state: 'skipped', record: said('no', 'skipped') })[1]).toMatchObject({ muted: true });
  expect(cells({ state: 'failed', record: said('red', 'failed') })[3]).toMatchObject({ differs: true });
});
