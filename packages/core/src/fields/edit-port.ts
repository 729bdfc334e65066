import { formatMask, parseIpv4, parseMask } from '../wiring/ipv4.js';
import { put, set } from '../change/make.js';
import { newNetwork } from '../create/new-entities.js';
import { inOrder, orderAfter } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import { ADDRESS_SOURCES, PURPOSES } from '../model/words.js';
import { editFurther } from './edit-further.js';
import { editListening } from './edit-listening.js';
import { editTakes, editTunnel } from './edit-service-port.js';
import { editOff } from './edit-off.js';
import { changed, parseWhole, parseWord, refused, type FieldEdit } from '../text/field-edit.js';

export type PortColumn =
  | 'name'
  | 'network'
  | 'address'
  | 'mask'
  | 'gateway'
  | 'purpose'
  | 'tcpPort'
  | 'unit'
  | 'how'
  | 'enabled'
  | 'deviceName'
  | 'hardware'
  | 'former'
  | 'further'
  | 'off'
  | 'takes'
  | 'tunnel'
  | 'bridgedTo'
  | 'recognised';

const MOST_FORMER = 50;

/**
 * Typed text into one field of a port. `10.48.10.11/24` sets address and mask; an address that changes leaves the old
 * one among the former; a network that is not there yet is made.
 */
export function editPort(
  project: Project,
  port: Port,
  column: PortColumn,
  text: string,
  newId: () => string,
): FieldEdit {
  const clean = text.trim();
  switch (column) {
    case 'network': {
      if (clean === '') return changed(set('port', port, ['network'], null));
      const networks = inOrder(project, 'network');
      const found = networks.find((n) => n.name.toLowerCase() === clean.toLowerCase());
      if (found) return changed(set('port', port, ['network'], found.id));
      const network = newNetwork(newId(), orderAfter(networks), clean);
      return changed(put('network', network), set('port', port, ['network'], network.id));
    }
    case 'address':
      return editAddress(port, clean);
    case 'mask': {
      const mask = parseMask(clean);
      return changed(set('port', port, ['mask'], mask.ok ? formatMask(mask.value) : clean));
    }
    case 'purpose': {
      const purpose = parseWord(clean, PURPOSES, 'purpose');
      return purpose.ok ? changed(set('port', port, ['purpose'], purpose.value)) : refused(purpose);
    }
    case 'tcpPort':
      return editListening(project, port, clean);
    case 'takes':
      return editTakes(port, clean);
    case 'tunnel':
      return editTunnel(port, clean);
    case 'off':
      return editOff(port, clean);
    case 'further':
      return editFurther(port, clean, newId);
    case 'bridgedTo':
      return editBridge(project, port, clean);
    case 'unit': {
      if (clean === '') return changed(set('port', port, ['unit'], null));
      const unit = parseWhole(clean, 0, 255, 'a unit address');
      return unit.ok ? changed(set('port', port, ['unit'], unit.value)) : refused(unit);
    }
    case 'how': {
      const how = parseWord(clean, ADDRESS_SOURCES, 'way to get an address');
      if (how.ok && how.value === (port.how ?? 'by hand')) return changed();
      return how.ok ? changed(set('port', port, ['how'], how.value)) : refused(how);
    }
    case 'enabled': {
      const yes = parseWord(clean, ['yes', 'no'], 'answer');
      return yes.ok ? changed(set('port', port, ['enabled'], yes.value === 'yes')) : refused(yes);
    }
    case 'deviceName':
    case 'hardware':
    case 'recognised':
      return changed(set('port', port, [column], clean || undefined));
    case 'former': {
      const addresses = clean.split(/[\s,;]+/).filter((a) => a !== '');
      if (addresses.length <= MOST_FORMER) return changed(set('port', port, ['former'], addresses));
      return refused({
        found: `${addresses.length} former addresses`,
        expected: `a port keeps at most ${MOST_FORMER}`,
      });
    }
    default:
      return changed(set('port', port, [column], clean));
  }
}

/** `Host`, or `Host, first adapter` where it has several: the adapter through which this one's traffic leaves. */
function editBridge(project: Project, port: Port, text: string): FieldEdit {
  if (text === '') return changed(set('port', port, ['bridgedTo'], null));
  const ports = inOrder(project, 'port').filter((p) => p.station !== port.station);
  const named = ports.filter((p) => {
    const station = project.get('station', p.station)?.name ?? '';
    return [station, `${station}, ${p.name}`].some((name) => name.toLowerCase() === text.toLowerCase());
  });
  const [one] = named;
  if (named.length === 1 && one) return changed(set('port', port, ['bridgedTo'], one.id));
  const found = named.length === 0 ? `“${text}” names no port` : `“${text}” has ${named.length} ports`;
  return refused({ found, expected: 'write the host computer and its adapter, as in Office computer, first adapter' });
}

function editAddress(port: Port, text: string): FieldEdit {
  const [address = '', prefix] = text.split('/');
  const changes = [set('port', port, ['address'], address.trim())];
  if (prefix !== undefined) {
    const mask = parseMask(`/${prefix}`);
    if (!mask.ok) return refused(mask);
    changes.push(set('port', port, ['mask'], formatMask(mask.value)));
  }
  const old = port.address.trim();
  const wasOne = parseIpv4(old).ok && old !== address.trim() && !port.former.includes(old);
  if (wasOne) changes.push(set('port', port, ['former'], [...port.former, old].slice(-MOST_FORMER)));
  return { changes, problem: null };
}
