import { childrenOf } from '../../../model/order.js';
import { addressesOf } from '../../../wiring/port-addresses.js';
import { portCell, portName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const notInForce: Rule = {
  meta: {
    code: 'ADR 18',
    title: 'What is planned was also set, and for good',
    source: 'common practice: an address given for the moment is gone after a restart',
    messages: {
      temporary: {
        severity: 'doubt',
        headline: '{a}: {address} is set for the moment only',
        says: ['[[{address}]], temporary'],
        consequence: 'After a restart the device is not there any more.',
        remedy: 'Set the address for good at the device, then enter it here as by hand.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const port of childrenOf(reader, 'port', station.id)) {
        const all = addressesOf(port).filter((one) => one.address.trim() !== '');
        const [first] = all;
        if (!first || all.some((one) => one.how !== 'temporary')) continue;
        yield {
          message: 'temporary',
          label: 'temporary',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [portCell(port, ...first.path)],
          params: { a: portName(reader, port), address: first.address.trim() },
          subjects: [port.id],
        };
      }
    },
  },
};
