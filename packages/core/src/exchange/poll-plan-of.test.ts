import { newEnd, newExchange } from '../create/new-entities.js';
import type { Project } from '../model/project.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import {
  added,
  codesOf,
  edited,
  fixed,
  theFinding,
  twoStations,
  wordsOf,
  type FieldEdit,
} from '../testing/two-stations.testing.js';
import { pollPlanOf } from './poll-plan-of.js';
import { pollRemedies } from './poll-remedies.js';

/** A asks B over Modbus TCP for words at these addresses of B, each of so many. */
function asking(places: readonly (readonly [number, number])[], ...edits: FieldEdit[]): Project {
  const base = twoStations();
  const [ca, cb] = [base.get('claim', 'ca')!, base.get('claim', 'cb')!];
  let project = edited(base, ['claim', 'ca', 'direction', 'writes']);
  places.forEach(([number, count], i) => {
    const length = { count, unit: 16 as const };
    const type = { base: 'WORD', count };
    project = added(project, 'lane', { id: `l${i}`, order: 100 + i, exchange: 'x', items: {} });
    project = added(
      project,
      'claim',
      { ...ca, id: `a${i}`, lane: `l${i}`, name: `A${i}`, direction: 'reads', length, type, toldPlace: `b${number}` },
      {
        ...cb,
        id: `b${i}`,
        lane: `l${i}`,
        name: `B${i}`,
        direction: 'writes',
        length,
        type,
        place: { area: 'areab', view: 'vb', number },
      },
    );
  });
  return edited(project, ...edits);
}
const planOf = (project: Project) => pollPlanOf(project, project.get('exchange', 'x')!)!;

test('what lies near is asked for in one request, as it is sent; what is only written is no part of the pass', () => {
  const plan = planOf(
    asking([
      [100, 2],
      [104, 2],
      [900, 10],
    ]),
  );
  expect(plan.devices).toHaveLength(1);
  expect(plan.devices[0]!.requests.map((r) => [r.start, r.length, r.items, r.bridged, r.bytes])).toEqual([
    [100, 6, ['l0', 'l1'], 2, 12],
    [900, 10, ['l2'], 0, 20],
  ]);
  // [published: MODBUS Application Protocol V1.1b3, 6.3: function 03, first register, count] [from memory]
  expect(plan.devices[0]!.requests[0]!.frame).toBe('03 00 64 00 06');
  expect(plan.devices[0]!.names).toMatchObject({ l0: 'A0' });
});

// Worked by hand: 8 + 5 + 2 × 20 characters of 11 bits at 9600 bit/s are 60.73 ms, two silences of 3.5 characters 8.02 ms,
// and 30 ms of delay: 98.75 ms a meter. [published: MODBUS over Serial Line V1.02, 2.5.1] [from memory]
test('four meters of 20 registers at 9600 8E1 with 30 ms: about 395 ms a pass, not every 250 ms; what would hold', () => {
  const base = smallPlant();
  const line = added(base, 'exchange', {
    ...newExchange('m', 90, 'Meters', 'modbus-rtu'),
    cadence: 250,
    responseDelay: 30,
    transfer: 'requests',
  });
  const caller = newEnd('ma', 10, 'm', 'sa', 'portser', 'calls');
  const port = added(line, 'port', { ...base.get('port', 'porta')!, id: 'portser', serial: '9600 8E1' });
  let project = added(port, 'end', caller, newEnd('mb', 20, 'm', 'sb', null, 'listens'));
  const [ca, cb] = [base.get('claim', 'ca')!, base.get('claim', 'cb')!];
  for (let i = 0; i < 4; i++) {
    const length = { count: 20, unit: 16 as const };
    project = added(project, 'lane', { id: `lm${i}`, order: i, exchange: 'm', items: {} });
    project = added(
      project,
      'claim',
      { ...ca, id: `ma${i}`, lane: `lm${i}`, end: 'ma', direction: 'reads', length, toldPlace: `b${i * 200}` },
      { ...cb, id: `mb${i}`, lane: `lm${i}`, end: 'mb', direction: 'writes', length },
    );
  }
  // Without the settings of its line nothing is said of its time.
  const unknown = edited(project, ['port', 'portser', 'serial', '']);
  expect(pollPlanOf(unknown, unknown.get('exchange', 'm')!)).toBeNull();
  const plan = pollPlanOf(project, project.get('exchange', 'm')!)!;
  expect(plan.devices[0]!.requests).toHaveLength(4);
  expect(plan.pass).toBeCloseTo(395, 0);
  expect(plan.holds).toBe(false);
  // At 38400: 15.18 + 3.5 (fixed silences of 1.75) + 30 = 48.7 ms a meter; at 19200 the pass still takes 258 ms.
  expect(pollRemedies(plan)).toEqual({ cadence: 500, line: '38400 8E1', delay: null });
});

test('TIM 3: a tag map whose poll plan takes longer than its interval; a bit of a register is written with all its bits: POS 2', () => {
  const slow = asking(
    [
      [100, 2],
      [900, 10],
    ],
    ['exchange', 'x', 'kind', 'tag map'],
    ['exchange', 'x', 'cadence', 20],
    ['exchange', 'x', 'responseDelay', 15],
  );
  const finding = theFinding(slow, 'TIM 3');
  expect(wordsOf(finding)).toContain('2 requests, the fewest that bring all of it: 30.0 ms');
  expect(codesOf(fixed(slow, finding))).not.toContain('TIM 3');
  // Two points of one register of A, each one bit: whoever sets the one writes the other, too.
  const bit = (n: number) => ({ area: 'areaa', view: 'va', number: 500, bit: n });
  const bits = edited(
    asking([
      [100, 1],
      [101, 1],
    ]),
    ...[0, 1].flatMap((i): FieldEdit[] => [
      ['claim', `a${i}`, 'place', bit(i)],
      ...(['a', 'b'] as const).flatMap((side): FieldEdit[] => [
        ['claim', `${side}${i}`, 'length', { count: 1, unit: 1 }],
        ['claim', `${side}${i}`, 'type', { base: 'BOOL', count: 1 }],
      ]),
    ]),
  );
  expect(codesOf(bits).filter((code) => code === 'POS 2' || code === 'POS 9')).not.toEqual([]);
});

test('a protocol without tables, or nobody who calls: no plan; a block without a told place is left and counted', () => {
  const project = asking([[100, 2]], ['claim', 'a0', 'toldPlace', null]);
  expect(planOf(project)).toMatchObject({ devices: [], left: 1, pass: 0 });
  expect(
    pollPlanOf(smallPlant(), edited(smallPlant(), ['exchange', 'y', 'protocol', 'cip']).get('exchange', 'y')!),
  ).toBeNull();
});
