import { formatBits } from '../../../place/length.js';
import { set } from '../../../change/make.js';
import { readable } from '../../../model/as-typed.js';
import { protocolAt } from '../../../protocol/catalogue.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const overLimit: Rule = {
  meta: {
    code: 'SIZ 5',
    title: 'No lane is longer than one transfer of its protocol',
    source:
      'the protocol: MODBUS Application Protocol V1.1b3, 6.3 and 6.12: 125 registers read, 123 written; others theirs',
    messages: {
      notPermitted: {
        severity: 'blocker',
        headline: '{lane}: {aLength} at {a}, whose type has blocks of {sizes} bytes only',
        says: ['{aName}: [[{aLength}]]; blocks of {sizes} bytes ({source})'],
        consequence: 'The connection is refused, or filled up to the next size without saying so.',
        remedy: 'Make it {nearest} at both ends, the next that is permitted.',
      },
      over: {
        severity: 'blocker',
        headline: '{lane}: {aLength}, and {protocol} {moves} at most {most} at once',
        says: ['{aName}: [[{aLength}]], {aRange}'],
        consequence: 'The request is refused, or only its beginning arrives.',
        remedy: 'Divide it into lanes of at most {most}.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const profile = side.station.profile ? context.reader.get('profile', side.station.profile) : undefined;
        const sizes = profile?.sizes?.[protocolAt(comparison.exchange, side.end).id];
        const length = readable(side.claim.length);
        if (!sizes || sizes.bytes.length === 0 || !length || !side.block) continue;
        const bytes = side.block.lengthBits / 8;
        if (sizes.bytes.includes(bytes)) continue;
        const nearest = nearestSize(sizes.bytes, bytes);
        yield laneReport(context, comparison, {
          message: 'notPermitted',
          label: 'size',
          sides: [side],
          cells: [claimCell(side, 'length')],
          params: {
            sizes: [...sizes.bytes].sort((a, b) => a - b).join(', '),
            source: sizes.source,
            nearest: formatBits(nearest * 8, length.unit),
            bits: String(nearest * 8),
          },
          subjects: [side.claim.id],
        });
      }
      const side = comparison.sides.find((s) => s.end.calling === 'calls') ?? comparison.sides[0];
      const direction = side && readable(side.claim.direction);
      if (!side?.block || !direction) return;
      const protocol = protocolAt(comparison.exchange, side.end);
      if (!protocol.limit) return;
      // One that reads and writes is bound by the smaller of the two.
      const { reads, writes } = protocol.limit;
      const most = direction === 'both' ? Math.min(reads, writes) : protocol.limit[direction];
      if (side.block.payloadBits <= most) return;
      yield laneReport(context, comparison, {
        message: 'over',
        label: 'too long',
        sides: [side],
        cells: [claimCell(side, 'length')],
        params: {
          protocol: protocol.name,
          most: formatBits(most, readable(side.claim.length)?.unit ?? 16),
          moves: direction === 'both' ? 'moves' : direction,
        },
      });
    },
  },
  fixes(finding, reader) {
    const claim = finding.message === 'notPermitted' ? reader.get('claim', finding.cells[0]?.id ?? '') : undefined;
    const length = claim && readable(claim.length);
    const bits = Number(finding.params.bits);
    if (!claim || !length || bits % length.unit !== 0) return [];
    const next = { count: bits / length.unit, unit: length.unit };
    return [
      { label: `${finding.params.a}: ${finding.params.nearest}`, changes: [set('claim', claim, ['length'], next)] },
    ];
  },
};

/** The smallest that it fits into, else the largest there is. */
const nearestSize = (sizes: readonly number[], bytes: number): number =>
  sizes.filter((size) => size >= bytes).sort((a, b) => a - b)[0] ?? Math.max(...sizes);
