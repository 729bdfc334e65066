import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readTable } from '../formats/text-table.js';
import { readProject } from '../file/read-project.js';
import type { Change } from '../change/change.js';
import type { Project } from '../model/project.js';
import { rightPlant } from '../testing/plant/right-plant.testing.js';
import { applied, edited, twoStations } from '../testing/two-stations.testing.js';
import { adopt, adoptLearnt, ask, correct, notOurs, toCorrect, together } from './decide.js';
import { FOUND_LIST } from './list/found-list.js';
import { planSurvey } from './list/plan-survey.js';
import { notSeen } from './not-seen.js';
import { surveyOf, type Surveyed } from './survey-of.js';

const SEEN = { by: 'Ada', at: '2026-11-30T10:00:00.000Z', how: 'list' };
let next = 0;
const newId = () => `found${next++}`;
const DECIDING = { by: 'Ada', newId };
const done = (project: Project, changes: readonly Change[]) => applied(project, { id: 's', label: '', changes });

function rowsOf(text: string) {
  const table = readTable(text);
  if (!table.ok) throw new Error(table.found);
  const understood = FOUND_LIST.understand(table.value, true)!;
  const rows = FOUND_LIST.read(table.value, understood.heading, understood.columns, '.');
  if (!rows.ok) throw new Error(rows.found);
  return rows.value;
}
const planOf = (project: Project, text: string) => planSurvey(project, rowsOf(text), SEEN, newId);
const surveyed = (project: Project, text: string) => done(project, planOf(project, text).changes);
const one = (project: Project, text: string): Surveyed => surveyOf(surveyed(project, text)).rows[0]!;

const demo = () => {
  const read = readProject(readFileSync(join(__dirname, '../../../../demo/kestrel-quay.dialoga.json'), 'utf8'));
  if (!read.ok) throw new Error('the demo cannot be read');
  return read.project;
};
const scan = () => readFileSync(join(__dirname, '../../../../demo/site-scan.csv'), 'utf8');
const HEAD = 'MAC;IP;Name;Order code;Revision;Unit';

test('the demo’s list has twelve devices and five things to decide, each with its reason', () => {
  const { rows, toDecide } = surveyOf(surveyed(demo(), scan()));
  expect(rows).toHaveLength(12);
  expect(toDecide).toBe(5);
  expect(rows.flatMap(({ station, state, why }) => (state === 'agrees' ? [] : [[station, why]]))).toEqual([
    ['quaylink', 'it and evap-head have each other’s address'],
    ['evaphead', 'it and quay-link have each other’s address'],
    ['meterhub', 'revision 1.8, planned 2.4'],
    ['brinertu', '192.168.20.31 is in no network of this project; 10.48.10.31 is planned'],
    ['busbridge', 'only its type speaks for BusBridge; no address yet; 10.48.10.70 is planned'],
    [null, 'nothing that is planned is like it'],
  ]);
});

test('decided one after the other, nothing is left; the same list again changes nothing', () => {
  let project = surveyed(demo(), scan());
  const at = (station: string | null) => surveyOf(project).rows.find((row) => row.station === station)!;
  const decide = (decided: ReturnType<typeof adopt>) => {
    if (!decided.ok) throw new Error(decided.sentence);
    project = done(project, decided.changes);
  };
  expect(adopt(project, [at('busbridge')], DECIDING)).toMatchObject({
    ok: false,
    sentence: expect.stringContaining('nothing that BusBridge could take over') as string,
  });
  decide(correct(project, together(at('quaylink'), surveyOf(project).rows), DECIDING));
  expect([at('quaylink').state, at('evaphead').state, surveyOf(project).toDecide]).toEqual(['correct', 'correct', 4]);
  decide(adopt(project, [at('meterhub')], DECIDING));
  expect(project.get('station', 'meterhub')?.revision).toBe('1.8');
  decide(correct(project, [at('busbridge')], DECIDING));
  expect(toCorrect(at('busbridge'))).toEqual(['set address 10.48.10.70']);
  expect(toCorrect(at('quaylink'))).toEqual(['set address 10.48.10.40 in place of 10.48.10.45']);
  decide(ask(project, [at('brinertu')], 'Whose is 192.168.20.31? asked of the brine supplier', DECIDING));
  expect(correct(project, [at(null)], DECIDING)).toMatchObject({ ok: false });
  decide(notOurs(project, [at(null)], DECIDING));
  expect(surveyOf(project).toDecide).toBe(0);
  expect(planOf(project, scan()).changes).toEqual([]);
  const learnt = done(project, adoptLearnt(project, surveyOf(project).rows, DECIDING));
  expect(learnt.get('port', 'port-plantctl')?.hardware).toBe('02:00:5E:10:00:0B');
  // Found as planned afterwards, it is to be corrected no longer.
  const mended = surveyed(
    project,
    scan().replace('10.48.10.45;quay-link', '10.48.10.40;quay-link').replace('10.48.10.40;evap', '10.48.10.45;evap'),
  );
  expect(
    surveyOf(mended)
      .rows.filter(({ station }) => ['quaylink', 'evaphead'].includes(station ?? ''))
      .map(({ state }) => state),
  ).toEqual(['agrees', 'agrees']);
});

