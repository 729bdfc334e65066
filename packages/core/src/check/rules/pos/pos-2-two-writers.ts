import { spanAddresses } from '../../../place/format-address.js';
import { userOf, type User } from '../../../lane/use-words.js';
import { pointsTogether } from './points-together.js';
import { overlappingUsers } from '../../overlapping-users.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import { besideInputs } from '../../../tags/image/beside-inputs.js';
import { simulatorOf } from '../../../tags/image/simulator-of.js';
import { placeOf } from '../../../place/tag-place.js';
import { enteredByName, enteredThere } from './entered-there.js';
import { drivenInTrial } from './driven-in-trial.js';
import type { Rule } from '../../rule.js';

export const twoWriters: Rule = {
  meta: {
    code: 'POS 2',
    title: 'One writer for every bit, or one that has the last word',
    source: 'common practice: of two that write one place, the later overwrites the earlier',
    yieldsTo: ['POS 9', 'DIR 1'],
    yieldsAtCell: ['HWS 9', 'POS 9'],
    messages: {
      cyclic: {
        severity: 'blocker',
        headline: '{area} of {a}: {aLane} and {bLane} both put data into {shared}',
        says: ['{aLane} puts data into [[{aRange}]]{aWhole}', '{bLane} puts data into [[{bRange}]]{bWhole}'],
        consequence: 'Each overwrites the other; what stands there depends on which came last.',
        remedy: 'Move one of them to a free place.',
      },
      own: {
        severity: 'doubt',
        headline: '{area} of {a} is written by its own {own}, and by {by}',
        says: ['{own} put data there, and so does [[{by}]]'],
        consequence: 'What somebody sets in one place is replaced from the other.',
        remedy: 'Enter the “priority on conflict” of the area, or keep the two apart.',
      },
      entered: {
        yieldsAtCell: ['POS 2 onRequest', 'POS 2 cyclic'],
        severity: 'doubt',
        headline: '{area} of {a} is written by its program, and {by} sets values there',
        says: ['its program puts data there, and {by} sets [[{shared}]]'],
        consequence: 'What somebody enters is replaced by the program, or the program by what was entered.',
        remedy: 'Enter the “priority on conflict” of the area: the panel, or the program.',
      },
      byName: {
        severity: 'doubt',
        headline: '{tags} of {a}: its program writes there, and {by} sets values',
        says: ['its program puts data there, and {by} sets [[{tags}]]'],
        consequence: 'What somebody enters is replaced by the program, or the program by what was entered.',
        remedy: 'Enter the “priority on conflict” of each tag: the panel, or the program.',
      },
      driven: {
        severity: 'doubt',
        headline: '{area} of {a}: {sim} reads {range} in a simulation, and {module} drives the plant by it',
        says: ['{sim} reads [[{range}]], as if the plant were not there', '{module} is driven by [[{shared}]]'],
        consequence: 'What is tried on the simulator moves the real thing.',
        remedy:
          'Say how that is kept apart in a simulation: module pulled, supply off, or outputs blocked; accept with that reason.',
      },
      onRequest: {
        severity: 'doubt',
        headline: '{area} of {a}: {aLane} and {bLane} both put data into {shared}, on request',
        says: ['{aLane} puts data into [[{aRange}]]{aWhole}', '{bLane} puts data into [[{bRange}]]{bWhole}'],
        consequence: 'The later entry stands; nobody sees that the other’s was replaced.',
        remedy: 'Move one of them, or enter the “priority on conflict” of the area.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      yield* enteredByName(station, { reader });
    },
    *area(area, { reader, occupancy }) {
      yield* drivenInTrial(area, { reader, occupancy });
      yield* enteredThere(area, { reader, occupancy });
      const own = area.writers.filter((w) => w === 'keys' || w === 'device page' || w === 'start values');
      const station = reader.get('station', area.station);
      const [first] = own.length > 0 && !area.lastWord ? occupancy.inArea(area.id).filter((use) => use.puts) : [];
      const user = first && userOf(reader, first);
      if (!user || !station) return;
      yield {
        message: 'own',
        label: 'two writers',
        about: { kind: 'station', id: station.id, name: station.name },
        parties: [{ station: station.id }],
        cells: [{ kind: 'area', id: area.id, path: ['lastWord'] }, user.cell],
        params: { a: station.name, area: area.name, own: own.join(' and '), by: `${user.group}, ${user.name}` },
        subjects: [area.id, 'own'],
      };
    },
    *overlap(overlap, { reader, occupancy }) {
      const found = overlappingUsers(reader, overlap);
      if (!found) return;
      const { memory, first, second } = found;
      const together = pointsTogether(reader, occupancy, first, second);
      if (together === 'not the first') return;
      const users = [first, second];
      const cyclic = users.some((user) => always(reader, user));
      if (!cyclic && memory.area.lastWord) return;
      const exchange = first.exchange ?? second.exchange;
      const name = (user: User) => `${user.group}, ${user.name}`;
      yield {
        message: cyclic ? 'cyclic' : 'onRequest',
        label: 'two writers',
        about: exchange
          ? { kind: 'exchange', id: exchange.id, name: exchange.name }
          : { kind: 'station', id: memory.station.id, name: memory.station.name },
        ...(first.lane ? { lane: first.lane.id } : {}),
        ...(first.lane && second.lane ? { lanes: [first.lane.id, second.lane.id] } : {}),
        parties: users.map((user) => ({ station: memory.station.id, ...(user.end ? { end: user.end.id } : {}) })),
        cells: users.map(({ cell }) => cell),
        params: {
          a: memory.station.name,
          area: memory.area.name,
          aLane: together?.of === first ? together.name : name(first),
          bLane: together?.of === second ? together.name : name(second),
          aRange: together?.of === first ? together.range : first.range,
          bRange: together?.of === second ? together.range : second.range,
          aWhole: wholeWord(first),
          bWhole: wholeWord(second),
          shared: spanAddresses(memory, overlap.shared).first,
        },
        subjects: [overlap.a.area, first.id, second.id],
      };
    },
  },
  /** Beside physical inputs: the simulator moves, or the modules do. */
  fixes(finding, reader) {
    const claim = finding.cells
      .flatMap(({ kind, id }) => (kind === 'claim' ? (reader.get('claim', id) ?? []) : []))
      .find(({ id }) => simulatorOf(reader, { of: 'claim', id }) !== null);
    const place = finding.message === 'cyclic' && claim ? placeOf(reader, claim) : null;
    const found = place && besideInputs(reader, place.area);
    if (!found?.simulated?.overlaps) return [];
    const { simulated, moveSimulator, moveModules } = found;
    return [
      ...(moveSimulator
        ? [{ label: `${simulated.station} moves to ${moveSimulator.to}`, changes: moveSimulator.changes }]
        : []),
      ...(moveModules ? [{ label: `the modules move to ${moveModules.to}`, changes: moveModules.changes }] : []),
    ];
  },
};

/**
 * A copy runs all the time, a module puts its inputs in with every pass. A lane puts its data in with its cadence, unless
 * whoever sends it does so on change, on demand or at start only.
 */
function always(reader: Reader, { exchange, lane, id }: User): boolean {
  if (!exchange || !lane) return true;
  const sender = childrenOf(reader, 'claim', lane.id).find((c) => c.id !== id && c.direction !== 'reads');
  if (sender?.trigger && sender.trigger !== 'cyclic') return false;
  return exchange.transfer === 'cyclic blocks' || exchange.cadence !== null;
}

/** A bit of a register is set by writing the register. [published: MODBUS Application Protocol V1.1b3, 6.6] [from memory] */
const wholeWord = ({ wholeWord: whole }: User): string => (whole ? ', and writes all bits of that word' : '');
