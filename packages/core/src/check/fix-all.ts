import { apply } from '../change/apply.js';
import type { Change, ChangeSet } from '../change/change.js';
import { overlapsPaths } from '../change/overlap.js';
import type { Project } from '../model/project.js';
import type { Finding } from '../finding/finding.js';
import { CheckEngine } from './engine.js';
import { fixesOf } from './fixes-of.js';

/** The proposed fixes of several findings as one step. */
export interface FixedAll {
  changes: Change[];
  /** findings that it mends */
  fixed: Finding[];
  /** findings without a certain fix, or whose fix is of the same fields as an earlier one */
  left: Finding[];
}

/**
 * Takes the first ready fix of each finding, one after the other, where it is no choice; none of them twice at the same field. `before` gives the
 * edits that came before a finding, so that here, too, what was typed last gives way.
 */
export function fixAll(
  findings: readonly Finding[],
  project: Project,
  before: (finding: Finding) => readonly ChangeSet[] = () => [],
): FixedAll {
  const result: FixedAll = { changes: [], fixed: [], left: [] };
  let now = project;
  for (const finding of findings) {
    const [fix] = fixesOf(finding, now, before(finding));
    const set = { id: 'fix', label: '', changes: fix?.changes ?? [] };
    const again = overlapsPaths(set, { id: 'before', label: '', changes: result.changes });
    const applied = fix && !fix.choice && !again ? apply(now, set) : null;
    if (!applied?.ok) {
      result.left.push(finding);
      continue;
    }
    now = now.with(applied.entities);
    result.changes.push(...set.changes);
    result.fixed.push(finding);
  }
  return result;
}

const MOST_ROUNDS = 3;
const fieldOf = ({ kind, id, path }: Change): string => [kind, id, ...path].join(' ');

/**
 * The same, and what comes to light by it: an address that is set is then entered where it is called. Findings that were there
 * before and were not asked for stay; no field is changed twice.
 */
export function fixAllThrough(
  findings: readonly Finding[],
  project: Project,
  before: (finding: Finding) => readonly ChangeSet[],
  known: { has: (key: string) => boolean },
): FixedAll {
  const result = fixAll(findings, project, before);
  let latest = result.changes;
  for (let round = 1; round < MOST_ROUNDS && latest.length > 0; round++) {
    const applied = apply(project, { id: 'fix', label: '', changes: result.changes });
    if (!applied.ok) break;
    const after = project.with(applied.entities);
    const come = [...new CheckEngine(after).findings.values()].filter(({ key }) => !known.has(key));
    const next = fixAll(come, after);
    // Two rules that each undo what the other did would go on for ever.
    const made = new Set(result.changes.map(fieldOf));
    if (next.changes.some((change) => made.has(fieldOf(change)))) break;
    latest = next.changes;
    result.changes.push(...latest);
    result.fixed.push(...next.fixed);
  }
  return result;
}
