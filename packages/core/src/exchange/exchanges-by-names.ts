import type { Project } from '../model/project.js';
import { inOrder } from '../model/order.js';
import type { Station } from '../model/station.js';
import { EXCHANGE_KINDS, type ExchangeKind } from '../model/words.js';
import type { ExchangeWish } from './create-exchange.js';
import { kindsForPair } from './kinds-for-pair.js';
import { PROTOCOL_CHOICES } from '../protocol/catalogue.js';
import { protocolsForPair, type ProtocolChoice } from './protocols-for-pair.js';

/** An exchange that a text asks for. */
export interface NamedExchange {
  wish: ExchangeWish;
  protocol: ProtocolChoice;
}

const MOST = 3;
const BETWEEN = /\s*(?:→|->|↔|<->|–|—|,|;|\s(?:to|and|with)\s)\s*/i;

/**
 * The exchanges that `CutterCtl → BakeCtl` asks for, the kind and the protocol that suit the two first. A kind or a protocol
 * behind the names is the only one: `CutterCtl, BakeCtl, coupler area`. A name may be short where it fits no other station.
 */
export function exchangesByNames(project: Project, text: string): NamedExchange[] {
  const pieces = text.split(BETWEEN).filter((piece) => piece.trim() !== '');
  const [first, second, ...rest] = pieces.length > 1 ? pieces : words(text);
  const [a, b] = [stationNamed(project, first), stationNamed(project, second)];
  if (!a || !b || a.id === b.id) return [];
  const kinds = rest.flatMap((piece) => EXCHANGE_KINDS.filter((kind) => kind.startsWith(piece.trim().toLowerCase())));
  const protocols = rest.flatMap((piece) => PROTOCOL_CHOICES.filter(({ name }) => isNamed(name, piece)));
  return kindsForPair(project, [a.id, b.id])
    .filter(({ kind }) => kinds.length === 0 || kinds.includes(kind))
    .flatMap((choice) => {
      if (protocols.length === 0) return [choice];
      const of = protocolsForPair(project, choice.kind, choice.stations);
      return of.filter(({ id }) => protocols.some((one) => one.id === id)).map((protocol) => ({ ...choice, protocol }));
    })
    .slice(0, MOST)
    .map(({ kind, stations, protocol }) => {
      const name = freeName(project, stations, kind);
      return { wish: { name, kind, protocol: protocol.id, stations }, protocol };
    });
}

const isNamed = (name: string, piece: string): boolean => name.toLowerCase().startsWith(piece.trim().toLowerCase());

/** Two names without anything between them. */
function words(text: string): string[] {
  const [first = '', second = '', ...rest] = text.trim().split(/\s+/);
  return rest.length > 0 ? [first, second, rest.join(' ')] : [first, second];
}

function stationNamed(project: Project, text = ''): Station | undefined {
  const clean = text.trim().toLowerCase();
  if (clean === '') return undefined;
  const stations = inOrder(project, 'station');
  const exact = stations.find(({ name }) => name.toLowerCase() === clean);
  const starting = stations.filter(({ name }) => name.toLowerCase().startsWith(clean));
  return exact ?? (starting.length === 1 ? starting[0] : undefined);
}

/** `CutterCtl – BakeCtl`, with what tells it from others of the two. */
function freeName(project: Project, [left, right]: readonly [string, string], kind: ExchangeKind): string {
  const nameOf = (id: string) => project.get('station', id)?.name ?? '';
  const plain = `${nameOf(left)} – ${nameOf(right)}`;
  const taken = new Set(inOrder(project, 'exchange').map(({ name }) => name.toLowerCase()));
  const free = (name: string) => !taken.has(name.toLowerCase());
  if (free(plain)) return plain;
  const named = `${plain}, ${kind}`;
  for (let i = 1; ; i++) {
    const name = i === 1 ? named : `${named} ${i}`;
    if (free(name)) return name;
  }
}
