import { spanAddresses } from '../place/format-address.js';
import { memoryOf } from '../place/memory.js';
import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { digestOf } from '../model/digest.js';
import type { BlockMember } from '../model/block-member.js';
import type { End } from '../model/end.js';
import type { Exchange, StartStep } from '../model/exchange.js';
import { childrenOf, entriesInOrder, orderAfter } from '../model/order.js';
import type { Reader } from '../model/project.js';

/** A part of a reserved block that the program of an end has to do with while the exchange comes up. */
export interface StartMember {
  end: End;
  /** `area reservation member` */
  ref: string;
  member: BlockMember;
  /** in the notation of its station */
  address: string;
}

/** In this order they come: who listens first, then who calls. */
const USES = ['to listen', 'interlock', 'to start'] as const;

/**
 * The parts of reserved blocks that matter for the start of an exchange, of all its ends, in the order in which they
 * come: those of the ends that listen first. A part for one role only counts for ends in that role.
 */
export function startMembers(reader: Reader, exchange: Exchange): StartMember[] {
  const ends = childrenOf(reader, 'end', exchange.id);
  const inTurn = [...ends.filter((e) => e.calling !== 'calls'), ...ends.filter((e) => e.calling === 'calls')];
  return inTurn.flatMap((end) => {
    const members = membersOf(reader, end);
    return USES.flatMap((use) => members.filter(({ member }) => member.use === use));
  });
}

function membersOf(reader: Reader, end: End): StartMember[] {
  return childrenOf(reader, 'area', end.station).flatMap((area) => {
    const memory = memoryOf(reader, area.id);
    return entriesInOrder(area.reservations).flatMap(([reservation, { start, members }]) =>
      entriesInOrder(members ?? {}).flatMap(([id, member]): StartMember[] => {
        if (!memory || (member.role && member.role !== end.calling)) return [];
        const from = start + member.offset;
        const address = spanAddresses(memory, { start: from, end: from + member.bits }).first;
        return [{ end, ref: `${area.id} ${reservation} ${id}`, member, address }];
      }),
    );
  });
}

/** Steps that are missing from the sequence of an exchange. */
export function missingSteps(reader: Reader, exchange: Exchange): StartMember[] {
  const steps = Object.values(exchange.start ?? {});
  const known = new Set(steps.map((step) => `${step.end ?? ''} ${step.member ?? ''}`));
  return startMembers(reader, exchange).filter(
    (one) => !known.has(`${one.end.id} ${one.ref}`) && !steps.some((step) => isTypedFor(step, one)),
  );
}

/** A step that was typed by hand and names the part, or its address. */
function isTypedFor({ end, member, does }: StartStep, one: StartMember): boolean {
  if (member || end !== one.end.id) return false;
  const words = ` ${does.toLowerCase().replace(/[^\p{L}\p{N}%.]+/gu, ' ')} `;
  return [one.member.name, one.address].some((text) => text !== '' && words.includes(` ${text.toLowerCase()} `));
}

/** `sets Listen at %MW1200, held`, `sees Link up at %MW1202`: what a program does with such a part. */
export function stepWords({ member, address }: StartMember): string {
  const does = member.access === 'read' ? 'sees' : 'sets';
  const signal = { pulse: 'as a pulse', level: 'and holds it', period: 'again and again' };
  const how = member.access !== 'read' && member.signal ? `, ${signal[member.signal]}` : '';
  return `${does} ${member.name} at ${address}${how}`;
}

/**
 * The changes that add what is missing, or only these steps of it, at the end of what is there. A step’s key follows from
 * its part, so that two people who add it add one step.
 */
export function proposeStart(
  reader: Reader,
  exchange: Exchange,
  wanted: (step: StartMember) => boolean = () => true,
): Change[] {
  let order = orderAfter(Object.values(exchange.start ?? {}));
  const missing = missingSteps(reader, exchange).filter(wanted);
  if (missing.length === 0) return [];
  const steps: Record<string, StartStep> = { ...exchange.start };
  for (const one of missing) {
    steps[`s-${digestOf([one.end.id, one.ref])}`] = { order, end: one.end.id, does: stepWords(one), member: one.ref };
    order += 10;
  }
  return [set('exchange', exchange, ['start'], steps)];
}
