import { dequal } from 'dequal/lite';
import type { Change, Json } from '../change/change.js';
import { diff } from '../change/diff.js';
import { sheetRows, type PageCells, type SheetRow } from '../sheet/sheet.js';
import { SHEET_COLUMNS } from '../sheet/sheet-fields.js';
import type { End } from '../model/end.js';
import { wordsAt } from '../fields/catalogue.js';
import { kindWord, type Entity, type Kind } from '../model/kinds.js';
import { childrenOf, inOrder } from '../model/order.js';
import { ownerOf } from '../model/references.js';
import type { Project } from '../model/project.js';

/** What one end says of a row in one revision, in words; null: it says nothing. */
export type RowWords = string | null;

/** One changed row: of a sheet, with both ends, or one field of something else, with its two values. */
export type ComparedRow =
  | {
      kind: 'sheet';
      /** the exchange */
      where: string;
      what: string;
      ends: { station: string; before: RowWords; after: RowWords }[];
    }
  | { kind: 'field'; where: string; what: string; before: RowWords; after: RowWords };

export interface Compared {
  rows: ComparedRow[];
  /** names of the stations that the changes touch */
  stations: string[];
}

/** What differs between two revisions of a project, row by row as the sheets show them; nothing else: no mark of a walk. */
export function compareRevisions(before: Project, after: Project): Compared {
  const changes = diff(before, after).filter((change) => !isMarkOfWalk(change));
  const touched = new Set(changes.map((c) => c.id));
  const stations = new Set<string>();
  const rows: ComparedRow[] = [];
  const shown = new Set<string>();
  for (const exchange of changedExchanges(before, after, changes)) {
    rows.push(...sheetChanges(before, after, exchange, touched, shown, stations));
  }
  for (const change of changes) {
    if (shown.has(change.id)) continue;
    rows.push(fieldChange(before, after, change));
    const station = stationOf(before, after, change.kind, change.id);
    if (station) stations.add(station);
  }
  return { rows, stations: [...stations].sort() };
}

/** That a lane was rehearsed is nothing that an end holds; each walk marks every lane that came through. */
const isMarkOfWalk = ({ kind, path }: Change): boolean => kind === 'lane' && path[0] === 'rehearsed';

/** Exchanges that are in either revision and of which a lane or a claim changed. */
function changedExchanges(before: Project, after: Project, changes: readonly Change[]): string[] {
  const found = new Set<string>();
  for (const { kind, id } of changes) {
    if (kind !== 'lane' && kind !== 'claim') continue;
    for (const project of [before, after]) {
      const lane = kind === 'lane' ? id : project.get('claim', id)?.lane;
      const exchange = lane === undefined ? undefined : project.get('lane', lane)?.exchange;
      if (exchange) found.add(exchange);
    }
  }
  const order = [...inOrder(after, 'exchange'), ...inOrder(before, 'exchange')].map((e) => e.id);
  return [...new Set(order)].filter((id) => found.has(id));
}

function* sheetChanges(
  before: Project,
  after: Project,
  exchangeId: string,
  touched: ReadonlySet<string>,
  shown: Set<string>,
  stations: Set<string>,
): Generator<ComparedRow> {
  const [old, now] = [pagesOf(before, exchangeId), pagesOf(after, exchangeId)];
  const name = (after.get('exchange', exchangeId) ?? before.get('exchange', exchangeId))!.name;
  for (const key of new Set([...now.rows.keys(), ...old.rows.keys()])) {
    const [was, is] = [old.rows.get(key), now.rows.get(key)];
    if (dequal(cellsOf(was), cellsOf(is))) continue;
    const lane = (is ?? was)!.lane;
    for (const id of [lane, ...claimsOf(before, lane), ...claimsOf(after, lane)]) if (touched.has(id)) shown.add(id);
    const ends = (['left', 'right'] as const).flatMap((side) => {
      const station = now.stations[side] ?? old.stations[side];
      if (station === undefined) return [];
      stations.add(station);
      return [{ station, before: words(was?.[side]), after: words(is?.[side]) }];
    });
    yield { kind: 'sheet', where: name, what: rowName(is ?? was!, is ? now : old), ends };
  }
}

