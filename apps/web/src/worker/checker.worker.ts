import { apply, type Change, type ChangeSet } from '@dialoga/core/change';
import {
  acceptancesOf,
  CheckEngine,
  counting,
  fixAllThrough,
  fixesOf,
  inOrderOfWork,
  type Accepted,
  type Beside,
  type CheckChange,
  type Fix,
  type LaneResult,
} from '@dialoga/core/check';
import { compareRevisions, type Compared } from '@dialoga/core/compare';
import { pollPlanOf, pollRemedies, type ExchangePlan, type PollRemedies } from '@dialoga/core/exchange';
import { find, type Hit } from '@dialoga/core/find';
import type { Finding } from '@dialoga/core/finding';
import type { TagList } from '@dialoga/core/formats';
import type { Binding, Project } from '@dialoga/core/model';
import { placesOfCause, type Cause, type PlaceOfCause } from '@dialoga/core/lab';
import { endToEndMatrix, overviewOf, type Matrix, type Overview } from '@dialoga/core/overview';
import { observedLanes, recordsByPoint, type Points } from '@dialoga/core/pointtest';
import { waysOf, type Ways } from '@dialoga/core/route';
import {
  Standings,
  traceOf,
  watchable,
  type Mark,
  type Trace,
  type TraceAsked,
  type Walked,
} from '@dialoga/core/rehearse';
import { stripOf, type Strip } from '@dialoga/core/sheet';
import { notSeen, surveyOf, type NotSeen, type Survey } from '@dialoga/core/survey';
import { planImport, reconcileTags, type ImportPlan, type Reconciled } from '@dialoga/core/tags';
import { KeptWork, loadedAgain, orderOfWork, type LoadedAgain, type OrderOfWork } from '@dialoga/core/work';
import { expose } from 'comlink';
import { newId } from '../api/new-id';
import { projectFromBytes } from '../api/opened';
import { editsBefore } from './edits-before';
import { foreseen } from './foreseen';
import { orderChange, type OrderChange } from './order-change';
import { editPoints, forgetPoints, pointsAtHand, pointsInSlices } from './points-in-slices';
import { stopWalking, walkInSlices, type WalkAbout } from './walks';

/** Lanes of which every point was seen on site; null: as they were; `ask`: that takes a while, and is to be asked for. */
type Observed = string[] | 'ask' | null;

/** What the page is told after opening or an edit. */
export interface Checked {
  findings: [string, Finding | null][];
  lanes: [string, LaneResult | null][];
  /** keys of the findings that count, in the order of the work; null: as they were, for more is to come at once */
  order: OrderChange | null;
  /** Doubts that somebody accepted, or did no longer, by key; those that lapsed count all the same */
  accepted: [string, Accepted | null][];
  /** lanes whose walk passed and that were not changed since; null: as they were */
  rehearsed: string[] | null;
  observed: Observed;
  /** how much still waits to be checked; the rest is asked for slice by slice */
  left: number;
}

/** A slice is over after so long, or with so many changes, whichever comes first: the page takes each in without a hitch. */
const FIRST_SLICE_MS = 20;
const NEXT_SLICE_MS = 60;
const SLICE_CHANGES = 40;

const slice = (ms: number) => {
  const end = performance.now() + ms;
  return (changed: number) => changed >= SLICE_CHANGES || performance.now() > end;
};

/** Findings whose fixes are asked for, by key, and the own edits that came before each: of `undo`, up to `since`. */
export interface FixesAsked {
  findings: readonly (readonly [key: string, since: string | undefined])[];
  /** ids of the own edits that can be undone, oldest first */
  undo: readonly string[];
}

/** What fixing several at once would do; findings by key. */
export interface FixedTogether {
  changes: Change[];
  fixed: string[];
  left: string[];
}

let project: Project | null = null;
let engine: CheckEngine | null = null;
let standings: Standings | null = null;
let knownObserved = '';
/** What has to be set at each station: made at the first need, too. */
let keptWork: KeptWork | null = null;
/** Own edits by id, since the project was opened. */
const edits = new Map<string, ChangeSet>();

