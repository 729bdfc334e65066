import { elementary } from '../../data/types.js';
import { readable } from '../../model/as-typed.js';
import type { Tag } from '../../model/tag.js';
import type { ReferenceTable, SignalKind } from '../../model/words.js';

/** The Modbus table that a kind of signal stands in, as seen from the controller. [common practice] */
export const TABLE_OF_SIGNAL: Record<SignalKind, ReferenceTable> = {
  'discrete in': 'discrete inputs',
  'discrete out': 'coils',
  'analogue in': 'input registers',
  'counter in': 'input registers',
  'analogue out': 'holding registers',
};

/** The kinds of signal that a table is meant for. [common practice] */
export const SIGNALS_OF_TABLE: Record<ReferenceTable, readonly SignalKind[]> = {
  'discrete inputs': ['discrete in'],
  coils: ['discrete out'],
  'input registers': ['analogue in', 'counter in'],
  'holding registers': ['analogue out'],
};

/** The kind of signal of a tag: as said of it, else by its type and whether it may be set. Null where neither is known. */
export function signalOf(tag: Pick<Tag, 'signal' | 'type' | 'access'>): SignalKind | null {
  if (tag.signal) return tag.signal;
  const type = readable(tag.type);
  const family = type && elementary(type.base)?.family;
  if (!family || family === 'text' || !tag.access) return null;
  const discrete = family === 'bool';
  if (tag.access === 'read') return discrete ? 'discrete in' : 'analogue in';
  return discrete ? 'discrete out' : 'analogue out';
}

/**
 * Whether a kind of signal stands in a table where people expect it. Everything may stand in holding registers: many
 * devices keep all that they have there. [common practice]
 */
export const isUsualTable = (signal: SignalKind, table: ReferenceTable): boolean =>
  table === 'holding registers' || TABLE_OF_SIGNAL[signal] === table;
