import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { Network } from '../../../model/network.js';
import type { Port } from '../../../model/port.js';
import { formatBusRate, parseBusRate } from '../../../wiring/bus-rates.js';
import { numberOf } from '../../../wiring/numbers-on.js';
import { portCell, portName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const busSettings: Rule = {
  meta: {
    code: 'LIN 5',
    title:
      'All on a token bus have its rate and its set of times, and none that takes the token lies above the highest address',
    source: 'IEC 61158 type 3: rate, bus times and highest station address are the same at all stations',
    messages: {
      rate: {
        severity: 'blocker',
        headline: '{network} runs at {here}, {a} at {there}',
        says: ['{network}: {here}', '{a}: [[{there}]]'],
        consequence: '{a} cannot read the bus, and may disturb it.',
        remedy: 'Set {here} at {a}.',
      },
      times: {
        severity: 'blocker',
        headline: '{network} has the bus profile {here}, {a} has {there}',
        says: ['{network}: {here}', '{a}: [[{there}]]'],
        consequence: 'They wait for each other for different times; the token is lost now and then.',
        remedy: 'Choose {here} at {a}.',
      },
      unread: {
        severity: 'blocker',
        headline: '{a}: {found}',
        says: ['[[{there}]]: {found}'],
        consequence: 'Whether {a} can talk on {network} is not known.',
        remedy: 'Type one of its rates: {expected}.',
      },
      above: {
        severity: 'blocker',
        headline: '{a} is node {there}, above the highest address {here} that {network} asks for',
        says: ['{network}: highest address {here}', '{a}: node [[{there}]], takes the token'],
        consequence: 'It is never given the token, so it cannot send.',
        remedy: 'Raise the highest address to {there} at least, or give {a} a lower node.',
      },
    },
  },
  on: {
    *network(network, { reader }) {
      if (network.kind !== 'token bus') return;
      for (const port of childrenOf(reader, 'port', network.id)) {
        for (const fault of faultsOf(network, port)) {
          yield {
            message: fault.message,
            label: fault.label,
            about: { kind: 'network', id: network.id, name: network.name },
            parties: [{ station: port.station }, { station: port.station }].slice(
              0,
              fault.message === 'unread' ? 1 : 2,
            ),
            cells: [portCell(port, fault.field)],
            params: { network: network.name, a: portName(reader, port), ...fault.params },
            subjects: [port.id],
          };
        }
      }
    },
  },
  fixes(finding, reader) {
    const port = reader.get('port', finding.cells[0]!.id);
    const network = reader.get('network', finding.about.id);
    if (!port || !network) return [];
    const { a, here, there } = finding.params;
    switch (finding.message) {
      case 'rate':
        return [{ label: `${a}: ${there} → ${here}`, changes: [set('port', port, ['busRate'], here)] }];
      case 'times':
        return [{ label: `${a}: ${there} → ${here}`, changes: [set('port', port, ['busProfile'], here)] }];
      case 'above':
        return [
          {
            label: `${network.name}: highest address ${here} → ${there}`,
            changes: [set('network', network, ['highestAddress'], there)],
          },
        ];
      default:
        return [];
    }
  },
};

interface Fault {
  message: 'rate' | 'times' | 'unread' | 'above';
  label: string;
  field: string;
  params: Record<string, string>;
}

function faultsOf(network: Network, port: Port): Fault[] {
  const faults: Fault[] = [];
  const typed = (port.busRate ?? '').trim();
  const [own, rate] = [parseBusRate(typed), parseBusRate(network.busRate ?? '')];
  if (typed !== '' && !own.ok) {
    const params = { there: typed, found: own.found, expected: own.expected };
    faults.push({ message: 'unread', label: 'bus rate', field: 'busRate', params });
  }
  if (own.ok && rate.ok && own.value !== rate.value) {
    const params = { here: formatBusRate(rate.value), there: formatBusRate(own.value) };
    faults.push({ message: 'rate', label: 'bus rate', field: 'busRate', params });
  }
  const [times, here] = [(port.busProfile ?? '').trim(), (network.busProfile ?? '').trim()];
  if (times !== '' && here !== '' && times.toLowerCase() !== here.toLowerCase()) {
    faults.push({ message: 'times', label: 'bus profile', field: 'busProfile', params: { here, there: times } });
  }
  const node = numberOf(port, 'node');
  const highest = Number((network.highestAddress ?? '').trim() || NaN);
  if (port.busActive && node !== null && node > highest) {
    const params = { here: String(highest), there: String(node) };
    faults.push({ message: 'above', label: 'highest address', field: 'node', params });
  }
  return faults;
}
