import { dequal } from 'dequal/lite';
import { differingValues } from '../lane/difference.js';
import { compareLane, type Verdict } from '../lane/compare.js';
import { Occupancy, sharedSpan, type Use } from '../lane/occupancy.js';
import { useOf, usesOfCopy, usesOfLanding } from '../lane/uses.js';
import { PROJECT_ID, type Kind } from '../model/kinds.js';
import type { EntityChange, Project } from '../model/project.js';
import { touchedBy } from '../model/touched.js';
import { RULES } from './catalogue.js';
import type { Finding } from '../finding/finding.js';
import { FindingsInForce } from './findings-in-force.js';
import { Readers } from './readers.js';
import { RecordingReader } from '../model/recording-reader.js';
import type { Context, Handover, Report, Rule, Scope, Subjects } from './rule.js';

/** What is shown of a lane beside its findings. */
export interface LaneResult {
  verdict: Verdict;
  unknown: string | null;
  /** values that do not arrive, by key, each with the words for the difference column */
  differing: Readonly<Record<string, string>>;
}

/** A project beside this one, from which stations may have been taken over. */
export interface Beside {
  name: string;
  /** its newest */
  revision: number;
}

/** What a check changed: findings by key (null: gone) and lanes by id (null: gone). */
export interface CheckChange {
  findings: Map<string, Finding | null>;
  lanes: Map<string, LaneResult | null>;
}

/** Copies and landings have no rules of their own scope; what they use of an area is worked out like a lane’s. */
const MOVER_KINDS = ['copy', 'landing'] as const;
type MoverKind = (typeof MOVER_KINDS)[number];
const isMoverKind = (kind: string): kind is MoverKind => (MOVER_KINDS as readonly string[]).includes(kind);

interface Unit {
  scope: Scope | MoverKind;
  id: string;
  reads: readonly string[];
  findings: Finding[];
}

const unitKey = (scope: Scope | MoverKind, id: string) => `${scope} ${id}`;
const occupancyKey = (area: string) => `uses>${area}`;
const besideKey = (project: string) => `beside>${project}`;
const byName = (beside: readonly Beside[]): Map<string, number | null> => {
  const names = new Map<string, number | null>();
  for (const { name, revision } of beside) names.set(name, names.has(name) ? null : revision);
  return names;
};
const allKey = (kind: Kind) => `all>${kind}`;
/** From the one that puts data into memory to the one that takes it out again; a lane hands nothing over to itself. */
const handovers = (a: Use, b: Use): Handover['given'] => [
  ...(a.puts && b.takes ? [{ put: a, take: b }] : []),
  ...(b.puts && a.takes ? [{ put: b, take: a }] : []),
];
const meets = (a: Use, b: Use): boolean => (a.puts && (b.puts || b.takes)) || (a.takes && b.puts);
const pairId = (a: string, b: string) => (a < b ? `${a} ${b}` : `${b} ${a}`);

type Check<S extends Scope> = { rule: Rule; check: (subject: Subjects[S], context: Context) => Iterable<Report> };
function checksOf<S extends Scope>(scope: S): Check<S>[] {
  return RULES.flatMap((rule) => {
    const check = rule.on[scope] as Check<S>['check'] | undefined;
    return check ? [{ rule, check }] : [];
  });
}
const CHECKS: { [S in Scope]: Check<S>[] } = {
  project: checksOf('project'),
  network: checksOf('network'),
  station: checksOf('station'),
  area: checksOf('area'),
  exchange: checksOf('exchange'),
  route: checksOf('route'),
  expectation: checksOf('expectation'),
  lane: checksOf('lane'),
  overlap: checksOf('overlap'),
  handover: checksOf('handover'),
};

const UNIT_KINDS = ['project', 'network', 'station', 'area', 'exchange', 'route', 'expectation', 'lane'] as const;
type UnitKind = (typeof UNIT_KINDS)[number];
/** Checked as a whole, after all lanes and overlaps. */
type WholeKind = Exclude<UnitKind, 'lane'>;
const isUnitKind = (kind: Kind): kind is UnitKind => (UNIT_KINDS as readonly Kind[]).includes(kind);

const nothing = (): CheckChange => ({ findings: new Map(), lanes: new Map() });

