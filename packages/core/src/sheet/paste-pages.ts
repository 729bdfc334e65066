import { apply } from '../change/apply.js';
import type { Change } from '../change/change.js';
import type { End } from '../model/end.js';
import type { Project } from '../model/project.js';
import { childrenOf } from '../model/order.js';
import { memoriesOf, type Memory } from '../place/memory.js';
import { parseType } from '../data/types.js';
import { parseAddress } from '../place/parse-address.js';
import { headingsOf, understandBlock } from './paste-columns.js';
import { pasteItems, pasteLanes, type Pasted } from './paste.js';
import { SHEET_COLUMNS } from './sheet-fields.js';

/**
 * A block that holds the pages of all these ends: of two as it is copied from here, with the difference between them or
 * without; else with as many columns for each, with addresses of its own, or with types where that end knows its data by
 * name. Null where it is a block of one page.
 */
export function splitPages(project: Project, ends: readonly End[], block: string[][]): string[][][] | null {
  const width = Math.max(...block.map((row) => row.length));
  const page = SHEET_COLUMNS.length;
  const cut = (own: number, from = own): string[][][] =>
    ends.map((_, i) => block.map((row) => row.slice(i * from, i * from + own)));
  if (ends.length === 2 && width === 2 * page + 1) return cut(page, page + 1);
  if (width === ends.length * page) return cut(page);
  if (width % ends.length !== 0 || width < 2 * ends.length) return null;
  const halves = cut(width / ends.length);
  const whole = ends.map((end) => memoriesOf(project, end.station));
  const isPage = (half: string[][], i: number) =>
    understandBlock(half, 0, whole[i]!).headed ||
    (whole[i]!.length > 0 ? hasAddresses(half, whole[i]!) : isIn(half, (text) => parseType(text).ok));
  return halves.every(isPage) ? halves : null;
}

/** Whether one column holds addresses of these areas in more than half of the rows. */
const hasAddresses = (block: readonly string[][], memories: readonly Memory[]): boolean =>
  isIn(block, (text) => parseAddress(text, memories).ok);

/** Whether one column holds what is looked for in more than half of the rows. */
function isIn(block: readonly string[][], test: (text: string) => boolean): boolean {
  const width = Math.max(...block.map((row) => row.length));
  return Array.from({ length: width }, (_, column) => column).some((column) => {
    const texts = block.map((row) => row[column] ?? '').filter((text) => text !== '');
    return 2 * texts.filter(test).length > block.length;
  });
}

/**
 * The pages of several ends at once, of new lanes or of those from a lane on. Where the lines say who writes, one in which
 * no end does is a value of the lane above it.
 */
export function pastePages(
  project: Project,
  ends: readonly End[],
  from: string | null,
  blocks: readonly string[][][],
  newId: () => string,
): Pasted {
  const understood = ends.map((end, i) => understandBlock(blocks[i]!, 0, memoriesOf(project, end.station)));
  const says = (row: number) =>
    understood.some(({ columns, rows }) => (rows[row]?.[columns.indexOf('direction')] ?? '') !== '');
  const count = Math.max(...understood.map(({ rows }) => rows.length));
  const lanes = Array.from({ length: count }, (_, row) => row).filter((row) => row === 0 || says(row));
  if (!says(0) || lanes.length === count) return pasteLanesOfAll(project, ends, from, blocks, newId);
  const only = (side: number, rows: readonly number[]) => [
    ...headingsOf(understood[side]!),
    ...rows.map((row) => understood[side]!.rows[row] ?? []),
  ];
  const alone = ends.map((_, side) => only(side, lanes));
  const pasted = pasteLanesOfAll(project, ends, from, alone, newId);
  let now = after(project, pasted.changes);
  const all = childrenOf(now, 'lane', ends[0]!.exchange);
  const first = from === null ? lanesIn(project, ends) : all.findIndex(({ id }) => id === from);
  for (const [i, row] of lanes.entries()) {
    const lane = all[first + i];
    const values = Array.from({ length: (lanes[i + 1] ?? count) - row - 1 }, (_, n) => row + 1 + n);
    if (!lane || values.length === 0) continue;
    for (const [side, end] of ends.entries()) {
      const { changes, problems } = pasteItems(
        now,
        end,
        now.get('lane', lane.id)!,
        { key: null, column: 0 },
        only(side, values),
        newId,
      );
      pasted.changes.push(...changes);
      pasted.problems.push(...problems);
      now = after(now, changes);
    }
  }
  return pasted;
}

function after(project: Project, changes: readonly Change[]): Project {
  const applied = apply(project, { id: 'pages', label: '', changes });
  return applied.ok ? project.with(applied.entities) : project;
}

const lanesIn = (project: Project, ends: readonly End[]): number =>
  childrenOf(project, 'lane', ends[0]!.exchange).length;

function pasteLanesOfAll(
  project: Project,
  ends: readonly End[],
  from: string | null,
  blocks: readonly string[][][],
  newId: () => string,
): Pasted {
  let now = project;
  let first = from;
  const pages = ends.map((end, i) => {
    const pasted = pasteLanes(now, end, { lane: first, column: 0 }, blocks[i]!, newId);
    now = after(now, pasted.changes);
    first ??= childrenOf(now, 'lane', end.exchange)[lanesIn(project, ends)]?.id ?? null;
    return pasted;
  });
  return {
    changes: pages.flatMap(({ changes }) => changes),
    count: Math.max(...pages.map(({ count }) => count)),
    tags: pages.reduce((sum, { tags }) => sum + tags, 0),
    problems: pages.flatMap(({ problems }) => problems),
    understood: pages[0]!.understood,
  };
}
