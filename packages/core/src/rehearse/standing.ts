import { digestOf } from '../model/digest.js';
import type { Exchange } from '../model/exchange.js';
import type { End } from '../model/end.js';
import type { Lane } from '../model/lane.js';
import type { EntityChange, Project, Reader } from '../model/project.js';
import { RecordingReader } from '../model/recording-reader.js';
import { touchedBy } from '../model/touched.js';
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

interface Known {
  lane: string;
  reads: readonly string[];
  stands: boolean;
}

/** Which lanes are rehearsed, kept while a project is edited: after an edit only those are looked at that it touches. */
export class Standings {
  private readonly known = new Map<string, Known>();
  private readonly readers = new Map<string, Set<string>>();

  constructor(project: Project) {
    for (const lane of project.all('lane')) if (lane.rehearsed) this.look(project, lane.id);
  }

  /** Lanes whose walk passed and that were not changed since. */
  get rehearsed(): string[] {
    return [...this.known.values()].filter(({ stands }) => stands).map(({ lane }) => lane);
  }

  /** Takes in edits; whether anything stands otherwise now. */
  edit(project: Project, edits: readonly EntityChange[]): boolean {
    const stale = new Set<string>();
    for (const change of edits) {
      if (change.kind === 'lane') stale.add(change.id);
      for (const key of touchedBy(change)) for (const lane of this.readers.get(key) ?? []) stale.add(lane);
    }
    let changed = false;
    for (const lane of stale) changed = this.look(project, lane) || changed;
    return changed;
  }

  private look(project: Project, id: string): boolean {
    const before = this.known.get(id);
    for (const key of before?.reads ?? []) this.readers.get(key)?.delete(id);
    this.known.delete(id);
    const lane = project.get('lane', id);
    const exchange = lane && project.get('exchange', lane.exchange);
    if (!lane?.rehearsed || !exchange) return before?.stands === true;
    const reader = new RecordingReader(project);
    const stands = walkDigest(reader, exchange, lane) === lane.rehearsed.digest;
    const reads = reader.take();
    for (const key of reads) {
      const list = this.readers.get(key) ?? new Set();
      this.readers.set(key, list.add(id));
    }
    this.known.set(id, { lane: id, reads, stands });
    return before?.stands !== stands;
  }
}
