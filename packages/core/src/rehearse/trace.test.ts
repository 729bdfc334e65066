import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readProject } from '../file/read-project.js';
import { traceOf, watchable, type TraceAsked } from './trace.js';

const read = readProject(readFileSync(join(__dirname, '../../../../demo/kestrel-quay-as-agreed.dialoga.json'), 'utf8'));
if (!read.ok) throw new Error('the demo cannot be read');
const { project } = read;
const MS = 1000;

/** A bit is set at PlantCtl, the skid sees it, echoes it, and PlantCtl sees that. */
const HANDSHAKE: TraceAsked = {
  watched: [
    { link: 'permissives 0', key: '', at: 'source' },
    { link: 'permissives 0', key: '', at: 'sink' },
    { link: 'status 0', key: '', at: 'sink' },
  ],
  drives: [{ link: 'permissives 0', key: '', stimulus: { kind: 'step', before: 0, after: 1, at: 150 * MS } }],
  echoes: [{ from: 'permissives 0', fromKey: '', to: 'status 0', toKey: '' }],
  armed: null,
  length: 1000 * MS,
};

test('a start handshake of three bits, with its times', () => {
  const trace = traceOf(project, HANDSHAKE);
  if (typeof trace === 'string') throw new Error(trace);
  const rises = trace.series.map(({ name, station, isBit, points }) => [
    name,
    station,
    isBit,
    points.map(([at]) => at / MS),
  ]);
  // PlantCtl scans every 8 ms: the first scan at or after 150 is 152. The link carries every 100 ms. The skid scans every 10.
  expect(rises).toEqual([
    ['Permissives', 'PlantCtl', true, [0, 152]],
    ['Permit', 'SkidCtl', true, [0, 200]],
    ['Skid status', 'PlantCtl', true, [0, 300]],
  ]);
  expect(traceOf(project, HANDSHAKE)).toEqual(trace);
});

test('armed, it begins when the condition is met; one that never comes is said', () => {
  const trace = traceOf(project, { ...HANDSHAKE, armed: { watched: 1, value: 1 } });
  if (typeof trace === 'string') throw new Error(trace);
  expect([trace.began, trace.series[1]!.points, trace.series[2]!.points.map(([at]) => at)]).toEqual([
    200 * MS,
    [[0, 1]],
    [0, 100 * MS],
  ]);
  expect(traceOf(project, { ...HANDSHAKE, drives: [], armed: { watched: 0, value: 1 } })).toContain('does not come');
});

test.each([
  [{ drives: [{ link: 'none', key: '', stimulus: { kind: 'constant', value: 1 } }] }, 'No data goes there'],
  [{ watched: [{ link: 'permissives 0', key: 'none', at: 'sink' }] }, 'not there any more'],
  [{ echoes: [{ from: 'permissives 0', fromKey: '', to: 'permissives 0', toKey: '' }] }, 'An echo is at one station'],
] as const)('%j cannot be, and says so', (part, sentence) => {
  expect(traceOf(project, { ...HANDSHAKE, ...part })).toContain(sentence);
});

test('everything but texts can be watched, at both ends', () => {
  const names = watchable(project, 'duty').map(({ name, station }) => `${name} at ${station}`);
  expect(names).toContain('SuctionSetpoint at PlantCtl');
  expect(names).toContain('SuctSP at SkidCtl');
  expect(names.filter((name) => name.startsWith('AlmTxt'))).toEqual([]);
});
