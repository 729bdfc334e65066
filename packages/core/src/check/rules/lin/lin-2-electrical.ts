import { childrenOf } from '../../../model/order.js';
import { portCell, portName } from '../../port-words.js';
import type { Report, Rule } from '../../rule.js';

export const electrical: Rule = {
  meta: {
    code: 'LIN 2',
    title: 'One electrical standard on a line, and one that takes so many',
    source: 'TIA-232 joins two devices; TIA-485 takes many on one pair; common practice',
    messages: {
      differs: {
        severity: 'blocker',
        headline: '{network}: {a} is {here}, {b} is {there}',
        says: ['{here}', '[[{there}]]'],
        consequence: 'Levels and conductors do not fit; at best nothing is heard.',
        remedy: 'Use the {here} interface of {b}, or a converter drawn as a station of its own.',
      },
      crowded: {
        severity: 'blocker',
        headline: '{network}: {count} devices on a line for two',
        says: ['{list}: [[{count}]] on {standard}'],
        consequence: 'A line of this kind joins two devices; a third disturbs them.',
        remedy: 'Use a standard for several devices, such as RS-485, at all of them.',
      },
    },
  },
  on: {
    *network(network, { reader }): Generator<Report> {
      if (network.kind !== 'serial line') return;
      const about = { kind: 'network', id: network.id, name: network.name } as const;
      const ports = childrenOf(reader, 'port', network.id);
      const known = ports.filter((p) => p.electrical !== undefined);
      const measure = known.find((p) => p.lineRole === 'calls') ?? known[0];
      for (const port of known) {
        if (!measure || port.electrical === measure.electrical) continue;
        yield {
          message: 'differs',
          label: 'electrical standard',
          about,
          parties: [{ station: measure.station }, { station: port.station }],
          cells: [portCell(port, 'electrical'), portCell(measure, 'electrical')],
          params: {
            network: network.name,
            a: portName(reader, measure),
            b: portName(reader, port),
            here: measure.electrical!,
            there: port.electrical!,
          },
          subjects: [port.id],
        };
      }
      const forTwo = network.wiring === 'point-to-point' || measure?.electrical === 'RS-232';
      if (!forTwo || ports.length < 3) return;
      yield {
        message: 'crowded',
        label: 'too many',
        about,
        parties: ports.map((p) => ({ station: p.station })),
        cells: [portCell(ports[2]!, 'network'), { kind: 'network', id: network.id, path: ['wiring'] }],
        params: {
          network: network.name,
          count: String(ports.length),
          list: ports.map((p) => portName(reader, p)).join(', '),
          standard: network.wiring === 'point-to-point' ? 'a point-to-point line' : 'RS-232',
        },
        subjects: [network.id],
      };
    },
  },
};
