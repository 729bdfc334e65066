import { CheckEngine } from '../check/engine.js';
import { fixAllThrough } from '../check/fix-all.js';
import { plantFromText } from '../hardware/plant-from-text.js';
import { childrenOf, inOrder } from '../model/order.js';
import { Project } from '../model/project.js';
import { pastePages, splitPages } from '../sheet/paste-pages.js';
import { splitBlock } from '../formats/split-block.js';
import { applied } from './two-stations.testing.js';

let ids = 0;
export const newId = (): string => `n${++ids}`;

/** The plant of a pasted text in an empty project, and what of it was not taken. */
export function pastedPlant(...lines: string[]): { project: Project; problems: string[]; left: string[] } {
  const { changes, problems, left } = plantFromText(Project.of({}), lines.join('\n'), newId);
  return { project: applied(Project.of({}), { id: newId(), label: '', changes }), problems, left };
}

/** Lines pasted over all pages of the first exchange. */
export function withLanes(project: Project, ...lines: string[]): Project {
  const [exchange] = inOrder(project, 'exchange');
  const ends = childrenOf(project, 'end', exchange!.id);
  const pages = splitPages(project, ends, splitBlock(lines.join('\n')));
  if (!pages) throw new Error('these are no pages of this exchange');
  const { changes } = pastePages(project, ends, null, pages, newId);
  return applied(project, { id: newId(), label: '', changes });
}

/** What the checks say of it, as `CODE label`, and the project with all ready fixes taken. */
export function checkedPlant(project: Project): { codes: string[]; fixed: Project; verdicts: string[] } {
  const engine = new CheckEngine(project);
  const { changes } = fixAllThrough([...engine.findings.values()], project, () => [], engine.findings);
  return {
    codes: [...engine.findings.values()].map(({ code, label }) => `${code} ${label}`).sort(),
    fixed: applied(project, { id: newId(), label: '', changes }),
    verdicts: inOrder(project, 'lane').map(({ id }) => engine.laneResults.get(id)?.verdict ?? 'none'),
  };
}
