import { carriedBits, type ChainSide } from '../data/chain.js';
import { numberingUnit } from '../data/layout.js';
import { swapped } from '../data/swap.js';
import type { Exchange } from '../model/exchange.js';
import type { Carried } from '../model/words.js';
import { protocolOf } from '../protocol/catalogue.js';
import { travelling, type Block, type Side } from './side.js';

/** Tables of which each request carries single bits. */
const BIT_TABLES: readonly string[] = ['coils', 'discrete inputs'];

/** How the payload of a lane travels: as its protocol says, or bit by bit. */
export interface Travel {
  carries: Carried;
  /** requests for coils and discrete inputs carry them one by one, whatever words they are kept in */
  table: boolean;
  /** one of the blocks is single bits, so that bit n of the one is bit n of the other */
  single: boolean;
}

/**
 * How a lane's payload travels. Coils and discrete inputs are asked for bit by bit.
 * [published: MODBUS Application Protocol Specification V1.1b3, 6.1, 6.2, 6.5 and 6.11] [from memory]
 * The table is the one of the end that answers; where nobody does, of any. So are blocks that begin at a named bit.
 */
export function howItTravels(exchange: Exchange, sides: readonly Side[]): Travel {
  const carries = protocolOf(exchange).carries(exchange.transfer);
  if (carries === 'values') return { carries, table: false, single: false };
  const answering = sides.filter((s) => s.end.calling === 'listens');
  const asked = answering.length > 0 ? answering : sides;
  const table = carries === 'words' && asked.some((s) => s.block && BIT_TABLES.includes(s.block.memory.area.kind));
  const single = sides.some((s) => s.block?.single);
  return { carries: table || single ? 'bits' : carries, table, single };
}

/** The sides with their blocks as they travel in this lane. */
export function asTheyTravel(exchange: Exchange, sides: Side[]): Side[] {
  if (!sides.some((s) => s.block)) return sides;
  const travel = howItTravels(exchange, sides);
  if (!travel.table && !travel.single) return sides;
  return sides.map((side) => (side.block ? { ...side, block: inTravel(side.block, travel) } : side));
}

function inTravel(block: Block, { carries, table, single }: Travel): Block {
  // Coils fill a word from its first bit: where they do not fill it, what is left of it does not travel.
  const { frame } = block.chain;
  const partOfUnit = frame.unit > 1 && block.payloadBits % numberingUnit(frame) !== 0;
  const counted = block.single || (table ? partOfUnit : single);
  // A swap exchanges bytes of registers; what travels bit by bit out of a table has none.
  const swap = block.usual === 'bits' ? block.chain.swap : 'none';
  return travelling(block, { carries, counted, swap });
}

/**
 * Whether the swap of an end moves a single bit of a register that this block is asked as: the register is swapped, and
 * from which of its bits the block is then taken nobody has said.
 */
export function swapMovesBits(side: Side, { table, single }: Travel): boolean {
  const usual = side.block?.usual;
  if (!side.block || !usual || !single || table || usual === 'bits' || usual === 'values') return false;
  const swap = side.claim.swap ?? side.end.swap;
  if (swap === 'none') return false;
  const whole: ChainSide = { ...side.block.chain, carries: usual };
  const bits = Math.ceil(carriedBits(whole) / 16) * 16;
  return Array.from({ length: bits }, (_, n) => n).some((n) => swapped(n, swap, bits) !== n);
}
