import { childrenOf } from '../../../model/order.js';
import type { Rule } from '../../rule.js';

const MOST_LOADS = 32;

export const unitLoads: Rule = {
  meta: {
    code: 'LIN 3',
    title: 'No more than 32 unit loads on a line without a repeater',
    source: 'TIA-485-A: a driver carries 32 unit loads; Modbus over Serial Line V1.02, 3.4.1',
    messages: {
      many: {
        severity: 'doubt',
        headline: '{network}: {count} devices on one line; it carries 32 unit loads',
        says: ['[[{count}]] devices; 32 unit loads'],
        consequence: 'If each is a full unit load, levels fall too low to be read.',
        remedy: 'Put a repeater between, or accept this where the devices are fractions of a unit load.',
      },
    },
  },
  on: {
    *network(network, { reader }) {
      if (network.kind !== 'serial line') return;
      const ports = childrenOf(reader, 'port', network.id);
      if (ports.length <= MOST_LOADS) return;
      yield {
        message: 'many',
        label: 'unit loads',
        about: { kind: 'network', id: network.id, name: network.name },
        parties: [{ station: ports[MOST_LOADS]!.station }],
        cells: [{ kind: 'network', id: network.id, path: ['name'] }],
        params: { network: network.name, count: String(ports.length) },
        subjects: [network.id],
      };
    },
  },
};