test.each([
  // What operating systems print of their neighbours. [common practice] [from memory]
  ['10.0.0.2 dev eth0 lladdr 02:00:5e:00:00:02 REACHABLE\n10.0.0.9 dev eth0  FAILED', [['10.0.0.2', '']]],
  ['b (10.0.0.2) at 02:00:5e:00:00:02 [ether] on eth0\n? (10.0.0.9) at <incomplete> on eth0', [['10.0.0.2', 'b']]],
  [
    'Interface: 10.0.0.1 --- 0x5\n  Internet Address  Physical Address   Type\n  10.0.0.2   02-00-5e-00-00-02   dynamic\n  224.0.0.22  01-00-5e-00-00-16  static',
    [['10.0.0.2', '']],
  ],
  ['10.0.0.2  0200.5e00.0002  ARPA', [['10.0.0.2', '']]],
])('what a command prints is read as devices, without those that did not answer', (text, devices) => {
  expect(rowsOf(text).map(({ facts }) => [facts.address, facts.deviceName ?? ''])).toEqual(devices);
});

test('hardware address before name before address; two that it may be are both told', () => {
  const project = edited(
    twoStations(),
    ['port', 'porta', 'hardware', '02-00-5E-00-00-01'],
    ['port', 'portb', 'deviceName', 'bee'],
  );
  const row = one(project, `${HEAD}\n02:00:5e:00:00:01;10.0.0.2;bee;;;`);
  expect(row.mayBe.map(({ name, reasons }) => [name, reasons])).toEqual([
    ['A', ['hardware']],
    ['B', ['deviceName', 'address']],
  ]);
  expect([row.state, row.station]).toEqual(['to decide', 'sa']);
  expect(row.why).toContain('by hardware address it would be A, by device name it B');
});

test.each([
  ['169.254.7.9', 'is a temporary address that it gave itself'],
  ['192.168.1.5', 'is in no network of this project'],
  ['', 'no address yet'],
])('an address “%s”: %s', (address, words) => {
  const project = edited(
    twoStations(),
    ['network', 'net', 'subnet', '10.0.0.0/24'],
    ['port', 'porta', 'hardware', '02005e000001'],
  );
  expect(one(project, `${HEAD}\n02:00:5e:00:00:01;${address};;;;`).why).toContain(words);
});

test('a hardware address without its leading zeros is the same; an address speaks louder than all numbers together', () => {
  const project = edited(
    twoStations(),
    ['port', 'porta', 'hardware', '02:00:5E:00:00:0B'],
    ['port', 'portb', 'unit', 7],
    ['port', 'portb', 'node', '7'],
    ['port', 'portb', 'telemetry', '7'],
  );
  expect(one(project, '? (10.0.0.77) at 2:0:5e:0:0:b on en0').mayBe.map(({ name }) => name)).toEqual(['A']);
  const row = one(project, 'IP;Unit;Node;Telemetry\n10.0.0.1;7;7;7');
  expect(row.mayBe.map(({ name }) => name)).toEqual(['A', 'B']);
});

