import { useVirtualizer } from '@tanstack/react-virtual';
import {
  useCallback,
  useEffect,
  useEffectEvent,
  useId,
  useLayoutEffect,
  useRef,
  useState,
  type ClipboardEvent,
  type KeyboardEvent,
  type MouseEvent,
} from 'react';
import { seriesName } from '@dialoga/core/tags';
import { explain, explainNothing, type Explained } from '../page/explained';
import { focusIsFree, typingInFrame } from '../page/focus';
import { useAskedTable } from './use-asked-table';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch } from '../store/store';
import { useRefusal } from '../store/use-refusal';
import { clipboardBlock, type ClipboardBlock } from './clipboard-block';
import { blockText, rectangle } from './copy';
import { CellEditor } from './cell-editor';
import { cellId, GridRowView } from './grid-row';
import { useDropped } from './dropped';
import { useHeadHelp } from './head-help';
import { edge, nearest, step, type At } from './move';
import { Body, Frame, Head, HeadCell, Tint } from './styles';
import { leastWidth } from './least-width';
import type { CellAt, CellEdit, GoTo, GridColumn, GridRow, Judged } from './types';

interface Props {
  label: string;
  columns: readonly GridColumn[];
  rows: readonly GridRow[];
  /** typed, cleared or filled cells; one undo step */
  onEdit: (edits: CellEdit[]) => void;
  /** why a text cannot stand in a cell as it is; null: it can */
  judge?: ((at: CellAt, text: string) => Judged) | undefined;
  onPaste?: (at: CellAt, block: ClipboardBlock) => void;
  goTo?: GoTo | null;
  /** the main thing of its page: it takes the focus when the page opens */
  main?: boolean;
  onCursor?: (at: CellAt) => void;
  /** what filling down writes in a cell, `n` rows below the first; null: as the column says */
  fillText?: (from: CellAt, n: number) => string | null;
  /** filling down from one row: it is asked how far */
  onFillDown?: (from: CellAt) => void;
  /** keys of this screen; true where it was one of them */
  onKey?: (event: KeyboardEvent, at: CellAt) => boolean;
}

interface Editing {
  at: At;
  /** what the editor starts with: the cell's text, or the key that was typed over it */
  text: string;
}

/** px of the window from which all columns are in sight */
const NARROW = 900;

/** After an edit the address bar follows the cursor so much later: first the verdict is drawn. */
const AFTER_EDIT_MS = 150;

