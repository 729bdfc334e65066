import { isDeepStrictEqual } from 'node:util';
import fc from 'fast-check';
import { apply } from '../change/apply.js';
import type { Change } from '../change/change.js';
import { put } from '../change/make.js';
import type { PointRecord } from '../model/point-record.js';
import type { Project } from '../model/project.js';
import { Plant } from '../rehearse/plant.js';
import { shownValues } from '../rehearse/shown-values.js';
import { printedSeed } from '../testing/oracle.testing.js';
import { rightPlant } from '../testing/plant/right-plant.testing.js';
import { plantOf, randomEdit, smallPlant, THEMES } from '../testing/random-edits.testing.js';
import { applied, edited, twoStations, type FieldEdit } from '../testing/two-stations.testing.js';
import { typedNumber } from '../text/typed-number.js';
import { observedLanes } from './observed-lanes.js';
import { pointDetail } from './point-detail.js';
import { PointList } from './point-list.js';
import { recordsByPoint, recordsOfGone, standingOf } from './point-states.js';
import { pointName, type Point } from './point.js';
import { progressOf } from './progress.js';
import { recordPoint, type SaidOfPoint } from './record-point.js';
import { notRunning, seeRunning } from './seen-running.js';
import { whyNotSeen } from './symptom-of-point.js';
import { whichMoved } from './which-moved.js';

const pointsOf = (project: Project): readonly Point[] => new PointList(project).all().points;
const done = (project: Project, changes: readonly Change[]) => applied(project, { id: 't', label: '', changes });
const AT = '2026-11-30T10:00:00.000Z';
const SEEN: SaidOfPoint = { result: 'seen', view: 'tool', revision: 7, by: 'Ada', at: AT };

/** A plant whose stations were all seen running. */
const running = (project: Project) => done(project, seeRunning([...project.all('station')], { by: 'Ada', at: AT }));
let ids = 0;
function said(project: Project, point: Point, what: Partial<SaidOfPoint> = {}): Project {
  const known = recordsByPoint(project).get(point.key);
  const recorded = recordPoint(project, point, known, { ...SEEN, ...what }, () => `r${++ids}`);
  if (!recorded.ok) throw new Error(recorded.sentence);
  return done(project, recorded.changes);
}
const stateOf = (project: Project, point: Point) => standingOf(point, recordsByPoint(project).get(point.key)).state;

test('each value of a lane is a point: what to set and what to expect, each as its own end writes it, and what stands still', () => {
  const points = pointsOf(smallPlant());
  expect(points.map((point) => [pointName(point), point.from.address, point.to.address])).toEqual(
    expect.arrayContaining([
      ['Block ca, A to B', 'a100', 'b200'],
      ['R1, B to A', 'b300', 'a300'],
    ]),
  );
  const first = points.find(({ from }) => from.name === 'R1')!;
  expect(pointDetail(smallPlant(), first)).toMatchObject({
    // [common practice] 16#1234 shows an exchange of bytes, −1 a sign that is lost.
    tries: [
      { set: '4660', expect: '4660' },
      { set: '−1', expect: '−1' },
    ],
    still: { address: 'a301' },
  });
  const reals = points.find(({ from }) => from.name === 'Block ca')!;
  expect(pointDetail(smallPlant(), reals)!.tries).toEqual([
    { set: '1.0', expect: '1.0', element: 'element 1 of 2', base: 'REAL' },
    { set: '−1.0', expect: '−1.0', element: 'element 2 of 2', base: 'REAL' },
  ]);
});

test('a contact that is closed at rest is 1 at rest', () => {
  const bit = (contact: string | null) => {
    const project = edited(smallPlant(), ['lane', 'lane2', 'contact', contact]);
    const point = pointsOf(project).find(({ from }) => from.name === 'R3')!;
    return pointDetail(project, point)!;
  };
  expect(bit('true at rest')).toMatchObject({
    atRest: '1 at rest: operate it, and it goes to 0',
    tries: [{ set: '1' }, { set: '0' }].map((one) => ({ ...one, set: expect.stringMatching(/1|0|TRUE|FALSE/) })),
  });
  expect(bit('true when active').atRest).toBe('0 at rest: operate it, and it goes to 1');
  expect(bit(null).atRest).toBe('');
});

