import { RULES } from './catalogue.js';
import { lanesOf, type Cell, type Finding } from '../finding/finding.js';

const META = new Map(RULES.map((rule) => [rule.meta.code, rule.meta]));

/**
 * Everything that was found, and what of it is shown: one cause is one finding, so a rule is silent where one that it
 * yields to speaks of the same subject, or of the same cell, whichever part of the project that was found in.
 */
export class FindingsInForce {
  /** by key; what yields to something else is not in it */
  readonly shown = new Map<string, Finding>();
  private readonly all = new Map<string, Finding>();
  /** by what they are about, and by their cells */
  private readonly near = new Map<string, Set<Finding>>();
  /** by the same, those that may have to yield to what is found there */
  private readonly watching = new Map<string, Set<Finding>>();
  /** what may be shown or hidden since the last time */
  private readonly open = new Set<Finding>();

  add(finding: Finding): void {
    this.all.set(finding.key, finding);
    for (const place of placesOf(finding)) {
      enter(this.near, place, finding);
      this.reopen(place);
    }
    for (const place of watchedBy(finding)) enter(this.watching, place, finding);
    this.open.add(finding);
  }

  drop(finding: Finding): void {
    if (this.all.get(finding.key) === finding) this.all.delete(finding.key);
    for (const place of placesOf(finding)) {
      leave(this.near, place, finding);
      this.reopen(place);
    }
    for (const place of watchedBy(finding)) leave(this.watching, place, finding);
    this.open.add(finding);
  }

  private reopen(place: string): void {
    for (const other of this.watching.get(place) ?? []) this.open.add(other);
  }

  /** Everything that was found, shown or not. */
  get everything(): IterableIterator<Finding> {
    return this.all.values();
  }

  /** Decides anew what is shown of all that was touched; notes it by key in `changed`, null: no longer shown. */
  settle(changed: Map<string, Finding | null>): void {
    if (this.open.size === 0) return;
    for (const { key } of this.open) {
      const now = this.all.get(key);
      const shown = now && !this.yields(now) ? now : undefined;
      if (this.shown.get(key) === shown) continue;
      if (shown) this.shown.set(key, shown);
      else this.shown.delete(key);
      changed.set(key, shown ?? null);
    }
    this.open.clear();
  }

  private yields(finding: Finding): boolean {
    const { yieldsTo, yieldsAtCell } = yieldsOf(finding);
    const others = (places: readonly string[], codes: readonly string[]) =>
      codes.length === 0
        ? []
        : places.flatMap((place) =>
            [...(this.near.get(place) ?? [])].filter((other) => !saysTheSame(other, finding) && isOneOf(other, codes)),
          );
    return (
      others(subjectsOf(finding), yieldsTo).some((other) => sameItem(other, finding)) ||
      others(finding.cells.map(cellKey), yieldsAtCell).length > 0
    );
  }
}

/** `SIZ 1`, or one message of a rule: `HWS 2 outside`. */
const isOneOf = ({ code, message }: Finding, list: readonly string[]): boolean =>
  list.includes(code) || list.includes(`${code} ${message}`);

/** Two of one sort never yield to each other: both would be gone. */
const saysTheSame = (a: Finding, b: Finding): boolean => a.code === b.code && a.message === b.message;

const sameItem = (a: Finding, b: Finding): boolean => !a.item || !b.item || a.item === b.item;

const cellKey = ({ kind, id, path }: Cell): string => `${kind} ${id} ${path.join('.')}`;

/** What it is about as a whole, and each lane; what is about a lane is about that exchange, too. */
function subjectsOf(finding: Finding): string[] {
  const whole = `about ${finding.about.id}`;
  return [whole, ...lanesOf(finding).map((lane) => `lane ${lane}`)];
}

/** What a finding yields to: by its rule, and by its own message. */
function yieldsOf({ code, message }: Finding): { yieldsTo: readonly string[]; yieldsAtCell: readonly string[] } {
  const { yieldsTo = [], yieldsAtCell = [], messages } = META.get(code)!;
  const own = messages[message];
  return {
    yieldsTo: own?.yieldsTo ? [...yieldsTo, ...own.yieldsTo] : yieldsTo,
    yieldsAtCell: own?.yieldsAtCell ? [...yieldsAtCell, ...own.yieldsAtCell] : yieldsAtCell,
  };
}

function watchedBy(finding: Finding): string[] {
  const { yieldsTo, yieldsAtCell } = yieldsOf(finding);
  return [
    ...(yieldsTo.length > 0 ? subjectsOf(finding) : []),
    ...(yieldsAtCell.length > 0 ? finding.cells.map(cellKey) : []),
  ];
}

function enter(index: Map<string, Set<Finding>>, place: string, finding: Finding): void {
  const there = index.get(place);
  if (there) there.add(finding);
  else index.set(place, new Set([finding]));
}

function leave(index: Map<string, Set<Finding>>, place: string, finding: Finding): void {
  const there = index.get(place);
  there?.delete(finding);
  if (there?.size === 0) index.delete(place);
}

/** Where others look for it: a finding about lanes is not one about all of its exchange. */
function placesOf(finding: Finding): string[] {
  const [whole, ...lanes] = subjectsOf(finding);
  return [...(lanes.length > 0 ? lanes : [whole!]), ...finding.cells.map(cellKey)];
}
