import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { apply, type Change } from '@dialoga/core/change';
import { readProject } from '@dialoga/core/entry';
import { writeProject } from '@dialoga/core/file';
import type { Project } from '@dialoga/core/model';
import { PointList, recordPoint, recordsByPoint, seeRunning } from '@dialoga/core/pointtest';
import { XMLParser } from 'fast-xml-parser';

const root = join(__dirname, '../../..');
const folder = mkdtempSync(join(tmpdir(), 'dialoga-cli-'));
const FAULTY = join(root, 'e2e/projects/two-suppliers.dialoga.json');
const AGREED = join(root, 'e2e/projects/two-suppliers-as-agreed.dialoga.json');

/** The built command, as `npm run check` starts it. */
const check = (...args: string[]) =>
  spawnSync(process.execPath, [join(root, 'apps/cli/dist/check.js'), ...args], { encoding: 'utf8' });

const written = (name: string, text: string | Buffer) => {
  writeFileSync(join(folder, name), text);
  return join(folder, name);
};

test('text: the findings of the demo, exit 1', () => {
  const { stdout, status } = check(FAULTY);
  expect(status).toBe(1);
  expect(stdout).toContain(
    'Blocker ADR 13  PlantCtl has 10.48.10.14 entered for SkidCtl, its former address; it is at 10.48.10.12',
  );
  expect(stdout).toContain('3 Blockers, 0 Doubts, 0 Hints');
});

test('as agreed: nothing, exit 0', () => {
  const { stdout, status } = check(AGREED);
  expect(status).toBe(0);
  expect(stdout).toContain('0 Blockers');
});

test('--json can be read, and says the same', () => {
  const { stdout, status } = check('--json', FAULTY, AGREED);
  expect(status).toBe(1);
  const [faulty, agreed] = JSON.parse(stdout) as { tally: object; findings: { code: string; says: string[] }[] }[];
  expect(faulty!.tally).toEqual({ blocker: 3, doubt: 0, hint: 0 });
  expect(faulty!.findings.map((f) => f.code)).toEqual(['ADR 13', 'TYP 5', 'SIZ 1']);
  expect(faulty!.findings[2]!.says).toEqual([
    'Pressures: reads 6 words, %MW324–%MW329',
    'Press: writes 5 words, w1264–w1268',
  ]);
  expect(agreed!.findings).toEqual([]);
});

test('--junit is XML whose counts are right [library: fast-xml-parser]', () => {
  const { stdout } = check('--junit', FAULTY, AGREED);
  const parsed = new XMLParser({ ignoreAttributes: false }).parse(stdout) as {
    testsuites: { testsuite: { '@_tests': string; '@_failures': string; testcase: unknown }[] };
  };
  const [faulty, agreed] = parsed.testsuites.testsuite;
  expect([faulty!['@_tests'], faulty!['@_failures']]).toEqual(['3', '3']);
  expect(faulty!.testcase).toHaveLength(3);
  expect([agreed!['@_tests'], agreed!['@_failures']]).toEqual(['1', '0']);
});

test.each([
  ['not there', () => join(folder, 'none.json'), 'ENOENT'],
  ['empty', () => written('empty.json', ''), 'line 1, column 1'],
  ['cut off', () => written('cut.json', '{ "format": "dialoga-project"'), 'the end of the file'],
  ['another version', () => written('v9.json', '{"format":"dialoga-project","version":9}'), 'found 9'],
  ['binary', () => written('binary.json', Buffer.from([0, 255, 254, 3])), 'byte FF, which is no UTF-8 here'],
  ['of an older office', () => written('latin.json', Buffer.from('{\n "ü"', 'latin1')), 'line 2, column 3'],
  ['UTF-16', () => written('wide.json', Buffer.from('\uFEFF{}', 'utf16le')), 'found UTF-16; a project file is UTF-8'],
])('a file that is %s: exit 2 and a sentence', (_, make, sentence) => {
  const { stdout, status } = check(make());
  expect(status).toBe(2);
  expect(stdout).toContain(sentence);
});

