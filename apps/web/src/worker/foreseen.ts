import { apply, type Change } from '@dialoga/core/change';
import { textOf, type CheckEngine } from '@dialoga/core/check';
import type { Finding } from '@dialoga/core/finding';
import type { Project } from '@dialoga/core/model';

/**
 * What would be wrong once these changes are made, in a sentence: why they cannot be made at all, or the first Blocker or
 * Doubt that they would newly have at what they change; null where there is none. The engine is afterwards as it was; while
 * something waits to be checked nothing is foreseen. Undefined: the time was over before all of it was looked at.
 */
export function foreseen(
  engine: CheckEngine,
  project: Project,
  changes: readonly Change[],
  /** ms that are spent on it */
  most: number,
): string | null | undefined {
  if (engine.waiting > 0 || changes.length === 0) return null;
  const applied = apply(project, { id: 'foreseen', label: '', changes });
  if (!applied.ok) return applied.refusal.sentence;
  const known = new Set(engine.findings.keys());
  const end = performance.now() + most;
  engine.edit(project.with(applied.entities), applied.entities);
  const { findings } = engine.advance(() => performance.now() > end);
  const all = engine.waiting === 0;
  const fresh = [...findings].flatMap(([key, finding]) => (finding && !known.has(key) ? [finding] : []));
  const back = applied.entities.map((one) => ({ ...one, before: one.after, after: one.before }));
  engine.update(project, back);
  const grave = fresh.filter((finding) => finding.severity !== 'hint' && pointsAt(finding, changes));
  const first = grave.find(({ severity }) => severity === 'blocker') ?? grave[0];
  return first ? textOf(first).headline : all ? null : undefined;
}

/** Whether one of its cells is what was changed, or is in it. */
const pointsAt = (finding: Finding, changes: readonly Change[]): boolean =>
  finding.cells.some(({ kind, id, path }) =>
    changes.some(
      (change) =>
        change.kind === kind &&
        change.id === id &&
        change.path.every((step, i) => path[i] === step || path[i] === undefined),
    ),
  );