test('seen in the tool and at the device is seen; in one of them alone it is not', () => {
  const plant = running(smallPlant());
  const [point] = pointsOf(plant);
  const once = said(plant, point!);
  expect([stateOf(plant, point!), stateOf(once, point!)]).toEqual(['to test', 'in one view']);
  const both = said(once, point!, { view: 'device' });
  expect(stateOf(both, point!)).toBe('seen');
  const not = said(both, point!, { result: 'not seen', set: '1.0', saw: '2.278E-41' });
  expect(stateOf(not, point!)).toBe('not seen');
  expect(stateOf(said(not, point!), point!)).toBe('seen');
  expect(standingOf(point!, recordsByPoint(not).get(point!.key)).records.map(({ view }) => view)).toEqual([
    'tool', 'device', 'tool',
  ]); // prettier-ignore
  expect([...observedLanes([point!], recordsByPoint(both))]).toEqual([point!.lane]);
  expect([...observedLanes([point!], recordsByPoint(once))]).toEqual([]);
});

test('refused with a sentence: a station that is not seen running, a skip without a reason, the same said twice by one', () => {
  const plant = smallPlant();
  const [point] = pointsOf(plant);
  const say = (project: Project, what: Partial<SaidOfPoint> = {}) =>
    recordPoint(project, point!, recordsByPoint(project).get(point!.key), { ...SEEN, ...what }, () => 'r');
  expect(say(plant)).toEqual({
    ok: false,
    sentence: 'A was not seen running, B was not seen running: a test would prove nothing.',
  });
  const [a] = notRunning(plant, point!)!.stations;
  const stopped = edited(running(plant), ['station', a!.id, 'observed', { state: 'stopped', by: 'Bo', at: AT }]);
  expect(say(stopped)).toMatchObject({ sentence: 'A was seen stopped by Bo: a test would prove nothing.' });
  expect(say(running(plant), { result: 'skipped', reason: ' ' })).toMatchObject({ ok: false });
  // Why something cannot be tested can be said of one that stands still.
  expect(say(stopped, { result: 'skipped', reason: 'valve not mounted' }).ok).toBe(true);
  const once = said(running(plant), point!);
  expect(say(once)).toEqual({ ok: false, sentence: 'Block ca, A to B was seen already, said Ada.' });
  expect(say(once, { by: 'Bo' }).ok).toBe(true);
});

test('a station that was started by the order of work counts as seen running', () => {
  const work = (id: string) =>
    put('work', { id: `w${id}`, order: 10, step: `start ${id}`, state: 'done', basis: '', by: 'Ada', at: AT });
  const plant = smallPlant();
  const [point] = pointsOf(plant);
  expect(notRunning(done(plant, [work('sa'), work('sb')]), point!)).toBeNull();
  expect(notRunning(done(plant, [work('sa')]), point!)!.sentence).toContain('B was not seen running');
});

test('two who say otherwise without knowing of each other: it is to be tested again', () => {
  const plant = running(smallPlant());
  const [point] = pointsOf(plant);
  const two = (['seen', 'not seen'] as const).flatMap((result, i) => {
    const recorded = recordPoint(plant, point!, undefined, { ...SEEN, result, by: i ? 'Bo' : 'Ada' }, () => `q${i}`);
    return recorded.ok ? recorded.changes : [];
  });
  const met = done(plant, two);
  expect(standingOf(point!, recordsByPoint(met).get(point!.key))).toMatchObject({
    state: 'not seen',
    quarrel: 'Ada says seen, Bo says not seen: test it again',
  });
  expect(stateOf(said(met, point!, { by: 'Cy' }), point!)).toBe('in one view');
});

const EDITS: readonly [string, FieldEdit, boolean][] = [
  ['where its sink has it', ['claim', 'cb', 'place', { area: 'areab', view: 'vb', number: 210 }], false],
  ['an address that it calls', ['port', 'portb', 'address', '10.0.0.9'], false],
  ['how its values lie', ['profile', 'pb', 'layout', { registerOrder: 'low first' }], false],
  ['a name', ['station', 'sb', 'name', 'Other'], true],
  ['how often', ['exchange', 'x', 'cadence', 250], true],
];
test.each(EDITS)('after an edit of %s', (_, edit, stays) => {
  const plant = running(twoStations());
  const point = pointsOf(plant)[0]!;
  const seen = said(said(plant, point), point, { view: 'device' });
  const after = edited(seen, edit);
  const [now] = pointsOf(after);
  expect(now!.key).toBe(point.key);
  expect(stateOf(after, now!)).toBe(stays ? 'seen' : 'before the change');
});

