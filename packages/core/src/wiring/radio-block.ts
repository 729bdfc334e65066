import { childrenOf } from '../model/order.js';
import type { Module } from '../model/module.js';
import type { Reader } from '../model/project.js';
import type { ReferenceTable } from '../model/words.js';

/** Where a radio base keeps what a module on a unit sends or takes. */
export interface RadioPlace {
  /** the base's station */
  base: string;
  table: ReferenceTable;
  /** reference numbers in the table, from 1 */
  first: number;
  last: number;
}

const DIGIT: Record<ReferenceTable, string> = {
  coils: '0',
  'discrete inputs': '1',
  'input registers': '3',
  'holding registers': '4',
};

/**
 * The block of a module by its dial: the rule of the base's profile for this kind of module, first number + dial × stride.
 * Null where the dial is not set, the unit is in no radio network with a base, or the profile has no rule for the kind.
 */
export function radioPlaceOf(reader: Reader, module: Module): RadioPlace | null {
  const dial = /^\d{1,4}$/.test((module.dial ?? '').trim()) ? Number(module.dial) : null;
  const unit = reader.get('rack', module.rack)?.station;
  if (dial === null || unit === undefined) return null;
  for (const port of childrenOf(reader, 'port', unit)) {
    if (!port.radio || !port.network) continue;
    const base = childrenOf(reader, 'port', port.network).find((p) => p.radio?.sort === 'base');
    const station = base && reader.get('station', base.station);
    const profile = station?.profile ? reader.get('profile', station.profile) : undefined;
    const block = Object.values(profile?.radioBlocks ?? {}).find((b) => b.kind === module.kind);
    if (!station || !block) continue;
    const first = block.first + dial * block.stride;
    return { base: station.id, table: block.table, first, last: first + block.stride - 1 };
  }
  return null;
}

/** `30025–30028`: five digits as long as they reach, six beyond. */
export function formatRadioPlace({ table, first, last }: RadioPlace): string {
  const width = last > 9999 ? 5 : 4;
  const number = (n: number) => `${DIGIT[table]}${String(n).padStart(width, '0')}`;
  return first === last ? number(first) : `${number(first)}–${number(last)}`;
}
