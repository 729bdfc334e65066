import { childrenOf, entriesInOrder } from '../../../model/order.js';
import type { Port } from '../../../model/port.js';
import type { PresetField } from '../../../model/words.js';
import type { Network } from '../../../model/network.js';
import { SPACES } from '../../../wiring/address-spaces.js';
import { numberText } from '../../../wiring/numbers-on.js';
import { portCell, portName } from '../../port-words.js';
import type { Report, Rule } from '../../rule.js';

export const notYetSet: Rule = {
  meta: {
    code: 'ADR 10',
    title: 'A value that a type leaves the factory with is set',
    source: 'common practice: devices of one type all come with the same value; its profile says which',
    messages: {
      left: {
        severity: 'doubt',
        headline: '{a}: {field} {value} is still the factory value, so it is not yet set',
        says: ['{field} [[{value}]], as from the factory ({source})'],
        consequence: 'Every new device of this type has the same; two of them cannot be told apart.',
        remedy: 'Give it a value of its own, and set it at the device.',
      },
      none: {
        severity: 'doubt',
        headline: '{a}: on {network} it needs a {field}, and has none yet',
        says: ['{field} on {network}: [[not yet set]]'],
        consequence: 'Nobody on {network} can call it.',
        remedy: 'Give it one that is free, and set it at the device.',
      },
    },
  },
  on: {
    *station(station, { reader }): Generator<Report> {
      const profile = station.profile ? reader.get('profile', station.profile) : undefined;
      for (const port of childrenOf(reader, 'port', station.id)) {
        for (const [key, preset] of entriesInOrder(withOrder(profile?.presets ?? {}))) {
          if (textOf(port, preset.field) !== preset.value.trim()) continue;
          yield {
            message: 'left',
            label: 'not yet set',
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: station.id }],
            cells: [portCell(port, ...pathOf(preset.field))],
            params: { a: portName(reader, port), field: preset.field, value: preset.value, source: preset.source },
            subjects: [port.id, key],
          };
        }
        const network = port.network ? reader.get('network', port.network) : undefined;
        const field = network && missingNumber(network, port);
        if (!field) continue;
        yield {
          message: 'none',
          label: 'not yet set',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [portCell(port, ...pathOf(field === 'radio' ? 'radio number' : field))],
          params: { a: portName(reader, port), field: SPACES[field].name, network: network.name },
          subjects: [port.id, 'none'],
        };
      }
    },
  },
};

const withOrder = <T extends object>(list: Record<string, T>): Record<string, T & { order: number }> =>
  Object.fromEntries(Object.entries(list).map(([key, value]) => [key, { ...value, order: 0 }]));

function textOf(port: Port, field: PresetField): string {
  if (field === 'address') return port.address.trim();
  return numberText(port, field === 'radio number' ? 'radio' : field);
}

/** The number that a port needs on this network, and does not have; of telemetry addresses 0 is that of a new device. */
function missingNumber(network: Network, port: Port): 'unit' | 'node' | 'telemetry' | 'radio' | null {
  if (numberText(port, 'telemetry') === '0') return 'telemetry';
  if (network.kind === 'token bus' && numberText(port, 'node') === '') return 'node';
  if (network.kind === 'radio' && numberText(port, 'radio') === '') return 'radio';
  const answers = network.kind === 'serial line' && port.lineRole === 'answers';
  return answers && port.unit === null && numberText(port, 'telemetry') === '' ? 'unit' : null;
}

const pathOf = (field: PresetField): string[] => (field === 'radio number' ? ['radio', 'number'] : [field]);
