import type { LaneResult } from '@dialoga/core/check';
import { textOf } from '../findings/text-of';
import { type Finding, lanesOf } from '@dialoga/core/finding';
import type { Lane, End, Exchange, Project, Table } from '@dialoga/core/model';
import {
  laneRows,
  SECOND_FIELDS,
  SHEET_COLUMNS,
  SHEET_FIELDS,
  sheetLanes,
  type SheetLane,
  type PageCells,
  type SecondLineColumn,
  type SheetColumn,
  type SheetRow,
} from '@dialoga/core/sheet';
import { cellText } from '../findings/cell-text';
import { grouped } from '../findings/grouped';
import { Says } from '../findings/says';
import type { GridCell } from '../grid/types';
import { VERDICT_WORDS, VerdictMark } from '../marks/verdict-mark';
import { Chevron } from '../marks/chevron';
import {
  COLUMN_COUNT,
  DIFFERENCE_COLUMN,
  LEFT_START,
  RIGHT_START,
  sheetRowId,
  type SheetGridRow,
  type SheetRowRef,
} from './sheet-cell';

export interface SheetState {
  project: Project;
  exchange: Exchange;
  left: End;
  right: End;
  open: ReadonlySet<string>;
  lanes: Table<LaneResult>;
  /** lanes whose walk passed, and that were not changed since */
  rehearsed: ReadonlySet<string>;
  /** lanes of which every point was seen on site */
  observed: ReadonlySet<string>;
  findings: readonly Finding[];
  toggle: (lane: string) => void;
  fix: (finding: Finding) => void;
  /** what the proposed fix of a finding does, by key */
  fixes: ReadonlyMap<string, string>;
}

/** All rows of the two-ended sheet, ready for the grid. */
export function sheetGridRows(state: SheetState): SheetGridRow[] {
  const { project, exchange, left, right, open } = state;
  const byLane = grouped(state.findings, lanesOf);
  const wrong = wrongCells(state.findings);
  const touching = grouped(state.findings, (f) => [...new Set(f.cells.map((cell) => cell.id))]);
  const rows: SheetGridRow[] = [];
  for (const one of sheetLanes(project, exchange, left, right)) {
    const [a, b] = one.claims;
    const ids = { left: a?.id, right: b?.id };
    const opened = open.has(one.lane.id);
    const findings = byLane.get(one.lane.id) ?? [];
    // Of hundreds of lanes all but a few are as they were: their rows are kept. What is found may name anything.
    const found = [findings, touching.get(a?.id ?? '') ?? [], touching.get(b?.id ?? '') ?? []].flat();
    const rests = found.length === 0 ? [] : [project, state.fixes, ...found];
    const stands = standingOf(state, one.lane.id);
    const from = [...one.from, opened, stands, state.lanes.get(one.lane.id), state.toggle, ...rests];
    const known = kept.get(one.lane);
    const made = known && same(known.from, from) ? known.rows : rowsOfLane(state, one, opened, findings, ids, wrong);
    kept.set(one.lane, { from, rows: made });
    for (const row of made) rows.push(row);
  }
  rows.push(blankRow({ of: 'new lane' }, 'new lane', 'new', 26));
  return rows;
}

/** Rows by the lane that they were made for, with all that they were made from. */
const kept = new WeakMap<Lane, { from: readonly unknown[]; rows: readonly SheetGridRow[] }>();

/** A row's name and what it stands for. */
const named = (sheet: SheetRowRef) => ({ id: sheetRowId(sheet), sheet });

const same = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((value, i) => value === b[i]);

function rowsOfLane(
  state: SheetState,
  one: SheetLane,
  opened: boolean,
  found: readonly Finding[],
  ids: ClaimIds,
  wrong: Set<string>,
): SheetGridRow[] {
  const rows: SheetGridRow[] = [];
  for (const row of laneRows(state.project, state.exchange, one, opened)) {
    if (row.kind === 'item') rows.push(itemRow(state, row, ids, wrong));
    else {
      rows.push(laneRow(state, row, found, ids, wrong), secondRow(row, standingOf(state, row.lane), ids, wrong));
      for (const finding of found) {
        if (finding.severity !== 'hint') rows.push(differenceRow(state, finding));
      }
      const result = state.lanes.get(row.lane);
      if (result?.verdict === 'unchecked' && result.unknown) rows.push(reasonRow(row.lane, result.unknown));
    }
  }
  if (opened) rows.push(blankRow({ of: 'new value', lane: one.lane.id }, 'new value', 'sub', 22));
  return rows;
}

/** The cells that disagree, each as its path in words; a lane's own type stands for those of its values, too. */
function wrongCells(findings: readonly Finding[]): Set<string> {
  const wrong = new Set<string>();
  for (const { cells } of findings) {
    for (const { kind, id, path } of cells) {
      wrong.add(cellText({ kind, id, path }));
      if (path[0] === 'items' && path.at(-1) === 'type') wrong.add(cellText({ kind, id, path: ['type'] }));
    }
  }
  return wrong;
}

