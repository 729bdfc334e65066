import type { Place } from '../model/claim.js';
import type { Reader } from '../model/project.js';
import { viewOf } from '../place/memory.js';
import { openOf } from '../place/open-of.js';
import type { Block } from './block.js';
import type { Party } from './party.js';

/** Why the answering station does not let itself be set there; null: it does. */
export function refusal(reader: Reader, { station, block, claim }: Party): string | null {
  const { view } = block.located;
  if (view.access === 'read') return `${station.name} answers that this is only to be read`;
  if (view.table === 'input registers' || view.table === 'discrete inputs')
    return `${station.name} refuses it: ${view.table} cannot be set`;
  const open = openOf(reader, claim);
  if (open === 'may read') return `${station.name} refuses it: others may only read this`;
  if (station.fromOutside === 'reading') return `${station.name} lets others only read`;
  return closed(reader, { station, claim });
}

/** Why it lets nobody read there; null: it does. */
export function closed(reader: Reader, { station, claim }: Pick<Party, 'station' | 'claim'>): string | null {
  if (station.fromOutside === 'nothing') return `${station.name} lets nobody in`;
  if (openOf(reader, claim) === 'closed') return `${station.name} answers that it is not open`;
  return null;
}

/** Why a place that was asked for is not to be set; null: it is. */
export function tableRefusal(place: Place, { memory }: Block, name: string): string | null {
  const view = viewOf(memory, place.view);
  if (view?.table === 'input registers' || view?.table === 'discrete inputs')
    return `${name} refuses it: ${view.table} cannot be set`;
  return view?.access === 'read' ? `${name} answers that this is only to be read` : null;
}