interface Pages {
  rows: Map<string, SheetRow>;
  stations: { left?: string; right?: string };
}

/** Every row of an exchange's sheet between its first two ends, items included. */
function pagesOf(project: Project, exchangeId: string): Pages {
  const exchange = project.get('exchange', exchangeId);
  const [left, right] = childrenOf(project, 'end', exchangeId) as (End | undefined)[];
  if (!exchange || !left || !right) return { rows: new Map(), stations: {} };
  const all = new Set(project.referrers('lane', exchangeId));
  const rows = sheetRows(project, exchange, left, right, all);
  const name = (end: End) => project.get('station', end.station)?.name ?? '';
  return {
    rows: new Map(rows.map((row) => [`${row.lane} ${row.key ?? ''}`, row])),
    stations: { left: name(left), right: name(right) },
  };
}

const cellsOf = (row: SheetRow | undefined) => row && [words(row.left), words(row.right)];

/** `SuctionPressure · %MW324 · REAL`, with what stands on the second line. */
function words(cells: PageCells | null | undefined): RowWords {
  if (!cells) return null;
  const first = SHEET_COLUMNS.map((column) => cells[column].text);
  const second = [
    cells.slot?.text && `slot ${cells.slot.text}`,
    cells.trigger?.text,
    cells.open?.text,
    cells.told?.text && `there ${cells.told.text}`,
    cells.header?.text && `header ${cells.header.text}`,
    cells.swap?.text,
  ];
  return [...first, ...second].filter((text) => text).join(' · ');
}

function rowName(row: SheetRow, pages: Pages): string {
  const lane = row.key === undefined ? row : pages.rows.get(`${row.lane} `);
  const name = (r: SheetRow | undefined) => r?.left?.name.text || r?.right?.name.text || 'without a name';
  return row.key === undefined ? name(lane) : `${name(lane)}, ${name(row)}`;
}

const claimsOf = (project: Project, lane: string) => project.referrers('claim', lane);

function fieldChange(before: Project, after: Project, change: Change): ComparedRow {
  const { kind, id, path } = change;
  const entity = (after.get(kind, id) ?? before.get(kind, id))!;
  const station = stationOf(before, after, kind, id);
  const what = path.length === 0 ? kindWord(kind) : `${kindWord(kind)}: ${wordsAt(kind, path)}`;
  const where = [...new Set([station, nameOf(entity)])].filter(Boolean).join(', ') || kindWord(kind);
  return {
    kind: 'field',
    where,
    what,
    before: valueWords(change, change.before),
    after: valueWords(change, change.after),
  };
}

/** A value in words; of a part with several fields its name, or each that says something, `address 10.8.2.13`. */
function valueWords({ kind, path }: Pick<Change, 'kind' | 'path'>, value: Json | undefined): RowWords {
  if (value === undefined) return null;
  if (typeof value === 'string') return value === '' ? 'empty' : value;
  if (value === null) return 'none';
  if (typeof value !== 'object') return String(value);
  const { name } = value as { name?: Json };
  if (typeof name === 'string' && name !== '') return name;
  const parts = Object.entries(value).filter(([, part]) => part !== '' && part !== null && !dequal(part, {}));
  const said = parts.map(([key, part]) => {
    const at = { kind, path: [...path, key] };
    const words = valueWords(at, part);
    return Array.isArray(value) ? words : `${wordsAt(kind, at.path)} ${words}`;
  });
  return said.length > 0 ? said.join(', ') : 'empty';
}

const nameOf = (entity: Entity): string => ('name' in entity && typeof entity.name === 'string' ? entity.name : '');

/** The station that an entity belongs to, by name. */
function stationOf(before: Project, after: Project, kind: Kind, id: string): string | null {
  for (const project of [after, before]) {
    let at: Kind = kind;
    let entity: Entity | undefined = project.get(kind, id);
    while (entity) {
      if (at === 'station') return nameOf(entity);
      if (at === 'end') return project.get('station', (entity as End).station)?.name ?? null;
      const owner = ownerOf(at);
      if (!owner) break;
      at = owner.kind;
      entity = project.get(owner.kind, (entity as unknown as Record<string, string>)[owner.field] ?? '');
    }
  }
  return null;
}
