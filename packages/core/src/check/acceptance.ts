import type { Acceptance } from '../model/acceptance.js';
import { digestOf } from '../model/digest.js';
import type { Project } from '../model/project.js';
import type { Finding } from '../finding/finding.js';

/** What a finding rests on, as a short text: equal as long as everything that it says is equal. */
export function restsOn(finding: Finding): string {
  const words = Object.entries(finding.params).sort(([a], [b]) => (a < b ? -1 : 1));
  return digestOf([finding.severity, words]);
}

/** How an acceptance stands to the finding that it was given for. */
export interface Accepted {
  acceptance: Acceptance;
  /** what the finding rests on has changed since: it counts again */
  lapsed: boolean;
}

/** The acceptances that findings of this project have; only Doubts can be accepted, and only with reason and name. */
export function acceptancesOf(
  findings: ReadonlyMap<string, Finding>,
  project: Pick<Project, 'all'>,
): Map<string, Accepted> {
  const accepted = new Map<string, Accepted>();
  for (const acceptance of project.all('acceptance')) {
    const finding = findings.get(acceptance.finding);
    if (!finding || finding.severity !== 'doubt' || !isComplete(acceptance)) continue;
    const lapsed = acceptance.rests !== restsOn(finding);
    const known = accepted.get(finding.key);
    if (!known || known.lapsed) accepted.set(finding.key, { acceptance, lapsed });
  }
  return accepted;
}

export const isComplete = ({ reason, name }: Acceptance): boolean => reason.trim() !== '' && name.trim() !== '';

/** The findings that count: those that nobody accepted, or whose acceptance has lapsed. */
export function counting(findings: ReadonlyMap<string, Finding>, project: Pick<Project, 'all'>): Finding[] {
  const accepted = acceptancesOf(findings, project);
  return [...findings.values()].filter((f) => accepted.get(f.key)?.lapsed !== false);
}
