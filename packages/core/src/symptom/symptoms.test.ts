import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { RULES } from '../check/catalogue.js';
import { CheckEngine } from '../check/engine.js';
import { readProject } from '../file/read-project.js';
import type { Finding } from '../finding/finding.js';
import { SYMPTOMS } from './catalogue.js';
import { rankedCauses } from './ranked-causes.js';
import { symptomOf, symptomsNamed } from './symptoms-named.js';

const codes = new Set(RULES.map(({ meta }) => meta.code));

test('each symptom has an id and words of its own, several causes, and each of them says how to tell it', () => {
  expect(SYMPTOMS.length).toBeGreaterThanOrEqual(22);
  expect(new Set(SYMPTOMS.map(({ id }) => id)).size).toBe(SYMPTOMS.length);
  for (const { id, causes, also } of SYMPTOMS) {
    expect([id, causes.length >= 3, also.length > 0]).toEqual([id, true, true]);
    for (const key of ['says', 'tell'] as const)
      expect([id, key, new Set(causes.map((cause) => cause[key])).size]).toEqual([id, key, causes.length]);
  }
});

test('every rule that a cause names is there', () => {
  const named = SYMPTOMS.flatMap(({ causes }) => causes.flatMap((cause) => cause.codes));
  expect(named.filter((code) => !codes.has(code))).toEqual([]);
});

test.each([
  ['no tags found', 'tag-list-empty'],
  ['256 times', 'factor'],
  ['  NO ANSWER ', 'cannot-reach'],
  ['letters swapped', 'letters'],
  ['keep blinking', 'keeps-blinking'],
  ['jumps back', 'goes-back'],
])('“%s” finds %s first', (typed, id) => expect(symptomsNamed(typed)[0]!.id).toBe(id));
test.each(['', 'xy', 'zebra'])('“%s” finds none', (typed) => expect(symptomsNamed(typed)).toEqual([]));

const finding = (code: string, key: string, severity: Finding['severity'], station: string): Finding => ({
  key,
  code,
  message: 'x',
  severity,
  about: { kind: 'station', id: station, name: station },
  parties: [{ station }],
  cells: [],
  params: {},
  label: '',
});
const symptom = symptomOf('factor')!;
const first = (findings: Finding[], rest: { since?: Map<string, number>; at?: Set<string> } = {}) =>
  rankedCauses(symptom, { findings, ...rest })[0]!.cause.codes[0];

test('without a finding the usual order stands', () => {
  expect(rankedCauses(symptom, { findings: [] }).map(({ cause }) => cause)).toEqual(symptom.causes);
});
test('what is found here comes before what is usual, what is at the place before what is elsewhere', () => {
  expect(first([finding('TYP 8', 'a', 'doubt', 's')])).toBe('TYP 8');
  const both = [finding('TYP 8', 'a', 'doubt', 's'), finding('TYP 5', 'b', 'blocker', 't')];
  expect(first(both)).toBe('TYP 5');
  expect(first(both, { at: new Set(['s']) })).toBe('TYP 8');
});
test('of two that are alike the one that changed last comes first', () => {
  const both = [finding('TYP 3', 'a', 'blocker', 's'), finding('TYP 5', 'b', 'blocker', 's')];
  expect(first(both)).toBe('TYP 3');
  expect(first(both, { since: new Map([['b', 7]]) })).toBe('TYP 5');
  expect(
    first(both, {
      since: new Map([
        ['a', 9],
        ['b', 7],
      ]),
    }),
  ).toBe('TYP 3');
});
test('every cause is there once, whatever is found', () => {
  const any = fc.constantFrom(...codes).map((code, n = 0) => finding(code, `${code} ${n}`, 'blocker', 's'));
  fc.assert(
    fc.property(fc.constantFrom(...SYMPTOMS), fc.array(any), (one, findings) => {
      const ranked = rankedCauses(one, { findings });
      expect(ranked.map(({ usual }) => usual).sort((a, b) => a - b)).toEqual(one.causes.map((_, i) => i));
      const found = ranked.map(({ findings: of }) => of.length > 0);
      expect(found.indexOf(false) < 0 || !found.slice(found.indexOf(false)).includes(true)).toBe(true);
    }),
  );
});

test('in the demo with its faults, “no tags found” at the control room leads to the backplane hop, with both values', () => {
  const read = readProject(readFileSync(join(__dirname, '../../../../demo/kestrel-quay.dialoga.json'), 'utf8'));
  if (!read.ok) throw new Error('the demo cannot be read');
  const room = [...read.project.all('station')].find(({ name }) => name === 'ControlRoom')!;
  const findings = [...new CheckEngine(read.project).findings.values()];
  const [cause] = rankedCauses(symptomsNamed('no tags found')[0]!, { findings, at: new Set([room.id]) });
  expect(cause!.cause.codes).toContain('ROU 4');
  expect(cause!.findings[0]!.code).toBe('ROU 4');
});
