import { spanAddresses } from '../../../place/format-address.js';
import { memoryOf } from '../../../place/memory.js';
import { formatType } from '../../../data/types.js';
import { bitsToValue, formatValue, sampleOf, valueToBits } from '../../../data/values.js';
import { putInto } from '../../../follow/put-into.js';
import { elementsIn, memoryFault, sideOfClaim, type Element, type MemoryFault } from '../../../lane/memory-values.js';
import { laneName } from '../../../lane/compare.js';
import type { Side } from '../../../lane/side.js';
import type { Use } from '../../../lane/occupancy.js';
import type { Span } from '../../../place/resolve.js';
import type { Reader } from '../../../model/project.js';
import { claimCell } from '../../lane-report.js';
import type { Context, Message, Report, Rule } from '../../rule.js';

const message = (headline: string, remedy: string): Message => ({
  severity: 'blocker',
  headline: `{a}: ${headline}`,
  says: ['{putLane}: puts [[{putName}, {putType}]], there', '{takeLane}: takes [[{takeName}, {takeType}]], from there'],
  consequence: '{sample}, and each lane by itself looks right.',
  remedy,
});

export const memoryContradicts: Rule = {
  meta: {
    code: 'TYP 12',
    title: 'A memory gives out what was put into it',
    source: 'common practice: a gateway moves words; what they mean has to be the same on both of its sides',
    yieldsTo: ['SIZ 1', 'SIZ 2', 'DIR 1', 'TYP 1', 'TYP 2', 'TYP 9', 'TYP 10'],
    messages: {
      type: message(
        '{putLane} stores {putName} at {address} as {putType}, and {takeLane} reads it as {takeType}',
        'Take it as {putType}, or convert it on the way.',
      ),
      order: message(
        '{putLane} and {takeLane} have different orders of bytes or registers for {putName} at {address}',
        'Use one layout for both claims of this memory, or swap on one side.',
      ),
      cut: message(
        '{takeLane} reads {takeName}, {takeType}, at {address}: only a part of {putName}, {putType}, of {putLane}',
        'Take it where it begins, and all of it.',
      ),
    },
  },
  on: {
    *handover({ given, shared }, context) {
      for (const { put, take } of given) {
        const report = contradiction(context, put, take, shared);
        if (report) yield report;
      }
    },
  },
};

function contradiction(context: Context, put: Use, take: Use, shared: Span): Report | null {
  const { reader } = context;
  const to = take.of === 'claim' ? sideOfClaim(reader, take.id) : null;
  if (!to?.block || put.id === take.id) return null;
  const taken = elementsIn(to, shared.start, Math.max(shared.end, ...put.spans.map((s) => s.end)));
  for (const { side: from, elements } of putInto(reader, put, shared, taken)) {
    if (from.claim.lane === to.claim.lane) continue;
    for (const element of taken) {
      const met = elements.find((one) => one.bits.some((bit) => element.bits.includes(bit)));
      const fault = met && memoryFault(met, element);
      if (met && fault) return reportOf(context, { from, to, put, take, met, element, fault });
    }
  }
  return null;
}

interface Found {
  from: Side;
  to: Side;
  put: Use;
  take: Use;
  met: Element;
  element: Element;
  fault: MemoryFault;
}

function reportOf({ reader }: Context, { from, to, put, take, met, element, fault }: Found): Report | null {
  const memory = memoryOf(reader, take.area);
  const lane = reader.get('lane', to.claim.lane);
  const exchange = lane && reader.get('exchange', lane.exchange);
  if (!memory || !lane || !exchange) return null;
  const low = Math.min(...element.bits);
  return {
    message: fault,
    label: fault === 'cut' ? 'part of a value' : fault === 'type' ? 'another type' : 'another order',
    about: { kind: 'exchange', id: exchange.id, name: exchange.name },
    parties: [
      { station: memory.station.id, end: from.end.id },
      { station: memory.station.id, end: to.end.id },
    ],
    lane: to.claim.lane,
    lanes: [to.claim.lane, from.claim.lane],
    cells: [claimCell(to, 'type'), claimCell(from, 'type')],
    params: {
      a: memory.station.name,
      address: spanAddresses(memory, { start: low, end: low + 1 }).first,
      putLane: named(reader, from),
      takeLane: named(reader, to),
      putName: met.value.name || 'a value',
      takeName: element.value.name || 'a value',
      putType: formatType({ ...met.value.type, count: 1 }),
      takeType: formatType({ ...element.value.type, count: 1 }),
      sample: sampled(met, element),
    },
    subjects: [put.id, take.id],
  };
}

/** Exchange and lane, so that both are found. */
function named(reader: Reader, side: Side): string {
  const lane = reader.get('lane', side.claim.lane);
  const exchange = lane && reader.get('exchange', lane.exchange);
  return exchange && lane ? `${exchange.name}, ${side.claim.name || laneName(reader, lane)}` : side.claim.name;
}

/** What a telling value comes out as. */
function sampled(put: Element, take: Element): string {
  if (put.type.bits < 8 || take.type.bits < 8) return 'What comes out is another value';
  const sample = sampleOf(put.type.name);
  const sent = valueToBits(put.type.name, sample);
  const memory = new Map(Array.from(put.bits, (bit, i) => [bit, sent[i] ?? 0]));
  const got = Uint8Array.from(take.bits, (bit) => memory.get(bit) ?? 0);
  const value = formatValue(take.type.name, bitsToValue(take.type.name, got));
  return `${formatValue(put.type.name, sample)} comes out as ${value}`;
}
