import { lanesOf, type Finding } from '../finding/finding.js';
import type { Verdict } from '../lane/compare.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { exchangeMatrix, type Matrix } from './matrix.js';
import { toDo, verdictCounts, type ToDo } from './to-do.js';

/** The lanes of one exchange by their verdicts, and whether a Blocker beside them keeps them from working. */
export interface ExchangeLanes {
  exchange: string;
  name: string;
  verdicts: Verdict[];
  heldUp: boolean;
}

/** What the overview shows, worked out at once. */
export interface Overview {
  matrix: Matrix;
  toDo: ToDo[];
  counts: Record<Verdict, number>;
  exchanges: ExchangeLanes[];
}

export function overviewOf(
  project: Project,
  verdictOf: (lane: string) => Verdict | undefined,
  findings: readonly Finding[],
): Overview {
  const blocked = new Set(
    findings.filter((f) => f.severity === 'blocker' && lanesOf(f).length === 0).map((f) => f.about.id),
  );
  const exchanges = inOrder(project, 'exchange').map((exchange): ExchangeLanes => ({
    exchange: exchange.id,
    name: exchange.name,
    verdicts: childrenOf(project, 'lane', exchange.id).map((lane) => verdictOf(lane.id) ?? 'unchecked'),
    heldUp: blocked.has(exchange.id),
  }));
  return {
    matrix: exchangeMatrix(project, verdictOf, findings),
    toDo: toDo(findings),
    counts: verdictCounts(exchanges.flatMap((e) => e.verdicts)),
    exchanges,
  };
}
