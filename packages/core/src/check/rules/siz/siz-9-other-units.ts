import { formatSpan } from '../../../place/format-address.js';
import { memoryOf } from '../../../place/memory.js';
import { unitFactor } from '../../../lane/told-place.js';
import { userOf } from '../../../lane/use-words.js';
import { unmatchedUses } from '../pos/area-flow.js';
import type { Rule } from '../../rule.js';

/**
 * Where one end names the place of the other, POS 1 names the factor; where lengths differ by one, SIZ 1 does. This is for
 * memory in between.
 */
export const otherUnits: Rule = {
  meta: {
    code: 'SIZ 9',
    title: 'A window and the data that it is for are counted in the same units',
    source: 'common practice: byte offset 3000 is word 1500',
    yieldsTo: ['SIZ 1'],
    yieldsAtCell: ['POS 1'],
    messages: {
      factor: {
        severity: 'doubt',
        headline: '{a}: no data arrives in {range} ({what}); {there}, a factor of {factor} away, is filled by {by}',
        says: ['{what}: [[{range}]]', '{by}: [[{there}]]'],
        consequence: 'One end may count bytes where the other counts words, and then gets other data, or none.',
        remedy: 'Find out in which units each end counts, and correct the place.',
      },
    },
  },
  on: {
    *area(area, context) {
      const memory = memoryOf(context.reader, area.id);
      if (!memory) return;
      const puts = area.writers.length > 0 ? [] : context.occupancy.inArea(area.id).filter((use) => use.puts);
      // Of several that begin at one place always the same is named.
      puts.sort((a, b) => a.spans[0]!.start - b.spans[0]!.start || (a.id < b.id ? -1 : 1));
      for (const { use } of puts.length > 0 ? unmatchedUses(area, context, 'put') : []) {
        const start = use.spans[0]!.start;
        const found = puts.flatMap((put) => {
          const other = put.spans[0]!.start;
          const factor = start > 0 && other > 0 ? unitFactor(start, other) : null;
          return factor === null ? [] : [{ put, factor }];
        })[0];
        const [user, by] = [userOf(context.reader, use), found && userOf(context.reader, found.put)];
        if (!found || !user || !by) continue;
        yield {
          message: 'factor',
          label: `place ×${found.factor}`,
          about: { kind: 'station', id: memory.station.id, name: memory.station.name },
          parties: [{ station: memory.station.id }],
          cells: [user.cell, by.cell],
          params: {
            a: memory.station.name,
            range: user.range,
            what: `${user.group}, ${user.name}`,
            factor: String(found.factor),
            there: formatSpan(memory, found.put.spans[0]!),
            by: `${by.group}, ${by.name}`,
          },
          subjects: [area.id, use.id],
        };
      }
    },
  },
};
