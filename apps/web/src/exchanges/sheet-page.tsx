import { childrenOf } from '@dialoga/core/model';
import { useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { newId } from '../api/new-id';
import { cellText } from '../findings/cell-text';
import { Grid } from '../grid/grid';
import type { CellEdit, GoTo } from '../grid/types';
import { typingInFrame } from '../page/focus';
import { useKeys } from '../page/keys';
import { NothingHere } from '../page/nothing-here';
import { useStateOf } from '../store/store';
import { useRunningExchange } from '../store/use-running-exchange';
import { ExchangeSettings } from './exchange-settings';
import { useFolded } from './map/folded';
import { SheetMapSection } from './map/sheet-map';
import { withNow } from './now-rows';
import { PageHeads } from './page-heads';
import { COLUMN_COUNT, LEFT_START, RIGHT_START, sheetCellAt, sheetRowId, type SheetGridRow } from './sheet-cell';
import { SheetDialogs, type Asked } from './sheet-dialogs';
import { SheetHead } from './sheet-head';
import { gridPlace, linkAt } from './sheet-places';
import { SheetTotals } from './sheet-totals';
import { useSheetAddress } from './use-sheet-address';
import { useSheetKeys } from './use-sheet-keys';
import { useSheetRows } from './use-sheet-rows';
import { useSheetTyping } from './use-sheet-typing';

/** The two-ended sheet: both ends of an exchange side by side, each in its own notation, and what differs between. */
export function SheetPage() {
  const { project: projectId = '', exchange: id = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const exchange = project.get('exchange', id);
  const address = useSheetAddress(project, exchange);
  if (!exchange || !address.pages) {
    const back = { to: `/p/${projectId}/exchanges`, label: 'All exchanges' };
    return <NothingHere what="There is no such exchange." back={back} />;
  }
  return <Sheet key={id} exchange={exchange} address={address} pages={address.pages} />;
}

type Address = ReturnType<typeof useSheetAddress>;

function Sheet({
  exchange,
  address,
  pages: { left, right },
}: Parameters<typeof useSheetRows>[0] & { address: Address }) {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const project = useStateOf((s) => s.project.project)!;
  const [settings, setSettings] = useState(false);
  const [wish, setWish] = useState<GoTo | null>(null);
  const [asked, setAsked] = useState<Asked>(null);
  const [folded, setFolded] = useFolded();
  const { linked, own } = address;
  const {
    rows: plan,
    columns,
    open,
    setOpened,
    toggle,
    linkedLane,
  } = useSheetRows({ exchange, pages: { left, right } }, linked);
  const running = useRunningExchange(exchange.id);
  const rows = running.links ? withNow(plan, running.links, { left, right }) : plan;
  const pages = { left, right, kind: exchange.kind };

  // Where a link leads: a field of a page's head, or a cell of the grid. Our own moves of the cursor are no links.
  const headField = linked?.kind === 'end' && !own ? cellText(linked) : null;
  useEffect(() => {
    if (headField && !typingInFrame()) document.getElementById(headField)?.focus();
  }, [headField, address.visit]);
  const place = linked && !own ? gridPlace(linked, left, right, (claim) => project.get('claim', claim)) : null;

  const print = () => {
    const path = [`/p/${projectId}/exchanges/${exchange.id}/print`, address.pagesOnly].filter(Boolean).join('?');
    void navigate(path, { state: { print: true } });
  };
  /** In a rehearsal: the network between the two pages. */
  function cutOrJoin(cuts: readonly string[]) {
    const network = project.get('port', left.port ?? '')?.network;
    if (network) running.act({ what: cuts.includes(network) ? 'join' : 'cut', id: network });
  }

  useKeys((event) => {
    const key = event.key.toLowerCase();
    if ((event.ctrlKey || event.metaKey) && key === 'p') print();
    else if (event.altKey && event.shiftKey && key === 'm') setAsked({ what: 'mirror' });
    else if (event.altKey && key === 'm') setFolded(!folded);
    else if (event.altKey && key === 'l' && running.view) cutOrJoin(running.view.cuts);
    else return;
    event.preventDefault();
  });

  /** The cursor goes to a row, in a column of the grid. */
  const goToRow = (lane: string, key: string | null, column: number) => {
    const row = key ? sheetRowId({ of: 'value', lane, key }) : sheetRowId({ of: 'lane', lane });
    setWish({ row, column: Math.min(column, COLUMN_COUNT - 1), token: newId() });
  };
  const typing = useSheetTyping({ project, exchange, pages, rows }, (lane, key, at) =>
    goToRow(lane, key, at.column + 1),
  );

  const onColumn = (row: string, column: number) => setWish({ row, column, token: newId() });
  const onKey = useSheetKeys({ project, rows, pages, toggle, onColumn, onAsk: setAsked, onSet });

  /** The value of now in this row, or the first of its lane, is written over at its source. */
  function onSet(id: string, lane: string): boolean {
    const from = rows.findIndex((row) => row.id === id);
    const own = (row: SheetGridRow) => row.sheet.of === 'now' && row.sheet.link.startsWith(`${lane} `);
    const row = rows[from]?.sheet.of === 'now' ? rows[from] : rows.slice(from).find(own);
    const column = row?.cells.findIndex((one) => one?.editable) ?? -1;
    if (!row || column < 0) return false;
    setWish({ row: row.id, column, token: newId(), edit: true });
    return true;
  }

  /** The value that a row shows as it is now. */
  const nowAt = (id: string) => {
    const sheet = rows.find((row) => row.id === id)?.sheet;
    return sheet?.of === 'now' ? sheet : null;
  };
  /** What is typed over a value of now is set in the rehearsal, and no edit of the plan. */
  function setNow({ row, text }: CellEdit): boolean {
    const now = nowAt(row);
    // Nothing typed is nothing to set; '' is a text without characters.
    if (now && text.trim() !== '') running.set(now.link, now.key, text);
    return now !== null;
  }

  /** From the map to the row that it stands for. */
  function showRow(side: 'left' | 'right', lane: string, key: string | null) {
    if (key) setOpened((known) => new Set([...known, lane]));
    goToRow(lane, key, side === 'left' ? LEFT_START : RIGHT_START);
  }

  return (
    <>
      <SheetDialogs asked={asked} exchange={exchange} ends={[left, right]} onClose={() => setAsked(null)} />
      <SheetHead
        {...{ exchange, folded, settings }}
        opened={open.size > 0}
        onFold={setFolded}
        onSettings={setSettings}
        onOpen={(lanes) => setOpened(new Set(lanes))}
        onAsk={(what) => setAsked({ what })}
        onSwap={() => address.choosePage('left', right.id)}
        onPrint={print}
      />
      {settings && <ExchangeSettings exchange={exchange} />}
      <PageHeads exchange={exchange} address={address} pages={{ left, right }} />
      {!folded && (
        <SheetMapSection
          {...{ project, exchange, left, right, zoom: address.zoom, lane: linkedLane }}
          onZoom={address.zoomTo}
          onShow={showRow}
          onFold={() => setFolded(true)}
        />
      )}
      <Grid
        label={`${exchange.name}, both ends`}
        main
        {...{ columns, rows }}
        onEdit={(edits) => {
          const rest = edits.filter((one) => !setNow(one));
          if (rest.length > 0) typing.onEdit(rest);
        }}
        judge={(at, text) => (nowAt(at.row) ? null : typing.judge(at, text))}
        onPaste={typing.onPaste}
        goTo={wish ?? (place ? { ...place, token: address.visit } : null)}
        fillText={typing.fillText}
        onFillDown={(at) => {
          const fill = typing.fillFrom(at);
          if (fill) setAsked({ what: 'fill', fill });
        }}
        onCursor={(at) => {
          if (wish) setWish(null);
          const cell = sheetCellAt(rows, at, pages);
          const claimOf = (lane: string, end: string) => childrenOf(project, 'claim', lane).find((c) => c.end === end);
          address.nameCell(cell && linkAt(cell, claimOf));
        }}
        onKey={onKey}
      />
      <SheetTotals left={left.id} right={right.id} />
    </>
  );
}
