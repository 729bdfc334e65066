import { isInRack, placeFault } from '../../../hardware/slots.js';
import { moduleCell, moduleName, racksOf } from '../../module-words.js';
import type { Rule } from '../../rule.js';

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
    },
  },
  on: {
    *station(station, { reader }) {
      for (const { rack, modules } of racksOf(reader, station.id)) {
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
