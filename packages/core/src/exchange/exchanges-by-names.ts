import type { Project } from '../model/project.js';
import { inOrder } from '../model/order.js';
import type { Station } from '../model/station.js';
import { EXCHANGE_KINDS, type ExchangeKind, type Transfer } from '../model/words.js';
import type { ExchangeWish } from './create-exchange.js';
import { kindsForPair } from './kinds-for-pair.js';
import { PROTOCOL_CHOICES, PROTOCOLS } from '../protocol/catalogue.js';
import { protocolsForPair, type ProtocolChoice } from './protocols-for-pair.js';

/** An exchange that a text asks for. */
export interface NamedExchange {
  wish: ExchangeWish;
  protocol: ProtocolChoice;
  /** the one that is named second, which may be its left end, and further partners like it */
  partner: string;
  others: string[];
  /** whether one of them is chosen at run time */
  permitted: boolean;
  /** what stands behind the names and is neither a kind nor a protocol */
  more: string[];
}

const MOST = 3;
const ARROW = /^(.*?)(?:→|<?->|↔)(.*)$/;
const BETWEEN = /\s*(?:→|->|↔|<->|–|—|,|;|\s(?:to|and|with)\s)\s*/i;

/**
 * The exchanges that `CutterCtl → BakeCtl` asks for, the kind and the protocol that suit the two first. A kind or a protocol
 * behind the names is the only one: `CutterCtl, BakeCtl, coupler area`. A name may be short where it fits no other station.
 * `Base → Roof and Yard` has three ends; of partners with *or* between them one is chosen at run time.
 */
export function exchangesByNames(project: Project, text: string): NamedExchange[] {
  const [first, second = '', ...rest] = piecesOf(text);
  const permitted = /\s+or\s+/i.test(second);
  const partners = second.split(/\s+(?:or|and)\s+/i).map((name) => stationNamed(project, name));
  const [a, b] = [stationNamed(project, first), partners[0]];
  if (!a || !b || partners.some((one) => !one || one.id === a.id)) return [];
  const others = partners.slice(1).flatMap((one) => one?.id ?? []);
  const kindsIn = (piece: string) => EXCHANGE_KINDS.filter((kind) => kind.startsWith(piece.trim().toLowerCase()));
  const protocolsIn = (piece: string) =>
    PROTOCOL_CHOICES.filter(({ id, name }) => isNamed(name, piece) || id === piece.trim().toLowerCase());
  const more = rest
    .map((piece) => piece.trim())
    .filter((piece) => kindsIn(piece).length + protocolsIn(piece).length === 0);
  const cyclic = more.some((piece) => CYCLIC.startsWith(piece.toLowerCase()));
  const [kinds, protocols] = [rest.flatMap(kindsIn), rest.flatMap(protocolsIn)];
  return kindsForPair(project, [a.id, b.id])
    .filter(({ kind }) => kinds.length === 0 || kinds.includes(kind))
    .flatMap((choice) => {
      if (protocols.length === 0 && !cyclic) return [choice];
      const of = protocolsForPair(project, choice.kind, choice.stations);
      const meant = ({ id }: ProtocolChoice) => protocols.length === 0 || protocols.some((one) => one.id === id);
      const fits = ({ id }: ProtocolChoice) => !cyclic || sendsBlocks(id);
      return of.filter((one) => meant(one) && fits(one)).map((protocol) => ({ ...choice, protocol }));
    })
    .slice(0, MOST)
    .map(({ kind, stations, protocol }) => {
      const name = freeName(project, stations, kind);
      return {
        wish: { name, kind, protocol: protocol.id, stations },
        protocol,
        partner: b.id,
        others,
        permitted,
        more,
      };
    });
}

const CYCLIC: Transfer = 'cyclic blocks';
const sendsBlocks = (id: string): boolean =>
  PROTOCOLS.find((one) => one.id === id)?.transfers.includes(CYCLIC) ?? false;
const isNamed = (name: string, piece: string): boolean => name.toLowerCase().startsWith(piece.trim().toLowerCase());

/** The two names, and what stands behind them. */
function piecesOf(text: string): string[] {
  const [, first, rest] = ARROW.exec(text) ?? [];
  if (first !== undefined && rest !== undefined)
    return [first, ...rest.split(/[,;]/)].filter((piece) => piece.trim() !== '');
  const pieces = text.split(BETWEEN).filter((piece) => piece.trim() !== '');
  return pieces.length > 1 ? pieces : words(text);
}

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
