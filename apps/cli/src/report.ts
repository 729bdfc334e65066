import { plain } from '@dialoga/core/finding';
import { problemSentence } from '@dialoga/core/model';
import type { CheckedFile, CheckedFinding } from './check-file.js';
import { standingLines } from './standing.js';

const SEVERITY_WORDS = { blocker: 'Blocker', doubt: 'Doubt', hint: 'Hint' } as const;

const says = ({ text }: CheckedFinding): string[] => text.says.map(plain);

export const counted = (count: number, word: string): string => `${count} ${word}${count === 1 ? '' : 's'}`;

/** For people. */
export function asText(files: readonly CheckedFile[]): string {
  const lines: string[] = [];
  for (const file of files) {
    if (!file.ok) {
      lines.push(`${file.file}: cannot be read`, ...file.problems.map((p) => `  ${problemSentence(p)}`), '');
      continue;
    }
    lines.push(`${file.name} (${file.file})`);
    for (const checked of file.findings) {
      const { finding, text } = checked;
      lines.push(`  ${SEVERITY_WORDS[finding.severity]} ${finding.code}  ${text.headline}`);
      lines.push(...says(checked).map((s) => `      ${s}`));
      lines.push(`      ${text.consequence} ${text.remedy}`);
    }
    for (const { exchange, name, why } of file.lanes.unchecked) {
      lines.push(`  Unchecked  ${exchange}, ${name}: ${why}`);
    }
    const { blocker, doubt, hint } = file.tally;
    const accepted = file.accepted > 0 ? `, ${file.accepted} accepted` : '';
    lines.push(`  ${counted(blocker, 'Blocker')}, ${counted(doubt, 'Doubt')}, ${counted(hint, 'Hint')}${accepted}`);
    const { all, agreed, unchecked } = file.lanes;
    const open = unchecked.length > 0 ? `, ${unchecked.length} unchecked` : '';
    lines.push(
      `  ${agreed} of ${counted(all, 'lane')} agreed${open}`,
      ...standingLines(file.standing).map((line) => `  ${line}`),
      '',
    );
  }
  return `${lines.join('\n')}`;
}

/** For other programs. */
export function asJson(files: readonly CheckedFile[]): string {
  const out = files.map((file) =>
    file.ok
      ? {
          file: file.file,
          project: file.name,
          tally: file.tally,
          accepted: file.accepted,
          lanes: file.lanes,
          standing: file.standing,
          findings: file.findings.map((checked) => ({
            code: checked.finding.code,
            severity: checked.finding.severity,
            key: checked.finding.key,
            about: checked.finding.about,
            ...(checked.finding.lane ? { lane: checked.finding.lane } : {}),
            ...(checked.finding.lanes ? { lanes: checked.finding.lanes } : {}),
            cells: checked.finding.cells,
            headline: checked.text.headline,
            says: says(checked),
            consequence: checked.text.consequence,
            remedy: checked.text.remedy,
            source: checked.text.source,
          })),
        }
      : { file: file.file, problems: file.problems },
  );
  return `${JSON.stringify(out, null, 2)}\n`;
}

export const escaped = (text: string): string =>
  // Characters that XML 1.0 does not allow are left out.
  [...text]
    .filter((c) => c >= ' ' || c === '\n' || c === '\t')
    .join('')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;');

/** JUnit XML for a build pipeline: a test case a finding; Blockers fail, Doubts and Hints are skipped cases. */
export function asJunit(files: readonly CheckedFile[]): string {
  const suites = files.map((file) => {
    if (!file.ok) {
      const lines = file.problems.map(problemSentence).join('\n');
      const failure = `<error message="${escaped(`${file.file} cannot be read`)}">${escaped(lines)}</error>`;
      return `  <testsuite name="${escaped(file.file)}" tests="1" failures="0" errors="1">
    <testcase name="read" classname="${escaped(file.file)}">${failure}</testcase>
  </testsuite>`;
    }
    const cases = file.findings.map((checked) => {
      const { finding, text } = checked;
      const body = escaped([...says(checked), text.consequence, text.remedy].join('\n'));
      const result =
        finding.severity === 'blocker'
          ? `<failure message="${escaped(text.headline)}">${body}</failure>`
          : `<skipped message="${escaped(text.headline)}"/>`;
      const name = escaped(`${finding.code} ${finding.about.name}`);
      return `    <testcase name="${name}" classname="${escaped(file.name)}">${result}</testcase>`;
    });
    for (const { exchange, name, why } of file.lanes.unchecked) {
      const testcase = `<testcase name="${escaped(`unchecked ${exchange}, ${name}`)}" classname="${escaped(file.name)}">`;
      cases.push(`    ${testcase}<skipped message="${escaped(why)}"/></testcase>`);
    }
    if (cases.length === 0) cases.push(`    <testcase name="no findings" classname="${escaped(file.name)}"/>`);
    return `  <testsuite name="${escaped(file.name)}" tests="${cases.length}" failures="${file.tally.blocker}" errors="0">
${cases.join('\n')}
  </testsuite>`;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n<testsuites>\n${suites.join('\n')}\n</testsuites>\n`;
}
