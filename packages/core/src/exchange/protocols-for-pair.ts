import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Calling, ExchangeKind, NetworkKind } from '../model/words.js';
import { PROTOCOLS } from '../protocol/catalogue.js';
import type { Protocol } from '../protocol/protocol.js';
import { protocolsFor, rolesFor } from './kind-protocols.js';

/** A protocol that can be chosen, and what stands against it between these two; null: nothing that is known. */
export interface ProtocolChoice {
  id: string;
  name: string;
  why: string | null;
}

/**
 * The protocols of a kind of exchange between two stations: first those that both speak, then those of which that is not
 * known, then the others with the reason. Each in its usual order.
 */
export function protocolsForPair(
  reader: Reader,
  kind: ExchangeKind,
  stations: readonly [string, string],
): ProtocolChoice[] {
  const roles = rolesFor(kind);
  const ranked = protocolsFor(kind).map((choice) => {
    const protocol = PROTOCOLS.find(({ id }) => id === choice.id);
    const says = protocol ? stations.map((id, i) => against(reader, id, protocol, roles[i]!)) : [];
    const no = says.find((one) => one && !one.open) ?? (protocol ? apart(reader, stations, protocol) : null);
    const open = says.find((one) => one?.open);
    return { ...choice, why: (no ?? open)?.words ?? null, rank: no ? 2 : open || !protocol ? 1 : 0 };
  });
  return ranked.sort((a, b) => a.rank - b.rank).map(({ rank: _, ...choice }) => choice);
}

interface Against {
  words: string;
  /** not known, rather than known not to be so */
  open: boolean;
}

/** What a station's type says against taking part in a protocol in this role. */
function against(reader: Reader, id: string, protocol: Protocol, role: Calling): Against | null {
  const station = reader.get('station', id);
  if (!station || protocol.spokenByAll) return null;
  const speaks = (station.profile && reader.get('profile', station.profile)?.speaks) || {};
  if (Object.keys(speaks).length === 0) return { words: `what ${station.name} speaks is not known yet`, open: true };
  const speech = speaks[protocol.id];
  if (!speech) return { words: `${station.name} does not speak it`, open: false };
  if (speech.roles.includes(role)) return null;
  const known = speech.roles.map((one) => (one === 'calls' ? 'call' : 'listen')).join(' or ');
  return { words: `${station.name} can only ${known} in it`, open: false };
}

/** Where both have ports and none of them is on a network that carries it. */
function apart(reader: Reader, stations: readonly [string, string], protocol: Protocol): Against | null {
  for (const id of stations) {
    const kinds = childrenOf(reader, 'port', id).flatMap(({ network }): NetworkKind[] => {
      const kind = network ? reader.get('network', network)?.kind : undefined;
      return kind ? [kind] : [];
    });
    const name = reader.get('station', id)?.name ?? '';
    if (kinds.length > 0 && !kinds.some((kind) => protocol.media.includes(kind)))
      return { words: `${name} has no port on ${protocol.media.join(' or ')}`, open: false };
  }
  return null;
}
