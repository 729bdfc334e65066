import { set } from '../../../change/make.js';
import type { Side } from '../../../lane/side.js';
import { claimCell, inPageOrder, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const sameDirection: Rule = {
  meta: {
    code: 'DIR 1',
    title: 'Of the two ends of a lane, one writes and one reads',
    source: 'common practice: data needs a source and a sink',
    messages: {
      both: {
        severity: 'blocker',
        headline: '{lane}: {a} and {b} both {verb}',
        says: ['{aName}: [[{aDoes}]] {aRange}', '{bName}: [[{bDoes}]] {bRange}'],
        consequence: 'Nothing is carried: there is no {lacking} end.',
        remedy: 'Settle who writes, and set the other end to read.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const d of comparison.differences) {
        if (d.code !== 'DIR 1') continue;
        const [a, b] = inPageOrder(comparison, d.left, d.right) as [Side, Side];
        const writes = d.direction === 'writes';
        yield laneReport(context, comparison, {
          message: 'both',
          label: writes ? 'both write' : 'both read',
          sides: [a, b],
          cells: [claimCell(b, 'direction'), claimCell(a, 'direction')],
          params: { verb: writes ? 'write' : 'read', lacking: writes ? 'reading' : 'writing' },
        });
      }
    },
  },
  fixes(finding, reader) {
    const other = finding.params.verb === 'write' ? 'reads' : 'writes';
    return finding.cells.map((cell) => {
      const claim = reader.get('claim', cell.id)!;
      const end = reader.get('end', claim.end)!;
      const station = reader.get('station', end.station)!;
      return { label: `${station.name} ${other}`, changes: [set('claim', claim, ['direction'], other)] };
    });
  },
};