const claimCell = (id: string, path: readonly string[]): string => cellText({ kind: 'claim', id, path });

type ClaimIds = { left: string | undefined; right: string | undefined };

function pageCells(cells: PageCells | null, claim: string | undefined, key: string | undefined, wrong: Set<string>) {
  return SHEET_COLUMNS.map((column): GridCell => {
    const cell = cells?.[column];
    const field = SHEET_FIELDS[column];
    const path = key === undefined ? [field.path] : ['items', key, field.ofValue ?? ''];
    const derived = cell?.derived ?? (key !== undefined && field.ofValue === null);
    return {
      text: cell?.text ?? '',
      show: !cells && column === 'name' ? (key === undefined ? 'not filled in' : '') : undefined,
      editable: !derived,
      muted: !cells || (derived && key !== undefined),
      mono: field.mono ?? false,
      right: field.right ?? false,
      unread: cell?.unread,
      differs: claim !== undefined && (column !== 'area' || key !== undefined) && wrong.has(claimCell(claim, path)),
      about: field,
      ...(key === undefined && field.options ? { options: field.options } : {}),
    };
  });
}

function laneRow(
  state: SheetState,
  row: SheetRow,
  findings: readonly Finding[],
  ids: ClaimIds,
  wrong: Set<string>,
): SheetGridRow {
  const result = state.lanes.get(row.lane);
  const opened = state.open.has(row.lane);
  const worst = findings[0];
  const verdict = result?.verdict ?? 'unchecked';
  const words =
    verdict === 'differs' && worst
      ? worst.label
      : verdict === 'unchecked' && !result
        ? 'checking'
        : VERDICT_WORDS[verdict];
  return {
    ...named({ of: 'lane', lane: row.lane }),
    height: 23,
    tone: 'main',
    cells: [
      {
        text: String(row.number),
        show: (
          <>
            {row.number} <Chevron open={opened} />
          </>
        ),
        look: `${opened}`,
        muted: true,
        action: {
          label: `${opened ? 'Close' : 'Open'} the values of lane ${row.number}`,
          run: () => state.toggle(row.lane),
        },
      },
      ...pageCells(row.left, ids.left, undefined, wrong),
      {
        text: words,
        show: (
          <>
            <VerdictMark verdict={verdict} leftEmpty={!row.left} /> {words}
          </>
        ),
        look: `${verdict} ${!row.left}`,
      },
      ...pageCells(row.right, ids.right, undefined, wrong),
    ],
  };
}

/** How far a lane is beyond being planned. */
const standingOf = ({ observed, rehearsed }: SheetState, lane: string): string =>
  observed.has(lane) ? 'observed' : rehearsed.has(lane) ? 'rehearsed' : '';

/** Under a lane: the other's place as told here, the header, and the swap; between them how far it is. */
function secondRow(row: SheetRow, standing: string, ids: ClaimIds, wrong: Set<string>): SheetGridRow {
  const page = (cells: PageCells | null, claim: string | undefined, start: number): (GridCell | null)[] =>
    SHEET_COLUMNS.map((column): GridCell | null => {
      const wide = (field: SecondLineColumn, show: string): GridCell => ({
        text: cells?.[field]?.text ?? '',
        show,
        editable: true,
        muted: true,
        mono: field === 'told' || field === 'station' || field === 'header',
        right: field === 'header',
        differs: claim !== undefined && wrong.has(claimCell(claim, [SECOND_FIELDS[field].path])),
        about: SECOND_FIELDS[field],
        ...(SECOND_FIELDS[field].options ? { options: SECOND_FIELDS[field].options } : {}),
      });
      if (!cells) return null;
      if (column === 'name' && !cells.slot) {
        return wide('trigger', cells.trigger?.text || '');
      }
      if (column === 'name' && cells.slot) return wide('slot', cells.slot.text ? `slot ${cells.slot.text}` : 'slot …');
      const through = start + SHEET_COLUMNS.indexOf('area');
      if (column === 'direction' && cells.station) {
        return { ...wide('station', cells.station.text ? `asks ${cells.station.text}` : ''), through };
      }
      if (column === 'direction' && cells.open) {
        return { ...wide('open', cells.open.text || 'open to others?'), through };
      }
      if (column === 'area') return wide('layout', cells.layout?.text ?? '');
      if (column === 'address' && cells.told)
        return wide('told', cells.told.text ? `partner: ${cells.told.text}` : 'partner: …');
      if (column === 'length') return wide('header', cells.header?.text ? `header ${cells.header.text}` : '');
      if (column === 'type') return wide('swap', cells.swap?.text || '');
      return null;
    });
  return {
    ...named({ of: 'second', lane: row.lane }),
    height: 17,
    tone: 'second',
    cells: [
      null,
      ...page(row.left, ids.left, LEFT_START),
      standing ? { text: standing, muted: true } : null,
      ...page(row.right, ids.right, RIGHT_START),
    ],
  };
}

