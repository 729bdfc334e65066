import type { Cell, Finding } from '@dialoga/core/finding';
import type { End, Exchange } from '@dialoga/core/model';
import { SHEET_COLUMNS } from '@dialoga/core/sheet';
import { useCallback, useMemo, useState } from 'react';
import { fixFinding } from '../findings/fix-finding';
import { useFirstFixes } from '../findings/use-fixes';
import { useChecked, useCounting } from '../store/checked';
import { useAppDispatch, useStateOf } from '../store/store';
import { LEFT_START, RIGHT_START } from './sheet-cell';
import { columnsFor } from './sheet-columns';
import { sheetGridRows } from './sheet-grid-rows';
import { laneOfCell } from './sheet-places';

const ADDRESS = SHEET_COLUMNS.indexOf('address');

/** The rows of a sheet as they are now, with the values of those lanes that are open. */
export function useSheetRows(
  { exchange, pages: { left, right } }: { exchange: Exchange; pages: { left: End; right: End } },
  linked: Cell | null = null,
) {
  const dispatch = useAppDispatch();
  const project = useStateOf((s) => s.project.project)!;
  const { lanes, rehearsed, observed } = useChecked();
  const counting = useCounting();
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const linkedLane = linked ? laneOfCell(project, linked) : null;
  const linkedItem = linked?.path[0] === 'items';
  const open = useMemo(
    () => (linkedLane && linkedItem ? new Set([...opened, linkedLane]) : opened),
    [opened, linkedItem, linkedLane],
  );
  const toggle = useCallback((lane: string) => setOpened((known) => toggled(known, lane)), []);
  const findings = useMemo(() => counting.filter((f) => f.about.id === exchange.id), [counting, exchange.id]);
  const fixes = useFirstFixes(findings);
  const rows = useMemo(() => {
    const fix = (finding: Finding) => dispatch(fixFinding(finding, fixes.get(finding.key)));
    return sheetGridRows({
      project,
      exchange,
      left,
      right,
      open,
      lanes,
      rehearsed,
      observed,
      findings,
      toggle,
      fix,
      fixes,
    });
  }, [project, exchange, left, right, open, lanes, rehearsed, observed, findings, fixes, toggle, dispatch]);
  const columns = useMemo(() => columnsFor(rows, LEFT_START + ADDRESS, RIGHT_START + ADDRESS), [rows]);
  return { rows, columns, open, setOpened, toggle, linkedLane };
}

const toggled = (known: ReadonlySet<string>, lane: string): ReadonlySet<string> =>
  new Set(known.has(lane) ? [...known].filter((l) => l !== lane) : [...known, lane]);