/** The one table of the product: cursor, selection, typing, copying and pasting by keyboard; rows drawn as they show. */
export function Grid(props: Props) {
  const { label, columns, rows, onEdit, judge, onPaste, goTo, main, onCursor, onKey, fillText, onFillDown } = props;
  const help = useHeadHelp();
  const gridId = useId();
  const frame = useRef<HTMLDivElement>(null);
  const [cursor, setCursor] = useState<At>({ row: 0, column: 0 });
  const [anchor, setAnchor] = useState<At | null>(null);
  const [editing, setEditing] = useState<Editing | null>(null);
  const [focused, setFocused] = useState(false);
  const refusalOf = useRefusal();
  const dispatch = useAppDispatch();
  const tabStart = useRef<number | null>(null);
  const dragging = useRef(false);
  const rowAtCursor = useRef<string | null>(null);
  /** Tab left a new row: the cursor goes on in the row that is made of it, as soon as that is there. */
  const made = useRef<{ known: ReadonlySet<string>; column: number; by: 1 | -1 } | null>(null);

  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: (i) => rows[i]?.height ?? 26,
    getItemKey: (i) => rows[i]?.id ?? i,
    overscan: 6,
    useFlushSync: false,
    scrollPaddingStart: 30,
    // The head stands above the rows, and moves them down by as much.
    scrollPaddingEnd: 30,
  });
  useLayoutEffect(() => virtual.measure(), [rows, virtual]);

  const latest = useRef(onCursor);
  const naming = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => {
    latest.current = onCursor;
  });
  useEffect(() => () => clearTimeout(naming.current), []);

  const place = useCallback(
    (at: At, extend = false, tellAfter = 0) => {
      made.current = null;
      setAnchor((known) => (extend ? (known ?? cursor) : null));
      setCursor(at);
      rowAtCursor.current = rows[at.row]?.id ?? null;
      virtual.scrollToIndex(at.row, { align: 'auto' });
      const row = rows[at.row];
      if (!row || extend) return;
      clearTimeout(naming.current);
      const tell = () => latest.current?.({ row: row.id, column: at.column });
      if (tellAfter > 0) naming.current = setTimeout(tell, tellAfter);
      else tell();
    },
    [cursor, rows, virtual],
  );

  // The cursor stays with its row when rows come and go above it.
  useLayoutEffect(() => {
    const known = rowAtCursor.current;
    const row = known === null ? cursor.row : rows.findIndex((r) => r.id === known);
    const at = nearest(rows, { row: row < 0 ? Math.min(cursor.row, rows.length - 1) : row, column: cursor.column });
    if (at && (at.row !== cursor.row || at.column !== cursor.column)) setCursor(at);
    if (at) rowAtCursor.current = rows[at.row]?.id ?? null;
  }, [rows, cursor]);

  useLayoutEffect(() => {
    const left = made.current;
    const row = left
      ? rows.findIndex(({ id, tone, once }) => !left.known.has(id) && tone !== 'new' && tone !== 'second' && !once)
      : -1;
    if (left && row >= 0) place(step(rows, { row, column: left.column }, 0, left.by), false, AFTER_EDIT_MS);
  }, [rows, place]);

  const go = useEffectEvent(() => {
    const row = goTo ? rows.findIndex((r) => r.id === goTo.row) : -1;
    const at = goTo && row >= 0 ? nearest(rows, { row, column: goTo.column }) : null;
    if (!at) return;
    place(at);
    if (!typingInFrame()) frame.current?.focus({ preventScroll: true });
    if (goTo?.edit) startEditing(at, '');
  });
  useEffect(() => {
    if (main && focusIsFree()) frame.current?.focus({ preventScroll: true });
  }, [main]);

  // With the cursor in the row that makes something new, where it has one.
  useAskedTable(label, () => {
    const last = rows.findLastIndex(({ tone }) => tone === 'new');
    const column = rows[last]?.cells.findIndex((cell) => cell?.editable) ?? -1;
    if (column >= 0) place({ row: last, column });
    frame.current?.focus();
  });

  // Where the work scrolls sideways under its frame, or the grid has more columns than room, the cursor stays in sight.
  const drawn = virtual.getVirtualItems().some(({ index }) => index === cursor.row);
  useEffect(() => {
    const wide = frame.current !== null && frame.current.scrollWidth > frame.current.clientWidth;
    if (!focused || !drawn || (window.innerWidth > NARROW && !wide)) return;
    document
      .getElementById(cellId(gridId, cursor.row, cursor.column))
      ?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [focused, drawn, cursor, gridId]);

  const token = goTo?.token ?? null;
  useEffect(() => {
    if (token !== null) go();
  }, [token]);

  const cellAt = (at: At) => rows[at.row]?.cells[at.column] ?? null;
  const aboutCursor = useRef<Explained | null>(null);
  useEffect(() => {
    aboutCursor.current = rows[cursor.row]?.cells[cursor.column]?.about ?? null;
  });

  function startEditing(at: At, text?: string) {
    const cell = cellAt(at);
    if (cell?.action && text === undefined) cell.action.run();
    else if (cell?.editable) setEditing({ at, text: text ?? cell.text });
  }

  /** Why the text was refused: then it goes on being edited, but where the focus went elsewhere. */
  function commit(text: string, then: 'down' | 'right' | 'left' | 'stay'): string | null {
    if (!editing) return null;
    const { at } = editing;
    const row = rows[at.row];
    const changed = row !== undefined && text !== row.cells[at.column]?.text;
    const refusal = changed ? refusalOf(() => onEdit([{ row: row.id, column: at.column, text }])) : null;
    if (refusal !== null && then !== 'stay') {
      // Said at the cell, and not at the foot as well.
      dispatch(projectSlice.actions.noticed(null));
      return refusal;
    }
    setEditing(null);
    frame.current?.focus({ preventScroll: true });
    if (then === 'right' || then === 'left') {
      tabStart.current ??= at.column;
      if (row?.tone === 'new' && changed) {
        const known = new Set(rows.map(({ id }) => id));
        made.current = { known, column: at.column, by: then === 'right' ? 1 : -1 };
        return null;
      }
      place(step(rows, at, 0, then === 'right' ? 1 : -1), false, AFTER_EDIT_MS);
    } else if (then === 'down') {
      const back = tabStart.current === null ? at : { row: at.row, column: tabStart.current };
      tabStart.current = null;
      place(step(rows, back, 1, 0), false, AFTER_EDIT_MS);
    }
    return null;
  }

  function clear() {
    const { top, bottom, left, right } = rectangle(anchor ?? cursor, cursor);
    const edits: CellEdit[] = [];
    for (const row of rows.slice(top, bottom + 1)) {
      for (let column = left; column <= right; column++) {
        const cell = row.cells[column];
        if (cell?.editable && cell.text !== '') edits.push({ row: row.id, column, text: '' });
      }
    }
    if (edits.length > 0) onEdit(edits);
  }

  /** From the first of the chosen rows into those below it that are of its sort; from one row alone, it is asked how far. */
  function fill() {
    const { top, bottom, left, right } = rectangle(anchor ?? cursor, cursor);
    const from = rows[top];
    if (!from) return;
    if (top === bottom) {
      onFillDown?.({ row: from.id, column: cursor.column });
      return;
    }
    const edits: CellEdit[] = [];
    let n = 0;
    for (const row of rows.slice(top + 1, bottom + 1)) {
      if ((row.tone ?? 'main') !== (from.tone ?? 'main')) continue;
      n++;
      for (let column = left; column <= right; column++) {
        const [first, cell] = [from.cells[column], row.cells[column]];
        if (!first || !cell?.editable) continue;
        const usual = columns[column]?.fills === 'series' ? seriesName(first.text, n) : first.text;
        const text = fillText?.({ row: from.id, column }, n) ?? usual;
        if (text !== cell.text) edits.push({ row: row.id, column, text });
      }
    }
    if (edits.length > 0) onEdit(edits);
  }

  function onKeyDown(event: KeyboardEvent) {
    if (editing) return;
    const row = rows[cursor.row];
    if (row && onKey?.(event, { row: row.id, column: cursor.column })) {
      event.preventDefault();
      return;
    }
    const move = (at: At) => {
      event.preventDefault();
      tabStart.current = null;
      place(at, event.shiftKey);
    };
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'd') {
      event.preventDefault();
      return fill();
    }
    const plain = !event.ctrlKey && !event.metaKey && !event.altKey;
    const page = Math.max(1, Math.floor((frame.current?.clientHeight ?? 400) / 30) - 1);
    const far = (rowsBy: number) =>
      nearest(rows, { row: Math.max(0, Math.min(rows.length - 1, cursor.row + rowsBy)), column: cursor.column }) ??
      cursor;
    if (event.altKey) return;
    switch (event.key) {
      case 'ArrowDown':
        return move(step(rows, cursor, 1, 0));
      case 'ArrowUp':
        return move(step(rows, cursor, -1, 0));
      case 'ArrowRight':
        return move(step(rows, cursor, 0, 1));
      case 'ArrowLeft':
        return move(step(rows, cursor, 0, -1));
      case 'Home':
        return move(edge(rows, event.ctrlKey ? 0 : cursor.row, false));
      case 'End':
        return move(edge(rows, event.ctrlKey ? rows.length - 1 : cursor.row, true));
      case 'PageDown':
        return move(far(page));
      case 'PageUp':
        return move(far(-page));
      case 'Tab': {
        const next = step(rows, cursor, 0, event.shiftKey ? -1 : 1);
        if (next === cursor) return;
        event.preventDefault();
        tabStart.current ??= cursor.column;
        return place(next);
      }
      case 'Enter':
      case 'F2':
        if (!plain) return;
        event.preventDefault();
        return startEditing(cursor);
      case 'Delete':
      case 'Backspace':
        event.preventDefault();
        return clear();
      case 'Escape':
        return setAnchor(null);
      default:
        if (!plain || event.key.length !== 1) return;
        event.preventDefault();
        startEditing(cursor, event.key === ' ' ? undefined : event.key);
    }
  }

  function onCopy(event: ClipboardEvent) {
    if (editing) return;
    event.preventDefault();
    event.clipboardData.setData('text/plain', blockText(rows, anchor ?? cursor, cursor));
  }

  function onPasteText(event: ClipboardEvent) {
    const row = rows[cursor.row];
    if (editing || !row || !onPaste) return;
    event.preventDefault();
    onPaste({ row: row.id, column: cursor.column }, clipboardBlock(event.clipboardData));
  }

  const dropped = useDropped<HTMLDivElement>((text, event) => {
    const at = positionOf(event) ?? cursor;
    const row = rows[at.row];
    if (!row || !onPaste) return;
    place(at);
    onPaste({ row: row.id, column: at.column }, { text, merged: 0 });
  });

  function positionOf(event: Pick<MouseEvent, 'target'>): At | null {
    const cell = (event.target as HTMLElement).closest<HTMLElement>('[role=gridcell]');
    const row = cell?.closest<HTMLElement>('[role=row]');
    return cell && row ? { row: Number(row.dataset.row), column: Number(cell.dataset.column) } : null;
  }

  const template = columns.map((c) => c.track).join(' ');
  const minWidth = leastWidth(columns);
  const chosen = anchor ? rectangle(anchor, cursor) : null;

  return (
    <Frame
      ref={frame}
      role="grid"
      aria-label={label}
      aria-rowcount={rows.length + 1}
      aria-colcount={columns.length}
      aria-activedescendant={cellAt(cursor) ? cellId(gridId, cursor.row, cursor.column) : undefined}
      tabIndex={0}
      onKeyDown={onKeyDown}
      onCopy={onCopy}
      onPaste={onPasteText}
      {...(onPaste ? dropped : {})}
      onFocus={() => {
        setFocused(true);
        explain(() => aboutCursor.current);
      }}
      onBlur={() => {
        setFocused(false);
        explainNothing();
      }}
      onMouseDown={(event) => {
        const at = positionOf(event);
        if (!at || (event.target as HTMLElement).tagName === 'INPUT') return;
        if (event.detail === 2) return;
        tabStart.current = null;
        place(at, event.shiftKey);
        dragging.current = true;
      }}
      onMouseMove={(event) => {
        if (!dragging.current || event.buttons !== 1) return;
        const at = positionOf(event);
        if (at && (at.row !== cursor.row || at.column !== cursor.column)) place(at, true);
      }}
      onMouseUp={(event) => {
        dragging.current = false;
        const at = positionOf(event);
        if (at && !anchor) cellAt(at)?.action?.run();
      }}
      onMouseOver={(event) => tellWhole(event.target as HTMLElement)}
      onDoubleClick={(event) => {
        const at = positionOf(event);
        if (at && !cellAt(at)?.action) startEditing(at);
      }}
    >
      <Head role="row" aria-rowindex={1} style={{ gridTemplateColumns: template, minWidth }}>
        {columns.map((column) => (
          <HeadCell
            key={column.id}
            role="columnheader"
            $right={column.right}
            $quiet={column.quiet}
            $sunk={column.tone === 'difference'}
            $page={column.page}
            onMouseEnter={(event) => help.over(event.currentTarget, column.help)}
            onMouseLeave={help.leave}
          >
            <span>{column.title}</span>
          </HeadCell>
        ))}
        {help.tooltip}
      </Head>
      <Body role="presentation" style={{ height: virtual.getTotalSize(), minWidth }}>
        <Tint style={{ gridTemplateColumns: template }} aria-hidden>
          {columns.map((column, i) =>
            column.tone === 'difference' ? <div key={column.id} style={{ gridColumn: i + 1 }} /> : null,
          )}
        </Tint>
        {virtual.getVirtualItems().map(({ index, start, size }) => {
          const row = rows[index];
          if (!row) return null;
          const here = cursor.row === index;
          const inChosen = chosen !== null && index >= chosen.top && index <= chosen.bottom;
          const edited = editing?.at.row === index ? editing : null;
          return (
            <GridRowView
              key={row.id}
              gridId={gridId}
              row={row}
              index={index}
              columns={columns}
              template={template}
              start={start}
              size={size}
              joined={rows[index + 1]?.tone === 'second'}
              cursor={here && (focused || editing !== null) ? cursor.column : -1}
              chosenFrom={inChosen ? chosen.left : 0}
              chosenTo={inChosen ? chosen.right : -1}
              editorColumn={edited?.at.column ?? -1}
              editor={
                edited && (
                  <CellEditor
                    text={edited.text}
                    options={row.cells[edited.at.column]?.options}
                    label={columns[edited.at.column]?.title ?? ''}
                    judge={(text) => judge?.({ row: row.id, column: edited.at.column }, text) ?? null}
                    onDone={commit}
                    onCancel={() => {
                      setEditing(null);
                      frame.current?.focus({ preventScroll: true });
                    }}
                  />
                )
              }
            />
          );
        })}
      </Body>
    </Frame>
  );
}

/** The whole of a text that is cut off, when the mouse is over it. */
function tellWhole(target: HTMLElement) {
  const text = target.closest<HTMLElement>('.text');
  const part = text?.classList.contains('middle') ? text.firstElementChild : text;
  if (text && part && text.title === '' && part.scrollWidth > part.clientWidth) text.title = text.textContent;
}