function itemRow(state: SheetState, row: SheetRow, ids: ClaimIds, wrong: Set<string>): SheetGridRow {
  const key = row.key!;
  const result = state.lanes.get(row.lane);
  const words = result?.differing[key];
  const compared = result && result.verdict !== 'unchecked';
  const spot: SheetColumn = words === 'cut off' ? 'length' : words === 'another place' ? 'address' : 'type';
  const marked = (cell: GridCell | null, i: number): GridCell | null =>
    cell && words !== undefined && SHEET_COLUMNS[i] === spot && cell.text !== '' ? { ...cell, differs: true } : cell;
  const verdict =
    words !== undefined && row.left && row.right
      ? 'differs'
      : !row.left || !row.right
        ? 'one-sided'
        : compared
          ? 'agreed'
          : 'unchecked';
  return {
    ...named({ of: 'value', lane: row.lane, key }),
    height: 22,
    tone: 'sub',
    cells: [
      null,
      ...pageCells(row.left, ids.left, key, wrong).map(onlyEditable).map(marked),
      {
        text: words ?? VERDICT_WORDS[verdict],
        show: (
          <>
            <VerdictMark verdict={verdict} leftEmpty={!row.left} alone={verdict === 'agreed'} />{' '}
            {verdict === 'differs' ? words : verdict === 'agreed' ? '' : VERDICT_WORDS[verdict]}
          </>
        ),
        look: `${verdict} ${!row.left}`,
      },
      ...pageCells(row.right, ids.right, key, wrong).map(onlyEditable).map(marked),
    ],
  };
}

/** Of an item, the direction is the lane's: no cell. Where the lane has its area, a value has its unit. */
const onlyEditable = (cell: GridCell, i: number): GridCell | null => (SHEET_COLUMNS[i] === 'direction' ? null : cell);

/** What each end says, under its own page, and the fix between them. */
function differenceRow(state: SheetState, finding: Finding): SheetGridRow {
  const { says, consequence } = textOf(finding);
  const fix = state.fixes.get(finding.key);
  const onPage = (i: number) => [state.left.id, state.right.id].includes(finding.parties[i]?.end ?? '');
  const sentence = (end: End, start: number): GridCell | null => {
    let i = finding.parties.findIndex((p) => p.end === end.id);
    // What an end says that is on neither page stands where nobody else says anything, with its name.
    const elsewhere = i < 0 ? says.findIndex((_, k) => finding.parties[k]?.end && !onPage(k)) : -1;
    if (elsewhere >= 0) i = elsewhere;
    const pieces = says[i];
    if (!pieces) return null;
    const station = state.project.get('station', finding.parties[i]?.station ?? '')?.name ?? '';
    const before = elsewhere >= 0 ? `${station}, on neither page: ` : '';
    const text = before + pieces.map((p) => p.text).join('');
    return {
      text,
      show: (
        <>
          {before}
          <Says pieces={pieces} />
        </>
      ),
      look: before + pieces.map((p) => (p.differs ? `[${p.text}]` : p.text)).join(''),
      through: start + SHEET_COLUMNS.length - 1,
    };
  };
  const cells: (GridCell | null)[] = Array.from({ length: COLUMN_COUNT }, () => null);
  const [left, right] = [sentence(state.left, LEFT_START), sentence(state.right, RIGHT_START)];
  const alone: GridCell = { text: consequence, muted: true, through: 0 };
  cells[LEFT_START] = left ?? { ...alone, through: LEFT_START + SHEET_COLUMNS.length - 1 };
  cells[RIGHT_START] = right ?? { ...alone, through: RIGHT_START + SHEET_COLUMNS.length - 1 };
  cells[DIFFERENCE_COLUMN] = fix
    ? {
        text: fix,
        show: <strong>Fix</strong>,
        look: 'fix',
        action: { label: `Fix ${finding.code}: ${fix}`, run: () => state.fix(finding) },
      }
    : { text: finding.code, muted: true };
  return { ...named({ of: 'difference', finding: finding.key }), height: 28, tone: 'difference', cells };
}

/** Why a lane is unchecked, which no finding says. */
function reasonRow(lane: string, unknown: string): SheetGridRow {
  const cells: (GridCell | null)[] = Array.from({ length: COLUMN_COUNT }, () => null);
  cells[LEFT_START] = { text: `Unchecked: ${unknown}`, through: LEFT_START + SHEET_COLUMNS.length - 1 };
  return { ...named({ of: 'reason', lane }), height: 28, tone: 'difference', cells };
}

function blankRow(ref: SheetRowRef, hint: string, tone: 'sub' | 'new', height: number): SheetGridRow {
  const page = SHEET_COLUMNS.map((column): GridCell | null => {
    const about = SHEET_FIELDS[column];
    if (tone === 'sub' && about.ofValue === null) return null;
    const show = column === 'name' ? hint : '';
    return { text: '', show, editable: true, muted: true, mono: about.mono ?? false, about };
  });
  return { ...named(ref), height, tone, cells: [null, ...page, null, ...page] };
}
