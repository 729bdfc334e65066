import { formatCount, formatLength, lengthBits } from '../../../place/length.js';
import { set } from '../../../change/make.js';
import { valuesOf } from '../../../lane/compare-items.js';
import type { DifferenceOf } from '../../../lane/difference.js';
import type { Side } from '../../../lane/side.js';
import { unitFactor } from '../../../lane/told-place.js';
import { readable } from '../../../model/as-typed.js';
import type { Length } from '../../../model/claim.js';
import { bringsToLight } from '../../brings-to-light.js';
import { claimCell, inPageOrder, laneReport } from '../../lane-report.js';
import type { Fix, Rule } from '../../rule.js';

export const lengthDiffers: Rule = {
  meta: {
    code: 'SIZ 1',
    title: 'All claims of a lane have one length',
    yieldsTo: ['TYP 10 oneRegister'],
    source: 'common practice: both ends of a block are set to one length',
    messages: {
      differs: {
        severity: 'blocker',
        headline: '{lane}: {a} {aDoes} {aLength}, {b} {bDoes} {bLength}; {cut}',
        says: ['{aName}: {aDoes} [[{aLength}]], {aRange}', '{bName}: {bDoes} [[{bLength}]], {bRange}'],
        consequence: 'The transfer is refused, or {cut}.',
        remedy: 'Settle which length is meant, and set the other end to it.',
      },
      factor: {
        severity: 'blocker',
        headline: '{lane}: {a} {aDoes} {aLength}, {b} {bDoes} {bLength}: {factor} times; one end may count other units',
        says: ['{aName}: {aDoes} [[{aLength}]], {aRange}', '{bName}: {bDoes} [[{bLength}]], {bRange}'],
        consequence: 'The transfer is refused, or {cut}.',
        remedy: 'Find out whether each end counts bytes or words; then set one of them.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const d of comparison.differences) {
        if (d.code !== 'SIZ 1') continue;
        const [a, b] = inPageOrder(comparison, d.left, d.right) as [Side, Side];
        const factor = unitFactor(a.block!.payloadBits, b.block!.payloadBits);
        yield laneReport(context, comparison, {
          message: factor === null ? 'differs' : 'factor',
          label: labelOf(a, b),
          sides: [a, b],
          cells: [claimCell(a, 'length'), claimCell(b, 'length')],
          params: { cut: whatIsCut(d), factor: String(factor ?? '') },
        });
      }
    },
  },
  fixes(finding, reader) {
    const claims = finding.cells.map((cell) => reader.get('claim', cell.id)!);
    const lengths = claims.map((claim) => readable(claim.length));
    const options = claims.flatMap((claim, i): (Fix & { bits: number })[] => {
      const own = lengths[i];
      const other = lengths[1 - i];
      if (!own || !other) return [];
      const header = (i: number) => claims[i]!.header ?? 0;
      const bits = lengthBits(other) - header(1 - i) + header(i);
      const length: Length =
        bits % own.unit === 0
          ? { count: bits / own.unit, unit: own.unit }
          : { count: bits / other.unit, unit: other.unit };
      const station = reader.get('station', finding.parties[i]!.station)!;
      const label = `${station.name}: ${formatLength(own)} → ${formatLength(length)}`;
      if (bringsToLight(reader, claim.lane, new Map([[claim.id, length]]))) return [];
      return [{ label, bits, changes: [set('claim', claim, ['length'], length)] }];
    });
    return options.sort((x, y) => y.bits - x.bits).map(({ label, changes }) => ({ label, changes }));
  },
};

/** `6 and 5 words` where both count alike, else both in full. */
function labelOf(a: Side, b: Side): string {
  const x = readable(a.claim.length)!;
  const y = readable(b.claim.length)!;
  return x.unit === y.unit ? `${x.count} and ${formatLength(y)}` : `${formatLength(x)}, ${formatLength(y)}`;
}

/** The first value of the longer end that the shorter one cuts or leaves out. */
function whatIsCut({ left, right }: DifferenceOf<'SIZ 1'>): string {
  const shorter = left.block!.payloadBits < right.block!.payloadBits ? left.block! : right.block!;
  const longer = shorter === left.block ? right : left;
  const gap = Math.abs(left.block!.payloadBits - right.block!.payloadBits);
  const words = gap % 16 === 0 ? formatCount(gap / 16, 16) : formatCount(gap, 1);
  for (const value of valuesOf(longer)?.values() ?? []) {
    const element = value.size / value.type.count;
    const from = value.offset - longer.block!.chain.start;
    if (from + value.size <= shorter.payloadBits) continue;
    const whole = Math.floor((shorter.payloadBits - from) / element);
    const name = value.name || 'a value';
    if (value.type.count > 1) return `only ${Math.max(0, whole)} of ${value.type.count} values of ${name} fit`;
    return from < shorter.payloadBits ? `${name} is cut in half` : `${name} gets nothing`;
  }
  return words.startsWith('1 ') ? `the last ${words.slice(2)} receives no data` : `the last ${words} receive no data`;
}
