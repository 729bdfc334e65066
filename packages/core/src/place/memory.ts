import type { Area } from '../model/area.js';
import type { LayoutRule } from '../model/layout-rule.js';
import type { Reader } from '../model/project.js';
import { childrenOf, entriesInOrder } from '../model/order.js';
import type { Profile } from '../model/profile.js';
import type { Station } from '../model/station.js';
import type { View } from '../model/view.js';
import type { WordBits } from '../model/words.js';
import type { Tag } from '../model/tag.js';
import { tagArea } from './tag-memory.js';
import { ASSUMED_LAYOUT, type FullLayout } from '../model/layout-defaults.js';

/** An area with everything that its addresses and values depend on. */
export interface Memory {
  area: Area;
  station: Station;
  wordBits: WordBits;
  /** size in bits */
  bits: number;
  layout: FullLayout;
  /** in order: the area's own first, then those of the profile for this kind of area */
  views: readonly (readonly [string, View])[];
}

function overlaid(...rules: (LayoutRule | null | undefined)[]): FullLayout {
  const full = { ...ASSUMED_LAYOUT };
  for (const rule of rules) if (rule) Object.assign(full, rule);
  return full;
}

const cache = new WeakMap<Area | Tag, { station: Station; profile: Profile | undefined; memory: Memory }>();

/** The memory behind an area, or behind a tag without an address; cached for as long as it, station and profile are the same. */
export function memoryOf(reader: Reader, areaId: string): Memory | null {
  const area = reader.get('area', areaId);
  if (!area) return tagMemoryOf(reader, areaId);
  const station = reader.get('station', area.station);
  if (!station) return null;
  const profile = station.profile ? reader.get('profile', station.profile) : undefined;
  const known = cache.get(area);
  if (known && known.station === station && known.profile === profile) return known.memory;
  const views = [
    ...entriesInOrder(area.views),
    ...entriesInOrder(profile?.views ?? {}).filter(([, view]) => view.areaKind === area.kind),
  ];
  const memory: Memory = {
    area,
    station,
    wordBits: area.wordBits,
    bits: area.words * area.wordBits,
    layout: overlaid(profile?.layout, station.layout, area.layout),
    views,
  };
  cache.set(area, { station, profile, memory });
  return memory;
}

/** Kept in words of 16 bits, in the order of bytes that the station has. */
function tagMemoryOf(reader: Reader, tagId: string): Memory | null {
  const tag = reader.get('tag', tagId);
  const station = tag && reader.get('station', tag.station);
  if (!tag || !station) return null;
  const profile = station.profile ? reader.get('profile', station.profile) : undefined;
  const known = cache.get(tag);
  if (known && known.station === station && known.profile === profile) return known.memory;
  const layout = overlaid(profile?.layout, station.layout);
  const { area, view } = tagArea(tag, 16);
  const memory: Memory = { area, station, wordBits: 16, bits: area.words * 16, layout, views: [view] };
  cache.set(tag, { station, profile, memory });
  return memory;
}

/** All memories of a station, in order: what its addresses are read with. */
export function memoriesOf(reader: Reader, stationId: string): Memory[] {
  return childrenOf(reader, 'area', stationId).flatMap((area) => memoryOf(reader, area.id) ?? []);
}

/** The layout rule of a claim on this memory. */
export function layoutFor(memory: Memory, own: LayoutRule | null | undefined): FullLayout {
  return own ? overlaid(memory.layout, own) : memory.layout;
}

export function viewOf(memory: Memory, viewId: string): View | null {
  return memory.views.find(([id]) => id === viewId)?.[1] ?? null;
}
