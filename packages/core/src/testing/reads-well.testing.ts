import type { Finding } from '../finding/finding.js';
import { textOf } from '../check/sentence.js';
import { plain } from '../finding/sentence.js';

/** Findings that are about the very sameness of what both say. */
const ABOUT_SAMENESS = new Set([
  ...[
    'ADR 1',
    'ADR 8',
    'ADR 11',
    'ADR 15',
    'ADR 16',
    'DIR 1',
    'DIR 6',
    'DIR 13',
    'HWS 9',
    'POS 2',
    'POS 9',
    'TYP 4',
    'TYP 7',
  ],
]);

/** `1 partners`: one is one. */
const COUNTED =
  /\b1 (?:partners|texts|values|lanes|tags|points|words|bytes|bits|registers|connections|devices|nodes|ports|modules|slots|stations|areas|networks|requests|terms|characters|rows|elements)\b/;
/** Empty brackets, a word that is missing, blanks that are left over, a colon with nothing after it. */
const LEFT_OPEN = /\(\s*\)|“”|  | ,| \.(?!\d)|: *$|undefined|null|\[object|NaN|[{}]|\[\[|\]\]/;
const CLUMSY = /by somebody|told not told|not told not|\bnobody nobody\b|\bthe the\b|the last 0 /;

/** What is wrong with the words of a finding; none where it reads well. `ids` finds ids that were not made into names. */
export function badWordsOf(finding: Finding, ids?: RegExp): string[] {
  const text = textOf(finding);
  const sentences = [text.headline, ...text.says.map(plain), text.consequence, text.remedy];
  const bad = sentences.filter((sentence) =>
    [LEFT_OPEN, CLUMSY, COUNTED, ...(ids ? [ids] : [])].some((pattern) => pattern.test(sentence)),
  );
  const marked = text.says.map((pieces) => pieces.flatMap((piece) => (piece.differs ? [piece.text] : [])).join());
  const same = marked.length === 2 && marked[0] !== '' && marked[0] === marked[1];
  return [
    ...bad,
    ...(same && !ABOUT_SAMENESS.has(finding.code) ? [`both say the same: ${plain(text.says[0]!)}`] : []),
    ...(marked.includes('nobody') ? ['nobody says something'] : []),
  ].map((words) => `${finding.code} ${finding.message}: ${words}`);
}
