import { formatBits } from '../../../place/length.js';
import { memoryOf, viewOf } from '../../../place/memory.js';
import { claimsIn } from '../../../lane/claims-in.js';
import type { Reader } from '../../../model/project.js';
import { placeOf } from '../../../place/tag-place.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const oddBytes: Rule = {
  meta: {
    code: 'SIZ 8',
    title: 'A block in a view that counts words is of whole words',
    source: 'common practice: memory that is numbered in words is read and written in whole words',
    yieldsTo: ['SIZ 1'],
    messages: {
      odd: {
        severity: 'blocker',
        headline: '{lane}: {aLength} of {a} are no whole number of words, and {address} counts words',
        says: ['{aName}: [[{aLength}]], {aRange}; {over} over'],
        consequence: 'The station takes whole words only: the last byte is lost, or another one travels along.',
        remedy: 'Make the length a whole number of words at both ends.',
      },
      start: {
        severity: 'doubt',
        headline: '{lane}: {aRange} of {a} begins inside a word, and {other} counts words there',
        says: ['{aName}: begins at [[{aRange}]]', '{other} counts words in {area}'],
        consequence: 'Whoever counts words reads half of one value and half of the next.',
        remedy: 'Begin at a whole word, unless the byte is really meant.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const { block } = side;
        if (!block || block.located.view.unit < 16 || block.single) continue;
        const over = block.lengthBits % 16;
        if (over === 0 || block.lengthBits < 16) continue;
        yield laneReport(context, comparison, {
          message: 'odd',
          label: 'odd bytes',
          sides: [side],
          cells: [claimCell(side, 'length')],
          params: { address: block.located.view.name || 'its view', over: formatBits(over, 8) },
          subjects: [side.claim.id],
        });
      }
      for (const side of comparison.sides) {
        const { block } = side;
        if (block?.memory.area.kind !== 'gateway memory' || block.single || block.located.row.unit !== 8) continue;
        if (block.located.linear % 16 === 0) continue;
        const other = countsWords(context.reader, block.memory.area.id, side.claim.id);
        if (other === null) continue;
        yield laneReport(context, comparison, {
          message: 'start',
          label: 'inside a word',
          sides: [side],
          cells: [claimCell(side, 'place')],
          params: { other, area: block.memory.area.name },
          subjects: [side.claim.id],
        });
      }
    },
  },
};

/** The name of another claim of the same memory whose view counts words; null where there is none. */
function countsWords(reader: Reader, area: string, but: string): string | null {
  const memory = memoryOf(reader, area);
  for (const claim of claimsIn(reader, area)) {
    const place = claim.id === but ? null : placeOf(reader, claim);
    const view = place && memory ? viewOf(memory, place.view) : null;
    if (view && view.unit >= 16) return claim.name || 'another lane';
  }
  return null;
}
