import { dequal } from 'dequal/lite';
import { apply } from '../../change/apply.js';
import type { ChangeSet } from '../../change/change.js';
import { CheckEngine } from '../../check/engine.js';
import { lanesOf, type Finding } from '../../finding/finding.js';
import { fixesOf } from '../../check/fixes-of.js';
import { KINDS } from '../../model/kinds.js';
import type { Project } from '../../model/project.js';
import type { Slip } from './slip.testing.js';

/** What became of a slip. */
export interface Outcome {
  /** findings that name the cell, and all others that came with it */
  named: Finding[];
  beside: Finding[];
  /** what the first fix of the finding that names it makes of the project */
  fix: 'as before' | 'another' | 'none';
}

/** Makes a slip in a project that was checked, checks again, and takes the first fix. */
export function outcomeOf(project: Project, before: CheckEngine, slip: Slip): Outcome {
  const mistaken: ChangeSet = { id: 'slip', label: 'a slip', changes: slip.changes };
  const now = after(project, mistaken);
  const fresh = [...new CheckEngine(now).findings.values()].filter((f) => !dequal(before.findings.get(f.key), f));
  const named = fresh.filter((finding) => names(finding, slip));
  const [first] = named;
  const [fix] = first ? fixesOf(first, now, [mistaken]) : [];
  return {
    named,
    beside: fresh.filter((finding) => finding !== first),
    fix: !fix
      ? 'none'
      : same(project, after(now, { id: 'fix', label: fix.label, changes: fix.changes }))
        ? 'as before'
        : 'another',
  };
}

function names(finding: Finding, { kind, id, path }: Slip): boolean {
  if (path.length === 0) return lanesOf(finding).includes(id) || finding.cells.some((c) => c.id === id);
  return finding.cells.some(
    (cell) => cell.kind === kind && cell.id === id && cell.path.every((key, i) => i >= path.length || key === path[i]),
  );
}

function after(project: Project, changes: ChangeSet): Project {
  const applied = apply(project, changes);
  if (!applied.ok) throw new Error(applied.refusal.sentence);
  return project.with(applied.entities);
}

const same = (a: Project, b: Project): boolean =>
  KINDS.every((kind) => {
    const [x, y] = [[...a.all(kind)], [...b.all(kind)]];
    return x.length === y.length && x.every((entity) => dequal(entity, b.get(kind, entity.id)));
  });
