import { fieldWords } from '../change/change.js';
import { declaredOf, type Class, type NestedField } from '../model/declared.js';
import { CLASSES, type Kind } from '../model/kinds.js';
import { AREA } from './area.js';
import { BLOCK_PART } from './block-part.js';
import { COPY } from './copy.js';
import { END } from './end.js';
import { EXCHANGE, STEP } from './exchange.js';
import { pathOf, type Field, type Rows } from './field.js';
import { LANDING } from './landing.js';
import { LANE } from './lane.js';
import { LINE_PORT } from './line.js';
import { MODULE } from './module.js';
import { ETHERNET, NETWORK, RADIO, RADIO_UNITS, TOKEN_BUS } from './network.js';
import { PORT } from './port.js';
import { RACK, ZONE } from './rack.js';
import { RESERVATION } from './reservation.js';
import { EXPECTATION, HELPER, PERMITTED, ROUTE } from './route.js';
import { SETTING } from './setting.js';
import { STATION } from './station.js';
import { MEMBER, STRUCTURE } from './structure.js';
import { GROUP, IMPORT, SERIES } from './tag-lists.js';
import { TAG } from './tag.js';
import { VIEW } from './view.js';

/** Rows of every sort that has fields. */
export const ALL_ROWS: Readonly<Record<string, Rows<never>>> = {
  STATION,
  PORT,
  ...LINE_PORT,
  NETWORK,
  ETHERNET,
  TOKEN_BUS,
  RADIO,
  RADIO_UNITS,
  AREA,
  VIEW,
  RESERVATION,
  BLOCK_PART,
  COPY,
  RACK,
  ZONE,
  MODULE,
  LANDING,
  SETTING,
  STRUCTURE,
  MEMBER,
  TAG,
  GROUP,
  SERIES,
  IMPORT,
  EXCHANGE,
  STEP,
  END,
  LANE,
  ROUTE,
  PERMITTED,
  EXPECTATION,
  HELPER,
} as never;

/** The path without the keys of the lists that it leads through: they say nothing to a reader. */
function withoutKeys(kind: Kind, path: readonly string[]): string[] {
  const words: string[] = [];
  let type: Class | null = CLASSES[kind];
  for (let i = 0; i < path.length; i++) {
    words.push(path[i]!);
    const inner: NestedField | undefined = type ? declaredOf(type).nested.find(({ field }) => field === path[i]) : undefined;
    type = inner ? inner.type() : null;
    if (inner?.shape === 'record') i++;
  }
  return words;
}

/** The title of the field at a path of an entity, where some table has one. */
function titleAt(kind: Kind, path: readonly string[]): string | null {
  const plain = withoutKeys(kind, path).join('.');
  for (const rows of Object.values(ALL_ROWS)) {
    if (rows.kind !== kind) continue;
    const list = rows.list.filter((step) => step !== '');
    for (const [id, field] of Object.entries<Field<never>>(rows.fields)) {
      const at = pathOf(id, field);
      if (at && [...list, ...at].join('.') === plain) return field.title;
    }
  }
  return null;
}

/** What a sentence calls the field at a path: by its title, where it has one in some table. */
export function wordsAt(kind: Kind, path: readonly string[]): string {
  const title = titleAt(kind, path);
  return title ? title.replace(/^[A-Z](?![A-Z])/, (first) => first.toLowerCase()) : fieldWords(withoutKeys(kind, path));
}
