import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { Network } from '../../../model/network.js';
import type { Reader } from '../../../model/project.js';
import { protocolOf } from '../../../protocol/catalogue.js';
import { formatSerial, parseSerial } from '../../../wiring/serial-settings.js';
import { portCell, portName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const framing: Rule = {
  meta: {
    code: 'LIN 6',
    title: 'RTU framing has characters of eight data bits, and of eleven bits in all',
    source: 'Modbus over Serial Line V1.02, 2.5.1: 8 data bits; without parity, 2 stop bits [from memory]',
    messages: {
      dataBits: {
        severity: 'blocker',
        headline: '{network}: {a} is set to {there}, and RTU framing needs 8 data bits',
        says: ['[[{there}]]'],
        consequence: 'A byte does not fit into a character: no frame arrives whole.',
        remedy: 'Set {right} at {a} and at all others of the line.',
      },
      tenBits: {
        severity: 'hint',
        headline: '{network}: {there} has characters of 10 bits; the standard asks for 11',
        says: ['[[{there}]]'],
        consequence:
          'It works where all devices of the line have it, and one that keeps to the standard may not offer it.',
        remedy: 'Keep it if all devices on the line are set so.',
      },
    },
  },
  on: {
    *network(network, { reader }) {
      if (network.kind !== 'serial line' || !carriesRtu(reader, network)) return;
      let hinted = false;
      for (const port of childrenOf(reader, 'port', network.id)) {
        const read = parseSerial(port.serial ?? '');
        if (!read.ok) continue;
        const { dataBits, parity, stopBits } = read.value;
        const short = dataBits === 8 && parity === 'none' && stopBits === 1;
        if (dataBits === 8 && (!short || hinted)) continue;
        hinted ||= short;
        yield {
          message: short ? 'tenBits' : 'dataBits',
          label: 'framing',
          about: { kind: 'network', id: network.id, name: network.name },
          parties: [{ station: port.station }],
          cells: [portCell(port, 'serial')],
          params: {
            network: network.name,
            a: portName(reader, port),
            there: formatSerial(read.value),
            right: formatSerial({ ...read.value, dataBits: 8 }),
          },
          subjects: short ? [network.id] : [port.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const port = reader.get('port', finding.cells[0]!.id);
    if (!port || finding.message !== 'dataBits') return [];
    const { a, there, right } = finding.params;
    return [{ label: `${a}: ${there} → ${right}`, changes: [set('port', port, ['serial'], right)] }];
  },
};

/** Whether an exchange of this line frames its messages so. */
function carriesRtu(reader: Reader, network: Network): boolean {
  return childrenOf(reader, 'port', network.id).some((port) =>
    childrenOf(reader, 'end', port.id).some((end) => {
      const exchange = reader.get('exchange', end.exchange);
      return exchange !== undefined && protocolOf(exchange).framing === 'RTU';
    }),
  );
}