const findingsOf = ({ findings }: FixesAsked): Finding[] =>
  findings.flatMap(([key]) => engine?.findings.get(key) ?? []);

/** The own edits that came before a finding. */
function beforeIn({ findings, undo }: FixesAsked): (finding: Finding) => readonly ChangeSet[] {
  const since = new Map(findings);
  return ({ key }) => editsBefore(undo, since.get(key)).flatMap((id) => edits.get(id) ?? []);
}

/** All findings are put in order anew no more often than this while slices follow one another. */
const ORDER_MS = 600;
let ordered = 0;

function told(change: CheckChange, { between = false, stands = false, seen = false } = {}): Checked {
  const wait = between && engine!.waiting > 0 && performance.now() - ordered < ORDER_MS;
  const order = wait ? null : newOrder();
  return {
    findings: [...change.findings],
    lanes: [...change.lanes],
    order,
    accepted: newlyAccepted(),
    rehearsed: stands ? standings!.rehearsed : null,
    observed: seen ? newlyObserved() : null,
    left: engine!.waiting,
  };
}

function newlyObserved(): Observed {
  const records = recordsByPoint(project!);
  // Most plans have no record of a test: then no point is made.
  const all = records.size > 0 ? pointsAtHand() : { points: { points: [] } };
  if (!all) return 'ask';
  const lanes = [...observedLanes(all.points.points, records)];
  const now = lanes.join(' ');
  if (now === knownObserved) return null;
  knownObserved = now;
  return lanes;
}

/** What the page knows of order and acceptances: it is told what is other than that. */
let knownOrder: readonly string[] = [];
let knownAccepted: ReadonlyMap<string, Accepted> = new Map();

function newOrder(): OrderChange {
  ordered = performance.now();
  const before = knownOrder;
  knownOrder = inOrderOfWork(counting(engine!.findings, project!), project!).map((f) => f.key);
  return orderChange(before, knownOrder);
}

function newlyAccepted(): Checked['accepted'] {
  const before = knownAccepted;
  const now = acceptancesOf(engine!.findings, project!);
  knownAccepted = now;
  const same = (key: string, { acceptance, lapsed }: Accepted) => {
    const known = before.get(key);
    return known?.acceptance === acceptance && known.lapsed === lapsed;
  };
  const gone = [...before.keys()].filter((key) => !now.has(key)).map((key) => [key, null] as [string, null]);
  return [...gone, ...[...now].filter(([key, one]) => !same(key, one))];
}