/**
 * Runs every rule once per entity of its scope and keeps the results with what was read for them. After an edit only
 * what read something that changed is run again; the result is exactly that of a full check. Overlaps are kept per pair
 * of uses: an edit queries its own bits only. What an edit makes stale can be run in slices: `edit`, then `advance`
 * until nothing waits; edits may come in between.
 */
export class CheckEngine {
  private project: Project;
  private readonly units = new Map<string, Unit>();
  /** by what was read; most things are read by one unit only, which then stands for itself */
  private readonly readers = new Readers<Unit>();
  /** units of the full check whose reads are not in there yet: they are needed at the first edit, and not before */
  private unindexed: Unit[] | null = [];
  private readonly lanes = new Map<string, LaneResult>();
  /** of a lane, a copy or a landing: the ids of its uses */
  private readonly usesOf = new Map<string, string[]>();
  private readonly pairsOfUse = new Map<string, Set<string>>();
  private readonly occupancy = new Occupancy();
  private readonly found = new FindingsInForce();

  private readonly staleLanes = new Set<string>();
  private readonly staleMovers = new Map<string, MoverKind>();
  /** uses whose place is another, each with the areas that it came from and went to */
  private readonly moved = new Map<string, Set<string>>();
  private readonly staleOverlaps = new Set<string>();
  private readonly staleUnits = new Map<string, { kind: WholeKind; id: string }>();
  /** newest revisions of the projects beside this one, by name; null where several are called so */
  private beside: ReadonlyMap<string, number | null> = new Map();
  /** what has changed and was not told yet */
  private change = nothing();

  /** A full check of the project, with what is known of the projects beside it. */
  constructor(project: Project, beside: readonly Beside[] = []) {
    this.project = project;
    this.beside = byName(beside);
    for (const kind of UNIT_KINDS) for (const { id } of project.all(kind)) this.stale(kind, id);
    for (const kind of MOVER_KINDS) for (const { id } of project.all(kind)) this.stale(kind, id);
    this.stale('project', PROJECT_ID);
    this.advance();
  }

  get findings(): ReadonlyMap<string, Finding> {
    return this.found.shown;
  }

  /** The same with what is not shown, since something else says it better. */
  get everything(): IterableIterator<Finding> {
    return this.found.everything;
  }

  get laneResults(): ReadonlyMap<string, LaneResult> {
    return this.lanes;
  }

  usesIn(area: string): Use[] {
    return this.occupancy.inArea(area);
  }

  /** How much is known to wait to be checked anew: lanes, areas and the like. */
  get waiting(): number {
    return (
      this.staleLanes.size + this.staleMovers.size + this.moved.size + this.staleOverlaps.size + this.staleUnits.size
    );
  }

  /** Checks again what these edits made stale; gives what changed in findings and lanes. */
  update(project: Project, edits: readonly EntityChange[]): CheckChange {
    this.edit(project, edits);
    return this.advance();
  }

  /**
   * Makes ready for the first edit, which else does this itself: who has read what is put in order. Who only wants to know
   * what a project has for findings need not wait for it.
   */
  ready(): void {
    const units = this.unindexed ?? [];
    this.unindexed = null;
    for (const unit of units) for (const read of unit.reads) this.readers.add(read, unit);
  }

  /** Takes in what is now known of the projects beside this one; what looked at one that changed waits. */
  lookBeside(beside: readonly Beside[]): void {
    this.ready();
    const next = byName(beside);
    for (const name of new Set([...this.beside.keys(), ...next.keys()])) {
      if (this.beside.get(name) !== next.get(name)) this.staleBy(besideKey(name));
    }
    this.beside = next;
  }

  /** Takes in edits: what they made stale waits, before what waited already. */
  edit(project: Project, edits: readonly EntityChange[]): void {
    this.ready();
    this.project = project;
    const waiting = [...this.staleLanes];
    this.staleLanes.clear();
    for (const { kind, id, before, after } of edits) {
      for (const key of touchedBy({ kind, id, before, after })) this.staleBy(key);
      this.staleBy(allKey(kind));
      if (!isUnitKind(kind) && !isMoverKind(kind)) continue;
      if (!before) this.stale(kind, id);
      if (!after) this.dropUnit(unitKey(kind, id));
    }
    for (const id of waiting) this.staleLanes.add(id);
  }

