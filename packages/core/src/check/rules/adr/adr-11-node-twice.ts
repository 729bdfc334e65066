import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { Port } from '../../../model/port.js';
import { nextFreeNumber, SPACES } from '../../../wiring/address-spaces.js';
import { numberOf, takenIn } from '../../../wiring/numbers-on.js';
import { portCell, portName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const nodeTwice: Rule = {
  meta: {
    code: 'ADR 11',
    title: 'A node address stands once on a token bus',
    source: SPACES.node.source,
    messages: {
      twice: {
        severity: 'blocker',
        headline: '{network}: {a} and {b} both have node {node}',
        says: ['node [[{node}]]', 'node [[{node}]]'],
        consequence: 'The token is passed to both; the bus comes to rest or loses devices.',
        remedy: 'Give one of them another node address{free}.',
      },
    },
  },
  on: {
    *network(network, { reader }) {
      if (network.kind !== 'token bus') return;
      const byNode = new Map<number, Port[]>();
      for (const port of childrenOf(reader, 'port', network.id)) {
        const node = numberOf(port, 'node');
        if (node !== null) byNode.set(node, [...(byNode.get(node) ?? []), port]);
      }
      const free = nextFreeNumber(SPACES.node, new Set(byNode.keys()));
      for (const [node, ports] of byNode) {
        if (ports.length < 2) continue;
        yield {
          message: 'twice',
          label: 'node twice',
          about: { kind: 'network', id: network.id, name: network.name },
          parties: ports.map((p) => ({ station: p.station })),
          cells: ports.map((p) => portCell(p, 'node')),
          params: {
            network: network.name,
            node: String(node),
            a: portName(reader, ports[0]!),
            b: ports
              .slice(1)
              .map((p) => portName(reader, p))
              .join(' and '),
            free: free === null ? '' : `, ${free} is free`,
          },
          subjects: [network.id, String(node)],
        };
      }
    },
  },
  fixes(finding, reader) {
    const network = reader.get('network', finding.about.id)!;
    const free = nextFreeNumber(SPACES.node, takenIn(reader, network, 'node'));
    return [...finding.cells].reverse().flatMap((cell) => {
      const port = reader.get('port', cell.id);
      if (!port || free === null) return [];
      const label = `${portName(reader, port)}: node ${finding.params.node} → ${free}`;
      return [{ label, changes: [set('port', port, ['node'], String(free))] }];
    });
  },
};
