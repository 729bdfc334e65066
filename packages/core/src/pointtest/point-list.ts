import { childrenOf, inOrder } from '../model/order.js';
import type { EntityChange, Project } from '../model/project.js';
import { RecordingReader } from '../model/recording-reader.js';
import { touchedBy } from '../model/touched.js';
import type { Point } from './point.js';
import { pointsOfLane, type Untestable } from './points-of-lane.js';
import { reachPoints } from './reach-points.js';

/** Every point of the plan in the order of its exchanges, and the lanes that give none yet. */
export interface Points {
  points: readonly Point[];
  without: readonly Untestable[];
}

/** The points of a plan, kept while it is edited: after an edit only those lanes are looked at that it touches. */
export class PointList {
  private readonly known = new Map<string, Point[] | Untestable>();
  private readonly readers = new Map<string, Set<string>>();
  private readonly reads = new Map<string, readonly string[]>();
  private made: Points | null = null;

  constructor(private project: Project) {
    for (const lane of project.all('lane')) this.look(lane.id);
  }

  /** Takes in edits; whether anything is another than before. */
  edit(project: Project, edits: readonly EntityChange[]): boolean {
    this.project = project;
    const stale = new Set<string>();
    let changed = edits.some(({ kind }) => LISTED.has(kind));
    for (const change of edits) {
      if (change.kind === 'lane') stale.add(change.id);
      for (const key of touchedBy(change)) for (const lane of this.readers.get(key) ?? []) stale.add(lane);
    }
    for (const lane of stale) changed = this.look(lane) || changed;
    if (changed) this.made = null;
    return changed;
  }

  all(): Points {
    return (this.made ??= this.inOrder());
  }

  private inOrder(): Points {
    const points: Point[] = [];
    const without: Untestable[] = [];
    for (const { id } of inOrder(this.project, 'exchange'))
      for (const lane of childrenOf(this.project, 'lane', id)) {
        const found = this.known.get(lane.id);
        if (Array.isArray(found)) points.push(...found);
        else if (found) without.push(found);
      }
    return { points: [...points, ...reachPoints(this.project)], without };
  }

  private look(id: string): boolean {
    for (const key of this.reads.get(id) ?? []) this.readers.get(key)?.delete(id);
    const before = this.known.get(id);
    this.known.delete(id);
    this.reads.delete(id);
    const lane = this.project.get('lane', id);
    const exchange = lane && this.project.get('exchange', lane.exchange);
    // Of service visits nothing moves in the plant.
    if (!lane || !exchange || exchange.kind === 'service link') return before !== undefined;
    const reader = new RecordingReader(this.project);
    const points = pointsOfLane(reader, exchange, lane);
    const reads = [...reader.take(), exchange.id];
    this.reads.set(id, reads);
    for (const key of reads) {
      const lanes = this.readers.get(key) ?? new Set();
      this.readers.set(key, lanes.add(id));
    }
    this.known.set(id, points);
    return JSON.stringify(before) !== JSON.stringify(points);
  }
}

/** Kinds whose order, or whose very being there, the list shows. */
const LISTED: ReadonlySet<string> = new Set(['exchange', 'lane', 'expectation', 'station', 'port']);
