import { put, set } from '../../change/make.js';
import type { Change } from '../../change/change.js';
import type { Entity, EntityOf, Kind } from '../../model/kinds.js';
import type { Project } from '../../model/project.js';
import type { Dice } from '../plant/dice.testing.js';

/** One cell of a plant that is right, and what a person types there by mistake. */
export interface Slip {
  kind: Kind;
  id: string;
  path: readonly string[];
  changes: readonly Change[];
}

/** All cells of a project in which a slip of one kind can be made. */
export type SlipKind = (project: Project, dice: Dice) => Slip[];

type Made = readonly [path: string, value: unknown];

/** A slip in one field of each entity of a kind; null where it is none there. Paths are dotted. */
export function inEach<K extends Kind>(
  kind: K,
  make: (entity: EntityOf[K], project: Project, dice: Dice) => Made | null,
): SlipKind {
  return (project, dice) =>
    [...project.all(kind)].flatMap((entity) => {
      const made = make(entity, project, dice);
      return made ? [slip(kind, entity, made)] : [];
    });
}

/** The same for several cells of an entity. */
export function inSome<K extends Kind>(
  kind: K,
  make: (entity: EntityOf[K], project: Project, dice: Dice) => (Made | null)[],
): SlipKind {
  return (project, dice) =>
    [...project.all(kind)].flatMap((entity) =>
      make(entity, project, dice).flatMap((made) => (made ? [slip(kind, entity, made)] : [])),
    );
}

function slip(kind: Kind, entity: Entity, [path, value]: Made): Slip {
  const keys = path.split('.');
  return { kind, id: entity.id, path: keys, changes: [set(kind, entity, keys, value)] };
}

/** An entity that somebody forgot; `seen` is where that shows. */
export const forgotten = (kind: Kind, entity: Entity, seen: Pick<Slip, 'kind' | 'id'>): Slip => ({
  ...seen,
  path: [],
  changes: [{ ...put(kind, entity as never), before: entity as never, after: undefined } as Change].map(
    ({ after: _, ...change }) => change as Change,
  ),
});

/** A number of a text by so much more, with as many digits where they are filled up. */
export function moved(text: string, by: number): string | null {
  const match = /^(.*?)(\d+)(\D*)$/.exec(text);
  if (!match) return null;
  const [, before = '', digits = '', behind = ''] = match;
  const number = Number(digits) + by;
  return number < 0
    ? null
    : `${before}${String(number).padStart(digits.startsWith('0') ? digits.length : 0, '0')}${behind}`;
}

/** An address of the same subnet that is another host’s or nobody’s. */
export const otherHost = (address: string): string | null => {
  const parts = address.split('.');
  const last = Number(parts[3]);
  return parts.length === 4 ? [...parts.slice(0, 3), last > 200 ? last - 1 : last + 1].join('.') : null;
};
