import type { Finding } from '@dialoga/core/finding';
import type { Kind, Table } from '@dialoga/core/model';
import { useCallback } from 'react';
import { useStateOf } from '../store/store';
import { cellText } from './cell-text';

type Findings = Table<Finding>;

/** The cells that findings name, by kind; worked out once for all who ask about the same findings. */
const named = new WeakMap<Findings, Map<Kind, ReadonlySet<string>>>();

/** The set last told of: as long as the same cells are named it is the same one, and nothing is drawn anew for it. */
const latest = new Map<Kind, ReadonlySet<string>>();

function sameSet(a: ReadonlySet<string>, b: ReadonlySet<string>): boolean {
  if (a.size !== b.size) return false;
  for (const cell of a) if (!b.has(cell)) return false;
  return true;
}

/** What one finding names; most stay from one slice of a check to the next. */
const ofOne = new WeakMap<Finding, { kind: Kind; cells: readonly string[] }[]>();

function cellsOf(finding: Finding, kind: Kind): readonly string[] {
  let known = ofOne.get(finding);
  if (!known) ofOne.set(finding, (known = []));
  let one = known.find((of) => of.kind === kind);
  if (!one) {
    one = { kind, cells: finding.cells.filter((cell) => cell.kind === kind).map((cell) => cellText(cell)) };
    known.push(one);
  }
  return one.cells;
}

function cellsNamed(findings: Findings, kind: Kind): ReadonlySet<string> {
  let byKind = named.get(findings);
  if (!byKind) named.set(findings, (byKind = new Map()));
  let cells = byKind.get(kind);
  if (cells) return cells;
  const found = new Set<string>();
  for (const finding of findings.values()) {
    for (const cell of cellsOf(finding, kind)) found.add(cell);
  }
  const before = latest.get(kind);
  cells = before && sameSet(before, found) ? before : found;
  latest.set(kind, cells);
  byKind.set(kind, cells);
  return cells;
}

/** Tells which cells of one kind of entity disagree with something: those that a finding names, accepted or not. */
export function useWrongCells(kind: Kind): (id: string, ...path: string[]) => boolean {
  const wrong = useStateOf(({ findings }) => cellsNamed(findings.byKey, kind));
  return useCallback((id: string, ...path: string[]) => wrong.has(cellText({ kind, id, path })), [wrong, kind]);
}
