import type { Change, ChangeSet } from '../change/change.js';
import type { Reader } from '../model/project.js';
import { lanesOf, type Finding } from '../finding/finding.js';
import { putBack } from './put-back.js';
import type { Fix } from './rule.js';
import { ruleOf } from './sentence.js';

/**
 * The ready fixes of a finding, the proposed one first. What was typed last gives way: where a cell of the finding was
 * changed by one of these edits, which came before it was found (oldest first), what stood there before is put back; then
 * come the fixes of the rule, those first that change what is newest.
 */
export function fixesOf(finding: Finding, reader: Reader, newest: readonly ChangeSet[] = []): Fix[] {
  const ofRule = ruleOf(finding.code).fixes?.(finding, reader) ?? [];
  if (newest.length === 0) return [...ofRule];
  const age = new Map(ofRule.map((fix) => [fix, ageOf(fix, newest)]));
  const sorted = [...ofRule].sort((a, b) => age.get(a)! - age.get(b)!);
  const back = whatWasThere(finding, reader, newest);
  if (!back) return sorted;
  // Where the rule says the same, in its own words.
  const same = sorted.find((fix) => alike(fix.changes, back.changes));
  return same ? [same, ...sorted.filter((fix) => fix !== same)] : [back, ...sorted];
}

/** How many edits ago something was typed that a fix changes; the number of edits where it changes nothing of them. */
function ageOf(fix: Fix, newest: readonly ChangeSet[]): number {
  const at = newest.findLastIndex(({ changes }) => changes.some((edit) => fix.changes.some((c) => touches(c, edit))));
  return at < 0 ? newest.length : newest.length - 1 - at;
}

/** The newest edit at a cell of the finding taken back, as far as it was made there. */
function whatWasThere(finding: Finding, reader: Reader, newest: readonly ChangeSet[]): Fix | null {
  for (const { changes } of [...newest].reverse()) {
    const edits = changes.filter((edit) => isAt(finding, edit));
    if (edits.length > 0) return putBack(reader, edits);
  }
  return null;
}

function isAt(finding: Finding, edit: Change): boolean {
  if (edit.path.length > 0) return finding.cells.some((cell) => touches(cell, edit));
  // Dropped: what it was part of is where that shows.
  const { lane } = (edit.after === undefined && edit.before ? edit.before : {}) as { lane?: string };
  return edit.kind === 'claim' && lane !== undefined && lanesOf(finding).includes(lane);
}

interface At {
  kind: string;
  id: string;
  path: readonly string[];
}

const touches = (a: At, b: At): boolean =>
  a.kind === b.kind && a.id === b.id && a.path.every((key, i) => i >= b.path.length || key === b.path[i]);

const alike = (a: readonly Change[], b: readonly Change[]): boolean =>
  a.length === b.length && a.every((change, i) => JSON.stringify(change) === JSON.stringify(b[i]));
