import type { Point, PointStanding } from '@dialoga/core/pointtest';
import type { PointRecord } from '@dialoga/core/model';
import { isShown, isToDo, pointRow, stateWords } from './point-rows';

const record = (rest: Partial<PointRecord>): PointRecord => ({
  id: 'r',
  order: 10,
  point: 'p',
  name: 'P',
  result: 'seen',
  view: 'tool',
  revision: 1,
  basis: '',
  by: 'Ada',
  at: '2026-11-30T10:12:00.000Z',
  ...rest,
});
const standing = (rest: Partial<PointStanding>): PointStanding => ({
  state: 'to test',
  last: {},
  records: [],
  quarrel: '',
  ...rest,
});
const inTool = standing({ state: 'in one view', last: { tool: record({}) }, records: [record({})] });

test('what was seen in the tool is left to do for whoever stands at the device, and for nobody else', () => {
  expect(isToDo(inTool, 'tool')).toBe(false);
  expect(isToDo(inTool, 'device')).toBe(true);
  expect(isToDo(inTool, 'both')).toBe(true);
  expect(isToDo(standing({ state: 'before the change' }), 'tool')).toBe(true);
  for (const state of ['seen', 'not seen', 'skipped'] as const) expect(isToDo(standing({ state }), 'both')).toBe(false);
});

test('a list is cut down to one state, to what is left, or to nothing', () => {
  const seen = standing({ state: 'seen' });
  expect((['to do', 'all', 'not seen', 'seen'] as const).map((shown) => isShown(shown, seen, 'tool'))).toEqual([
    false,
    true,
    false,
    true,
  ]);
});

test('a state in words says who saw it and when; in one view it says in which', () => {
  expect(stateWords(inTool)).toBe('seen in the tool only');
  expect(stateWords(standing({ state: 'in one view', last: { device: record({}) } }))).toBe('seen at the device only');
  expect(stateWords(standing({ state: 'not seen', records: [record({ by: '' })] }))).toMatch(
    /^not seen 30 Nov, .*, not named$/,
  );
  expect(stateWords(standing({ state: 'before the change', records: [record({})] }))).toMatch(/^changed since 30 Nov/);
  expect(stateWords(standing({}))).toBe('to test');
});

test('a row has both ends with their addresses; what is done is quiet, what was not seen is underlined', () => {
  const end = (at: string, address: string) => ({ end: at, station: at, at, name: 'Pressure', address });
  const point: Point = {
    key: 'k',
    sort: 'value',
    lane: 'l',
    exchange: 'x',
    item: '',
    from: end('A', 'a1'),
    to: end('B', ''),
    basis: '',
  };
  const cells = (state: PointStanding['state'], sort: Point['sort'] = 'value') =>
    pointRow({ ...point, sort }, standing({ state, records: [record({})] })).cells;
  expect(cells('to test').map((cell) => cell!.text)).toEqual(['Pressure', 'A a1', 'B', 'to test']);
  expect(cells('seen')[0]).toMatchObject({ muted: true });
  expect(cells('not seen')[3]).toMatchObject({ differs: true });
  expect(cells('to test', 'reach')[0]!.text).toBe('must reach: Pressure');
  expect(cells('to test', 'no reach')[0]!.text).toBe('must not reach: Pressure');
});
