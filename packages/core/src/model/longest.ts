import type { Kind } from './kinds.js';

/** The longest name or text that Dialoga itself takes, in characters; a station's own limit is its profile's affair. */
export const LONGEST_NAME = 500;
export const LONGEST_TEXT = 4000;
/** The longest text of a route that is kept: one that somebody pasted by mistake is kept too, and judged. */
export const LONGEST_ROUTE = 20_000;
/** The longest text that is kept as it was typed because it could not be read. */
export const LONGEST_TYPED = 2000;

/**
 * The fields that take another length than LONGEST_TEXT, by kind: what the classes beside this file demand, for where
 * they are not at hand. A key of a list is written *, an entry of an array [].
 */
const OTHERS: readonly [longest: number, Partial<Record<Kind, readonly string[]>>][] = [
  [
    2,
    {
      profile: ['routeText.quote'],
    },
  ],
  [
    10,
    {
      profile: ['routeText.separator', 'routeText.joint'],
    },
  ],
  [
    24,
    {
      profile: ['views.*.prefix'],
      area: ['views.*.prefix'],
    },
  ],
  [
    40,
    {
      station: ['observed.at'],
      import: ['at', 'saved', 'source'],
      acceptance: ['at'],
      tick: ['at'],
      setting: ['at'],
    },
  ],
  [
    60,
    {
      profile: ['speaks.*.firmware', 'forwards.*.firmware', 'presets.*.value', 'words.*.word'],
      station: ['takenFrom.revision', 'takenFrom.newest', 'firmware.*.version'],
      module: ['listed.revision', 'found.revision'],
      port: ['address', 'mask', 'gateway', 'former.[]', 'further.*.address', 'further.*.mask'],
      exchange: ['protocol'],
      end: ['protocol', 'told.*.tcpPort', 'told.*.unit'],
      helper: ['address'],
    },
  ],
  [
    64,
    {
      acceptance: ['rests'],
      setting: ['wasOn'],
    },
  ],
  [
    100,
    {
      rack: ['takes.[]'],
      module: ['orderCode', 'listed.orderCode', 'found.orderCode'],
      port: ['tunnel'],
      landing: ['orderCode'],
    },
  ],
  [
    120,
    {
      exchange: ['facts.name'],
    },
  ],
  [
    200,
    {
      profile: ['pointText.text', 'itemText.text', 'stationText.text'],
      station: ['observed.by'],
      tag: ['notUsed.by'],
      landing: ['accepted'],
      end: ['told.*.address'],
      claim: ['toldPlace', 'toldStation'],
      acceptance: ['name'],
      tick: ['name'],
      setting: ['by'],
      helper: ['drawnAs'],
    },
  ],
  [
    LONGEST_NAME,
    {
      project: ['name'],
      profile: [
        'name',
        'views.*.name',
        'limits.*.source',
        'nameRule.source',
        'speaks.*.source',
        'forwards.*.source',
        'presets.*.source',
        'radioBlocks.*.source',
        'sizes.*.source',
        'blocks.*.name',
        'blocks.*.source',
        'blocks.*.members.*.name',
        'pointText.source',
        'itemText.source',
        'stationText.source',
        'routeText.source',
        'unitIsLastOctet.source',
        'checksUnit.source',
      ],
      station: ['name', 'takenFrom.project', 'takenFrom.station', 'firmware.*.part', 'groups.*.name'],
      rack: ['name', 'zones.*.name'],
      module: ['name'],
      network: ['name'],
      port: ['name'],
      area: ['name', 'views.*.name', 'reservations.*.owner', 'reservations.*.members.*.name'],
      structure: ['name', 'members.*.name'],
      series: ['sample'],
      import: ['file'],
      tag: ['name', 'notUsed.reason'],
      copy: ['name'],
      exchange: ['name', 'start.*.does'],
      claim: ['name', 'items.*.name'],
      route: ['built.from'],
    },
  ],
  [
    LONGEST_ROUTE,
    {
      route: ['stated', 'built.permitted.*.text'],
    },
  ],
];

const known = new Map(
  OTHERS.flatMap(([longest, fields]) =>
    Object.entries(fields).flatMap(([kind, paths]) => paths.map((path) => [`${kind}.${path}`, longest] as const)),
  ),
);

/** How many characters a text field takes. `path` leads to it, keys of lists and numbers of entries as they are. */
export function longestAt(kind: Kind, path: readonly string[]): number {
  if (path.at(-1) === 'typed') return LONGEST_TYPED;
  for (const form of formsOf(path)) {
    const longest = known.get(`${kind}.${form}`);
    if (longest !== undefined) return longest;
  }
  return LONGEST_TEXT;
}

/** The path with every key of a list, at most two, taken for what it may be. */
function* formsOf(path: readonly string[]): Generator<string> {
  yield path.join('.');
  for (let i = 1; i < path.length; i++) {
    const one = path.with(i, /^\d+$/.test(path[i]!) ? '[]' : '*');
    yield one.join('.');
    for (let j = i + 1; j < path.length; j++) yield one.with(j, '*').join('.');
  }
}