test('a record of a point that was deleted meanwhile is kept, and told with its name', () => {
  const plant = running(smallPlant());
  const point = pointsOf(plant).find(({ from }) => from.name === 'R2')!;
  const seen = said(plant, point);
  const items = { ...seen.get('lane', 'lane2')!.items };
  delete items.k2;
  const claims = (['ca2', 'cb2'] as const).map((id): FieldEdit => {
    const own = { ...seen.get('claim', id)!.items };
    delete own.k2;
    return ['claim', id, 'items', own];
  });
  const after = edited(seen, ['lane', 'lane2', 'items', items], ...claims);
  expect(pointsOf(after).map(({ key }) => key)).not.toContain(point.key);
  expect(recordsOfGone(after, pointsOf(after)).map(({ name }) => name)).toEqual(['R2, B to A']);
  expect(recordsOfGone(seen, pointsOf(seen))).toEqual([]);
});

test('who must and must not reach whom is tested too; what must not, without the other running', () => {
  const must = (id: string, word: string) =>
    put('expectation', { id, order: 10, from: 'sa', to: 'sb', traffic: 'requests', must: word } as never);
  const plant = done(smallPlant(), [must('e1', 'must reach'), must('e2', 'must not reach')]);
  const [reach, none] = pointsOf(plant).filter(({ sort }) => sort !== 'value');
  expect([pointName(reach!), pointName(none!)]).toEqual(['A reaches B', 'A does not reach B']);
  expect(pointDetail(plant, reach!)!.tries[0]!.expect).toContain('10.0.0.2');
  expect(pointDetail(plant, none!)!.tries[0]!.expect).toContain('no answer');
  expect(notRunning(plant, none!)!.stations.map(({ id }) => id)).toEqual(['sa']);
});

test('somebody operates a thing and says what moved: the points that lie there, the smallest first', () => {
  const plant = smallPlant();
  const points = pointsOf(plant);
  const bit = points.find(({ from }) => from.name === 'R3')!;
  const moved = whichMoved(plant, points, 'sb', bit.from.address);
  expect(moved.ok && moved.value[0]!.point).toBe(bit);
  const second = whichMoved(plant, points, 'sa', 'a101');
  expect(second.ok && second.value.map(({ point }) => point.from.name)).toEqual(['Block ca']);
  expect(whichMoved(plant, points, 'sa', '%MX0')).toMatchObject({ ok: false });
});

test('of a value that a gateway only keeps: where it begins, for there it is set', () => {
  const plant = rightPlant(1, ['memoryGateway']);
  const points = pointsOf(plant);
  const isHub = (station: string) => station.startsWith('Hub');
  const out = points.filter(({ from }) => isHub(from.at));
  expect(out.length).toBeGreaterThan(0);
  for (const point of out) {
    const into = points.find(({ to }) => to.station === point.from.station && to.address === point.from.address)!;
    const { at: station, name, address } = into.from;
    expect(pointDetail(plant, point)!.brought).toEqual([
      { name, station, address: expect.stringMatching(new RegExp(`^${address}(–|$)`)) },
    ]);
  }
  for (const point of points.filter(({ to }) => isHub(to.at))) expect(pointDetail(plant, point)!.brought).toEqual([]);
});

test('a lane that cannot be tested yet is told with what is missing', () => {
  const { points, without } = new PointList(edited(twoStations(), ['claim', 'cb', 'place', null])).all();
  expect([points, without]).toEqual([[], [{ lane: 'lane', why: 'B says no place' }]]);
});

const seed = printedSeed('points');

