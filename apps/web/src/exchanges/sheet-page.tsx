import { lanesMade } from '@dialoga/core/exchange';
import { type Finding, lanesOf } from '@dialoga/core/finding';
import { laneName } from '@dialoga/core/lane';
import { childrenOf, type End } from '@dialoga/core/model';
import { protocolOf } from '@dialoga/core/protocol';
import {
  addressAfter,
  dropItem,
  editSheet,
  fillLanes,
  fillValues,
  pasteItems,
  pasteLanes,
  SHEET_COLUMNS,
  splitBlock,
  type SheetColumn,
  type SheetEdit,
} from '@dialoga/core/sheet';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { editsFor, fixFinding } from '../findings/fix-finding';
import { typingInFrame } from '../page/focus';
import { useKeys } from '../page/keys';
import { NothingHere } from '../page/nothing-here';
import type { ClipboardBlock } from '../grid/clipboard-block';
import { Grid } from '../grid/grid';
import type { CellAt, CellEdit, GoTo } from '../grid/types';
import { drop } from '../store/dropping';
import { useChecked, useCounting } from '../store/checked';
import { edit } from '../store/editing';
import { newId } from '../api/new-id';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { TextButton } from '../theme/parts';
import { ExchangeSettings } from './exchange-settings';
import { ExplainDialog } from './explain-dialog';
import { FollowDialog } from './follow-dialog';
import { GiveWayDialog } from './give-way-dialog';
import { FillDialog } from './fill-dialog';
import { useFolded } from './map/folded';
import { SheetMapSection } from './map/sheet-map';
import { MirrorDialog } from './mirror-dialog';
import { PageHead } from './page-head';
import { pasteWords } from './paste-words';
import { columnsFor } from './sheet-columns';
import {
  COLUMN_COUNT,
  DIFFERENCE_COLUMN,
  LEFT_START,
  RIGHT_START,
  SECOND_LINE,
  sheetGridRows,
} from './sheet-grid-rows';
import { gridPlace, laneOfCell, linkAt } from './sheet-places';
import { ShiftDialog } from './shift-dialog';
import { Heads, Title } from './sheet-styles';
import { SheetTotals } from './sheet-totals';
import { useSheetAddress } from './use-sheet-address';
import { cadenceWords } from './words';

const ADDRESS = SHEET_COLUMNS.indexOf('address');

/** More lines than that are hardly meant, and would be one change set too large to send. */
const MOST_PASTED = 20_000;

