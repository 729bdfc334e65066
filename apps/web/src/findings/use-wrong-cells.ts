import type { Finding } from '@dialoga/core/finding';
import type { Kind, Table } from '@dialoga/core/model';
import { useCallback } from 'react';
import { useChecked } from '../store/checked';
import { cellText } from './cell-text';

type Findings = Table<Finding>;

/** The cells that findings name, by kind; worked out once for all who ask about the same findings. */
const named = new WeakMap<Findings, Map<Kind, ReadonlySet<string>>>();

function cellsNamed(findings: Findings, kind: Kind): ReadonlySet<string> {
  let byKind = named.get(findings);
  if (!byKind) named.set(findings, (byKind = new Map()));
  let cells = byKind.get(kind);
  if (cells) return cells;
  const found = new Set<string>();
  for (const finding of findings.values()) {
    for (const cell of finding.cells) if (cell.kind === kind) found.add(cellText(cell));
  }
  byKind.set(kind, (cells = found));
  return cells;
}

/** Tells which cells of one kind of entity disagree with something: those that a finding names, accepted or not. */
export function useWrongCells(kind: Kind): (id: string, ...path: string[]) => boolean {
  const { byKey } = useChecked();
  const wrong = cellsNamed(byKey, kind);
  return useCallback((id: string, ...path: string[]) => wrong.has(cellText({ kind, id, path })), [wrong, kind]);
}
