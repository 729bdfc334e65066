import { CheckEngine } from '../../engine.js';
import { codesOf, edited, theFinding, wordsOf } from '../../../testing/two-stations.testing.js';
import { mended, plant, words } from '../../../testing/edited-plant.testing.js';

const told = (field: string, value: string) => ['end', 'svca', `told.svcb.${field}`, value] as const;

test('a partner may be entered as what it is or acts as, however it is written; nothing else', () => {
  for (const type of ['small', 'LARGE', 'B profile']) {
    const project = plant([...told('type', type)]);
    expect(codesOf(project).includes('ADR 13')).toBe(type === 'B profile');
  }
  expect(words('ADR 13', [...told('type', 'medium')])).toContain('A has B entered as “medium”; it is “small”');
  expect(mended('ADR 13', [...told('type', 'medium')])).toEqual([]);
});

test('what may be left out is compared where it is typed', () => {
  const telemetry = plant(['port', 'portb', 'telemetry', '31'], [...told('telemetry', '0')]);
  expect(wordsOf(theFinding(telemetry, 'ADR 13'))).toContain('telemetry address 0 entered');
  expect(wordsOf(theFinding(telemetry, 'ADR 13'))).toContain('telemetry address is 31');
  expect(codesOf(plant(['port', 'portb', 'telemetry', '31']))).toEqual([]);
  expect(codesOf(edited(telemetry, [...told('telemetry', '31')]))).toEqual([]);
});

test('what an address that is given anew each time was told as is a Doubt', () => {
  // Of the two that were told it, one is told another address: a Blocker of its own.
  const project = plant(['port', 'portb', 'how', 'automatic'], ['end', 'ea', 'told.eb.address', '10.0.0.9']);
  const found = [...new CheckEngine(project).findings.values()].filter((f) => f.code === 'ADR 13');
  expect(found.map((f) => f.severity).sort()).toEqual(['blocker', 'doubt']);
  const finding = found.find((f) => f.severity === 'doubt')!;
  expect(wordsOf(finding)).toContain('which B is given anew each time');
});

test('the unit on a line has no default: not told is a Blocker, another one too', () => {
  expect(words('ADR 13', ['end', 'rtua', 'told.rtub.unit', ''])).toContain('has no unit entered for B');
  expect(mended('ADR 13', ['end', 'rtua', 'told.rtub.unit', '12'])).toEqual([]);
});
