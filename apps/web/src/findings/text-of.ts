import { textIn, type Finding, type FindingText } from '@dialoga/core/finding';
import WORDS from 'virtual:finding-words';

/** All sentences of a finding. */
export function textOf(finding: Finding): FindingText {
  const words = WORDS[finding.code];
  if (!words) throw new Error(`no rule has the code ${finding.code}`);
  return textIn(words, finding);
}
