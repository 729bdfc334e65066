import { formatSpan } from '../place/format-address.js';
import { memoryOf } from '../place/memory.js';
import type { Span } from '../place/resolve.js';
import type { Cell } from '../finding/finding.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Reader } from '../model/project.js';
import { laneName } from './compare.js';
import type { Use } from './occupancy.js';
import { blockOf, rangeOf } from './side.js';
import { holderOf } from './uses.js';

/** Who it is that uses bits of an area, in words and with the cell that says so. */
export interface User {
  use: Use;
  /** the claim, copy or landing */
  id: string;
  /** what it is drawn under: the exchange, the copy, the module */
  group: string;
  name: string;
  /** in the station's own notation */
  range: string;
  /** it means some bits of a word, and writes all of them */
  wholeWord?: boolean;
  cell: Cell;
  /** of a claim only */
  lane?: Lane;
  exchange?: Exchange;
  end?: End;
}

/** Null where what uses it is gone. */
export function userOf(reader: Reader, use: Use): User | null {
  const id = holderOf(use);
  const memory = memoryOf(reader, use.area);
  if (!memory) return null;
  const whole = (spans: readonly Span[]) =>
    formatSpan(memory, { start: Math.min(...spans.map((s) => s.start)), end: Math.max(...spans.map((s) => s.end)) });
  if (use.of === 'copy') {
    const copy = reader.get('copy', id);
    const cell: Cell = { kind: 'copy', id, path: [use.puts ? 'to' : 'from'] };
    const name = copy?.name || 'copy';
    return copy ? { use, id, cell, name, group: `copy ${copy.name}`.trim(), range: whole(use.spans) } : null;
  }
  if (use.of === 'landing') {
    const landing = reader.get('landing', id);
    const module = landing && reader.get('module', landing.module);
    const cell: Cell = { kind: 'landing', id, path: [use.puts ? 'inputsAt' : 'outputsAt'] };
    const name = module?.name || module?.kind || 'module';
    return landing ? { use, id, cell, name, group: `module ${name}`, range: whole(use.spans) } : null;
  }
  const claim = reader.get('claim', id);
  const lane = claim && reader.get('lane', claim.lane);
  const end = claim && reader.get('end', claim.end);
  const exchange = lane && reader.get('exchange', lane.exchange);
  const block = claim && end && exchange && blockOf(reader, claim, end, exchange);
  if (!block) return null;
  return {
    use,
    id,
    lane,
    exchange,
    end,
    group: exchange.name,
    name: claim.name || laneName(reader, lane),
    range: rangeOf(block),
    cell: { kind: 'claim', id, path: ['place'] },
    wholeWord: use.spans.reduce((sum, span) => sum + span.end - span.start, 0) > block.lengthBits,
  };
}