test('what is to be expected is what the plant acted out brings, in whatever notation', () => {
  let tried = 0;
  // As many right plants as it takes: some hold arrays and nothing else.
  for (let n = 0; n < 100 && tried < 150; n++) {
    const project = rightPlant(seed + n);
    const plant = new Plant(project);
    const points = pointsOf(project).filter(({ sort }) => sort === 'value');
    for (const link of plant.links) {
      const { source, sink } = link.path;
      const ofLink = points.filter(
        ({ from, to, lane }) => from.end === source.end.id && to.end === sink.end.id && lane === source.claim.lane,
      );
      for (const turn of [0, 1]) {
        const driven = ofLink.flatMap((point) => {
          const { tries, brought } = pointDetail(project, point)!;
          const one = brought.length > 0 ? undefined : tries[turn];
          const number = one?.element === '' ? typedNumber(one.set.split(' = ')[0]!) : null;
          if (!one || !number) return [];
          expect(plant.drive(link, point.item, { kind: 'constant', value: Number(number.value) })).toBeNull();
          return [[point.item, one.set, one.expect]];
        });
        if (driven.length === 0) continue;
        plant.send(link);
        const shown = () => {
          const values = new Map(shownValues(plant, link).map(({ key, sent, has }) => [key, [key, sent, has]]));
          return driven.map(([key]) => values.get(key!));
        };
        // The slowest needs twenty seconds; most are there in one.
        for (let s = 0; s < 20 && !isDeepStrictEqual(shown(), driven); s++) plant.advance(1_000_000);
        expect(shown()).toEqual(driven);
        for (const [key] of driven) plant.letGo(link, key!);
        tried += driven.length;
      }
    }
  }
  expect(tried).toBeGreaterThan(100);
});

test('the list kept while a plant is edited is the list made anew', () => {
  const edit = fc.tuple(fc.nat(), fc.nat(), fc.nat());
  fc.assert(
    fc.property(fc.constantFrom(...THEMES), fc.array(edit, { minLength: 3, maxLength: 15 }), (theme, edits) => {
      let project = plantOf(theme);
      const list = new PointList(project);
      let looked = 0;
      list.advance(() => looked++ >= edits[0]![0] % 6);
      edits.forEach(([what, whose, value], i) => {
        const changes = randomEdit(project, theme, what, whose, value, `fresh${i}`) ?? [];
        const made = apply(project, { id: `c${i}`, label: '', changes });
        if (!made.ok) return;
        project = project.with(made.entities);
        list.edit(project, made.entities);
        // All are asked for after every second edit only, so that some are looked at late.
        if (i % 2 === 1) expect(list.all()).toEqual(new PointList(project).all());
      });
    }),
    { seed, numRuns: 60 },
  );
});

test.each([
  // [common practice] two registers exchanged, bytes exchanged, a sign that is lost.
  ['1.0', '2.278E-41', 'the two registers are exchanged', 'factor'],
  ['4660', '13330', 'the two bytes', 'factor'],
  ['−1', '65535', '', 'sign'],
  ['4660 = 16.9 %', '', '', 'nothing-moves'],
  ['4660', '5003', '', 'wrong-place'],
  // One digit that was read off is that number, and not half as much again.
  ['4660', '7', '', 'wrong-place'],
  ['4660', '5', 'three places', 'factor'],
])('%s was expected and %s seen', (expected, saw, says, symptom) => {
  const plant = smallPlant();
  const why = whyNotSeen(plant, pointsOf(plant)[0]!, expected, saw);
  expect(why.symptom).toBe(symptom);
  if (says) expect(why.explanations[0]!.sentence).toContain(says);
});

test('how far it is, by exchange, by person and by day', () => {
  const plant = running(smallPlant());
  const [a, b, c] = pointsOf(plant) as [Point, Point, Point];
  let now = said(said(plant, a), a, { view: 'device', by: 'Bo', at: '2026-12-01T08:00:00.000Z' });
  now = said(said(now, b, { result: 'not seen' }), c, { result: 'skipped', reason: 'no cable' });
  const all = pointsOf(now);
  const { exchanges, people, days } = progressOf(all, recordsByPoint(now));
  expect(exchanges[0]).toEqual({ exchange: 'x', all: 5, seen: 1, notSeen: 1, skipped: 1 });
  expect(exchanges.reduce((sum, row) => sum + row.all, 0)).toBe(all.length);
  expect(people).toEqual([
    { of: 'Ada', points: 3, records: 3 },
    { of: 'Bo', points: 1, records: 1 },
  ]);
  expect(days.map(({ of, records }) => [of, records])).toEqual([
    ['2026-12-01', 1],
    ['2026-11-30', 3],
  ]);
});

test('a record holds what a project file takes', () => {
  const plant = running(smallPlant());
  const [point] = pointsOf(plant);
  const record: PointRecord = [...said(plant, point!, { good: true }).all('point')][0]!;
  expect(record).toMatchObject({ point: point!.key, name: 'Block ca, A to B', revision: 7, by: 'Ada', good: true });
});
