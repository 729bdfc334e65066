import { set } from '../../../change/make.js';
import type { Landing } from '../../../model/landing.js';
import type { Module } from '../../../model/module.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import { moduleCell, moduleName, racksOf } from '../../module-words.js';
import { stationName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const orderCode: Rule = {
  meta: {
    code: 'HWS 7',
    title: 'A module’s order code is the one of the list, of the rack and of each controller that claims it',
    source: 'common practice: the code that was ordered, plugged in and entered is one',
    messages: {
      listed: {
        severity: 'blocker',
        headline: '{station}: {a} is planned as {planned}; the hardware list has {other}',
        says: ['{a}: planned [[{planned}]], listed [[{other}]]{source}'],
        consequence: 'Another module will be delivered than the one that everything was worked out for.',
        remedy: 'Correct the plan, or the list.',
      },
      found: {
        severity: 'blocker',
        headline: '{station}: {a} is planned as {planned}; {other} was found',
        says: ['{a}: planned [[{planned}]], found [[{other}]]{source}'],
        consequence: 'The controller refuses another module, or reads it wrongly.',
        remedy: 'Correct the plan, or change the module.',
      },
      landing: {
        yieldsAtCell: ['HWS 7 found', 'HWS 7 listed'],
        severity: 'blocker',
        headline: '{b} has {other} entered for {a}; planned: {planned}',
        says: ['{a}, {planned}', '[[{other}]]'],
        consequence: '{b} refuses the module, or reads it wrongly.',
        remedy: 'Enter {planned} at {b}.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const { rack, modules } of racksOf(reader, station.id)) {
        for (const module of modules) {
          for (const { message, landing, other, source } of othersOf(reader, module)) {
            yield {
              message,
              label: 'order code',
              about: { kind: 'station', id: station.id, name: station.name },
              parties: [{ station: station.id }, ...(landing ? [{ station: landing.station }] : [])],
              cells: [
                ...(landing ? [{ kind: 'landing', id: landing.id, path: ['orderCode'] } as const] : []),
                moduleCell(module, 'orderCode'),
              ],
              params: {
                station: station.name,
                a: moduleName(rack, module),
                b: landing ? stationName(reader, landing.station) : '',
                planned: module.orderCode.trim(),
                other,
                source: source ? ` (${source})` : '',
              },
              subjects: [module.id, message, landing?.id ?? ''],
            };
          }
        }
      }
    },
  },
  fixes(finding, reader) {
    const { planned, other, a, b } = finding.params;
    const landing = reader.get('landing', finding.cells[0]!.id);
    if (landing) {
      const label = `${b}: ${other} → ${planned}`;
      return [{ label, changes: [set('landing', landing, ['orderCode'], planned)] }];
    }
    const module = reader.get('module', finding.cells[0]!.id);
    if (!module) return [];
    return [{ label: `${a}: ${planned} → ${other}`, changes: [set('module', module, ['orderCode'], other)] }];
  },
};

interface Other {
  message: 'listed' | 'found' | 'landing';
  other: string;
  source?: string;
  landing?: Landing;
}

function othersOf(reader: Reader, module: Module): Other[] {
  const planned = module.orderCode.trim();
  if (planned === '') return [];
  const others: Other[] = [];
  for (const message of ['listed', 'found'] as const) {
    const seen = module[message];
    if (seen) others.push({ message, other: seen.orderCode.trim(), source: seen.source ?? '' });
  }
  for (const landing of childrenOf(reader, 'landing', module.id)) {
    others.push({ message: 'landing', other: landing.orderCode.trim(), landing });
  }
  return others.filter(({ other }) => other !== '' && other !== planned);
}
