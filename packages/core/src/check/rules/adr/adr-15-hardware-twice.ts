import { childrenOf } from '../../../model/order.js';
import type { Port } from '../../../model/port.js';
import { portCell, portName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const hardwareTwice: Rule = {
  meta: {
    code: 'ADR 15',
    title: 'A hardware address stands once on a network',
    source: 'IEEE 802: a universally administered address belongs to one interface',
    messages: {
      twice: {
        severity: 'doubt',
        headline: '{network}: {a} and {b} both have hardware address {address}',
        says: ['[[{address}]]', '[[{address}]]'],
        consequence: 'Either one was copied from the other’s label, or frames go to the wrong device.',
        remedy: 'Read the label of both again.',
      },
    },
  },
  on: {
    *network(network, { reader }) {
      if (network.kind !== 'ethernet') return;
      const known = new Map<string, Port>();
      for (const port of childrenOf(reader, 'port', network.id)) {
        const digits = (port.hardware ?? '').replace(/[^0-9a-f]/gi, '').toLowerCase();
        if (digits.length !== 12) continue;
        const other = known.get(digits);
        if (!other) {
          known.set(digits, port);
          continue;
        }
        yield {
          message: 'twice',
          label: 'hardware address',
          about: { kind: 'network', id: network.id, name: network.name },
          parties: [{ station: other.station }, { station: port.station }],
          cells: [portCell(port, 'hardware'), portCell(other, 'hardware')],
          params: {
            network: network.name,
            address: digits.match(/../g)!.join(':'),
            a: portName(reader, other),
            b: portName(reader, port),
          },
          subjects: [other.id, port.id],
        };
      }
    },
  },
};