/** Runs every check off the page. It is given the project's bytes once, and change sets afterwards. */
const checker = {
  open(bytes: ArrayBuffer): Checked {
    project = projectFromBytes(bytes).project;
    edits.clear();
    [knownOrder, knownAccepted] = [[], new Map()];
    engine = new CheckEngine(project);
    standings = new Standings(project);
    [keptWork, knownObserved] = [null, ''];
    forgetPoints();
    stopWalking();
    // The first edit and the find box are made ready for once the page has its answer.
    setTimeout(() => {
      engine?.ready();
      checker.find('ready');
    }, 0);
    return told({ findings: new Map(engine.findings), lanes: new Map(engine.laneResults) }, { stands: true });
  },
  /** `own`: it can be undone, and what was typed last gives way when it is fixed. */
  edit(set: ChangeSet, own: boolean): Checked {
    if (!project || !engine) throw new Error('no project is open');
    if (own) edits.set(set.id, set);
    const applied = apply(project, set);
    if (!applied.ok) throw new Error(applied.refusal.sentence);
    project = project.with(applied.entities);
    engine.edit(project, applied.entities);
    const stands = standings!.edit(project, applied.entities);
    keptWork?.edit(project, applied.entities);
    const moved = editPoints(project, applied.entities);
    const seen = moved || applied.entities.some(({ kind }) => kind === 'point');
    return told(engine.advance(slice(FIRST_SLICE_MS)), { stands, seen });
  },
  /** Every bit of every value set at its source and looked for at its sink; null: it was stopped. */
  async walk(about: WalkAbout, mark: Mark, progress: (done: number, all: number) => void): Promise<Walked | null> {
    return project && walkInSlices(project, about, mark, progress);
  },
  stopWalking(): void {
    stopWalking();
  },
  /** What of an exchange can be watched over time. */
  watchable(exchange: string): ReturnType<typeof watchable> {
    return project ? watchable(project, exchange) : [];
  },
  /** Values over virtual time; a text says why that cannot be. */
  trace(asked: TraceAsked): Trace | string {
    return project ? traceOf(project, asked) : 'No project is open.';
  },
  /** Where in the project a value comes out for this cause. */
  placesOfCause(cause: Cause): PlaceOfCause[] {
    return project && engine ? placesOfCause(project, cause, engine.laneResults) : [];
  },
  /** What changes that are still being typed would have found. */
  foresee(changes: readonly Change[], most: number): string | null | undefined {
    return engine && project ? foreseen(engine, project, changes, most) : null;
  },
  /** What is now known of the projects beside this one. */
  lookBeside(beside: readonly Beside[]): Checked | null {
    engine?.lookBeside(beside);
    return engine && told(engine.advance(slice(FIRST_SLICE_MS)));
  },
  /** The next slice of what waits. */
  more(): Checked | null {
    return engine && told(engine.advance(slice(NEXT_SLICE_MS)), { between: true });
  },
  /** The ready fixes of findings, the proposed one first; of those that are still there. */
  fixes(asked: FixesAsked): [string, Fix[]][] {
    const before = beforeIn(asked);
    return findingsOf(asked).map((finding) => [finding.key, fixesOf(finding, project!, before(finding))]);
  },
  /** What the proposed fix of each does, in words; of those that have one. */
  firstFixes(asked: FixesAsked): [string, string][] {
    return checker.fixes(asked).flatMap(([key, [first]]) => (first ? [[key, first.label]] : []));
  },
  /** Whether one of these at least can be fixed. */
  anyFix(keys: readonly string[]): boolean {
    const asked = { findings: keys.map((key) => [key, undefined] as const), undo: [] };
    return findingsOf(asked).some((finding) => fixesOf(finding, project!).length > 0);
  },
  fixAll(asked: FixesAsked): FixedTogether {
    if (!project || !engine) return { changes: [], fixed: [], left: [] };
    const keys = (findings: readonly Finding[]) => findings.map(({ key }) => key);
    const { changes, fixed, left } = fixAllThrough(findingsOf(asked), project, beforeIn(asked), engine.findings);
    return { changes, fixed: keys(fixed), left: keys(left) };
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
  /** What was found on site beside the plan, and what was not found by now (ISO 8601). */
  survey(now: string): (Survey & { missing: NotSeen[] }) | null {
    const survey = project && surveyOf(project);
    return survey && { ...survey, missing: notSeen(project!, survey.rows, now) };
  },
  /** What is to be done on site, in its order, and who must be loaded again. */
  work(): (OrderOfWork & { again: LoadedAgain[] }) | null {
    const work = project && orderOfWork(project, (keptWork ??= new KeptWork(project)));
    return work && { ...work, again: loadedAgain(project!, work) };
  },
  /** Lanes of which every point was seen on site, where they are others than before. */
  async observed(): Promise<string[] | null> {
    if (!project || project.count('point') === 0 || !(await pointsInSlices(project))) return null;
    const lanes = newlyObserved();
    return lanes === 'ask' ? null : lanes;
  },
  /** What is tested point by point, where that is not what is known of this turn already. */
  async points(known: number): Promise<{ turn: number; points: Points } | null> {
    const all = pointsAtHand() ?? (project && (await pointsInSlices(project)));
    return all?.turn === known ? null : all;
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
