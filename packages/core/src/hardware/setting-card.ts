import { addressesOf } from '../wiring/port-addresses.js';
import { fieldText } from '../fields/field.js';
import { isLine, LINE_PORT } from '../fields/line.js';
import { formatRadioPlace, radioPlaceOf } from '../wiring/radio-block.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { slotName } from '../rack/slots.js';

/** One thing to set at the device itself. */
export interface CardLine {
  /** where: a port, or a module in its slot */
  at: string;
  what: string;
  value: string;
  /** what to do afterwards, or what follows from it; empty: nothing */
  then: string;
}

/** Everything that is set by hand at a device: addresses and settings of its ports, rotary switches of its modules. */
export function settingCard(project: Project, station: Station): CardLine[] {
  const lines: CardLine[] = [];
  for (const port of childrenOf(project, 'port', station.id)) {
    const network = port.network ? project.get('network', port.network) : undefined;
    const at = [port.name, network?.name].filter((word) => word).join(', ');
    const add = (what: string, value: string, then = '') => {
      if (value.trim() !== '') lines.push({ at, what, value, then });
    };
    for (const { address, mask, how } of addressesOf(port)) {
      if (address.trim() === '') continue;
      add('IP address', address, how === 'temporary' ? 'set for the moment only so far; set it for good' : '');
      add('mask', mask);
    }
    add('gateway', port.gateway);
    add('device name', port.deviceName ?? '', 'the controller finds it by this name');
    if (network && isLine(network)) {
      const rows = LINE_PORT[network.kind];
      for (const [id, { title, edit }] of Object.entries(rows.fields)) {
        if (edit) add(title.toLowerCase(), fieldText(rows, id, port, project));
      }
    }
    add('telemetry address', port.telemetry ?? '');
  }
  for (const rack of childrenOf(project, 'rack', station.id)) {
    for (const module of childrenOf(project, 'module', rack.id)) {
      const dial = (module.dial ?? '').trim();
      if (dial === '') continue;
      const slot = module.slot === null ? 'no slot yet' : `slot ${slotName(rack, module.slot)}`;
      const place = radioPlaceOf(project, module);
      const where = place
        ? `then it lies at ${formatRadioPlace(place)} of ${project.get('station', place.base)?.name}`
        : '';
      const button = module.dialRead === false ? 'read the rotary switch in by its button, or restart' : '';
      const then = [button, where].filter((words) => words !== '').join('; ');
      lines.push({ at: `${slot}, ${module.name || module.kind}`, what: 'rotary switch', value: dial, then });
    }
  }
  return lines;
}
