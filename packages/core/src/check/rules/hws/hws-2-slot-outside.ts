import { set } from '../../../change/make.js';
import { isInRack, lastSlot, slotName } from '../../../rack/slots.js';
import { childrenOf } from '../../../model/order.js';
import type { Module } from '../../../model/module.js';
import type { Reader } from '../../../model/project.js';
import type { Rack } from '../../../model/rack.js';
import type { Station } from '../../../model/station.js';
import { counted } from '../../few-of.js';
import { moduleCell, moduleName, racksOf } from '../../module-words.js';
import { stationName } from '../../port-words.js';
import type { Report, Rule } from '../../rule.js';

export const slotOutside: Rule = {
  meta: {
    code: 'HWS 2',
    title: 'Slots lie in the rack, and all have the same picture of it',
    source: 'common practice: a rack of n slots from f ends at f + n − 1',
    yieldsAtCell: ['HWS 1', 'HWS 2 outside'],
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
      bytes: {
        severity: 'blocker',
        headline: '{b} has {a} with {told} of {what}; it has {bytes}',
        says: ['{a}: {bytes} of {what}', 'entered with [[{told}]] of {what}'],
        consequence: '{b} refuses the module, or takes what follows it from the wrong place.',
        remedy: 'Enter {bytes} at {b}, or correct the module.',
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
          yield* otherBytes(reader, station, rack, module);
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
    if (landing && finding.message === 'bytes') {
      const field = cell!.path[0] as 'inputs' | 'outputs';
      const value = reader.get('module', landing.module)?.[field];
      const label = `${finding.params.b}: ${finding.params.told} → ${finding.params.bytes} of ${field}`;
      return [{ label, changes: [set('landing', landing, [field], value)] }];
    }
    const module = landing && reader.get('module', landing.module);
    const rack = module && reader.get('rack', module.rack);
    if (!landing || !module || !rack) return [];
    const label = `${finding.params.b}: ${moduleName(rack, module)}`;
    return [{ label, changes: [set('landing', landing, ['slot'], module.slot)] }];
  },
};

/** A controller has the module with other bytes of inputs or outputs than it has. */
function* otherBytes(reader: Reader, station: Station, rack: Rack, module: Module): Generator<Report> {
  for (const landing of childrenOf(reader, 'landing', module.id)) {
    for (const what of ['inputs', 'outputs'] as const) {
      const told = landing[what];
      const listens = what === 'outputs' && landing.role === 'listener';
      if (listens || told === null || told === module[what]) continue;
      yield {
        message: 'bytes',
        label: `bytes of ${what}`,
        about: { kind: 'station', id: station.id, name: station.name },
        parties: [{ station: station.id }, { station: landing.station }],
        cells: [{ kind: 'landing', id: landing.id, path: [what] }, moduleCell(module, what)],
        params: {
          station: station.name,
          a: moduleName(rack, module),
          b: stationName(reader, landing.station),
          what,
          told: counted('byte')(told),
          bytes: counted('byte')(module[what]),
        },
        subjects: [landing.id, what],
      };
    }
  }
}
