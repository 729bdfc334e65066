/** What a rule finds, and the cells that it names. */
export { type Cell, type Finding, lanesOf, SEVERITIES, type Severity } from './finding.js';
export { type FindingText, type Piece, plain, type RuleWords, textIn } from './sentence.js';
