import { slotName } from '../../../rack/slots.js';
import { moduleCell, racksOf } from '../../module-words.js';
import type { Rule } from '../../rule.js';

export const slotTwice: Rule = {
  meta: {
    code: 'HWS 1',
    title: 'One module in a slot',
    source: 'common practice: a slot takes one module',
    messages: {
      twice: {
        severity: 'blocker',
        headline: '{station}, {rack}: {a} and {b} both in slot {slot}',
        says: ['{a} in slot [[{slot}]], {b} in slot [[{slot}]]'],
        consequence: 'Only one of them can be plugged in there.',
        remedy: 'Move one of them to a slot that is free.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const { rack, modules } of racksOf(reader, station.id)) {
        for (const [i, module] of modules.entries()) {
          const other = modules.slice(0, i).find((m) => m.slot !== null && m.slot === module.slot);
          if (!other) continue;
          yield {
            message: 'twice',
            label: 'slot twice',
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: station.id }],
            cells: [moduleCell(module, 'slot'), moduleCell(other, 'slot')],
            params: {
              station: station.name,
              rack: rack.name || 'rack',
              a: other.name || other.kind,
              b: module.name || module.kind,
              slot: slotName(rack, module.slot!),
            },
            subjects: [other.id, module.id],
          };
        }
      }
    },
  },
};
