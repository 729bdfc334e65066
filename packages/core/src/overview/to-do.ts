import type { Finding, Severity } from '../finding/finding.js';
import type { Verdict } from '../lane/compare.js';

export const STEPS = ['Stations', 'Wiring', 'Routes', 'Exchanges', 'Tags'] as const;
export type StepName = (typeof STEPS)[number];

/** The step of the work in which a finding is mended: by what it is about. */
export function stepOf(finding: Finding): StepName {
  const shownAt = finding.cells[0]?.kind;
  if (shownAt === 'tag' || shownAt === 'series' || shownAt === 'import') return 'Tags';
  if (finding.about.kind === 'route' || finding.about.kind === 'expectation') return 'Routes';
  if (finding.about.kind === 'network' || finding.cells[0]?.kind === 'port') return 'Wiring';
  return finding.about.kind === 'exchange' ? 'Exchanges' : 'Stations';
}

/** What is still to be done in a step: findings by severity, the first of the worst to begin with. */
export interface ToDo {
  step: StepName;
  counts: Record<Severity, number>;
  first: Finding | null;
}

/** Findings in the order of the work, step by step. */
export function toDo(findings: readonly Finding[]): ToDo[] {
  return STEPS.map((step) => {
    const own = findings.filter((f) => stepOf(f) === step);
    const counts = { blocker: 0, doubt: 0, hint: 0 };
    for (const { severity } of own) counts[severity]++;
    const first =
      own.find((f) => f.severity === 'blocker') ?? own.find((f) => f.severity === 'doubt') ?? own[0] ?? null;
    return { step, counts, first };
  });
}

/** How many lanes have each verdict. */
export function verdictCounts(verdicts: Iterable<Verdict>): Record<Verdict, number> {
  const counts = { agreed: 0, described: 0, unchecked: 0, 'one-sided': 0, differs: 0 };
  for (const verdict of verdicts) counts[verdict]++;
  return counts;
}
