import { apply, type ChangeSet } from '@dialoga/core/change';
import {
  acceptancesOf,
  CheckEngine,
  counting,
  inOrderOfWork,
  type Accepted,
  type Beside,
  type CheckChange,
  type LaneResult,
} from '@dialoga/core/check';
import { compareRevisions, type Compared } from '@dialoga/core/compare';
import { pollPlanOf, pollRemedies, type ExchangePlan, type PollRemedies } from '@dialoga/core/exchange';
import { find, type Hit } from '@dialoga/core/find';
import type { Finding } from '@dialoga/core/finding';
import type { TagList } from '@dialoga/core/formats';
import type { Binding, Project } from '@dialoga/core/model';
import { endToEndMatrix, overviewOf, type Matrix, type Overview } from '@dialoga/core/overview';
import { waysOf, type Ways } from '@dialoga/core/route';
import { stripOf, type Strip } from '@dialoga/core/sheet';
import { planImport, reconcileTags, type ImportPlan, type Reconciled } from '@dialoga/core/tags';
import { expose } from 'comlink';
import { newId } from '../api/new-id';
import { projectFromBytes } from '../api/opened';

/** What the page is told after opening or an edit. */
export interface Checked {
  findings: [string, Finding | null][];
  lanes: [string, LaneResult | null][];
  /** keys of the findings that count, in the order of the work; null: as they were, for more is to come at once */
  order: string[] | null;
  /** Doubts that somebody accepted, by key; those that lapsed count all the same */
  accepted: [string, Accepted][];
  /** how much still waits to be checked; the rest is asked for slice by slice */
  left: number;
}

/** A slice is over after so long, or with so many changes, whichever comes first: the page takes each in without a hitch. */
const FIRST_SLICE_MS = 20;
const NEXT_SLICE_MS = 60;
const SLICE_CHANGES = 60;

const slice = (ms: number) => {
  const end = performance.now() + ms;
  return (changed: number) => changed >= SLICE_CHANGES || performance.now() > end;
};

let project: Project | null = null;
let engine: CheckEngine | null = null;

/** All findings are put in order anew no more often than this while slices follow one another. */
const ORDER_MS = 600;
let ordered = 0;

function told(change: CheckChange, between = false): Checked {
  const wait = between && engine!.waiting > 0 && performance.now() - ordered < ORDER_MS;
  const order = wait ? null : inOrderOfWork(counting(engine!.findings, project!), project!).map((f) => f.key);
  if (order) ordered = performance.now();
  const accepted = [...acceptancesOf(engine!.findings, project!)];
  return { findings: [...change.findings], lanes: [...change.lanes], order, accepted, left: engine!.waiting };
}

/** Runs every check off the page. It is given the project's bytes once, and change sets afterwards. */
const checker = {
  open(bytes: ArrayBuffer): Checked {
    project = projectFromBytes(bytes).project;
    engine = new CheckEngine(project);
    // The first edit and the find box are made ready for once the page has its answer.
    setTimeout(() => {
      engine?.ready();
      checker.find('ready');
    }, 0);
    return told({ findings: new Map(engine.findings), lanes: new Map(engine.laneResults) });
  },
  edit(set: ChangeSet): Checked {
    if (!project || !engine) throw new Error('no project is open');
    const applied = apply(project, set);
    if (!applied.ok) throw new Error(applied.refusal.sentence);
    project = project.with(applied.entities);
    engine.edit(project, applied.entities);
    return told(engine.advance(slice(FIRST_SLICE_MS)));
  },
  /** What is now known of the projects beside this one. */
  lookBeside(beside: readonly Beside[]): Checked | null {
    engine?.lookBeside(beside);
    return engine && told(engine.advance(slice(FIRST_SLICE_MS)));
  },
  /** The next slice of what waits. */
  more(): Checked | null {
    return engine && told(engine.advance(slice(NEXT_SLICE_MS)), true);
  },
  strips(areas: readonly string[]): Strip[] {
    if (!project || !engine) return [];
    return areas.flatMap((area) => stripOf(project!, area, engine!.usesIn(area)) ?? []);
  },
  overview(): Overview | null {
    if (!project || !engine) return null;
    const lanes = engine.laneResults;
    const findings = inOrderOfWork(counting(engine.findings, project), project);
    return overviewOf(project, (lane) => lanes.get(lane)?.verdict, findings);
  },
  endToEnd(): Matrix | null {
    if (!project || !engine) return null;
    const lanes = engine.laneResults;
    return endToEndMatrix(project, (lane) => lanes.get(lane)?.verdict, counting(engine.findings, project));
  },
  find(query: string): Hit[] {
    if (!project || !engine) return [];
    const { findings } = engine;
    return find({ project, findings: findings.values(), usesIn: (area) => engine!.usesIn(area) }, query);
  },
  /** What a list of tags would do to a station; ids of what would be new are made here. */
  planTags(station: string, list: TagList, progress: (done: number, all: number) => void): ImportPlan | null {
    return project && planImport(project, station, list, newId, progress);
  },
  /** The tags of two ends face to face. */
  reconcile(exchange: string, asking: string, asked: string, by: Binding): Reconciled | null {
    const [x, a, b] = [project?.get('exchange', exchange), project?.get('end', asking), project?.get('end', asked)];
    return project && x && a && b ? reconcileTags(project, x, [a, b], by) : null;
  },
  pollPlan(exchange: string): { plan: ExchangePlan; remedies: PollRemedies | null } | null {
    const x = project?.get('exchange', exchange);
    const plan = project && x ? pollPlanOf(project, x) : null;
    return plan && { plan, remedies: pollRemedies(plan) };
  },
  /** How every route goes, and whether every expectation of who reaches whom holds. */
  ways(): Ways | null {
    return project && waysOf(project);
  },
  compare(before: ArrayBuffer, after: ArrayBuffer): Compared {
    return compareRevisions(projectFromBytes(before).project, projectFromBytes(after).project);
  },
};

export type Checker = typeof checker;
expose(checker);
