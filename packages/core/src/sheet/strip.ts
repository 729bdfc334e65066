import { formatSpan } from '../place/format-address.js';
import { unitWords } from '../place/length.js';
import { memoryOf, type Memory } from '../place/memory.js';
import { rowOf } from '../data/linear.js';
import { spansOf, type Span } from '../place/resolve.js';
import type { Cell } from '../finding/finding.js';
import { entriesInOrder } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { nextFree, type Use } from '../lane/occupancy.js';
import { userOf } from '../lane/use-words.js';

/** Part of an area as its strip draws it, in numbers of the area's first view. */
export interface StripPart {
  from: number;
  to: number;
  /** above the line: somebody puts data in; below it: somebody takes data out; across it: neither may */
  side: 'in' | 'out' | 'reserved';
  /** what it is drawn under: the exchange, or who reserves it */
  group: string;
  /** everything about it, for whoever cannot see it */
  detail: string;
  cell: Cell;
}

/** Who uses which part of an area. */
export interface Strip {
  area: string;
  name: string;
  /** the addresses of the whole area */
  range: string;
  /** what its numbers count: words, bytes, bits */
  counts: string;
  /** what is drawn: from the first to the last that is used, with some room; numbers of the first view */
  from: number;
  to: number;
  parts: StripPart[];
  /** where two put data in, and which they are */
  twice: { from: number; to: number; detail: string }[];
  nextFree: string | null;
}

/** The occupancy strip of an area that has a notation; null where it has none yet. */
export function stripOf(reader: Reader, areaId: string, uses: readonly Use[]): Strip | null {
  const memory = memoryOf(reader, areaId);
  const view = memory?.views[0]?.[1];
  if (!memory || !view) return null;
  const row = { ...rowOf(view, memory.wordBits, memory.layout), base: 0 };
  // Drawn is the order of the addresses: bytes of a word kept high byte first stand the other way round than its bits.
  const along = ({ start, end }: Span): Extent[] =>
    spansOf(row, start - (view.base ?? 0), end - start).map((run) => ({
      from: view.first + run.start / view.unit,
      to: view.first + run.end / view.unit,
    }));
  const parts = [
    ...uses.flatMap((use) => useParts(reader, memory, use, along)),
    ...entriesInOrder(memory.area.reservations).flatMap(([id, r]): StripPart[] => {
      const span = { start: r.start, end: r.start + r.length };
      return along(span).map((extent) => ({
        ...extent,
        side: 'reserved',
        group: r.owner || 'reserved',
        detail: `${formatSpan(memory, span)}, reserved for ${r.owner || 'something else'}${r.reason ? `: ${r.reason}` : ''}`,
        cell: { kind: 'area', id: areaId, path: ['reservations', id, 'owner'] },
      }));
    }),
  ].sort((a, b) => a.from - b.from || a.to - b.to);
  const free = nextFree(
    memory.area,
    uses.flatMap((u) => u.spans),
  );
  const size = view.first + memory.bits / view.unit;
  const [low, high] = [Math.min(size, ...parts.map((p) => p.from)), Math.max(view.first, ...parts.map((p) => p.to))];
  const room = Math.max(8, Math.ceil((high - low) / 12));
  return {
    area: areaId,
    name: memory.area.name,
    range: formatSpan(memory, { start: 0, end: memory.bits }),
    counts: unitWords(view.unit),
    from: parts.length === 0 ? view.first : Math.max(view.first, Math.floor(low - room)),
    to: parts.length === 0 ? size : Math.min(size, Math.ceil(high + room)),
    parts,
    twice: twiceIn(parts),
    nextFree: free === null ? null : formatSpan(memory, { start: free, end: free + memory.wordBits }),
  };
}

type Extent = Pick<StripPart, 'from' | 'to'>;

function useParts(reader: Reader, memory: Memory, use: Use, along: (span: Span) => Extent[]): StripPart[] {
  const user = userOf(reader, use);
  if (!user) return [];
  const name = user.group.endsWith(user.name) ? user.group : `${user.group}, ${user.name}`;
  const sides = [use.puts && 'in', use.takes && 'out'].filter((s): s is 'in' | 'out' => s !== false);
  return sides.flatMap((side) =>
    use.spans.flatMap((span: Span) =>
      along(span).map((extent): StripPart => ({
        ...extent,
        side,
        group: user.group,
        detail: `${formatSpan(memory, span)}, ${name}: ${side === 'in' ? 'puts data in' : 'takes data out'}`,
        cell: user.cell,
      })),
    ),
  );
}

/** Where two parts above the line lie on each other; `parts` in order of their starts. */
function twiceIn(parts: readonly StripPart[]): Strip['twice'] {
  const found: Strip['twice'] = [];
  const putting = parts.filter((p) => p.side === 'in');
  for (const [i, a] of putting.entries()) {
    for (const b of putting.slice(i + 1)) {
      if (b.from >= a.to) break;
      found.push({ from: b.from, to: Math.min(a.to, b.to), detail: `two writers: ${a.detail} · ${b.detail}` });
    }
  }
  return found;
}
