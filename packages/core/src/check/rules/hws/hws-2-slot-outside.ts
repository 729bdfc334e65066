import { set } from '../../../change/make.js';
import { isInRack, lastSlot, slotName } from '../../../hardware/slots.js';
import { childrenOf } from '../../../model/order.js';
import { moduleCell, moduleName, racksOf } from '../../module-words.js';
import { stationName } from '../../port-words.js';
import type { Report, Rule } from '../../rule.js';

export const slotOutside: Rule = {
  meta: {
    code: 'HWS 2',
    title: 'Slots lie in the rack, and all have the same picture of it',
    source: 'common practice: a rack of n slots from f ends at f + n − 1',
    messages: {
      outside: {
        severity: 'blocker',
        headline: '{station}, {rack}: {a} in slot {slot}; the rack has {first} to {last}',
        says: ['{a}: slot [[{slot}]]; {rack} has slots {first} to {last}'],
        consequence: 'There is no such place.',
        remedy: 'Move it, or take a rack of more slots.',
      },
      size: {
        severity: 'blocker',
        headline: '{station}, {rack}: {planned} slots planned, {found} found',
        says: ['planned [[{planned}]], found [[{found}]]'],
        consequence: 'What was worked out for the planned rack does not fit the one that is there.',
        remedy: 'Take over what was found, or change the rack.',
      },
      landing: {
        severity: 'blocker',
        headline: '{b} has {a} in slot {told}; it is in slot {slot}',
        says: ['{a}, slot {slot}', 'slot [[{told}]]'],
        consequence: '{b} reads and sets another module, or refuses to start.',
        remedy: 'Enter slot {slot} at {b}.',
      },
    },
  },
  on: {
    *station(station, { reader }): Generator<Report> {
      const about = { kind: 'station', id: station.id, name: station.name } as const;
      for (const { rack, modules } of racksOf(reader, station.id)) {
        const shared = { station: station.name, rack: rack.name || 'rack' };
        if (typeof rack.found === 'number' && rack.found !== rack.size) {
          yield {
            message: 'size',
            label: 'rack size',
            about,
            parties: [{ station: station.id }],
            cells: [{ kind: 'rack', id: rack.id, path: ['size'] }],
            params: { ...shared, planned: String(rack.size), found: String(rack.found) },
            subjects: [rack.id],
          };
        }
        for (const module of modules) {
          if (module.slot === null) continue;
          if (!isInRack(rack, module.slot)) {
            const params = { a: module.name || module.kind, slot: String(module.slot) };
            yield {
              message: 'outside',
              label: 'no such slot',
              about,
              parties: [{ station: station.id }],
              cells: [moduleCell(module, 'slot')],
              params: { ...shared, ...params, first: String(rack.first), last: String(lastSlot(rack)) },
              subjects: [module.id],
            };
          }
          for (const landing of childrenOf(reader, 'landing', module.id)) {
            if (landing.slot === null || landing.slot === module.slot) continue;
            yield {
              message: 'landing',
              label: 'slot',
              about,
              parties: [{ station: station.id }, { station: landing.station }],
              cells: [{ kind: 'landing', id: landing.id, path: ['slot'] }, moduleCell(module, 'slot')],
              params: {
                ...shared,
                a: module.name || module.kind,
                b: stationName(reader, landing.station),
                told: slotName(rack, landing.slot),
                slot: slotName(rack, module.slot),
              },
              subjects: [landing.id],
            };
          }
        }
      }
    },
  },
  fixes(finding, reader) {
    const [cell] = finding.cells;
    if (finding.message === 'size') {
      const rack = reader.get('rack', cell!.id);
      if (!rack) return [];
      const { planned, found } = finding.params;
      return [
        {
          label: `${finding.params.rack}: ${planned} → ${found} slots`,
          changes: [set('rack', rack, ['size'], rack.found)],
        },
      ];
    }
    const landing = reader.get('landing', cell!.id);
    const module = landing && reader.get('module', landing.module);
    const rack = module && reader.get('rack', module.rack);
    if (!landing || !module || !rack) return [];
    const label = `${finding.params.b}: ${moduleName(rack, module)}`;
    return [{ label, changes: [set('landing', landing, ['slot'], module.slot)] }];
  },
};
