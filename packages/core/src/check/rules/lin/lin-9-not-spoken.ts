import type { End } from '../../../model/end.js';
import type { Exchange } from '../../../model/exchange.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import { PROTOCOL_CHOICES, protocolAt } from '../../../protocol/catalogue.js';
import { OTHER_ID } from '../../../protocol/other.js';
import type { Rule } from '../../rule.js';

const SHARED = {
  severity: 'blocker',
  consequence: 'The connection cannot be set up at this end.',
} as const;

export const notSpoken: Rule = {
  meta: {
    code: 'LIN 9',
    title: 'Each end speaks the protocol, in its role, on its network',
    source:
      'common practice: a type speaks certain protocols, in certain roles, over certain media; its profile says which',
    messages: {
      protocol: {
        ...SHARED,
        headline: '{exchange}: {a} does not speak {protocol}',
        says: ['{a} speaks [[{known}]] ({source})'],
        remedy: 'Choose a protocol that both ends speak, or correct the profile {profile}.',
      },
      role: {
        ...SHARED,
        headline: '{exchange}: {a} cannot be the one that {role} in {protocol}',
        says: ['{a}: [[{role}]]; it can be the one that {known} ({source})'],
        remedy: 'Let the other end be the one that {role}, or correct the profile {profile}.',
      },
      medium: {
        ...SHARED,
        headline: '{exchange}: {a} speaks {protocol} over {known}, and {network} is {kind}',
        says: ['{a} is attached to [[{network}]], {kind}; its type speaks {protocol} over {known} ({source})'],
        remedy: 'Attach another port of {a}, or choose another variant of it.',
      },
      network: {
        ...SHARED,
        headline: '{exchange}: {protocol} does not run on {network}, which is {kind}',
        says: ['{a} is attached to [[{network}]], {kind}; {protocol} runs on {known}'],
        remedy: 'Choose a port on {known}, or another protocol.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      const said = new Set<string>();
      for (const end of childrenOf(reader, 'end', exchange.id)) {
        const fault = faultOf(reader, exchange, end);
        const station = reader.get('station', end.station);
        if (!fault || !station) continue;
        // On one network the others fare alike.
        const alike = [fault.message, ...Object.values(fault.params)].join(' ');
        if (fault.message === 'network' && said.has(alike)) continue;
        said.add(alike);
        const { message, path, params } = fault;
        yield {
          message,
          label: 'protocol',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: [{ station: station.id, end: end.id }],
          cells: [
            ...(path === 'protocol' ? [] : [{ kind: 'end' as const, id: end.id, path: [path] }]),
            // Either the port is the wrong one, or the protocol is.
            ...(message === 'role' ? [] : [{ kind: 'exchange' as const, id: exchange.id, path: ['protocol'] }]),
          ],
          params: { exchange: exchange.name, a: station.name, protocol: protocolAt(exchange, end).name, ...params },
          subjects: [end.id],
        };
      }
    },
  },
};

interface Fault {
  message: 'protocol' | 'role' | 'medium' | 'network';
  path: 'protocol' | 'calling' | 'port';
  params: Record<string, string>;
}

/** The first of: the protocol does not run on this network; the type does not speak it, not in this role, not over this. */
function faultOf(reader: Reader, exchange: Exchange, end: End): Fault | null {
  const protocol = protocolAt(exchange, end);
  const station = reader.get('station', end.station);
  const profile = station?.profile ? reader.get('profile', station.profile) : undefined;
  const port = end.port ? reader.get('port', end.port) : undefined;
  const network = port?.network ? reader.get('network', port.network) : undefined;
  const attached = { network: network?.name ?? '', kind: network?.kind ?? '' };
  const listed = (words: readonly string[]) => words.join(', ') || 'nothing';
  if (network && !protocol.media.includes(network.kind)) {
    return { message: 'network', path: 'port', params: { ...attached, known: listed(protocol.media) } };
  }
  const speaks = profile?.speaks ?? {};
  if (protocol.id === OTHER_ID || protocol.spokenByAll || !profile || Object.keys(speaks).length === 0) return null;
  const speech = speaks[protocol.id];
  const named = { profile: profile.name, source: speech?.source ?? 'its profile' };
  if (!speech) {
    const known = Object.keys(speaks).map((id) => PROTOCOL_CHOICES.find((c) => c.id === id)?.name ?? id);
    return { message: 'protocol', path: 'protocol', params: { ...named, known: listed(known) } };
  }
  if (end.calling && !speech.roles.includes(end.calling)) {
    return { message: 'role', path: 'calling', params: { ...named, role: end.calling, known: listed(speech.roles) } };
  }
  if (network && !speech.media.includes(network.kind)) {
    return { message: 'medium', path: 'port', params: { ...named, ...attached, known: listed(speech.media) } };
  }
  return null;
}
