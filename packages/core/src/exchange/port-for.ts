import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import type { ExchangeKind, NetworkKind, Purpose } from '../model/words.js';

/** Ports by what they are meant for, those first that suit this kind of exchange best. */
const PURPOSES_FOR: Readonly<Partial<Record<ExchangeKind, readonly Purpose[]>>> = {
  'service link': ['programming', 'general', 'panel', 'I/O'],
  'tag map': ['panel', 'general', 'I/O', 'programming'],
  'coupler area': ['I/O', 'general', 'panel', 'programming'],
  'remote I/O': ['I/O', 'general', 'panel', 'programming'],
};
const USUAL: readonly Purpose[] = ['general', 'I/O', 'panel', 'programming'];

/** The port on a network that the other is on, too, and that carries this; meant for it, or else the first that is enabled. */
export function portFor(
  reader: Reader,
  kind: ExchangeKind,
  station: string,
  other: string,
  media: readonly NetworkKind[] | null = null,
): string | null {
  const ports = childrenOf(reader, 'port', station);
  const there = new Set(childrenOf(reader, 'port', other).flatMap(({ network }) => network ?? []));
  const wanted = PURPOSES_FOR[kind] ?? USUAL;
  const carries = ({ network }: Port) => {
    const found = network ? reader.get('network', network)?.kind : undefined;
    return media === null || found === undefined || media.includes(found);
  };
  const rank = (port: Port): number =>
    (carries(port) ? 0 : 200) +
    (port.network && there.has(port.network) ? 0 : 100) +
    (port.enabled ? 0 : 50) +
    (port.network ? 0 : 20) +
    wanted.indexOf(port.purpose);
  return [...ports].sort((a, b) => rank(a) - rank(b))[0]?.id ?? null;
}