  /**
   * Checks what waits, until nothing does or until it is enough (told how many findings and lanes have changed). Gives
   * what changed since the last time.
   */
  advance(enough: (changed: number) => boolean = () => false): CheckChange {
    const full = () => enough(this.change.findings.size + this.change.lanes.size);
    // Pairs found in this call are as they should be, also for the other of the two.
    const pairs = new Set<string>();
    const run = <T>(waiting: Iterable<T>, check: (one: T) => void) => {
      for (const one of waiting) {
        if (full()) return;
        check(one);
      }
    };
    while (this.waiting > 0 && !full()) {
      // In this order: places follow from lanes, overlaps from places, and areas look at all of them.
      run(this.staleLanes, (id) => this.runLane(id));
      run(this.staleMovers, ([id, kind]) => this.runMover(kind, id));
      run(this.moved.keys(), (use) => this.findOverlaps(use, pairs));
      run(this.staleOverlaps, (id) => this.runOverlap(id));
      run(this.staleUnits.keys(), (key) => this.runUnit(key));
    }
    const change = this.change;
    this.change = nothing();
    return change;
  }

  private staleBy(key: string): void {
    for (const { scope, id } of this.readers.of(key)) this.stale(scope, id);
  }

  private stale(scope: Scope | MoverKind, id: string): void {
    if (isMoverKind(scope)) this.staleMovers.set(id, scope);
    else if (scope === 'lane') this.staleLanes.add(id);
    else if (scope === 'overlap' || scope === 'handover') this.staleOverlaps.add(id);
    else this.staleUnits.set(unitKey(scope, id), { kind: scope, id });
  }

  private runLane(id: string): void {
    this.staleLanes.delete(id);
    const reader = new RecordingReader(this.project);
    const lane = reader.get('lane', id);
    const exchange = lane && reader.get('exchange', lane.exchange);
    if (!lane || !exchange) return;
    const comparison = compareLane(reader, lane, exchange);
    this.store('lane', id, comparison, reader);
    const { verdict, unknown } = comparison;
    const result: LaneResult = { verdict, unknown, differing: differingValues(comparison.differences) };
    if (!dequal(this.lanes.get(id), result)) this.change.lanes.set(id, result);
    this.lanes.set(id, result);
    this.occupy(
      id,
      comparison.sides.flatMap((side) => useOf(side) ?? []),
    );
  }

  private runMover(kind: MoverKind, id: string): void {
    this.staleMovers.delete(id);
    const reader = new RecordingReader(this.project);
    const copy = kind === 'copy' ? reader.get('copy', id) : undefined;
    const landing = kind === 'landing' ? reader.get('landing', id) : undefined;
    if (!copy && !landing) return;
    const uses = copy ? usesOfCopy(reader, copy) : usesOfLanding(reader, landing!);
    this.replace({ scope: kind, id, reads: reader.take(), findings: [] });
    this.occupy(id, uses);
  }

  /** What a lane, a copy or a landing uses now, in place of what it used before. */
  private occupy(holder: string, uses: readonly Use[]): void {
    for (const id of this.usesOf.get(holder) ?? []) {
      if (!uses.some((use) => use.id === id)) this.place(id, null);
    }
    for (const use of uses) this.place(use.id, use);
    if (uses.length === 0) this.usesOf.delete(holder);
    else
      this.usesOf.set(
        holder,
        uses.map((use) => use.id),
      );
  }

  private place(id: string, use: Use | null): void {
    const old = this.occupancy.get(id);
    if (!old && !use) return;
    if (old && use && old.area === use.area && old.puts === use.puts && old.takes === use.takes) {
      if (old.spans === use.spans) return;
    }
    const areas = this.moved.get(id) ?? new Set();
    if (old) areas.add(old.area);
    if (use) areas.add(use.area);
    this.moved.set(id, areas);
    this.occupancy.set(id, use);
  }

