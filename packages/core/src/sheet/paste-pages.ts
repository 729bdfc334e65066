import { apply } from '../change/apply.js';
import type { End } from '../model/end.js';
import type { Project } from '../model/project.js';
import { childrenOf } from '../model/order.js';
import { memoriesOf, type Memory } from '../place/memory.js';
import { parseAddress } from '../place/parse-address.js';
import { pasteLanes, type Pasted } from './paste.js';
import { SHEET_COLUMNS } from './sheet-fields.js';

type Ends = readonly [left: End, right: End];

/**
 * A block that holds both pages of the sheet: as it is copied from here, with the difference between them or without, or with
 * as many columns a side, each with addresses of its own end. Null where it is a block of one page.
 */
export function splitPages(project: Project, ends: Ends, block: string[][]): [string[][], string[][]] | null {
  const width = Math.max(...block.map((row) => row.length));
  const page = SHEET_COLUMNS.length;
  const cut = (left: number, right: number): [string[][], string[][]] => [
    block.map((row) => row.slice(0, left)),
    block.map((row) => row.slice(right)),
  ];
  if (width === 2 * page + 1) return cut(page, page + 1);
  if (width === 2 * page) return cut(page, page);
  if (width % 2 !== 0 || width < 4) return null;
  const halves = cut(width / 2, width / 2);
  const whole = ends.map((end) => memoriesOf(project, end.station));
  return halves.every((half, i) => hasAddresses(half, whole[i]!)) ? halves : null;
}

/** Whether one column holds addresses of these areas in more than half of the rows. */
function hasAddresses(block: readonly string[][], memories: readonly Memory[]): boolean {
  const width = Math.max(...block.map((row) => row.length));
  return Array.from({ length: width }, (_, column) => column).some((column) => {
    const texts = block.map((row) => row[column] ?? '').filter((text) => text !== '');
    return 2 * texts.filter((text) => parseAddress(text, memories).ok).length > block.length;
  });
}

/** Both pages of new lanes at once, or of those from a lane on. */
export function pastePages(
  project: Project,
  ends: Ends,
  from: string | null,
  blocks: readonly [string[][], string[][]],
  newId: () => string,
): Pasted {
  const left = pasteLanes(project, ends[0], { lane: from, column: 0 }, blocks[0], newId);
  const applied = apply(project, { id: 'left', label: '', changes: left.changes });
  if (!applied.ok) return left;
  const after = project.with(applied.entities);
  const before = childrenOf(project, 'lane', ends[0].exchange).length;
  const first = from ?? childrenOf(after, 'lane', ends[0].exchange)[before]?.id ?? null;
  const right = pasteLanes(after, ends[1], { lane: first, column: 0 }, blocks[1], newId);
  return {
    changes: [...left.changes, ...right.changes],
    count: Math.max(left.count, right.count),
    problems: [...left.problems, ...right.problems],
    understood: left.understood,
  };
}
