import { isInRack, placeFault } from '../../../rack/slots.js';
import { moduleCell, moduleName, racksOf } from '../../module-words.js';
import { entriesInOrder } from '../../../model/order.js';
import type { Rack } from '../../../model/rack.js';
import type { Station } from '../../../model/station.js';
import type { Report, Rule } from '../../rule.js';

export const wrongPlace: Rule = {
  meta: {
    code: 'HWS 4',
    title: 'A module stands in a zone for its kind, on a base that takes it',
    source: 'the rack’s zones and the list of modules that its base takes',
    messages: {
      zone: {
        severity: 'blocker',
        headline: '{station}, {rack}: {a} cannot be there: {fault}',
        says: ['{a} is [[{kind}]]; {fault}'],
        consequence: 'It does not fit, or does not start there.',
        remedy: 'Move it to a zone for {kind}.',
      },
      base: {
        severity: 'blocker',
        headline: '{station}, {rack}: {a} is {code}, which this base does not take',
        says: ['{a}: [[{code}]]; the base takes {takes}'],
        consequence: 'The base does not know the module.',
        remedy: 'Choose a module that the base takes, or another base.',
      },
      outside: {
        severity: 'blocker',
        headline: '{station}, {rack}: zone {a} has slots {slots}; the rack has {all}',
        says: ['zone {a}: slots [[{slots}]]; the rack has {all}'],
        consequence: 'What is planned in those slots has no place.',
        remedy: 'Correct where the zone begins, its size, or the size of the rack.',
      },
      overlap: {
        severity: 'blocker',
        headline: '{station}, {rack}: the zones {a} and {b} both have slots {slots}',
        says: ['zones {a} and {b}: both have slots [[{slots}]]'],
        consequence: 'Which kinds of module those slots take is not known.',
        remedy: 'Let each slot be in one zone.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const { rack, modules } of racksOf(reader, station.id)) {
        yield* zoneReports(station, rack);
        for (const module of modules) {
          const code = module.orderCode.trim();
          const unfit = rack.takes.length > 0 && code !== '' && !rack.takes.includes(code);
          const inside = module.slot !== null && isInRack(rack, module.slot);
          const fault = inside ? placeFault(rack, module, module.slot!) : null;
          if (!unfit && !fault) continue;
          yield {
            message: fault ? 'zone' : 'base',
            label: fault ? 'zone' : 'base',
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: station.id }],
            cells: [moduleCell(module, fault ? 'slot' : 'orderCode')],
            params: {
              station: station.name,
              rack: rack.name || 'rack',
              a: moduleName(rack, module),
              fault: fault ?? '',
              kind: module.kind,
              code,
              takes: rack.takes.join(', '),
            },
            subjects: [module.id],
          };
        }
      }
    },
  },
};

function* zoneReports(station: Station, rack: Rack): Generator<Report> {
  const zones = entriesInOrder(rack.zones).map(([id, zone]) => ({ id, ...zone, end: zone.slot + zone.size }));
  const end = rack.first + rack.size;
  const words = (from: number, to: number) => (to - from === 1 ? String(from) : `${from} to ${to - 1}`);
  const report = (message: string, zone: (typeof zones)[number], params: Record<string, string>): Report => ({
    message,
    label: message === 'outside' ? 'zone outside' : 'zones overlap',
    about: { kind: 'station', id: station.id, name: station.name },
    parties: [{ station: station.id }],
    cells: [{ kind: 'rack', id: rack.id, path: ['zones', zone.id, 'slot'] }],
    params: { station: station.name, rack: rack.name || 'rack', a: zone.name, ...params },
    subjects: [rack.id, zone.id, params.b ?? ''],
  });
  for (const [i, zone] of zones.entries()) {
    if (zone.slot < rack.first || zone.end > end) {
      yield report('outside', zone, { slots: words(zone.slot, zone.end), all: words(rack.first, end) });
    }
    for (const before of zones.slice(0, i)) {
      const [from, to] = [Math.max(zone.slot, before.slot), Math.min(zone.end, before.end)];
      if (from < to) yield report('overlap', zone, { b: before.name, slots: words(from, to) });
    }
  }
}
