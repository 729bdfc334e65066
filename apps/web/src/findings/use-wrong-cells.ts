import type { Kind } from '@dialoga/core';
import { useMemo } from 'react';
import { useChecked } from '../store/checked';

/** Tells which cells of one kind of entity disagree with something: those that a finding names, accepted or not. */
export function useWrongCells(kind: Kind): (id: string, ...path: string[]) => boolean {
  const { byKey } = useChecked();
  const wrong = useMemo(() => {
    const cells = new Set<string>();
    for (const key in byKey) {
      for (const cell of byKey[key]!.cells) if (cell.kind === kind) cells.add([cell.id, ...cell.path].join(':'));
    }
    return cells;
  }, [byKey, kind]);
  return (id, ...path) => wrong.has([id, ...path].join(':'));
}