  /** Finds the pairs anew of a use that moved; what looked at its areas is stale. */
  private findOverlaps(moved: string, found: Set<string>): void {
    for (const area of this.moved.get(moved) ?? []) this.staleBy(occupancyKey(area));
    this.moved.delete(moved);
    for (const pair of [...(this.pairsOfUse.get(moved) ?? [])]) if (!found.has(pair)) this.dropPair(pair);
    const use = this.occupancy.get(moved);
    if (!use) return;
    for (const other of this.occupancy.overlapping(use)) {
      if (!meets(use, other)) continue;
      const id = pairId(moved, other.id);
      if (found.has(id)) continue;
      found.add(id);
      for (const one of [moved, other.id]) {
        const pairs = this.pairsOfUse.get(one);
        if (pairs) pairs.add(id);
        else this.pairsOfUse.set(one, new Set([id]));
      }
      this.checkOverlap(id);
    }
  }

  private runOverlap(id: string): void {
    this.staleOverlaps.delete(id);
    if (this.units.has(unitKey('overlap', id)) || this.units.has(unitKey('handover', id))) this.checkOverlap(id);
  }

  /** Two that put data into the same bits; and one that puts it there of which another takes it. */
  private checkOverlap(id: string): void {
    const [first = '', second = ''] = id.split(' ');
    const a = this.occupancy.get(first);
    const b = this.occupancy.get(second);
    const shared = a && b && sharedSpan(a, b);
    if (!a || !b || !shared) return;
    if (a.puts && b.puts) this.store('overlap', id, { a, b, shared }, new RecordingReader(this.project));
    else this.dropUnit(unitKey('overlap', id));
    const given = handovers(a, b);
    if (given.length > 0) this.store('handover', id, { given, shared }, new RecordingReader(this.project));
    else this.dropUnit(unitKey('handover', id));
  }

  private dropPair(id: string): void {
    for (const use of id.split(' ')) this.pairsOfUse.get(use)?.delete(id);
    this.dropUnit(unitKey('overlap', id));
    this.dropUnit(unitKey('handover', id));
  }

  private runUnit(key: string): void {
    const { kind, id } = this.staleUnits.get(key)!;
    this.staleUnits.delete(key);
    const reader = new RecordingReader(this.project);
    const subject = kind === 'project' ? this.project.info : reader.get(kind, id);
    reader.note(id);
    if (subject) this.store(kind, id, subject as never, reader);
  }

  private store<S extends Scope>(scope: S, id: string, subject: Subjects[S], reader: RecordingReader): void {
    const context: Context = {
      reader,
      all: (kind) => {
        reader.note(allKey(kind));
        return this.project.all(kind);
      },
      occupancy: {
        inArea: (area) => {
          reader.note(occupancyKey(area));
          return this.occupancy.inArea(area);
        },
      },
      revisionElsewhere: (name) => {
        reader.note(besideKey(name));
        return this.beside.get(name) ?? null;
      },
    };
    const findings: Finding[] = [];
    for (const { rule, check } of CHECKS[scope]) {
      for (const report of check(subject, context)) findings.push(asFinding(rule, report));
    }
    this.replace({ scope, id, reads: reader.take(), findings });
  }

  private replace(unit: Unit): void {
    const key = unitKey(unit.scope, unit.id);
    const old = this.units.get(key);
    if (old) this.forget(old);
    this.units.set(key, unit);
    if (this.unindexed) this.unindexed.push(unit);
    else for (const read of unit.reads) this.readers.add(read, unit);
    for (const finding of unit.findings) this.found.add(finding);
    this.found.settle(this.change.findings);
  }

  private forget(unit: Unit): void {
    this.ready();
    for (const read of unit.reads) this.readers.remove(read, unit);
    for (const finding of unit.findings) this.found.drop(finding);
  }

  private dropUnit(key: string): void {
    const unit = this.units.get(key);
    if (!unit) return;
    this.forget(unit);
    this.found.settle(this.change.findings);
    this.units.delete(key);
    if (unit.scope !== 'lane' && !isMoverKind(unit.scope)) return;
    this.occupy(unit.id, []);
    if (unit.scope !== 'lane') return;
    this.lanes.delete(unit.id);
    this.change.lanes.set(unit.id, null);
  }
}

function asFinding(rule: Rule, report: Report): Finding {
  const { subjects, ...rest } = report;
  const message = rule.meta.messages[report.message];
  if (!message) throw new Error(`${rule.meta.code} has no message ${report.message}`);
  return {
    ...rest,
    code: rule.meta.code,
    key: [rule.meta.code, report.message, ...subjects].join(' · '),
    severity: message.severity,
  };
}
