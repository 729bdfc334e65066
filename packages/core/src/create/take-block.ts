import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import type { Reservation } from '../model/area.js';
import { childrenOf, entriesInOrder, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { ReservedBlock } from '../model/profile.js';
import type { Station } from '../model/station.js';

/** A block that the type of a station takes of its memory, and that is not reserved there yet. */
export interface OfferedBlock {
  key: string;
  block: ReservedBlock;
}

/** Blocks of the profile that no area of the station has, by name. */
export function offeredBlocks(project: Project, station: Station): OfferedBlock[] {
  const profile = station.profile ? project.get('profile', station.profile) : undefined;
  const areas = childrenOf(project, 'area', station.id);
  const known = new Set(areas.flatMap((area) => Object.values(area.reservations).map((r) => r.owner)));
  return entriesInOrder(profile?.blocks ?? {})
    .filter(([, block]) => !known.has(block.name) && areas.some((a) => a.kind === block.areaKind))
    .map(([key, block]) => ({ key, block }));
}

/** The changes that reserve it in the first area of its kind, at the first place where it may start and nothing is reserved. */
export function takeBlock(project: Project, station: Station, { block }: OfferedBlock, id: string): Change[] {
  const area = childrenOf(project, 'area', station.id).find((a) => a.kind === block.areaKind);
  if (!area) return [];
  const taken = Object.values(area.reservations);
  const step = block.startStep ?? area.wordBits;
  let start = block.firstStart ?? 0;
  while (taken.some((r) => r.start < start + block.length && start < r.start + r.length)) start += step;
  const reservation: Reservation = {
    order: orderAfter(taken),
    start,
    length: block.length,
    owner: block.name,
    reason: block.source,
    ...(typeof block.firstStart === 'number' ? { firstStart: block.firstStart } : {}),
    ...(typeof block.lastStart === 'number' ? { lastStart: block.lastStart } : {}),
    ...(typeof block.startStep === 'number' ? { startStep: block.startStep } : {}),
    ...(block.puts ? { puts: true } : {}),
    members: { ...block.members },
  };
  return [set('area', area, ['reservations', id], reservation)];
}
