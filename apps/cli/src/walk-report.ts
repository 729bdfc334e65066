import { problemSentence } from '@dialoga/core/model';
import { walkWords } from '@dialoga/core/rehearse';
import { counted, escaped } from './report.js';
import type { RehearsedFile } from './rehearse-file.js';

/** For people. */
export function walkAsText(file: string, result: RehearsedFile): string {
  if (!result.ok)
    return [`${file}: cannot be walked`, ...result.problems.map((p) => `  ${problemSentence(p)}`), ''].join('\n');
  const { name, lanes, walked } = result;
  const lines = [`${name} (${file})`];
  for (const { name: exchange, lanes: alike, failed, words } of result.report) {
    const more = alike.length > 3 ? ` and ${alike.length - 2} more` : '';
    const shown = alike.slice(0, more ? 2 : 3).map((lane) => lane.name);
    lines.push(`  ${failed ? 'Fails' : 'Not walked'}  ${exchange}, ${shown.join(', ')}${more}`);
    lines.push(...words.map((one) => `      ${one}`));
  }
  const open = walked.notWalked > 0 ? `, ${walked.notWalked} could not be walked` : '';
  lines.push(
    `  ${walked.passed} of ${counted(lanes.length, 'lane')} come through${walked.failed > 0 ? `, ${walked.failed} do not` : ''}${open}`,
    `  ${counted(walked.bits, 'bit')} of ${counted(walked.values, 'value')}, each set and cleared alone`,
    '',
  );
  return lines.join('\n');
}

/** JUnit XML for a build pipeline: a test case a lane. */
export function walkAsJunit(file: string, result: RehearsedFile): string {
  const head = '<?xml version="1.0" encoding="UTF-8"?>\n<testsuites>\n';
  if (!result.ok) {
    const lines = escaped(result.problems.map(problemSentence).join('\n'));
    const error = `<error message="${escaped(`${file} cannot be walked`)}">${lines}</error>`;
    return `${head}  <testsuite name="${escaped(file)}" tests="1" failures="0" errors="1">
    <testcase name="read" classname="${escaped(file)}">${error}</testcase>
  </testsuite>\n</testsuites>\n`;
  }
  const { lanes, walked } = result;
  const cases = lanes.map(({ exchange, name, walk }) => {
    const start = `    <testcase name="${escaped(name)}" classname="${escaped(exchange)}"`;
    if (walk.result === 'passed') return `${start}/>`;
    const [first = walk.result, ...rest] = walkWords(walk);
    const tag = walk.result === 'failed' ? 'failure' : 'error';
    return `${start}><${tag} message="${escaped(first)}">${escaped([first, ...rest].join('\n'))}</${tag}></testcase>`;
  });
  return `${head}  <testsuite name="${escaped(result.name)}" tests="${cases.length}" failures="${walked.failed}" errors="${walked.notWalked}">
${cases.join('\n')}
  </testsuite>\n</testsuites>\n`;
}
