import { IN_TAG } from './claim.js';
import type { Entity, EntityOf, Kind } from './kinds.js';

/** A field of one entity that names another. */
export interface Reference {
  kind: Kind;
  id: string;
  path: readonly string[];
}

/** The owner of an entity: what it is a part of. It goes when its owner goes. */
export const OWNER_FIELD: Partial<Record<Kind, string>> = {
  rack: 'station',
  module: 'rack',
  port: 'station',
  area: 'station',
  tag: 'station',
  series: 'station',
  import: 'station',
  copy: 'station',
  landing: 'module',
  setting: 'station',
  end: 'exchange',
  lane: 'exchange',
  claim: 'lane',
  helper: 'route',
};

type Lister<K extends Kind> = (entity: EntityOf[K]) => Reference[];

// What is read here may not be an entity yet: it is asked for its references before it is inspected.
const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isNamed = (id: unknown): id is string => typeof id === 'string' && id !== '';
const listed = (value: unknown): [key: string, entry: Record<string, unknown>][] =>
  isObject(value) ? Object.entries(value).flatMap(([key, entry]) => (isObject(entry) ? [[key, entry]] : [])) : [];

const at = (kind: Kind, id: unknown, ...path: string[]): Reference[] => (isNamed(id) ? [{ kind, id, path }] : []);
const one = (kind: Kind, id: unknown, field: string): Reference[] => at(kind, id, field);

const place = (value: unknown, field = 'place'): Reference[] =>
  isObject(value) ? at(value.view === IN_TAG ? 'tag' : 'area', value.area, field, 'area') : [];

const type = (value: unknown, ...field: string[]): Reference[] =>
  isObject(value) ? at('structure', value.structure, ...field, 'structure') : [];

const LISTERS: { [K in Kind]: Lister<K> } = {
  project: () => [],
  acceptance: () => [],
  tick: () => [],
  profile: () => [],
  network: () => [],
  exchange: (x) => [
    ...one('station', x.via, 'via'),
    ...listed(x.start).flatMap(([key, step]) => at('end', step.end, 'start', key, 'end')),
  ],
  station: (s) => [
    ...one('profile', s.profile, 'profile'),
    ...one('station', s.runsOn, 'runsOn'),
    ...listed(s.groups).flatMap(([key, group]) => at('station', group.station, 'groups', key, 'station')),
  ],
  rack: (r) => one('station', r.station, 'station'),
  module: (m) => one('rack', m.rack, 'rack'),
  landing: (l) => [
    ...one('station', l.station, 'station'),
    ...one('module', l.module, 'module'),
    ...place(l.inputsAt, 'inputsAt'),
    ...place(l.outputsAt, 'outputsAt'),
  ],
  port: (p) => [
    ...one('station', p.station, 'station'),
    ...one('network', p.network, 'network'),
    ...one('module', p.module, 'module'),
    ...one('port', p.bridgedTo, 'bridgedTo'),
  ],
  setting: (s) => one('station', s.station, 'station'),
  route: (r) => [
    ...one('station', r.from, 'from'),
    ...one('station', r.to, 'to'),
    ...one('port', r.port, 'port'),
    ...(isObject(r.built) ? listed(r.built.permitted) : []).flatMap(([key, text]) =>
      at('station', text.to, 'built', 'permitted', key, 'to'),
    ),
  ],
  helper: (h) => [
    ...one('route', h.route, 'route'),
    ...one('station', h.station, 'station'),
    ...one('station', h.standsFor, 'standsFor'),
  ],
  expectation: (e) => [...one('station', e.from, 'from'), ...one('station', e.to, 'to')],
  area: (a) => one('station', a.station, 'station'),
  structure: (s) => listed(s.members).flatMap(([key, member]) => type(member.type, 'members', key, 'type')),
  series: (s) => [...one('station', s.station, 'station'), ...type(s.type, 'type'), ...place(s.place)],
  import: (i) => one('station', i.station, 'station'),
  tag: (t) => [
    ...one('station', t.station, 'station'),
    ...type(t.type, 'type'),
    ...place(t.place),
    ...one('series', t.series, 'series'),
    ...one('import', t.import, 'import'),
  ],
  copy: (c) => [
    ...one('station', c.station, 'station'),
    ...place(c.from, 'from'),
    ...place(c.to, 'to'),
    ...one('station', c.reader, 'reader'),
  ],
  end: (e) => [
    ...one('exchange', e.exchange, 'exchange'),
    ...one('station', e.station, 'station'),
    ...one('port', e.port, 'port'),
    ...listed(e.told).flatMap(([id]) => at('end', id, 'told', id)),
  ],
  lane: (l) => one('exchange', l.exchange, 'exchange'),
  claim: (c) => [
    ...one('lane', c.lane, 'lane'),
    ...one('end', c.end, 'end'),
    ...place(c.place),
    ...type(c.type, 'type'),
  ],
};

/** Every reference that an entity holds, with the path of the field that holds it; of what is none, none. */
export function referencesOf(kind: Kind, entity: Entity): Reference[] {
  return isObject(entity) ? (LISTERS[kind] as (entity: Entity) => Reference[])(entity) : [];
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
