import { apply } from '../change/apply.js';
import { plantFromLines, type ListedPlant } from '../fields/plant-from-lines.js';
import { readTable } from '../formats/text-table.js';
import type { Project } from '../model/project.js';
import { recogniseColumns } from './list/columns.js';
import { listRows } from './list/list-rows.js';
import { planList } from './list/plan-list.js';

/** What a pasted text becomes. */
export interface PlantOfText extends ListedPlant {
  modules: number;
}

const nothing = (): PlantOfText => ({
  changes: [],
  stations: 0,
  networks: 0,
  exchanges: 0,
  routes: 0,
  modules: 0,
  problems: [],
  left: [],
});

interface Part {
  /** of the text, from 0 */
  from: number;
  lines: string[];
  hardware: boolean;
}

/**
 * Stations, exchanges and routes from pasted lines (`plantFromLines`), and hardware lists among them: a line of headings
 * that names the station and what stands in its slots, and what follows as far as the next empty line. Each part finds
 * what those before it made.
 */
export function plantFromText(project: Project, text: string, newId: () => string): PlantOfText {
  const plant = nothing();
  let now = project;
  for (const part of partsOf(text)) {
    const made = part.hardware ? fromHardware(now, part, newId) : fromLines(now, part, newId);
    plant.changes.push(...made.changes);
    plant.problems.push(...made.problems);
    plant.left.push(...made.left);
    for (const what of ['stations', 'exchanges', 'routes', 'modules'] as const) plant[what] += made[what];
    const applied = apply(now, { id: 'text', label: '', changes: made.changes });
    if (applied.ok) now = now.with(applied.entities);
  }
  return { ...plant, networks: now.count('network') - project.count('network') };
}

function partsOf(text: string): Part[] {
  const parts: Part[] = [];
  for (const [i, line] of text.split(/\r\n?|\n/).entries()) {
    const last = parts.at(-1);
    const begins = isHeading(line);
    const ends = last?.hardware === true && line.trim() === '';
    if (!last || begins || ends) parts.push({ from: i, lines: [line], hardware: begins });
    else last.lines.push(line);
  }
  return parts;
}

/** Whether a line heads a hardware list: the station, and at least two columns of what stands in it. */
function isHeading(line: string): boolean {
  const table = readTable(line);
  const columns = table.ok ? recogniseColumns(table.value)?.columns : undefined;
  if (columns?.station === undefined) return false;
  const others = [columns.slot, columns['order code'], columns['rotary switch'], columns.description];
  return Object.keys(columns).length > 2 && others.some((column) => column !== undefined);
}

function fromLines(project: Project, { from, lines }: Part, newId: () => string): PlantOfText {
  // Lines before it keep the numbers of those in it.
  const made = plantFromLines(project, [...Array.from({ length: from }, () => ''), ...lines].join('\n'), newId);
  return { ...made, modules: 0 };
}

function fromHardware(project: Project, { from, lines }: Part, newId: () => string): PlantOfText {
  const table = readTable(lines.join('\n'));
  if (!table.ok) return { ...nothing(), problems: [`line ${from + 1}: ${table.found}`], left: [...lines] };
  const found = recogniseColumns(table.value)!;
  const plan = planList(project, listRows(table.value, found.heading, found.columns), 'pasted list', newId);
  return {
    ...nothing(),
    changes: plan.changes,
    stations: plan.stations.length,
    modules: plan.modules.filter(({ what }) => what === 'added').length,
    problems: plan.faults.map(({ row, sentence }) => `line ${from + row.line}: ${sentence}`),
    // Under their headings, so that they are read again as what they are.
    left: plan.faults.length > 0 ? [lines[0]!, ...plan.faults.map(({ row }) => lines[row.line - 1] ?? '')] : [],
  };
}
