import { set } from '../../../change/make.js';
import type { Side } from '../../../lane/side.js';
import { isOwnIo } from '../../../lane/own-io.js';
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
      never: {
        severity: 'blocker',
        headline: '{lane}: {a} {aDoes}, {b} {bDoes}: {one} never {lacking}',
        says: ['{aName}: [[{aDoes}]] {aRange}', '{bName}: [[{bDoes}]] {bRange}'],
        consequence:
          'What {other} expects in that direction never happens, and what stands in its memory stays as it is.',
        remedy: 'Settle whether data goes both ways, and set both ends so.',
      },
      together: {
        severity: 'blocker',
        headline: '{lane}: {a} and {b} both send and receive in one lane; I/O data goes one way',
        says: ['{aName}: [[{aDoes}]] {aRange}', '{bName}: [[{bDoes}]] {bRange}'],
        consequence:
          'What is sent comes from an output image, what arrives lands in an input image: one place is not both.',
        remedy: 'Make two lanes of it, one each way; both may have the same slot.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const d of comparison.differences) {
        if (d.code !== 'DIR 1') continue;
        const [a, b] = inPageOrder(comparison, d.left, d.right) as [Side, Side];
        if (d.direction === 'both' && d.never === 'together') {
          yield laneReport(context, comparison, {
            message: 'together',
            label: 'both ways',
            sides: [a, b],
            cells: [claimCell(b, 'direction'), claimCell(a, 'direction')],
          });
          continue;
        }
        if (d.direction === 'both') {
          yield laneReport(context, comparison, {
            message: 'never',
            label: d.never === 'writes' ? 'never written' : 'never read',
            sides: [a, b],
            cells: [claimCell(d.right, 'direction'), claimCell(d.left, 'direction')],
            params: {
              one: d.right.station.name,
              other: d.left.station.name,
              lacking: d.never,
              only: d.never === 'writes' ? 'writes' : 'reads',
            },
          });
          continue;
        }
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
    if (finding.message === 'never') {
      const first = reader.get('claim', finding.cells[0]!.id)!;
      const exchange = reader.get('exchange', reader.get('end', first.end)!.exchange)!;
      // What is the stations' own I/O goes one way: that both go both ways is no way out.
      const ways = finding.cells.filter((_, i) => i > 0 || !isOwnIo(exchange));
      return ways.map((cell) => {
        const claim = reader.get('claim', cell.id)!;
        const station = reader.get('station', reader.get('end', claim.end)!.station)!;
        const value = cell === finding.cells[0] ? 'both' : finding.params.only!;
        const label = `${station.name}: ${value === 'both' ? 'reads and writes' : value}`;
        return { label, changes: [set('claim', claim, ['direction'], value)] };
      });
    }
    if (finding.message === 'together') {
      return finding.cells.map((writer) => {
        const claims = finding.cells.flatMap((cell) => reader.get('claim', cell.id) ?? []);
        const name = (id: string) => reader.get('station', reader.get('end', id)?.station ?? '')?.name ?? '';
        const changes = claims.map((claim) =>
          set('claim', claim, ['direction'], claim.id === writer.id ? 'writes' : 'reads'),
        );
        const [one, other] = [...claims].sort((a, b) => Number(b.id === writer.id) - Number(a.id === writer.id));
        return { label: `${name(one!.end)} writes, ${name(other!.end)} reads`, changes };
      });
    }
    return finding.cells.map((cell) => {
      const claim = reader.get('claim', cell.id)!;
      const end = reader.get('end', claim.end)!;
      const station = reader.get('station', end.station)!;
      return { label: `${station.name} ${other}`, changes: [set('claim', claim, ['direction'], other)] };
    });
  },
};
