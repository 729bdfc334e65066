import type { AsTyped } from './as-typed.js';
import { IN_TAG, type Place, type TypeRef } from './claim.js';
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

const one = (kind: Kind, id: string | null | undefined, field: string): Reference[] =>
  id ? [{ kind, id, path: [field] }] : [];

const place = (value: Place | AsTyped | null, field = 'place'): Reference[] =>
  value && 'area' in value
    ? [{ kind: value.view === IN_TAG ? 'tag' : 'area', id: value.area, path: [field, 'area'] }]
    : [];

const type = (value: TypeRef | AsTyped | null | undefined, ...field: string[]): Reference[] =>
  value && 'structure' in value && value.structure
    ? [{ kind: 'structure', id: value.structure, path: [...field, 'structure'] }]
    : [];

const LISTERS: { [K in Kind]: Lister<K> } = {
  project: () => [],
  acceptance: () => [],
  tick: () => [],
  profile: () => [],
  network: () => [],
  exchange: (x) => [
    ...one('station', x.via, 'via'),
    ...Object.entries(x.start ?? {}).flatMap(([key, step]): Reference[] =>
      step.end ? [{ kind: 'end', id: step.end, path: ['start', key, 'end'] }] : [],
    ),
  ],
  station: (s) => [
    ...one('profile', s.profile, 'profile'),
    ...one('station', s.runsOn, 'runsOn'),
    ...Object.entries(s.groups ?? {}).flatMap(([key, group]): Reference[] =>
      group.station ? [{ kind: 'station', id: group.station, path: ['groups', key, 'station'] }] : [],
    ),
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
  route: (r) => [...one('station', r.from, 'from'), ...one('station', r.to, 'to'), ...one('port', r.port, 'port')],
  helper: (h) => [
    ...one('route', h.route, 'route'),
    ...one('station', h.station, 'station'),
    ...one('station', h.standsFor, 'standsFor'),
  ],
  expectation: (e) => [...one('station', e.from, 'from'), ...one('station', e.to, 'to')],
  area: (a) => one('station', a.station, 'station'),
  structure: (s) => Object.entries(s.members).flatMap(([key, member]) => type(member.type, 'members', key, 'type')),
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
    ...Object.keys(e.told).map((id): Reference => ({ kind: 'end', id, path: ['told', id] })),
  ],
  lane: (l) => one('exchange', l.exchange, 'exchange'),
  claim: (c) => [
    ...one('lane', c.lane, 'lane'),
    ...one('end', c.end, 'end'),
    ...place(c.place),
    ...type(c.type, 'type'),
  ],
};

/** Every reference that an entity holds, with the path of the field that holds it. */
export function referencesOf(kind: Kind, entity: Entity): Reference[] {
  return (LISTERS[kind] as (entity: Entity) => Reference[])(entity);
}

/** The list of a station's tags with a name, upper and lower case alike: read as `referrers('tag', nameKey(…))`. */
export const nameKey = (station: string, name: string): string => `${station}/${name.trim().toLowerCase()}`;

/** Every list that an entity stands in: of what it refers to, and of tags by their names. */
export function listsOf(kind: Kind, entity: Entity): string[] {
  const lists = referencesOf(kind, entity).map((reference) => reference.id);
  if (kind === 'tag') lists.push(nameKey((entity as EntityOf['tag']).station, (entity as EntityOf['tag']).name));
  return lists;
}
