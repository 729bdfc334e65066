import { lengthBits } from '../place/length.js';
import { lanesOf, type Finding } from '../finding/finding.js';
import { laneName, worse, type Verdict } from '../lane/compare.js';
import { readable } from '../model/as-typed.js';
import type { Claim } from '../model/claim.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';

/** One lane from a source to a sink. */
export interface MatrixLane {
  lane: string;
  name: string;
  exchange: string;
  verdict: Verdict;
}

/** What goes from one station to another. */
export interface MatrixCell {
  source: string;
  sink: string;
  /** that the source takes out, header included */
  bits: number;
  lanes: MatrixLane[];
  /** the worst of its lanes, or of its ways from end to end */
  verdict: Verdict;
  /** of a way from end to end: what does not arrive, or why that is not known */
  why?: string;
  /** its lanes agree, and a Blocker elsewhere keeps them from working */
  heldUp: boolean;
}

export interface Matrix {
  /** stations that are a source, and those that are a sink, in order */
  sources: Station[];
  sinks: Station[];
  /** in order of source and sink; only those that are not empty */
  cells: MatrixCell[];
}

const GOOD: readonly Verdict[] = ['agreed', 'described'];

/** Who sends what to whom, over all exchanges, with the worst verdict of each pair. */
export function exchangeMatrix(
  project: Project,
  verdictOf: (lane: string) => Verdict | undefined,
  findings: Iterable<Finding>,
): Matrix {
  const blocked = blockedExchanges(findings);
  const cells = new Map<string, MatrixCell>();
  for (const exchange of inOrder(project, 'exchange')) {
    const ends = childrenOf(project, 'end', exchange.id);
    const stationOf = new Map(ends.map((end) => [end.id, end.station]));
    for (const lane of childrenOf(project, 'lane', exchange.id)) {
      const claims = childrenOf(project, 'claim', lane.id);
      const verdict = verdictOf(lane.id) ?? 'unchecked';
      for (const [source, sink, bits] of waysOf(claims, stationOf)) {
        const key = `${source} ${sink}`;
        let cell = cells.get(key);
        if (!cell) cells.set(key, (cell = { source, sink, bits: 0, lanes: [], verdict: 'agreed', heldUp: false }));
        cell.bits += bits;
        cell.verdict = worse(cell.verdict, verdict);
        cell.heldUp ||= blocked.has(exchange.id);
        cell.lanes.push({ lane: lane.id, name: laneName(project, lane), exchange: exchange.id, verdict });
      }
    }
  }
  return matrixOf(project, cells.values());
}

/** The cells in order, each held up only where its own lanes agree. */
export function matrixOf(project: Project, made: Iterable<MatrixCell>): Matrix {
  const cells = [...made];
  for (const cell of cells) cell.heldUp &&= GOOD.includes(cell.verdict);
  const rank = new Map(inOrder(project, 'station').map((station, i) => [station.id, i]));
  const place = (id: string) => rank.get(id) ?? 0;
  const sorted = cells.sort((a, b) => place(a.source) - place(b.source) || place(a.sink) - place(b.sink));
  const among = (ids: string[]) => {
    const set = new Set(ids);
    return inOrder(project, 'station').filter((station) => set.has(station.id));
  };
  return { sources: among(sorted.map((c) => c.source)), sinks: among(sorted.map((c) => c.sink)), cells: sorted };
}

/** Exchanges with a Blocker that is about none of their lanes. */
export function blockedExchanges(findings: Iterable<Finding>): Set<string> {
  const blocked = new Set<string>();
  for (const f of findings)
    if (f.severity === 'blocker' && lanesOf(f).length === 0 && f.about.kind === 'exchange') blocked.add(f.about.id);
  return blocked;
}

/**
 * From which station to which a lane goes, and how much. Of two ends, one that says nothing is taken to be on the other
 * side; of several, a lane is between those that speak of it.
 */
function waysOf(claims: readonly Claim[], stationOf: ReadonlyMap<string, string>): [string, string, number][] {
  const said = new Map(claims.map((claim) => [claim.end, claim]));
  const takes = (end: string) => readable(said.get(end)?.direction);
  const spoken = stationOf.size > 2 && said.size > 1;
  const ways: [string, string, number][] = [];
  for (const [from, source] of stationOf) {
    const direction = takes(from);
    if (direction !== 'writes' && direction !== 'both') continue;
    const length = readable(said.get(from)!.length);
    for (const [to, sink] of stationOf) {
      if (spoken && !said.has(to)) continue;
      if (to !== from && takes(to) !== 'writes') ways.push([source, sink, length ? lengthBits(length) : 0]);
    }
  }
  if (ways.length > 0) return ways;
  // Nobody says that he writes: whoever reads, reads from the others.
  for (const [to, sink] of stationOf) {
    if (takes(to) !== 'reads') continue;
    const length = readable(said.get(to)!.length);
    for (const [from, source] of stationOf) {
      if (from !== to && takes(from) === null) ways.push([source, sink, length ? lengthBits(length) : 0]);
    }
  }
  return ways;
}
