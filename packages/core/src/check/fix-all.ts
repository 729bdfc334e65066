import { apply } from '../change/apply.js';
import type { Change, ChangeSet } from '../change/change.js';
import { overlapsPaths } from '../change/overlap.js';
import type { Project } from '../model/project.js';
import type { Finding } from '../finding/finding.js';
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
 * Takes the first ready fix of each finding, one after the other; none of them twice at the same field. `before` gives the
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
    const applied = fix && !again ? apply(now, set) : null;
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
