import type { Entity, Kind } from '../model/kinds.js';
import { byOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { SEVERITIES, type Finding } from '../finding/finding.js';

/** What findings are listed under, in the order of the steps; the project as a whole comes first. */
const KINDS_IN_ORDER: readonly Kind[] = ['station', 'network', 'route', 'expectation', 'exchange'];

/** ADR 2 before ADR 12. */
const byCode = new Intl.Collator('en', { numeric: true });

/** What is not about one of these comes first. */
function before(a: Entity | undefined, b: Entity | undefined): number {
  return a && b ? byOrder(a, b) : Number(a !== undefined) - Number(b !== undefined);
}

/**
 * Findings in the order in which people work: stations and wiring before exchanges, there by exchange and lane;
 * Blockers before Doubts before Hints, then by code.
 */
export function inOrderOfWork(findings: Iterable<Finding>, project: Project): Finding[] {
  const entity = (kind: Kind, id: string | undefined) => (id === undefined ? undefined : project.get(kind, id));
  const placed = [...findings].map((finding) => ({
    finding,
    step: KINDS_IN_ORDER.indexOf(finding.about.kind),
    about: entity(finding.about.kind, finding.about.id),
    lane: entity('lane', finding.lane),
    severity: SEVERITIES.indexOf(finding.severity),
  }));
  placed.sort(
    (a, b) =>
      a.step - b.step ||
      before(a.about, b.about) ||
      before(a.lane, b.lane) ||
      a.severity - b.severity ||
      byCode.compare(a.finding.code, b.finding.code) ||
      (a.finding.key < b.finding.key ? -1 : 1),
  );
  return placed.map((p) => p.finding);
}

export type Tally = Record<(typeof SEVERITIES)[number], number>;

export function tallyOf(findings: Iterable<Finding>): Tally {
  const tally: Tally = { blocker: 0, doubt: 0, hint: 0 };
  for (const { severity } of findings) tally[severity]++;
  return tally;
}
