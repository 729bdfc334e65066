import { digestOf } from '../model/digest.js';
import type { Exchange } from '../model/exchange.js';
import type { End } from '../model/end.js';
import type { Lane } from '../model/lane.js';
import { KeptByReads } from '../model/kept-by-reads.js';
import type { EntityChange, Project, Reader } from '../model/project.js';
import { pathsOf, type Path } from './path.js';
import { pairsOf, type ValuePair } from './values.js';

/**
 * Everything that a walk of this lane goes by, as one short text: who calls whom with what he was told, which bits move
 * from where to where, and what each end takes them for. It is another one exactly when one of these is.
 */
export function walkDigest(reader: Reader, exchange: Exchange, lane: Lane): string {
  const paths = pathsOf(reader, exchange, lane);
  return digestOf(typeof paths === 'string' ? paths : paths.map((path) => gone(reader, path)));
}

function gone(reader: Reader, path: Path): unknown {
  const values = pairsOf(path.source, path.sink);
  return [...pathFacts(reader, path), typeof values === 'string' ? values : [values.left, values.pairs.map(pairFacts)]];
}

const bitsOf = (list: Int32Array): string => list.join(' ');

/** What goes from one end to the other by what each says, whatever it is taken for. */
export function pathFacts(reader: Reader, { source, sink, moves, stopped }: Path): unknown[] {
  return [
    endFacts(reader, source.end),
    endFacts(reader, sink.end),
    stopped,
    moves === null || moves === 'values'
      ? moves
      : [moves.from.area, bitsOf(moves.from.bits), moves.to.area, bitsOf(moves.to.bits)],
  ];
}

/** Where one value lies at both ends, and what each takes it for. */
export const pairFacts = ({ key, source, sink }: ValuePair): unknown[] => [
  key,
  source.type,
  sink.type,
  bitsOf(source.bits),
  bitsOf(sink.bits),
];

function endFacts(reader: Reader, { station, port: id, calling, told }: End): unknown {
  const port = id ? reader.get('port', id) : undefined;
  return [station, calling, told, port && [port.network, port.address, port.mask, port.gateway, port.unit, port.node]];
}

/** Which lanes are rehearsed, kept while a project is edited. */
export class Standings {
  private readonly stands = new KeptByReads((reader, id) => {
    const lane = reader.get('lane', id);
    const exchange = lane && reader.get('exchange', lane.exchange);
    return lane?.rehearsed && exchange
      ? { lane: id, stands: walkDigest(reader, exchange, lane) === lane.rehearsed.digest }
      : undefined;
  });

  constructor(project: Project) {
    for (const lane of project.all('lane')) if (lane.rehearsed) this.stands.look(project, lane.id);
  }

  /** Lanes whose walk passed and that were not changed since. */
  get rehearsed(): string[] {
    return [...this.stands.values()].filter(({ stands }) => stands).map(({ lane }) => lane);
  }

  /** Takes in edits; whether anything stands otherwise now. */
  edit(project: Project, edits: readonly EntityChange[]): boolean {
    let changed = false;
    for (const lane of this.stands.touched(edits, 'lane')) {
      const before = this.stands.look(project, lane)?.stands ?? false;
      changed = before !== (this.stands.get(lane)?.stands ?? false) || changed;
    }
    return changed;
  }
}
