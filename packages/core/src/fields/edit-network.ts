import { formatSubnet, parseSubnet } from '../wiring/ipv4.js';
import { set } from '../change/make.js';
import type { Network, RadioSettings } from '../model/network.js';
import { NETWORK_KINDS, WIRINGS } from '../model/words.js';
import { formatBusRate, parseBusRate } from '../wiring/bus-rates.js';
import { changed, parseWhole, parseWord, refused, type FieldEdit } from '../text/field-edit.js';

export type NetworkColumn =
  | 'name'
  | 'kind'
  | 'subnet'
  | 'wiring'
  | 'linkRate'
  | 'busRate'
  | 'busProfile'
  | 'highestAddress'
  | 'comment'
  | `radio.${RadioColumn}`;
export type RadioColumn = keyof RadioSettings;

/** One field of a network, to edit. */
export function networkText(network: Network, column: NetworkColumn): string {
  if (!column.startsWith('radio.')) return String(network[column as 'name'] ?? '');
  return String(network.radio?.[column.slice(6) as RadioColumn] ?? '');
}

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
  if (column === 'linkRate') {
    if (clean === '') return changed(set('network', network, ['linkRate'], null));
    const rate = parseWhole(clean.replace(/\s*Mbit\/s$/i, ''), 1, 400_000, 'a rate in Mbit/s');
    return rate.ok ? changed(set('network', network, ['linkRate'], rate.value)) : refused(rate);
  }
  if (column === 'busRate') {
    const rate = parseBusRate(clean);
    return changed(set('network', network, ['busRate'], rate.ok ? formatBusRate(rate.value) : clean || undefined));
  }
  if (column.startsWith('radio.')) {
    const field = column.slice(6) as RadioColumn;
    const counted = field === 'repeaters' || field === 'endUnits';
    const count = counted && clean !== '' ? parseWhole(clean, 0, 10_000, 'a number of units') : null;
    if (count && !count.ok) return refused(count);
    const value = count?.ok ? count.value : clean || undefined;
    return network.radio
      ? changed(set('network', network, ['radio', field], value))
      : changed(set('network', network, ['radio'], value === undefined ? {} : { [field]: value }));
  }
  if (column !== 'subnet') return changed(set('network', network, [column], clean));
  if (clean === '') return changed(set('network', network, ['subnet'], undefined));
  const subnet = parseSubnet(clean);
  return subnet.ok ? changed(set('network', network, ['subnet'], formatSubnet(subnet.value))) : refused(subnet);
}
