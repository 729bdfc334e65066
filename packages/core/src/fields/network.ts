import { set } from '../change/make.js';
import type { Network, RadioSettings } from '../model/network.js';
import type { Project } from '../model/project.js';
import { NETWORK_KINDS, WIRINGS } from '../model/words.js';
import { changed, parseWhole, refused, type FieldEdit } from '../text/field-edit.js';
import { formatBusRate, parseBusRate } from '../wiring/bus-rates.js';
import { freeSubnet } from '../wiring/free-subnet.js';
import { formatSubnet, parseSubnet } from '../wiring/ipv4.js';
import { entityRows, type Field } from './field.js';
import { RADIO_WORDS } from './radio-words.js';
import { ofEntity } from './simple-fields.js';

const { text, word, chosen, whole } = ofEntity('network');

const name: Field<Network> = {
  title: 'Network',
  width: [96, 1],
  counts: true,
  ...text('name'),
  examples: ['Cell LAN'],
  help: 'What the network is called.',
};

/** What ports attach to. */
export const NETWORK = entityRows('network', 'network', {
  name,
  kind: {
    title: 'Kind',
    width: 84,
    ...word('kind', NETWORK_KINDS, 'kind of network'),
    examples: ['ethernet', 'serial line'],
    help: 'What it is made of.',
  },
  subnet: {
    title: 'Subnet',
    width: 118,
    mono: true,
    has: ({ kind }) => kind === 'ethernet',
    text: ({ subnet }) => subnet ?? '',
    edit: editSubnet,
    examples: ['10.48.60.0/24', 'new'],
    help: 'Its IPv4 subnet; new takes one that no other network has.',
  },
  wiring: {
    title: 'Wiring',
    width: 80,
    has: ({ kind }) => kind === 'serial line',
    ...chosen('wiring', WIRINGS, 'wiring'),
    examples: [WIRINGS[0]],
    help: 'How many wires the line has.',
  },
  comment: {
    title: 'Comment',
    width: [80, 1],
    ...text('comment'),
    examples: ['behind the cabinet'],
    help: 'Anything worth knowing.',
  },
});

/** The rate of an Ethernet network, beside its load. */
export const ETHERNET = entityRows('network', 'network', {
  name: { title: 'Ethernet network', width: [96, 1], names: true, path: null, text: ({ name }) => name },
  linkRate: {
    title: 'Mbit/s',
    width: 64,
    right: true,
    ...whole('linkRate', 1, 400_000, 'a rate in Mbit/s', { nothing: null, unit: /\s*Mbit\/s$/i }),
    examples: ['100', '1000 Mbit/s'],
    help: 'Its rate in Mbit/s.',
  },
  packets: { title: 'Packets/s', width: 76, right: true, mono: true, path: null, text: () => '' },
  load: { title: 'Load', width: 70, right: true, mono: true, path: null, text: () => '' },
  most: { title: 'Most of it by', width: [96, 1], muted: true, path: null, text: () => '' },
});

/** What holds for a whole token bus. */
export const TOKEN_BUS = entityRows('network', 'token bus', {
  name: { ...name, title: 'Token bus', width: [96, 1.4] },
  busRate: {
    title: 'Rate',
    width: 96,
    mono: true,
    text: ({ busRate }) => busRate ?? '',
    edit: (network, typed) => {
      const rate = parseBusRate(typed);
      return changed(set('network', network, ['busRate'], rate.ok ? formatBusRate(rate.value) : typed || undefined));
    },
    examples: ['187.5 kbit/s', '1.5 Mbit/s'],
    help: 'The rate at which all of its stations speak.',
  },
  busProfile: {
    title: 'Bus profile',
    width: [90, 1],
    mono: true,
    ...text('busProfile'),
    examples: ['standard'],
    help: 'The name of its set of times.',
  },
  highestAddress: {
    title: 'Highest address',
    width: 110,
    right: true,
    mono: true,
    ...text('highestAddress'),
    examples: ['31'],
    help: 'The highest address that its stations ask for.',
  },
});

const radio = (
  field: keyof RadioSettings,
  title: string,
  width: Field<Network>['width'],
  said: Pick<Field<Network>, 'examples' | 'help' | 'right'>,
): Field<Network> => ({
  title,
  width,
  mono: true,
  path: ['radio', field],
  ...(RADIO_WORDS[field] ? { options: RADIO_WORDS[field] } : {}),
  ...said,
  text: (network) => String(network.radio?.[field] ?? ''),
  edit: (network, typed) => {
    const counted = field === 'repeaters' || field === 'endUnits';
    const count = counted && typed !== '' ? parseWhole(typed, 0, 10_000, 'a number of units') : null;
    if (count && !count.ok) return refused(count);
    const value = count?.ok ? count.value : typed || undefined;
    return network.radio
      ? changed(set('network', network, ['radio', field], value))
      : changed(set('network', network, ['radio'], value === undefined ? {} : { [field]: value }));
  },
});

/** What all units of a radio network have in common. */
export const RADIO = entityRows('network', 'radio network', {
  name: { ...name, title: 'Radio network', width: [96, 1.4] },
  id: radio('id', 'Id', 44, { examples: ['12'], help: 'The network’s own identification.' }),
  band: radio('band', 'Band', 72, { examples: ['868'], help: 'The band that it uses.' }),
  rate: radio('rate', 'Rate', 84, { examples: ['19.2k'], help: 'Its rate on the air.' }),
  mode: radio('mode', 'Mode', 64, { examples: ['hop'], help: 'Its mode, as its units call it.' }),
  topology: radio('topology', 'Topology', [60, 0.8], { examples: ['tree'], help: 'How its units reach the base.' }),
});

/** How many units the base of a radio network is set up for. */
export const RADIO_UNITS = entityRows('network', 'radio network', {
  name: { ...name, title: 'Its base is set up for', width: [110, 1.4] },
  repeaters: radio('repeaters', 'Repeaters', 84, {
    examples: ['2'],
    help: 'For how many repeaters its base is set up.',
    right: true,
  }),
  endUnits: radio('endUnits', 'End units', 84, {
    examples: ['8'],
    help: 'For how many end units its base is set up.',
    right: true,
  }),
  blocked: radio('blocked', 'Blocked channels', [110, 1], {
    examples: ['3, 7'],
    help: 'Channels that are not to be used.',
  }),
});

/** A subnet that cannot be read is refused with what would be right. */
function editSubnet(network: Network, typed: string, { project }: { project: Project }): FieldEdit {
  if (typed === '') return changed(set('network', network, ['subnet'], undefined));
  const wish = typed.toLowerCase() === 'new' ? freeSubnet(project) : null;
  const subnet = parseSubnet(wish ? formatSubnet(wish) : typed);
  return subnet.ok ? changed(set('network', network, ['subnet'], formatSubnet(subnet.value))) : refused(subnet);
}
