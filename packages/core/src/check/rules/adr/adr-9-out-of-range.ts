import { childrenOf } from '../../../model/order.js';
import { parseInSpace, SPACES } from '../../../wiring/address-spaces.js';
import { numberText, spacesOn } from '../../../wiring/numbers-on.js';
import { portCell, portName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const outOfRange: Rule = {
  meta: {
    code: 'ADR 9',
    title: 'A unit, node, telemetry or radio number lies in its range',
    source: [SPACES.unit.source, SPACES.node.source, SPACES.telemetry.source].join(' · '),
    messages: {
      outside: {
        severity: 'blocker',
        headline: '{a}: {found}',
        says: ['{space} [[{typed}]]: {found}'],
        consequence: 'No device can have this number, so nothing reaches {a} by it.',
        remedy: 'Type another: {expected}.',
      },
    },
  },
  on: {
    *network(network, { reader }) {
      for (const port of childrenOf(reader, 'port', network.id)) {
        for (const id of spacesOn(network)) {
          const typed = numberText(port, id);
          const number = typed === '' ? null : parseInSpace(typed, SPACES[id]);
          if (!number || number.ok) continue;
          yield {
            message: 'outside',
            label: SPACES[id].name,
            about: { kind: 'network', id: network.id, name: network.name },
            parties: [{ station: port.station }],
            cells: [id === 'radio' ? portCell(port, 'radio', 'number') : portCell(port, id)],
            params: {
              a: portName(reader, port),
              space: SPACES[id].name,
              typed,
              found: number.found,
              expected: number.expected,
            },
            subjects: [port.id, id],
          };
        }
      }
    },
  },
};
