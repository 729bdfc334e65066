import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import { formatSerial, parseSerial, type SerialSettings } from '../../../wiring/serial-settings.js';
import { fewOf } from '../../few-of.js';
import { portCell, portName } from '../../port-words.js';
import type { Report, Rule } from '../../rule.js';

export const lineSettings: Rule = {
  meta: {
    code: 'LIN 1',
    title: 'All on one serial line have one rate and one character',
    source: 'Modbus over Serial Line V1.02, 2.5.1: all devices of a line use the same rate, parity and stop bits',
    yieldsAtCell: ['LIN 6 dataBits'],
    messages: {
      differs: {
        severity: 'blocker',
        headline: '{network}: {b} has {there}, {a} has {here}: {what}',
        says: ['{here}', '[[{there}]], other {what}'],
        consequence: '{b} cannot communicate on this line.',
        remedy: 'Set {here} at {b}, as at {a}.',
      },
      unread: {
        severity: 'blocker',
        headline: '{b}: {found}',
        says: ['[[{there}]]: {found}'],
        consequence: 'Whether {b} can talk on {network} is not known.',
        remedy: '{expected}.',
      },
    },
  },
  on: {
    *network(network, { reader }): Generator<Report> {
      if (network.kind !== 'serial line') return;
      const about = { kind: 'network', id: network.id, name: network.name } as const;
      const ports = childrenOf(reader, 'port', network.id).filter((p) => (p.serial ?? '').trim() !== '');
      const readable = ports.flatMap((port) => {
        const settings = parseSerial(port.serial!);
        return settings.ok ? [{ port, settings: settings.value }] : [];
      });
      for (const port of ports) {
        const settings = parseSerial(port.serial!);
        if (settings.ok) continue;
        yield {
          message: 'unread',
          label: 'settings',
          about,
          parties: [{ station: port.station }],
          cells: [portCell(port, 'serial')],
          params: {
            network: network.name,
            b: portName(reader, port),
            there: port.serial!.trim(),
            found: settings.found,
            expected: settings.expected[0]!.toUpperCase() + settings.expected.slice(1),
          },
          subjects: [port.id],
        };
      }
      const measure = readable.find(({ port }) => port.lineRole === 'calls') ?? readable[0];
      if (!measure) return;
      const unlike = readable.filter(({ settings }) => differences(measure.settings, settings) !== '');
      const [first] = unlike;
      // Where all others agree, it is the caller that stands alone.
      const alone =
        unlike.length > 1 &&
        unlike.length === readable.length - 1 &&
        unlike.every(({ settings }) => differences(first!.settings, settings) === '');
      const pairs = alone ? [{ right: first!, wrong: measure }] : unlike.map((wrong) => ({ right: measure, wrong }));
      for (const { right, wrong } of pairs) {
        const what = differences(right.settings, wrong.settings);
        yield {
          message: 'differs',
          label: what,
          about,
          parties: [{ station: right.port.station }, { station: wrong.port.station }],
          cells: [portCell(wrong.port, 'serial'), portCell(right.port, 'serial')],
          params: {
            network: network.name,
            a: alone ? fewOf(unlike.map(({ port }) => portName(reader, port))) : portName(reader, right.port),
            b: portName(reader, wrong.port),
            here: formatSerial(right.settings),
            there: formatSerial(wrong.settings),
            what,
          },
          subjects: [wrong.port.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const port = reader.get('port', finding.cells[0]!.id);
    if (!port || finding.message !== 'differs') return [];
    const { b, here, there } = finding.params;
    return [{ label: `${b}: ${there} → ${here}`, changes: [set('port', port, ['serial'], here)] }];
  },
};

function differences(a: SerialSettings, b: SerialSettings): string {
  const words = [
    a.rate === b.rate ? '' : 'rate',
    a.dataBits === b.dataBits ? '' : 'data bits',
    a.parity === b.parity ? '' : 'parity',
    a.stopBits === b.stopBits ? '' : 'stop bits',
  ];
  return words.filter((w) => w !== '').join(', ');
}
