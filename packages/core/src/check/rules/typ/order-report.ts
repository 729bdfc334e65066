import { received } from '../../../data/chain.js';
import { elementary, formatType } from '../../../data/types.js';
import { bitsToValue, formatValue, sampleOf, valueToBits } from '../../../data/values.js';
import { set } from '../../../change/make.js';
import type { Comparison } from '../../../lane/compare.js';
import type { Difference, DifferenceOf } from '../../../lane/difference.js';
import { inTheWay, reconcilingSwaps } from '../../../lane/reconcile.js';
import type { Side } from '../../../lane/side.js';
import { sidesOf } from '../../../lane/sides-of.js';
import { SWAP_WORDS } from '../../../lane/swap-words.js';
import type { LayoutRule } from '../../../model/layout-rule.js';
import type { Reader } from '../../../model/project.js';
import { fewOf } from '../../few-of.js';
import type { Finding } from '../../../finding/finding.js';
import { claimCell, inPageOrder, laneReport, valueCell } from '../../lane-report.js';
import { whereSet } from '../../where-set.js';
import type { Context, Fix, Message, Report } from '../../rule.js';

export type OrderDifference = DifferenceOf<'TYP 3' | 'TYP 4' | 'TYP 5' | 'TYP 6'>;

const SET = '{aSet} at {a}, {bSet} at {b}';

/** The two messages of a rule about an order: with a swap that mends it, and where no swap suits all values. */
export function orderMessages(what: 'bytes' | 'registers'): Record<'differs' | 'noSwap', Message> {
  const differs: Message = {
    severity: 'blocker',
    headline: '{lane}: {a} has {aOrder}, {b} has {bOrder}; no swap corrects it',
    says: ['{aName}: {aDoes} {type}, [[{aOrder}]], {aSwap}', '{bName}: {bDoes} it, [[{bOrder}]], {bSwap}'],
    consequence: 'A {type} of {sample} arrives as {seen}.',
    remedy: `Swap ${what} at one end, not at both. The order is ${SET}.`,
  };
  const remedy = `No one swap suits all values, {stuck} would be spoilt: give values of one size a lane of their own. The order is ${SET}.`;
  return { differs, noSwap: { ...differs, remedy } };
}

/**
 * One report for all values of a lane with the same fault of order. Ready: `aOrder`, `bOrder` (what the rule asks for),
 * `aSet`, `bSet` (where that part of the layout is set),
 * `sample` and `seen` (a value before and after), `more` (how many other values).
 */
export function orderReport(
  context: Context,
  comparison: Comparison,
  code: OrderDifference['code'],
  label: string,
  part: keyof LayoutRule | null,
  order: (side: Side) => string,
): Report | null {
  const of = (d: Difference): d is OrderDifference => d.code === code;
  const all = comparison.differences.filter(of);
  const [d] = all;
  if (!d) return null;
  const [first, second] = inPageOrder(comparison, d.left, d.right) as [Side, Side];
  const value = first === d.left ? d.a : d.b;
  const swap = (side: Side) => SWAP_WORDS[side.claim.swap ?? side.end.swap];
  const stuck = inTheWay(d.left, d.right);
  return laneReport(context, comparison, {
    message: stuck.length > 0 ? 'noSwap' : 'differs',
    label,
    sides: [first, second],
    cells: [
      ...all.flatMap((x) => [valueCell(first, x.a.key, 'type'), valueCell(second, x.b.key, 'type')]),
      ...[first, second].map((side) => claimCell(side, 'swap')),
    ],
    params: {
      value: d.a.key === '' ? 'the block' : value.name || 'a value',
      type: formatType(value.type),
      aOrder: order(first),
      bOrder: order(second),
      aSet: part ? whereSet(context.reader, first, part) : '',
      bSet: part ? whereSet(context.reader, second, part) : '',
      aSwap: swap(first),
      bSwap: swap(second),
      more: all.length > 1 ? ` and ${all.length - 1} more` : '',
      stuck: fewOf(stuck),
      ...sampled(d),
    },
  });
}

/** What a telling value becomes on this way. */
function sampled(d: OrderDifference): { sample: string; seen: string } {
  const { base } = d.a.type;
  const bits = elementary(base)?.bits ?? 0;
  if (bits < 8 || !d.left.block || !d.right.block) return { sample: 'A bit', seen: 'another bit' };
  const sample = sampleOf(base);
  const a = { ...d.a, type: { ...d.a.type, count: 1 } };
  const b = { ...d.b, type: { ...d.b.type, count: 1 } };
  const out = received(d.left.block.chain, d.right.block.chain, a, b, valueToBits(base, sample));
  return { sample: formatValue(base, sample), seen: formatValue(base, bitsToValue(d.b.type.base, out)) };
}

/** The swaps with which every value of the lane arrives, at the first page's end first. */
export function swapFixes(finding: Finding, reader: Reader): Fix[] {
  const lane = finding.lane ? reader.get('lane', finding.lane) : undefined;
  const exchange = lane && reader.get('exchange', lane.exchange);
  if (!lane || !exchange) return [];
  const all = sidesOf(reader, lane, exchange);
  const sides = [...new Set(finding.cells.map((cell) => cell.id))].flatMap(
    (id) => all.find((side) => side.claim.id === id) ?? [],
  );
  const [a, b] = sides;
  if (!a || !b) return [];
  const [source, sink] = a.claim.direction === 'reads' ? [b, a] : [a, b];
  const fixes = reconcilingSwaps(source, sink).map((r) => {
    const side = r.side === 'source' ? source : sink;
    const own = r.swap === side.end.swap ? null : r.swap;
    const change = set('claim', side.claim, ['swap'], own);
    return { side, label: `${side.station.name}: ${SWAP_WORDS[r.swap]}`, changes: [change] };
  });
  fixes.sort((x, y) => sides.indexOf(x.side) - sides.indexOf(y.side));
  return fixes.map(({ label, changes }) => ({ label, changes }));
}
