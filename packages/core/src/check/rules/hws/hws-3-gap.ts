import { gapsIn, slotName } from '../../../rack/slots.js';
import { moduleCell, racksOf } from '../../module-words.js';
import type { Rule } from '../../rule.js';

export const slotGap: Rule = {
  meta: {
    code: 'HWS 3',
    title: 'No empty slot between modules where the rack allows none',
    source: 'the rack’s own rule; common practice: where modules hand signals on, a gap cuts off what lies behind it',
    yieldsTo: ['HWS 1', 'HWS 2 outside'],
    messages: {
      gap: {
        severity: 'blocker',
        headline: '{station}, {rack}: slot {slot} is empty, and gaps are not allowed there',
        says: ['slot [[{slot}]]: empty; {next} follows'],
        consequence: 'Modules behind the gap are not seen.',
        remedy: 'Move the modules behind it up, or plug a filler into slot {slot}.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const { rack, modules } of racksOf(reader, station.id)) {
        const taken = new Map(modules.flatMap((m) => (m.slot === null ? [] : [[m.slot, m] as const])));
        for (const slot of gapsIn(rack, new Set(taken.keys()))) {
          const next = [...taken].filter(([s]) => s > slot).sort(([a], [b]) => a - b)[0]![1];
          yield {
            message: 'gap',
            label: 'gap',
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: station.id }],
            cells: [moduleCell(next, 'slot')],
            params: {
              station: station.name,
              rack: rack.name || 'rack',
              slot: slotName(rack, slot),
              next: next.name || next.kind,
            },
            subjects: [rack.id, String(slot)],
          };
        }
      }
    },
  },
};
