import type { Area } from '../model/area.js';
import type { LayoutRule } from '../model/layout-rule.js';
import type { Reader } from '../model/project.js';
import { entriesInOrder } from '../model/order.js';
import type { Profile } from '../model/profile.js';
import type { Station } from '../model/station.js';
import type { View } from '../model/view.js';
import type { WordBits } from '../model/words.js';
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

const cache = new WeakMap<Area, { station: Station; profile: Profile | undefined; memory: Memory }>();

/** The memory behind an area; cached for as long as area, station and profile are the same. */
export function memoryOf(reader: Reader, areaId: string): Memory | null {
  const area = reader.get('area', areaId);
  const station = area && reader.get('station', area.station);
  if (!area || !station) return null;
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

/** The layout rule of a claim on this memory. */
export function layoutFor(memory: Memory, own: LayoutRule | null | undefined): FullLayout {
  return own ? overlaid(memory.layout, own) : memory.layout;
}

export function viewOf(memory: Memory, viewId: string): View | null {
  return memory.views.find(([id]) => id === viewId)?.[1] ?? null;
}
