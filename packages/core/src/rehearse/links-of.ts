import type { Exchange } from '../model/exchange.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { payloadOf } from './block.js';
import { changedBits } from './changed.js';
import type { Link } from './link.js';
import type { Bits, PlantMemory } from './memory.js';
import { converting, copying } from './movers.js';
import { pathsOf, type Path } from './path.js';
import { MS, scanOf } from './scan.js';
import { pairsOf } from './values.js';

/** Where an exchange has no cadence: it is asked for once a second. */
const ON_REQUEST_MS = 1000;

/** Every way on which data of an exchange goes, with its times; nothing has gone yet. */
export function linksOf(reader: Reader, memory: PlantMemory, exchange: Exchange): Link[] {
  const cadence = (exchange.cadence || ON_REQUEST_MS) * MS;
  const delay = exchange.transfer === 'requests' ? Math.round((exchange.responseDelay ?? 0) * MS) : 0;
  const timeout = (exchange.timeout ?? 3 * (exchange.cadence || ON_REQUEST_MS)) * MS;
  return childrenOf(reader, 'lane', exchange.id).flatMap((lane) => {
    const paths = pathsOf(reader, exchange, lane);
    if (typeof paths === 'string') return [];
    return paths.map((path, i): Link => {
      const trigger = path.source.claim.trigger ?? path.sink.claim.trigger ?? null;
      const scan = scanOf(reader, path.source.station.id);
      const every = trigger === 'on change' || trigger === 'at start' ? scan : cadence;
      return {
        id: `${lane.id} ${i}`,
        exchange,
        lane: lane.id,
        path,
        every: Math.max(1, Math.round(every)),
        timeout: Math.max(1, Math.round(timeout)),
        arrived: null,
        lost: null,
        stopped: path.stopped,
        asked: 0,
        answered: 0,
        waits: false,
        trigger,
        delay,
        changed: changer(memory, path),
        move: mover(memory, path),
      };
    });
  });
}

function changer(memory: PlantMemory, { source, moves }: Path): () => boolean {
  const bits = moves && moves !== 'values' ? moves.from.bits.filter((bit) => bit >= 0) : payloadOf(source.moved, false);
  return changedBits(memory.of(source.moved.memory.area.id), bits);
}

/** What one transfer does to the memories. */
function mover(memory: PlantMemory, { source, sink, moves }: Path): () => void {
  if (moves === null) return () => undefined;
  if (moves !== 'values') {
    return copying(memory.of(moves.from.area), moves.from.bits, memory.of(moves.to.area), moves.to.bits);
  }
  const found = pairsOf(source, sink);
  if (typeof found === 'string') return () => undefined;
  const [from, to] = [source, sink].map(({ block }) => memory.of(block.memory.area.id)) as [Bits, Bits];
  const all = found.pairs.map(({ source: a, sink: b }) =>
    a.type.base === b.type.base && a.bits.length === b.bits.length
      ? copying(from, a.bits, to, b.bits)
      : converting(from, a, to, b),
  );
  return () => all.forEach((move) => move());
}