test('what is not ours is taken for no station, and does not hide the one that is', () => {
  const project = surveyed(twoStations(), 'IP;Name\n10.0.0.1;stranger\n10.0.0.1;A');
  const [stranger] = surveyOf(project).rows;
  const decided = notOurs(project, [stranger!], DECIDING);
  const after = surveyOf(done(project, decided.ok ? decided.changes : [])).rows;
  expect(after.map(({ station, state, also }) => [station, state, also])).toEqual([
    [null, 'not ours', null],
    ['sa', 'agrees', null],
  ]);
});

test('what cannot be set at a device contradicts that it is this one', () => {
  const project = edited(twoStations(), ['station', 'sa', 'orderCode', 'CP-1'], ['station', 'sa', 'revision', '2.1']);
  const row = one(project, `${HEAD}\n;10.0.0.1;;CP-2;v2.1;`);
  expect(row.contradicts).toEqual(['orderCode']);
  expect(toCorrect(row)).toEqual(['replace it: order code CP-1 is planned, CP-2 is there']);
});

test('rows that cannot be, that stand twice, and clocks that differ are told, and nothing is lost', () => {
  const text =
    'MAC;IP;Seen\n02:00:5e:00:00:01;10.0.0.1;2026-11-30T11:00:00Z\nxx:1;10.0.0.2;\n02-00-5E-00-00-01;10.0.0.7;';
  const plan = planOf(twoStations(), text);
  expect(plan.rows.map(({ what, note }) => [what, note])).toEqual([
    ['new', 'seen at 2026-11-30T11:00:00Z, which is 60 min ahead of this clock: one of the two is wrong'],
    ['not taken', '“xx:1” is no hardware address; it has six bytes, as in 02:00:5E:00:00:0B'],
    ['twice', 'row 2 is the same device'],
  ]);
  expect(done(twoStations(), plan.changes).count('found')).toBe(1);
});

test('a list of which nothing is planned is doubted as a whole', () => {
  const text = 'IP;Name\n172.30.0.1;x\n172.30.0.2;y\n172.30.0.3;z';
  expect(planOf(twoStations(), text).doubt).toContain('is it the list of another plant?');
});

test('not seen is said only once something must have been heard', () => {
  const project = surveyed(
    edited(twoStations(), ['exchange', 'x', 'cadence', 1000], ['exchange', 'x', 'timeout', 4000]),
    'IP;Name\n10.0.0.1;A',
  );
  const { rows } = surveyOf(project);
  const at = (now: string) => notSeen(project, rows, now).map(({ station, wait }) => [station, wait]);
  expect(at('2026-11-30T10:00:02.000Z')).toEqual([['sb', 3000]]);
  expect(at('2026-11-30T10:00:05.000Z')).toEqual([['sb', 0]]);
});

/** Devices of a right plant, just as planned, each with a hardware address and the name of its own. */
function asPlanned(project: Project, exchanged: readonly [string, string] | null): string {
  const ports = [...project.all('port')].filter(({ address, enabled }) => address !== '' && enabled);
  const address = (id: string) =>
    project.get('port', exchanged?.includes(id) ? exchanged.find((other) => other !== id)! : id)!.address;
  return [
    'IP;Name',
    ...ports.map((port) => `${address(port.id)};${port.deviceName || project.get('station', port.station)!.name}`),
  ].join('\n');
}

test('plants found just as planned leave nothing to decide; with two exchanged one thing is', () => {
  let tried = 0;
  for (let seed = 1; seed <= 12; seed++) {
    const project = rightPlant(seed, ['requests', 'sharedVariables', 'remoteIo']);
    expect(
      surveyOf(surveyed(project, asPlanned(project, null))).rows.filter(({ state }) => state !== 'agrees'),
    ).toEqual([]);
    const ports = [...project.all('port')].filter(({ address, enabled }) => address !== '' && enabled);
    const other = ports.find(({ station, network }) => station !== ports[0]!.station && network === ports[0]!.network);
    if (!other) continue;
    tried++;
    const survey = surveyOf(surveyed(project, asPlanned(project, [ports[0]!.id, other.id])));
    expect([survey.toDecide, survey.rows.filter(({ swappedWith }) => swappedWith !== null).length]).toEqual([1, 2]);
  }
  expect(tried).toBeGreaterThan(6);
});
