import type { Side } from '../lane/side.js';
import type { LayoutRule } from '../model/layout-rule.js';
import type { Reader } from '../model/project.js';

/** Where an end states this part of how its values lie, after `is`: `set by its profile Small PLC`, `set at its area Memory` … */
export function whereSet(reader: Reader, side: Side, part: keyof LayoutRule): string {
  const { claim, station, block } = side;
  const area = block?.memory.area;
  if (claim.layout?.[part]) return 'set in this row';
  if (area?.layout?.[part]) return `set at its area ${area.name}`;
  if (station.layout?.[part]) return 'set at the station';
  const profile = station.profile ? reader.get('profile', station.profile) : undefined;
  if (profile?.layout[part]) return `set by its profile ${profile.name}`;
  return 'assumed, nobody states it';
}