/** The two-ended sheet: both ends of an exchange side by side, each in its own notation, and what differs between. */
export function SheetPage() {
  const { project: projectId = '', exchange: id = '' } = useParams();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const project = useStateOf((s) => s.project.project)!;
  const { lanes } = useChecked();
  const counting = useCounting();
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const [settings, setSettings] = useState(false);
  const [wish, setWish] = useState<GoTo | null>(null);
  const [explaining, setExplaining] = useState<{ lane: string; item?: string } | null>(null);
  const [following, setFollowing] = useState<{ claim: string; item: string | null } | null>(null);
  const [filling, setFilling] = useState<CellAt | null>(null);
  const [asking, setAsking] = useState<'mirror' | 'shift' | null>(null);
  const [giving, setGiving] = useState<string | null>(null);
  const [folded, setFolded] = useFolded();
  const exchange = project.get('exchange', id);
  const address = useSheetAddress(project, exchange);
  const { ends, pages, linked, own } = address;
  const { left, right } = pages ?? {};
  const linkedLane = linked ? laneOfCell(project, linked) : null;
  const linkedItem = linked?.path[0] === 'items';
  const open = useMemo(
    () => (linkedLane && linkedItem ? new Set([...opened, linkedLane]) : opened),
    [opened, linkedItem, linkedLane],
  );

  // Where a link leads: a field of a page's head, or a cell of the grid. Our own moves of the cursor are no links.
  const headField = linked?.kind === 'end' && !own ? [linked.kind, linked.id, ...linked.path].join(':') : null;
  useEffect(() => {
    if (headField && !typingInFrame()) document.getElementById(headField)?.focus();
  }, [headField, address.visit]);
  const place = linked && left && right && !own ? gridPlace(linked, left, right, (c) => project.get('claim', c)) : null;
  const goTo: GoTo | null = wish ?? (place ? { ...place, token: address.visit } : null);

  const swapPages = () => right && address.choosePage('left', right.id);

  const print = () => {
    const path = [`/p/${projectId}/exchanges/${id}/print`, address.pagesOnly].filter(Boolean).join('?');
    void navigate(path, { state: { print: true } });
  };
  useKeys((event) => {
    const key = event.key.toLowerCase();
    if ((event.ctrlKey || event.metaKey) && key === 'p') print();
    else if (event.altKey && key === 'm') setFolded(!folded);
    else return;
    event.preventDefault();
  });

  const toggle = useCallback((lane: string) => setOpened((known) => toggled(known, lane)), []);
  const rows = useMemo(() => {
    if (!exchange || !left || !right) return [];
    const findings = counting.filter((f) => f.about.id === exchange.id);
    const fix = (finding: Finding) => dispatch(fixFinding(finding));
    const edits = (finding: Finding) => dispatch(editsFor(finding));
    return sheetGridRows({ project, exchange, left, right, open, lanes, findings, toggle, fix, edits });
  }, [project, exchange, left, right, open, lanes, counting, toggle, dispatch]);

  const columns = useMemo(() => columnsFor(rows, LEFT_START + ADDRESS, RIGHT_START + ADDRESS), [rows]);

  if (!exchange || !left || !right) {
    return (
      <NothingHere
        what="There is no such exchange."
        back={{ to: `/p/${projectId}/exchanges`, label: 'All exchanges' }}
      />
    );
  }

  const made = lanesMade(project, exchange, newId);
  const endAt = (column: number): End => (column < DIFFERENCE_COLUMN ? left : right);
  const sheetColumn = (column: number): SheetColumn =>
    SHEET_COLUMNS[column < DIFFERENCE_COLUMN ? column - LEFT_START : column - RIGHT_START] ?? 'name';
  const say = (sentence: string) => dispatch(projectSlice.actions.noticed(sentence));

  function sheetEdit({ row, column, text }: CellEdit): SheetEdit {
    const [kind = '', lane = '', key] = row.split(':');
    const name = sheetColumn(column);
    const second = name === 'name' && exchange!.kind !== 'coupler area' ? 'trigger' : (SECOND_LINE[name] ?? 'swap');
    const base = { end: endAt(column), column: kind === 'second' ? second : name, text };
    if (kind === 'newlane') return { ...base, lane: null };
    if (kind === 'newitem') return { ...base, lane, key: null };
    return kind === 'item' ? { ...base, lane, key } : { ...base, lane };
  }

  function onEdit(edits: CellEdit[]) {
    const fresh = edits.length === 1 && edits[0]!.row.startsWith('new');
    if (fresh && edits[0]!.text.trim() === '') return;
    const result = editSheet(project, edits.map(sheetEdit), newId);
    dispatch(edit(`Edit ${exchange!.name}`, result.changes));
    if (result.problems.length > 0) say(result.problems.join(' · '));
    if (!fresh) return;
    const row = result.key ? `item:${result.lane}:${result.key}` : `lane:${result.lane}`;
    setWish({ row, column: Math.min(edits[0]!.column + 1, COLUMN_COUNT - 1), token: newId() });
  }

  function onPaste({ row, column }: CellAt, { text, merged }: ClipboardBlock) {
    const block = splitBlock(text);
    if (block.length > MOST_PASTED) {
      const [lines, most] = [block.length, MOST_PASTED].map((n) => n.toLocaleString('en-GB'));
      say(`The block has ${lines} lines; at most ${most} can be pasted at once. Nothing was changed.`);
      return;
    }
    const end = endAt(column);
    const start = SHEET_COLUMNS.indexOf(sheetColumn(column));
    const [kind = '', laneId = '', key = null] = row.split(':');
    if (kind === 'second' || kind === 'difference' || column === DIFFERENCE_COLUMN) {
      if (kind === 'second') onEdit([{ row, column, text: block[0]?.[0] ?? '' }]);
      return;
    }
    const lane = project.get('lane', laneId);
    const items = (kind === 'item' || kind === 'newitem') && lane !== undefined;
    const pasted = items
      ? pasteItems(project, end, lane, { key, column: start }, block, newId)
      : pasteLanes(project, end, { lane: kind === 'newlane' ? null : laneId, column: start }, block, newId);
    const label = `Paste ${pasted.count} ${items ? 'values' : 'lanes'}`;
    const refusal = dispatch(edit(label, pasted.changes));
    if (!refusal) say(pasteWords(pasted, items ? 'values' : 'lanes', block, merged));
  }

  /** From the map to the row that it stands for. */
  function showRow(side: 'left' | 'right', lane: string, key: string | null) {
    if (key) setOpened((known) => new Set([...known, lane]));
    const column = side === 'left' ? LEFT_START : RIGHT_START;
    setWish({ row: key ? `item:${lane}:${key}` : `lane:${lane}`, column, token: newId() });
  }

  const claimAt = (lane: string, end: End) => childrenOf(project, 'claim', lane).find((c) => c.end === end.id);

  function fillText({ row, column }: CellAt, n: number): string | null {
    const [kind = '', lane = '', key = null] = row.split(':');
    const claim = claimAt(lane, endAt(column));
    if (!claim || sheetColumn(column) !== 'address' || kind === 'second') return null;
    return addressAfter(project, endAt(column), claim, kind === 'item' ? key : null, n);
  }

  /** What filling down from a row would do, or null where the row is none to fill from. */
  function fillFrom({ row, column }: CellAt) {
    const [kind = '', laneId = '', key = ''] = row.split(':');
    const lane = project.get('lane', laneId);
    const end = endAt(column);
    const claim = claimAt(laneId, end);
    if (!lane || !claim || (kind !== 'lane' && kind !== 'item')) return null;
    const value = kind === 'item';
    return {
      from: (value ? claim.items[key]?.name : claim.name) || 'this row',
      what: value ? 'Values' : 'Lanes',
      plan: (count: number) =>
        value ? fillValues(project, lane, claim, key, count, newId) : fillLanes(project, end, claim, count, newId),
    };
  }
  const toExplain = explaining && project.get('lane', explaining.lane);
  const toFill = filling && fillFrom(filling);
  const toGive = giving && project.get('lane', giving);

  return (
    <>
      {toExplain && (
        <ExplainDialog
          lane={toExplain}
          item={explaining.item}
          findings={counting.filter((f) => lanesOf(f).includes(toExplain.id))}
          onClose={() => setExplaining(null)}
        />
      )}
      {toGive && (
        <GiveWayDialog
          lane={toGive}
          ends={[left, right]}
          onGive={(changes, station) => {
            dispatch(edit(`${laneName(project, toGive)}: ${station} gives way`, changes));
            setGiving(null);
          }}
          onClose={() => setGiving(null)}
        />
      )}
      {following && <FollowDialog {...following} onClose={() => setFollowing(null)} />}
      {asking === 'mirror' && (
        <MirrorDialog
          project={project}
          exchange={exchange}
          ends={[left, right]}
          onMirror={({ changes, rows }, from, to) => {
            dispatch(
              edit(`Mirror ${rows.length} ${rows.length === 1 ? 'lane' : 'lanes'} from ${from} to ${to}`, changes),
            );
            setAsking(null);
          }}
          onClose={() => setAsking(null)}
        />
      )}
      {asking === 'shift' && (
        <ShiftDialog
          project={project}
          exchange={exchange}
          ends={[left, right]}
          onShift={({ changes }, station) => {
            dispatch(edit(`Shift ${changes.length} addresses of ${station}`, changes));
            setAsking(null);
          }}
          onClose={() => setAsking(null)}
        />
      )}
      {toFill && (
        <FillDialog
          {...toFill}
          onFill={(filled, count) => {
            dispatch(edit(`Fill ${count} ${toFill.what.toLowerCase()}`, filled.changes));
            setFilling(null);
          }}
          onClose={() => setFilling(null)}
        />
      )}
      <Title>
        <h1 dir="auto">{exchange.name || 'Exchange without a name'}</h1>
        <p>
          {exchange.kind}
          {exchange.via && ` through ${project.get('station', exchange.via)?.name ?? ''}`} · {protocolOf(exchange).name}{' '}
          {exchange.transfer} · {cadenceWords(exchange.cadence)}
        </p>
        <div>
          <TextButton aria-keyshortcuts="Alt+M" onPress={() => setFolded(!folded)}>
            {folded ? 'Show map' : 'Fold map'}
          </TextButton>
          {made && made.changes.length > 0 && (
            <TextButton onPress={() => dispatch(edit(`${exchange.name}: lanes from the ${made.from}`, made.changes))}>
              Lanes from the {made.from}
            </TextButton>
          )}
          <TextButton onPress={() => setAsking('mirror')}>Mirror</TextButton>
          <TextButton onPress={() => setAsking('shift')}>Shift</TextButton>
          <TextButton onPress={swapPages}>Swap</TextButton>
          <TextButton onPress={() => print()} aria-keyshortcuts="Control+P">
            Print
          </TextButton>
          <TextButton onPress={() => void navigate(`/p/${projectId}/exchanges/${id}/running`)}>How it runs</TextButton>
          {exchange.kind === 'tag map' && (
            <TextButton onPress={() => void navigate(`/p/${projectId}/exchanges/${id}/points`)}>Points</TextButton>
          )}
          {exchange.transfer === 'requests' && exchange.protocol.startsWith('modbus') && (
            <TextButton onPress={() => void navigate(`/p/${projectId}/exchanges/${id}/plan`)}>Poll plan</TextButton>
          )}
          <TextButton aria-expanded={settings} onPress={() => setSettings(!settings)}>
            Settings
          </TextButton>
          <TextButton
            onPress={() =>
              setOpened(open.size > 0 ? new Set() : new Set(childrenOf(project, 'lane', id).map((l) => l.id)))
            }
          >
            {open.size > 0 ? 'Close values' : 'Open values'}
          </TextButton>
        </div>
      </Title>
      {settings && <ExchangeSettings exchange={exchange} />}
      <Heads>
        <PageHead
          exchange={exchange}
          end={left}
          side="left"
          ends={ends}
          onChoose={(end) => address.choosePage('left', end)}
        />
        <PageHead
          exchange={exchange}
          end={right}
          side="right"
          ends={ends}
          onChoose={(end) => address.choosePage('right', end)}
        />
      </Heads>
      {!folded && (
        <SheetMapSection
          project={project}
          exchange={exchange}
          left={left}
          right={right}
          zoom={address.zoom}
          lane={linkedLane}
          onZoom={address.zoomTo}
          onShow={showRow}
          onFold={() => setFolded(true)}
        />
      )}
      <Grid
        label={`${exchange.name}, both ends`}
        main
        columns={columns}
        rows={rows}
        onEdit={onEdit}
        onPaste={onPaste}
        goTo={goTo}
        fillText={fillText}
        onFillDown={setFilling}
        onCursor={({ row, column }) => {
          if (wish) setWish(null);
          const claimOf = (lane: string, end: string) => childrenOf(project, 'claim', lane).find((c) => c.end === end);
          const at = linkAt(row, column, left, right, claimOf, exchange.kind === 'coupler area');
          address.nameCell(at);
        }}
        onKey={(event, at) => {
          const [kind = '', lane = '', key] = at.row.split(':');
          if (event.key === ' ' && kind === 'lane' && !event.ctrlKey) {
            setOpened((known) => toggled(known, lane));
            return true;
          }
          const explains = kind === 'lane' || kind === 'second' || kind === 'item';
          if (event.key.toLowerCase() === 'j' && (event.ctrlKey || event.metaKey) && explains) {
            const claim = claimAt(lane, endAt(at.column)) ?? claimAt(lane, left) ?? claimAt(lane, right);
            if (claim) setFollowing({ claim: claim.id, item: kind === 'item' && key ? key : null });
            return true;
          }
          if (event.key.toLowerCase() === 'i' && (event.ctrlKey || event.metaKey) && explains) {
            setExplaining({ lane, ...(kind === 'item' ? { item: key } : {}) });
            return true;
          }
          if (event.key.toLowerCase() === 'g' && (event.ctrlKey || event.metaKey) && explains) {
            setGiving(lane);
            return true;
          }
          if (event.key !== 'Delete' || !event.ctrlKey) return false;
          const entity = project.get('lane', lane);
          if (kind === 'item' && key && entity) dispatch(edit('Delete value', dropItem(project, entity, key)));
          else if (entity) dispatch(drop('Delete lane', 'lane', lane));
          return true;
        }}
      />
      <SheetTotals left={left.id} right={right.id} />
    </>
  );
}

const toggled = (known: ReadonlySet<string>, lane: string): ReadonlySet<string> =>
  new Set(known.has(lane) ? [...known].filter((l) => l !== lane) : [...known, lane]);
