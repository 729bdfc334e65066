import { childrenOf } from '../../../model/order.js';
import type { Setting } from '../../../model/setting.js';
import { plannedOf, type Planned, settingState } from '../../../setting/planned.js';
import { addressesOf } from '../../../wiring/port-addresses.js';
import { portCell, portName } from '../../port-words.js';
import type { Report, Rule } from '../../rule.js';

export const notInForce: Rule = {
  meta: {
    code: 'ADR 18',
    title: 'What is planned was also set, and for good',
    source:
      'common practice: a value in a plan is not yet in the device, and one given for the moment is gone after a restart',
    messages: {
      temporary: {
        severity: 'doubt',
        headline: '{a}: {address} is set for the moment only',
        says: ['[[{address}]], temporary'],
        consequence: 'After a restart the device is not there any more.',
        remedy: 'Set the address for good at the device, then enter it here as by hand.',
      },
      changed: {
        severity: 'doubt',
        headline: '{a}: {what} was changed after it was sent',
        says: ['planned [[{planned}]]; {sent} sent{by}'],
        consequence: 'The device still works with what was sent before.',
        remedy: 'Send it again, then say so among the settings of {a}.',
      },
      waiting: {
        severity: 'doubt',
        headline: '{a}: {what} {planned} is {state}',
        says: ['{planned}: [[{state}]]{by}'],
        consequence: 'The device does not work with it yet.',
        remedy: 'Restart {a} or see that it is in force, then say so among its settings.',
      },
      sent: {
        severity: 'doubt',
        headline: '{a}: {what} {planned} was sent; nobody has seen yet that it is in force',
        says: ['{planned}: [[sent]]{by}'],
        consequence: 'Whether the device works with it is not known.',
        remedy: 'See whether it is in force, then say so among the settings of {a}.',
      },
      other: {
        severity: 'doubt',
        headline: '{a}: {what} is said to be in force, and {found} was found',
        says: ['planned {planned}, found [[{found}]]'],
        consequence: 'Plan and device disagree.',
        remedy: 'Look again; send {planned}, or plan {found}.',
      },
    },
  },
  on: {
    *station(station, { reader }): Generator<Report> {
      for (const setting of childrenOf(reader, 'setting', station.id)) {
        const planned = plannedOf(reader, setting.field);
        const message = planned && faultOf(setting, planned);
        if (!message) continue;
        yield {
          message,
          label:
            message === 'changed' ? 'changed since sent' : message === 'other' ? 'found otherwise' : 'not in force',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [planned.cell, { kind: 'setting', id: setting.id, path: ['state'] }],
          params: {
            a: station.name,
            what: planned.what,
            planned: planned.text || 'nothing',
            sent: planned.value === planned.text ? setting.sent || 'nothing' : 'another state of it was',
            state: setting.state,
            found: setting.found ?? '',
            by: setting.by.trim() === '' ? '' : ` by ${setting.by.trim()}`,
          },
          subjects: [setting.id],
        };
      }
      for (const port of childrenOf(reader, 'port', station.id)) {
        const all = addressesOf(port).filter((one) => one.address.trim() !== '');
        const [first] = all;
        if (!first || all.some((one) => one.how !== 'temporary')) continue;
        yield {
          message: 'temporary',
          label: 'temporary',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [portCell(port, ...first.path)],
          params: { a: portName(reader, port), address: first.address.trim() },
          subjects: [port.id],
        };
      }
    },
  },
};

function faultOf(setting: Setting, planned: Planned): 'changed' | 'sent' | 'waiting' | 'other' | null {
  const state = settingState(setting, planned);
  if (state === 'changed since sent') return 'changed';
  if (state === 'sent') return 'sent';
  if (state === 'in force after a restart') return 'waiting';
  const found = setting.found?.trim() ?? '';
  return state === 'in force' && found !== '' && planned.cell.path.length > 0 && found !== planned.text
    ? 'other'
    : null;
}
