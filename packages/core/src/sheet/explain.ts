import { formatBits, formatLength } from '../place/length.js';
import { received } from '../data/chain.js';
import { formatType } from '../data/types.js';
import { bitsToValue, formatValue, sampleOf, valueToBits } from '../data/values.js';
import { elementary } from '../data/types.js';
import { readable } from '../model/as-typed.js';
import type { Lane } from '../model/lane.js';
import type { Reader } from '../model/project.js';
import { compareLane, type Comparison, type Verdict } from '../lane/compare.js';
import { valuesOf } from '../lane/compare-items.js';
import { valueKey } from '../lane/difference.js';
import { rangeOf, type Side } from '../lane/side.js';
import { SWAP_WORDS } from '../lane/swap-words.js';

/** One thing that the verdict is made from, as each end has it, in order of the ends. */
export interface Term {
  label: string;
  values: string[];
}

/** How the verdict of a lane comes about. */
export interface Explanation {
  stations: string[];
  verdict: Verdict;
  /** why it is unchecked although both ends say something */
  unknown: string | null;
  terms: Term[];
  /** what happens to a value on its way, from the source's memory to the sink's */
  formula: string;
  /** a telling value before and after, for the value asked about, the first that does not arrive, or the first */
  sample: string | null;
}

/** The verdict of a lane with its terms; `item` says which value the sample is of. */
export function explainLane(reader: Reader, lane: Lane, item?: string): Explanation | null {
  const exchange = reader.get('exchange', lane.exchange);
  if (!exchange) return null;
  const comparison = compareLane(reader, lane, exchange);
  const { sides, verdict, unknown } = comparison;
  const term = (label: string, value: (side: Side) => string): Term => ({ label, values: sides.map(value) });
  const layout = (side: Side) => side.block?.chain.frame.layout;
  const terms = [
    term('writes or reads', (s) => readable(s.claim.direction) ?? 'not filled in'),
    term('place', (s) => (s.block ? rangeOf(s.block) : 'not filled in')),
    term('length', (s) => words(readable(s.claim.length), formatLength)),
    term('header', (s) => (s.claim.header ? formatBits(s.claim.header, 16) : 'none')),
    term('payload', (s) => (s.block ? formatBits(s.block.payloadBits, 16) : 'not known yet')),
    term('bytes in a word', (s) => layout(s)?.byteOrder ?? 'not known yet'),
    term('words of a longer value', (s) => layout(s)?.registerOrder ?? 'not known yet'),
    term('BOOLs', (s) =>
      layout(s) ? `one a ${layout(s)!.boolPacking}, ${layout(s)!.boolNumbering}` : 'not known yet',
    ),
    term('swap', (s) => SWAP_WORDS[s.claim.swap ?? s.end.swap]),
  ];
  return {
    stations: sides.map((s) => s.station.name),
    verdict,
    unknown,
    terms,
    formula: formulaOf(comparison),
    sample: sampleIn(comparison, item),
  };
}

const words = <T>(value: T | null, format: (value: T) => string): string =>
  value === null ? 'not filled in' : format(value);

/** The source first: the one that writes, or the first. */
function inOrder({ sides }: Comparison): [Side | undefined, Side | undefined] {
  const [a, b] = sides;
  return b?.claim.direction === 'writes' && a?.claim.direction !== 'writes' ? [b, a] : [a, b];
}

function formulaOf(comparison: Comparison): string {
  const [source, sink] = inOrder(comparison);
  if (!source?.block || !sink?.block) return 'Both ends have to say where, how long and of which type.';
  const swap = (side: Side) => SWAP_WORDS[side.claim.swap ?? side.end.swap];
  const { carries } = source.block.chain;
  if (carries === 'values') return `${source.station.name} → carried as values by their types → ${sink.station.name}`;
  return (
    `memory of ${source.station.name} → ${swap(source)} → carried as ${carries} → ${swap(sink)} → ` +
    `memory of ${sink.station.name}; a value arrives where every bit of it comes out in its place`
  );
}

function sampleIn(comparison: Comparison, item: string | undefined): string | null {
  const [source, sink] = inOrder(comparison);
  const left = source && valuesOf(source);
  const right = sink && valuesOf(sink);
  if (!left || !right || !source.block || !sink.block) return null;
  const differing = comparison.differences.map(valueKey).find((key) => left.has(key) && right.has(key));
  const key = [item, differing, ...left.keys()].find((k) => k !== undefined && left.has(k) && right.has(k));
  const [a, b] = [left.get(key ?? ''), right.get(key ?? '')];
  const type = a && elementary(a.type.base);
  if (!a || !b || !type || type.bits < 8) return null;
  const single = <V extends typeof a>(value: V) => ({ ...value, type: { ...value.type, count: 1 } });
  const sent = sampleOf(a.type.base);
  const bits = received(source.block.chain, sink.block.chain, single(a), single(b), valueToBits(a.type.base, sent));
  const got = formatValue(b.type.base, bitsToValue(b.type.base, bits));
  const name = a.name || 'the block';
  return `${name}, ${formatType(a.type)}: ${formatValue(a.type.base, sent)} sent, ${got} received`;
}
