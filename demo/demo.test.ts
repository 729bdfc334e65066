import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { CheckEngine, diff, inOrderOfWork, plain, ruleOf, apply, textOf, writeProject } from '@dialoga/core';
import { readProject } from '@dialoga/core/entry';
import { kestrelQuay } from './kestrel-quay.js';
import { skidList } from './skid-list.js';

const file = (name: string) => readFileSync(join(__dirname, name), 'utf8');
const findings = (agreed: boolean) => {
  const project = kestrelQuay(agreed);
  return inOrderOfWork(new CheckEngine(project).findings.values(), project).map((finding) => {
    const text = textOf(finding);
    return [finding.code, finding.severity, finding.lane ?? finding.about.id, ...text.says.map(plain)];
  });
};

test('the files are what the demo gives, and can be read', () => {
  expect(file('kestrel-quay.dialoga.json')).toBe(writeProject(kestrelQuay(false)));
  expect(file('kestrel-quay-as-agreed.dialoga.json')).toBe(writeProject(kestrelQuay(true)));
  expect(file('skid-list.tsv')).toBe(skidList());
  expect(readProject(file('kestrel-quay.dialoga.json')).ok).toBe(true);
});

test('the seeded faults are found, once each, with both values', () => {
  expect(findings(false)).toEqual([
    ['ADR 13', 'blocker', 'duty', 'told SkidCtl at 10.48.10.14, its former address', 'is at 10.48.10.12'],
    [
      'TYP 5',
      'blocker',
      'setpoints',
      'Set-points: writes REAL, high register first, no swap',
      'Setp: reads it, low register first, no swap',
    ],
    ['SIZ 1', 'blocker', 'pressures', 'Pressures: reads 6 words, %MW324–%MW329', 'Press: writes 5 words, w1264–w1268'],
  ]);
});

test('as agreed, nothing is found and every lane agrees', () => {
  expect(findings(true)).toEqual([]);
  const engine = new CheckEngine(kestrelQuay(true));
  expect([...engine.laneResults.values()].map((r) => r.verdict)).toEqual(Array(7).fill('agreed'));
});

test('the two differ in the mended paths only', () => {
  const paths = diff(kestrelQuay(false), kestrelQuay(true)).map((c) => `${c.kind} ${c.id} ${c.path.join('.')}`);
  expect(paths.sort()).toEqual([
    'claim pressures-skid length.count',
    'claim setpoints-plant swap',
    'end duty-plant told.duty-skid.address',
    'project project name',
  ]);
});

test('taking every proposed fix leads to the project as agreed', () => {
  let project = kestrelQuay(false);
  for (const { key } of inOrderOfWork(new CheckEngine(project).findings.values(), project)) {
    const finding = new CheckEngine(project).findings.get(key)!;
    const [fix] = ruleOf(finding.code).fixes!(finding, project);
    const applied = apply(project, { id: 'f', label: fix!.label, changes: fix!.changes });
    if (!applied.ok) throw new Error(applied.refusal.sentence);
    project = project.with(applied.entities);
  }
  expect(diff(project, kestrelQuay(true)).map((c) => c.id)).toEqual(['project']);
});
