import { copiesIn } from '../../../lane/claims-in.js';
import { usesOfCopy } from '../../../lane/uses.js';
import type { Cell } from '../../../finding/finding.js';
import { unsettled } from '../../../lane/unsettled.js';
import { childrenOf } from '../../../model/order.js';
import { formatSpan } from '../../../place/format-address.js';
import { memoryOf } from '../../../place/memory.js';
import { joined, type Span } from '../../../place/resolve.js';
import { elementary } from '../../../data/types.js';
import { itemSpans } from '../../../follow/item-spans.js';
import { uncovered, type Use } from '../../../lane/occupancy.js';
import { sideOf } from '../../../lane/side.js';
import { userOf } from '../../../lane/use-words.js';
import { readable } from '../../../model/as-typed.js';
import type { Area } from '../../../model/area.js';
import type { Reader } from '../../../model/project.js';
import type { Context, Report } from '../../rule.js';

/** A use of an area of which something has no counterpart there. */
export interface Unmatched {
  use: Use;
  /** the bits of the first value that has none, or of the whole block */
  span: Span;
  /** values without one, by name; empty: the block */
  names: string[];
}

/**
 * For an area in which only exchanges move data: what is taken out but never put in, or put in and never taken out. The
 * unused rest of a window is none: asked are its named values, and of a block without any whether there is anything.
 * An area with writers of its own is not looked at: its program may put and use what it likes.
 */
export function unmatchedUses(area: Area, { reader, occupancy }: Context, missing: 'put' | 'taken'): Unmatched[] {
  if (area.writers.length > 0 || isUnsettled(reader, area)) return [];
  const uses = occupancy.inArea(area.id);
  // What lies outside its area is put nowhere: SIZ 4 speaks of it.
  const bits = area.words * area.wordBits;
  if (uses.some((use) => use.spans.some((span) => span.end > bits))) return [];
  const own = Object.values(area.reservations).filter((r) => r.puts);
  const firmware = own.map((r) => ({ start: r.start, end: r.start + r.length }));
  const put = joined([...uses.filter((u) => u.puts).flatMap((u) => u.spans), ...firmware]);
  const taken = joined(uses.filter((u) => u.takes).flatMap((u) => u.spans));
  const has = missing === 'put' ? put : taken;
  return uses.flatMap((use): Unmatched[] => {
    if (missing === 'put' ? !use.takes : !use.puts || use.takes) return [];
    const values = valuesIn(reader, use);
    const lacking = (spans: readonly Span[]) => uncovered(joined([...spans]), has);
    if (values.length === 0) {
      const lost = lacking(use.spans);
      const bits = (spans: readonly Span[]) => spans.reduce((sum, s) => sum + s.end - s.start, 0);
      const nothing = bits(lost) === bits(use.spans);
      const whole = missing === 'put' && isTypedBlock(reader, use) && lost.length > 0;
      return lost[0] && (nothing || whole) ? [{ use, span: nothing ? use.spans[0]! : lost[0], names: [] }] : [];
    }
    const open = values.filter(({ spans }) => lacking(spans).length > 0);
    // What is sent and only partly looked at is no fault.
    if (open.length === 0 || (missing === 'taken' && open.length < values.length)) return [];
    return [{ use, span: open[0]!.spans[0]!, names: open.map((value) => value.name) }];
  });
}

/** Whether a lane of the station leaves open where, how long or which way: what is put where is not known before that. */
export const isUnsettled = (reader: Reader, area: Area): boolean =>
  childrenOf(reader, 'end', area.station).some((end) =>
    childrenOf(reader, 'claim', end.id).some((claim) => unsettled(reader, claim.lane)),
  );

/** What each rule says of it, with who uses the place. */
export function unmatchedReport(area: Area, { reader }: Context, { use, span, names }: Unmatched): Report | null {
  const memory = memoryOf(reader, area.id);
  const user = userOf(reader, use);
  if (!memory || !user) return null;
  const named = names.length > 2 ? `${names.slice(0, 2).join(', ')} and ${names.length - 2} more` : names.join(', ');
  return {
    message: use.takes ? 'neverPut' : 'neverTaken',
    label: use.takes ? 'nobody writes it' : 'nobody reads it',
    about: { kind: 'station', id: memory.station.id, name: memory.station.name },
    ...(user.lane ? { lane: user.lane.id } : {}),
    parties: [{ station: memory.station.id }],
    cells: [user.cell, ...(use.takes ? copiesBeside(reader, use) : [])],
    params: {
      a: memory.station.name,
      area: area.name,
      what: `${user.group}, ${named || user.name}`,
      range: names.length === 0 ? user.range : formatSpan(memory, span),
    },
    subjects: [area.id, use.id],
  };
}

/** Where what is taken out is put by a copy, but only a part of it: the copy’s end and its length may be what is wrong. */
function copiesBeside(reader: Reader, { area, spans }: Use): Cell[] {
  const meets = (put: Use) => put.spans.some((a) => spans.some((b) => a.start <= b.end && b.start <= a.end));
  return copiesIn(reader, area)
    .filter((copy) => usesOfCopy(reader, copy).some((use) => use.puts && use.area === area && meets(use)))
    .flatMap(({ id }) => ['to', 'length'].map((field): Cell => ({ kind: 'copy', id, path: [field] })));
}

interface Named {
  name: string;
  spans: readonly Span[];
}

function valuesIn(reader: Reader, use: Use): Named[] {
  const claim = use.of === 'claim' ? reader.get('claim', use.id) : undefined;
  const exchange = claim && reader.get('exchange', reader.get('lane', claim.lane)?.exchange ?? '');
  const side = claim && exchange ? sideOf(reader, claim, exchange) : null;
  if (!claim || !side) return [];
  return Object.entries(claim.items).flatMap(([key, { name }]) => {
    const spans = itemSpans(side, key);
    return spans ? [{ name: name || 'a value', spans }] : [];
  });
}

/** A block of numbers or texts: each of its elements is a value. Registers and bytes without a type are a window. */
function isTypedBlock(reader: Reader, use: Use): boolean {
  const claim = use.of === 'claim' ? reader.get('claim', use.id) : undefined;
  const type = claim && readable(claim.type);
  const family = type ? elementary(type.base)?.family : undefined;
  return family !== undefined && family !== 'bit string' && family !== 'bool';
}
