import { IN_TAG } from './claim.js';
import { declaredOf, type Class, type WhenGone } from './declared.js';
import { CLASSES, type Entity, type EntityOf, type Kind } from './kinds.js';

/** A field of one entity that names another. */
export interface Reference {
  kind: Kind;
  id: string;
  path: readonly string[];
  whenGone: WhenGone;
}

/** The field that names what an entity of a kind is a part of, and of which kind that is; null where it stands alone. */
export function ownerOf(kind: Kind): { field: string; kind: Kind } | null {
  const named = [...declaredOf(CLASSES[kind]).names].find(([, { whenGone }]) => whenGone === 'its owner goes');
  return named && typeof named[1].kind === 'string' ? { field: named[0], kind: named[1].kind } : null;
}

// What is read here may not be an entity yet: it is asked for its references before it is inspected.
const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isNamed = (id: unknown): id is string => typeof id === 'string' && id !== '';

type Look = (holder: Record<string, unknown>, path: readonly string[], found: Reference[]) => void;

/** The steps that find the references in things of a class; none where it has none. Made once for each class. */
const looks = new Map<Class, readonly Look[]>();

function looksOf(type: Class): readonly Look[] {
  const known = looks.get(type);
  if (known) return known;
  const steps: Look[] = [];
  const { names, nested } = declaredOf(type);
  for (const [field, { kind, whenGone }] of names) {
    steps.push((holder, path, found) => {
      const id = holder[field];
      if (!isNamed(id)) return;
      found.push({ kind: typeof kind === 'string' ? kind : kind(holder), id, path: [...path, field], whenGone });
    });
  }
  for (const { field, type: inner, shape, keyedBy } of nested) {
    const within = looksOf(inner());
    if (within.length === 0 && !keyedBy) continue;
    steps.push((holder, path, found) => {
      const value = holder[field];
      if (!isObject(value)) return;
      if (shape === 'one') return within.forEach((look) => look(value, [...path, field], found));
      for (const key in value) {
        const entry = value[key];
        if (!isObject(entry)) continue;
        const at = [...path, field, key];
        if (keyedBy) found.push({ kind: keyedBy, id: key, path: at, whenGone: 'entry dropped' });
        for (const look of within) look(entry, at, found);
      }
    });
  }
  looks.set(type, steps);
  return steps;
}

/** Every reference that an entity holds, with the path of the field that holds it; of what is none, none. */
export function referencesOf(kind: Kind, entity: Entity): Reference[] {
  const found: Reference[] = [];
  if (isObject(entity)) for (const look of looksOf(CLASSES[kind])) look(entity, [], found);
  return found;
}

/** The list of a station's tags with a name, upper and lower case alike: read as `referrers('tag', nameKey(…))`. */
export const nameKey = (station: string, name: string): string => `${station}/${name.trim().toLowerCase()}`;

/** The tags of an area that begin in this number, whatever view it counts in: read as `referrers('tag', placeKey(…))`. */
export const placeKey = (area: string, number: number): string => `${area}@${number}`;

/** Every list that an entity stands in: of what it refers to, and of tags by their names and by where they are. */
export function listsOf(kind: Kind, entity: Entity): string[] {
  const lists = referencesOf(kind, entity).map((reference) => reference.id);
  if (kind !== 'tag') return lists;
  const { station, name, place: at } = entity as EntityOf['tag'];
  if (isNamed(station) && typeof name === 'string') lists.push(nameKey(station, name));
  if (isObject(at) && isNamed(at.area) && at.view !== IN_TAG && typeof at.number === 'number') {
    lists.push(placeKey(at.area, at.number));
  }
  return lists;
}
