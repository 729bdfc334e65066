import { lengthBits } from '../place/length.js';
import type { Finding } from '../finding/finding.js';
import { composed } from '../follow/composed.js';
import { follow } from '../follow/follow.js';
import { waysThrough } from '../follow/ways-through.js';
import { laneName, worse, type Verdict } from '../lane/compare.js';
import { readable } from '../model/as-typed.js';
import { inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { blockedExchanges, matrixOf, type Matrix, type MatrixCell } from './matrix.js';

/**
 * Who sends what to whom in the end: from stations where data begins, through couplers, gateways and copies, to those from
 * which nothing goes on. A cell has the lanes of its ways, and the worst verdict of a whole way: all hops composed, of which
 * only the identity agrees.
 */
export function endToEndMatrix(
  project: Project,
  verdictOf: (lane: string) => Verdict | undefined,
  findings: Iterable<Finding>,
): Matrix {
  const blocked = blockedExchanges(findings);
  const cells = new Map<string, MatrixCell>();
  for (const claim of inOrder(project, 'claim')) {
    const direction = readable(claim.direction);
    if (direction !== 'writes' && direction !== 'both') continue;
    const [start, ...before] = follow(project, claim.id, null, 'back');
    // What came from elsewhere does not begin here.
    if (!start || before.some((hop) => hop.station !== start.station)) continue;
    const hops = follow(project, claim.id, null, 'forward');
    const length = readable(claim.length);
    for (const way of waysThrough(hops)) {
      const last = way.at(-1)!;
      if (last.station === start.station) continue;
      const key = `${start.station} ${last.station}`;
      let cell = cells.get(key);
      const fresh = { source: start.station, sink: last.station, bits: 0, lanes: [], verdict: 'agreed', heldUp: false };
      if (!cell) cells.set(key, (cell = fresh as MatrixCell));
      cell.bits += length ? lengthBits(length) : 0;
      const { verdict: whole, why } = composed(project, way);
      if (worse(cell.verdict, whole) !== cell.verdict) Object.assign(cell, { verdict: whole, why });
      for (const id of new Set(way.flatMap((hop) => hop.lane ?? []))) {
        const lane = project.get('lane', id)!;
        const verdict = verdictOf(id) ?? 'unchecked';
        cell.heldUp ||= blocked.has(lane.exchange);
        if (cell.lanes.some((known) => known.lane === id)) continue;
        cell.lanes.push({ lane: id, name: laneName(project, lane), exchange: lane.exchange, verdict });
      }
    }
  }
  return matrixOf(project, cells.values());
}