/** The agreed file with registers facing a REAL: nobody has said in which order they are. */
function unchecked(): string {
  const project = JSON.parse(readFileSync(AGREED, 'utf8')) as { claims: { id: string; type: unknown }[] };
  const claim = project.claims.find((c) => (c.type as { base?: string } | null)?.base === 'WORD')!;
  const count = (claim.type as { count: number }).count;
  claim.type = { base: 'REAL', count: count / 2 };
  return written('unchecked.json', JSON.stringify(project));
}

test('a lane that cannot be compared is listed with its reason in every form, and fails with --strict only', () => {
  const file = unchecked();
  const text = check(file);
  expect(text.status).toBe(0);
  expect(text.stdout).toMatch(/Unchecked {2}Compressor duty, .+: one end has registers for a REAL/);
  expect(text.stdout).toContain('6 of 7 lanes agreed, 1 unchecked');
  const json = JSON.parse(check('--json', file).stdout) as { lanes: { all: number; unchecked: { why: string }[] } }[];
  expect(json[0]!.lanes).toMatchObject({ all: 7, agreed: 6 });
  expect(json[0]!.lanes.unchecked[0]!.why).toContain('the order of its registers is not known');
  expect(check('--junit', file).stdout).toMatch(/<testcase name="unchecked Compressor duty, [^"]+"[^>]*><skipped/);
  expect(check('--strict', file).status).toBe(1);
  expect(check('--strict', '--json', file).status).toBe(1);
});

test('--strict: a file in which every lane is compared and agrees ends with 0', () => {
  const { status, stdout } = check('--strict', AGREED);
  expect([status, stdout.includes('unchecked')]).toEqual([0, false]);
  const demo = check('--strict', join(root, 'demo/kestrel-quay-as-agreed.dialoga.json'));
  expect(demo.status).toBe(0);
  expect(demo.stdout).toContain('446 of 446 lanes agreed');
  expect(demo.stdout).toContain('0 Blockers, 0 Doubts, 1 Hint\n');
});

test('how far it is beyond the plan is told once something was rehearsed or seen', () => {
  expect(check(AGREED).stdout).not.toContain('rehearsed');
  const read = readProject(readFileSync(AGREED, 'utf8'));
  if (!read.ok) throw new Error('the file cannot be read');
  const { project } = read;
  const [point] = new PointList(project).all().points;
  const who = { by: 'Ada', at: '2026-11-30T10:00:00.000Z' };
  const applied = (to: Project, changes: readonly Change[]): Project => {
    const made = apply(to, { id: 'c', label: '', changes });
    if (!made.ok) throw new Error(made.refusal.sentence);
    return to.with(made.entities);
  };
  const run = applied(project, seeRunning([...project.all('station')], who));
  const seen = (['tool', 'device'] as const).reduce((now, view, i) => {
    const saw = { ...who, result: 'seen', revision: 1, view } as const;
    const recorded = recordPoint(now, point!, recordsByPoint(now).get(point!.key), saw, () => `r${i}`);
    if (!recorded.ok) throw new Error(recorded.sentence);
    return applied(now, recorded.changes);
  }, run);
  const file = written('seen.json', writeProject(seen));
  expect(check(file).stdout).toMatch(
    / {2}0 rehearsed on this plan, [01] observed, of 7 that move\n {2}points: 1 seen, \d+ to test\n/,
  );
  const [json] = JSON.parse(check('--json', file).stdout) as { standing: { points: Record<string, number> } }[];
  expect(json!.standing).toMatchObject({ rehearsed: 0, points: { seen: 1 } });
});

test('no file, or an option that is none: exit 2 and how it is called', () => {
  expect(check().status).toBe(2);
  const { stderr, status } = check('--yaml', FAULTY);
  expect(status).toBe(2);
  expect(stderr).toContain('Unknown option: --yaml');
  expect(stderr).toContain('--strict');
});
