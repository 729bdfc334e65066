import type { FirstArea, FirstModule, FirstPort, FirstRack } from '../model/beginning.js';
import type { Profile } from '../model/profile.js';
import { ASSUMED, type NetworkKind, type Purpose, type Role } from '../model/words.js';

type Begins = NonNullable<Profile['begins']>;
type Area = Omit<FirstArea, 'order'>;

const ordered = <T>(list: readonly (readonly [key: string, entry: T])[]): Record<string, T & { order: number }> =>
  Object.fromEntries(list.map(([key, entry], i) => [key, { order: (i + 1) * 10, ...entry }]));

/** `side-a` of `Side A`. */
const idOf = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]+/g, '-');

/** What a station of a type begins with: its roles, its ports by medium, its areas. */
export const beginning = (
  role: Role,
  ports: readonly (readonly [name: string, medium: NetworkKind, purpose?: Purpose])[],
  areas: readonly Area[] = [],
  rack: FirstRack | null = null,
  blocks: readonly string[] = [],
): Begins => ({
  roles: [role],
  ports: ordered<Omit<FirstPort, 'order'>>(
    ports.map(([name, medium, purpose = 'general']) => [idOf(name), { name, medium, purpose }]),
  ),
  areas: ordered(areas.map((area) => [idOf(area.name), area])),
  ...(rack ? { rack } : {}),
  ...(blocks.length > 0 ? { blocks: [...blocks] } : {}),
  source: ASSUMED,
});

/** A rack of slots from 0 on, with modules in some of them. */
export const rackOf = (modules: readonly Omit<FirstModule, 'order'>[], rest: Partial<FirstRack> = {}): FirstRack => ({
  name: 'Rack',
  size: 10,
  first: 0,
  gaps: true,
  zones: {},
  modules: ordered(modules.map((module) => [idOf(module.name), module])),
  ...rest,
});

export const ETHERNET = ['Ethernet', 'ethernet'] as const;
export const SERIAL = ['Serial', 'serial line'] as const;

/** So many words of 16 bits. */
export const words = (name: string, kind: Area['kind'], count: number): Area => ({
  name,
  kind,
  wordBits: 16,
  words: count,
});
/** So many bytes. */
export const bytes = (name: string, kind: Area['kind'], count: number): Area => ({
  name,
  kind,
  wordBits: 8,
  words: count,
});
