import { formatSubnet, parseSubnet } from '../address/ipv4.js';
import { set } from '../change/make.js';
import type { Network } from '../model/network.js';
import { NETWORK_KINDS, WIRINGS } from '../model/words.js';
import { formatBusRate, parseBusRate } from '../wiring/bus-rates.js';
import { changed, parseWord, refused, type FieldEdit } from './field-edit.js';

export type NetworkColumn = 'name' | 'kind' | 'subnet' | 'wiring' | 'busRate' | 'highestAddress' | 'comment';

/** Typed text into one field of a network. A subnet that cannot be read is refused with what would be right. */
export function editNetwork(network: Network, column: NetworkColumn, text: string): FieldEdit {
  const clean = text.trim();
  if (column === 'kind') {
    const kind = parseWord(clean, NETWORK_KINDS, 'kind of network');
    return kind.ok ? changed(set('network', network, ['kind'], kind.value)) : refused(kind);
  }
  if (column === 'wiring') {
    if (clean === '') return changed(set('network', network, ['wiring'], undefined));
    const wiring = parseWord(clean, WIRINGS, 'wiring');
    return wiring.ok ? changed(set('network', network, ['wiring'], wiring.value)) : refused(wiring);
  }
  if (column === 'busRate') {
    const rate = parseBusRate(clean);
    return changed(set('network', network, ['busRate'], rate.ok ? formatBusRate(rate.value) : clean || undefined));
  }
  if (column !== 'subnet') return changed(set('network', network, [column], clean));
  if (clean === '') return changed(set('network', network, ['subnet'], undefined));
  const subnet = parseSubnet(clean);
  return subnet.ok ? changed(set('network', network, ['subnet'], formatSubnet(subnet.value))) : refused(subnet);
}
