import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { Port } from '../../../model/port.js';
import type { Reader } from '../../../model/project.js';
import { deviceNameFault, deviceNameFor } from '../../../wiring/device-name.js';
import { foundByName } from '../../../wiring/found-by-name.js';
import { portCell, portName, stationName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

const SHARED = {
  severity: 'blocker',
  consequence: 'The controller finds its devices by their names; it does not find this one.',
} as const;

export const deviceName: Rule = {
  meta: {
    code: 'ADR 16',
    title: 'A device of cyclic Ethernet I/O has a legal name of its own',
    source: 'IEC 61158-6-10, names of stations',
    messages: {
      missing: {
        ...SHARED,
        headline: '{a}: the port is for I/O and has no device name',
        says: ['device name: [[none]]'],
        remedy: 'Give it one, such as {proposal}, and set the same at the device.',
      },
      illegal: {
        ...SHARED,
        headline: '{a}: “{name}” is not a valid device name: {fault}',
        says: ['device name [[{name}]]: {fault}'],
        remedy: 'Use {proposal}, and set the same at the device.',
      },
      twice: {
        ...SHARED,
        headline: '{network}: device name {name} twice, {b} and {a}',
        says: ['device name [[{name}]]', '{b}: device name [[{name}]]'],
        remedy: 'Use {proposal} for one of them, and set the same at the device.',
      },
    },
  },
  on: {
    *network(network, { reader }) {
      if (network.kind !== 'ethernet') return;
      const known = new Map<string, Port>();
      const ports = childrenOf(reader, 'port', network.id);
      for (const port of ports) {
        const name = (port.deviceName ?? '').trim();
        if (name === '' && port.purpose !== 'I/O') continue;
        const found = foundByName(reader, port);
        if (found === false || (found === null && name === '')) continue;
        const fault = name === '' ? null : deviceNameFault(name);
        const other = known.get(name);
        if (name !== '' && !other) known.set(name, port);
        const message = name === '' ? 'missing' : fault !== null ? 'illegal' : other ? 'twice' : null;
        if (!message) continue;
        yield {
          message,
          label: 'device name',
          about: { kind: 'network', id: network.id, name: network.name },
          parties: [port, ...(message === 'twice' ? [other!] : [])].map((p) => ({ station: p.station })),
          cells: [portCell(port, 'deviceName')],
          params: {
            a: portName(reader, port),
            b: other ? portName(reader, other) : '',
            network: network.name,
            name,
            fault: fault ?? '',
            proposal: freeName(reader, ports, port),
          },
          subjects: [port.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const port = reader.get('port', finding.cells[0]!.id);
    if (!port) return [];
    const { a, name, proposal } = finding.params;
    const label = `${a}: device name ${name || 'none'} → ${proposal}`;
    return [{ label, changes: [set('port', port, ['deviceName'], proposal)] }];
  },
};

function freeName(reader: Reader, ports: readonly Port[], port: Port): string {
  const base = deviceNameFor(stationName(reader, port.station));
  const taken = new Set(ports.filter((p) => p.id !== port.id).map((p) => (p.deviceName ?? '').trim()));
  for (let n = 1; ; n++) {
    const name = n === 1 ? base : `${base}-${n}`;
    if (!taken.has(name)) return name;
  }
}
