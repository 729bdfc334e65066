import { KeptByReads } from '../model/kept-by-reads.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { EntityChange, Project } from '../model/project.js';
import type { Point } from './point.js';
import { pointsOfLane, type Untestable } from './points-of-lane.js';
import { reachPoints } from './reach-points.js';

/** Every point of the plan in the order of its exchanges, and the lanes that give none yet. */
export interface Points {
  points: readonly Point[];
  without: readonly Untestable[];
}

/** The points of a plan, kept while it is edited. */
export class PointList {
  private readonly ofLane = new KeptByReads((reader, id) => {
    const lane = reader.get('lane', id);
    const exchange = lane && reader.get('exchange', lane.exchange);
    // Of service visits nothing moves in the plant.
    return lane && exchange && exchange.kind !== 'service link' ? pointsOfLane(reader, exchange, lane) : undefined;
  });
  private readonly left: Set<string>;
  private made: Points | null = null;

  constructor(private project: Project) {
    this.left = new Set([...project.all('lane')].map(({ id }) => id));
  }

  /** Lanes that were not looked at yet. */
  get waiting(): number {
    return this.left.size;
  }

  /** Looks at one lane after the other until it is enough; whether none is left. */
  advance(enough: () => boolean): boolean {
    for (const lane of this.left) {
      if (enough()) return false;
      this.look(lane);
    }
    return true;
  }

  /** Takes in edits; whether anything is another than before. */
  edit(project: Project, edits: readonly EntityChange[]): boolean {
    this.project = project;
    let changed = edits.some(({ kind }) => LISTED.has(kind));
    for (const lane of this.ofLane.touched(edits, 'lane')) {
      const before = this.look(lane);
      changed = JSON.stringify(before) !== JSON.stringify(this.ofLane.get(lane)) || changed;
    }
    if (changed) this.made = null;
    return changed;
  }

  /** All of it; what was not looked at yet is now. */
  all(): Points {
    this.advance(() => false);
    return (this.made ??= this.inOrder());
  }

  private look(lane: string): Point[] | Untestable | undefined {
    this.left.delete(lane);
    return this.ofLane.look(this.project, lane);
  }

  private inOrder(): Points {
    const points: Point[] = [];
    const without: Untestable[] = [];
    for (const { id } of inOrder(this.project, 'exchange'))
      for (const lane of childrenOf(this.project, 'lane', id)) {
        const found = this.ofLane.get(lane.id);
        if (Array.isArray(found)) points.push(...found);
        else if (found) without.push(found);
      }
    return { points: [...points, ...reachPoints(this.project)], without };
  }
}

/** Kinds whose order, or whose very being there, the list shows. */
const LISTED: ReadonlySet<string> = new Set(['exchange', 'lane', 'expectation', 'station', 'port']);
