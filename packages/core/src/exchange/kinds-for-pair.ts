import type { Project } from '../model/project.js';
import { childrenOf } from '../model/order.js';
import { OTHER_ID } from '../protocol/other.js';
import { protocolsForPair, type ProtocolChoice } from './protocols-for-pair.js';
import { EXCHANGE_KINDS, type ExchangeKind, type Role } from '../model/words.js';

/** A kind of exchange between two stations, which of them is its left end, and the protocol that suits them best. */
export interface KindChoice extends Sided {
  protocol: ProtocolChoice;
}

interface Sided {
  kind: ExchangeKind;
  stations: readonly [string, string];
}

/** What a station of these roles usually is in an exchange of a kind: its left end, or its right. [common practice] */
const USUAL: readonly (readonly [kind: ExchangeKind, side: 'left' | 'right', roles: readonly Role[]])[] = [
  ['service link', 'left', ['workstation']],
  ['remote I/O', 'right', ['remote I/O head']],
  ['tag map', 'left', ['operator panel', 'SCADA station', 'simulator', 'tag server']],
  ['gateway memory', 'right', ['gateway']],
  ['gateway memory', 'right', ['radio unit']],
];

/** All kinds, those first that suit what these two are and in which both speak the same; then those that suit either. */
export function kindsForPair(project: Project, stations: readonly [string, string]): KindChoice[] {
  const [first, second] = stations;
  const is = (station: string, roles: readonly Role[]) =>
    project.get('station', station)?.roles.some((role) => roles.includes(role)) ?? false;
  const suiting: Sided[] = USUAL.flatMap(([kind, side, roles]) => {
    const one = is(first, roles) ? first : is(second, roles) ? second : null;
    if (one === null) return [];
    const other = one === first ? second : first;
    return [{ kind, stations: side === 'left' ? [one, other] : [other, one] }];
  });
  if (coupled(project, stations)) suiting.push({ kind: 'coupler area', stations });
  const usual = EXCHANGE_KINDS.map((kind): Sided => ({ kind, stations }));
  const all = [...suiting, ...usual].filter(({ kind }, i, list) => list.findIndex((one) => one.kind === kind) === i);
  const choices = all.map((one) => withProtocol(project, one));
  // Service access is spoken by all: it is no reason to program another controller.
  const fits = ({ kind, protocol }: KindChoice) =>
    protocol.id !== OTHER_ID && (kind !== 'service link' || suiting.some((one) => one.kind === kind));
  return [...choices.filter(fits), ...choices.filter((one) => !fits(one))];
}

/** Where only the other of the two can call, it is the left end. */
function withProtocol(project: Project, { kind, stations }: Sided): KindChoice {
  const turned = [stations[1], stations[0]] as const;
  const [asAsked, other] = [stations, turned].map((pair) => protocolsForPair(project, kind, pair)[0]!);
  const turn = asAsked!.id === OTHER_ID && other!.id !== OTHER_ID;
  return turn ? { kind, stations: turned, protocol: other! } : { kind, stations, protocol: asAsked! };
}

/** Whether a coupler joins networks of the two that they do not share. */
function coupled(project: Project, [first, second]: readonly [string, string]): boolean {
  const networksOf = (station: string) => childrenOf(project, 'port', station).flatMap(({ network }) => network ?? []);
  const [here, there] = [networksOf(first), networksOf(second)];
  if (here.some((network) => there.includes(network))) return false;
  return [...project.all('station')].some((station) => {
    if (!station.roles.includes('coupler')) return false;
    const joined = networksOf(station.id);
    return here.some((network) => joined.includes(network)) && there.some((network) => joined.includes(network));
  });
}
