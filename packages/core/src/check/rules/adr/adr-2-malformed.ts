import { parseIpv4, parseMask } from '../../../wiring/ipv4.js';
import { childrenOf } from '../../../model/order.js';
import { isOnEthernet } from '../../../wiring/port-addresses.js';
import type { Rule } from '../../rule.js';

export const malformedAddress: Rule = {
  meta: {
    code: 'ADR 2',
    title: 'Addresses and masks are well formed',
    source: 'RFC 1166 for dotted decimal notation; RFC 4632, 3.1: a mask is contiguous',
    messages: {
      malformed: {
        severity: 'blocker',
        headline: '{a}, {port}: {found}',
        says: ['{what}: [[{typed}]]; {found}'],
        consequence: 'No device takes it.',
        remedy: 'Type it again: {expected}.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const port of childrenOf(reader, 'port', station.id)) {
        if (!isOnEthernet(reader, port)) continue;
        const fields = [
          ['address', 'address', parseIpv4],
          ['mask', 'mask', parseMask],
          ['gateway', 'gateway', parseIpv4],
        ] as const;
        for (const [field, what, parse] of fields) {
          const typed = port[field].trim();
          const read = typed === '' ? null : parse(typed);
          if (!read || (read.ok && (field !== 'mask' || read.value > 0))) continue;
          const { found, expected } = read.ok ? NO_SUBNET : read;
          yield {
            message: 'malformed',
            label: 'malformed',
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: station.id }],
            cells: [{ kind: 'port', id: port.id, path: [field] }],
            params: { a: station.name, port: port.name, what, typed, found, expected },
            subjects: [port.id, field],
          };
        }
      }
    },
  },
};

/** A mask without a bit takes the whole world for one's own subnet. */
const NO_SUBNET = {
  found: 'the mask has no bit set, so that every address is in one subnet',
  expected: 'type a mask of a subnet, such as 255.255.255.0',
};
