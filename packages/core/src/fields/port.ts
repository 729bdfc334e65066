import { shownWord } from '../text/shown-word.js';
import { put, set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { addressOnPort, madeForAlone, type Addressed } from '../create/address-on-port.js';
import { newNetwork } from '../create/new-entities.js';
import type { Module } from '../model/module.js';
import { childrenOf, inOrder, orderAfter } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import { ADDRESS_SOURCES, PURPOSES, TRAFFICS } from '../model/words.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';
import { formatMask, parseMask } from '../wiring/ipv4.js';
import { listeningOn } from '../wiring/listening.js';
import { editFurther, furtherText } from './further-addresses.js';
import { editListening, listeningText } from './listening.js';
import { editOff, offText } from './switched-off.js';
import { editTakes, editTunnel, POOL_UNKNOWN, tunnelText } from './service-port.js';
import { entityRows, type Editing } from './field.js';
import { ofEntity } from './simple-fields.js';

const modulesOf = (project: Project, station: string): Module[] => childrenOf(project, 'rack', station).flatMap(({ id }) => childrenOf(project, 'module', id));

const { text, note, word, whole, yes } = ofEntity('port');
const MOST_FORMER = 50;

/** A station's connections to networks. */
export const PORT = entityRows('port', 'port', {
  name: {
    title: 'Port',
    width: [110, 1.4],
    names: true,
    counts: true,
    ...text('name'),
    examples: ['Ethernet 2', 'Serial'],
    help: 'What the port is called on its device or in its tool.',
  },
  network: {
    title: 'Network',
    width: [84, 1],
    text: ({ network }, project) => (network ? (project.get('network', network)?.name ?? '') : ''),
    options: (_, project) => inOrder(project, 'network').map(({ name }) => name),
    edit: editNetworkOf,
    examples: ['Cell LAN 2'],
    help: 'The network that it is attached to; a name that is not there yet makes one.',
  },
  address: {
    title: 'Address',
    width: 112,
    mono: true,
    counts: true,
    text: ({ address }) => address,
    edit: editAddress,
    examples: ['10.48.10.61', '10.48.10.61/24'],
    help: 'Its IPv4 address, .61 or free within its network; /24 behind it sets the mask, too. The old one is kept among the former addresses.',
  },
  mask: {
    title: 'Mask',
    width: 112,
    mono: true,
    text: ({ mask }) => mask,
    edit: (port, typed) => {
      const mask = parseMask(typed);
      return changed(set('port', port, ['mask'], mask.ok ? formatMask(mask.value) : typed));
    },
    examples: ['255.255.255.0', '/24'],
    help: 'The subnet mask, in four numbers or as a number of bits.',
  },
  gateway: {
    title: 'Gateway',
    width: 96,
    mono: true,
    ...text('gateway'),
    examples: ['10.48.10.1'],
    help: 'The router through which it reaches other networks.',
  },
  purpose: {
    title: 'Purpose',
    width: 88,
    ...word('purpose', PURPOSES, 'purpose'),
    examples: ['general'],
    help: 'What the port is meant for.',
  },
  tcpPort: {
    title: 'Listens on TCP port',
    width: 136,
    right: true,
    path: ['tcpPort'],
    text: (port, project) => listeningText(project, port),
    shown: (port, project) =>
      listeningOn(project, port)
        .map((s) => `${s.tcpPort} ${s.name}`)
        .join(', '),
    edit: (port, typed, { project }) => editListening(project, port, typed),
    examples: ['1502 Modbus TCP'],
    help: 'The TCP port that it answers on, where that is not the usual one of the protocol; with the protocol where it answers several.',
  },
  telemetry: {
    title: 'Telemetry address',
    width: 70,
    mono: true,
    right: true,
    ...note('telemetry'),
    examples: ['31'],
    help: 'The telemetry address (DNP3) that it answers to.',
  },
  module: {
    title: 'On module',
    width: [96, 1],
    names: true,
    text: ({ module }, project) => (module ? (project.get('module', module)?.name ?? '') : ''),
    options: ({ station }, project) => modulesOf(project, station).map(({ name }) => name),
    edit: (port, typed, { project }) => {
      if (typed === '') return changed(set('port', port, ['module'], null));
      const clean = typed.toLowerCase();
      const modules = modulesOf(project, port.station);
      const found = modules.find(({ name, slot }) => name.toLowerCase() === clean || clean === `slot ${slot}`);
      if (found) return changed(set('port', port, ['module'], found.id));
      const expected = `its modules are ${modules.map(({ name }) => name).join(', ') || 'none yet'}`;
      return refused({ found: `“${typed}” is no module of it`, expected });
    },
    examples: [],
    help: 'The module that the port is on, by its name or its slot; empty: the station itself.',
  },
  unit: {
    title: 'Unit',
    width: 44,
    mono: true,
    right: true,
    ...whole('unit', 0, 255, 'a unit address', { nothing: null }),
    examples: ['17'],
    help: 'The unit address that it answers to, from 0 to 255; empty where it answers to any.',
  },
  how: {
    title: 'Address source',
    width: 84,
    ...word('how', ADDRESS_SOURCES, 'way to get an address'),
    text: ({ how }) => how ?? 'by hand',
    edit: (port, typed, editing) =>
      typed.toLowerCase() === (port.how ?? 'by hand') ? changed() : word('how', ADDRESS_SOURCES, 'way to get an address').edit(port, typed, editing),
    examples: ['by hand', 'automatic'],
    help: 'Who sets the address.',
  },
  enabled: {
    title: 'Enabled',
    width: 56,
    ...yes('enabled'),
    examples: ['yes', 'no'],
    help: 'Whether the port is switched on.',
  },
  deviceName: {
    title: 'Device name',
    width: [96, 1],
    mono: true,
    ...note('deviceName'),
    examples: ['evap-head-1'],
    help: 'The name by which cyclic Ethernet I/O finds it.',
  },
  hardware: {
    title: 'Hardware address',
    width: 120,
    mono: true,
    ...note('hardware'),
    examples: ['00:00:5E:00:53:17'],
    help: 'Its MAC address.',
  },
  former: {
    title: 'Former addresses',
    width: [104, 1],
    mono: true,
    text: ({ former }) => former.join(', '),
    edit: (port, typed) => {
      const addresses = typed.split(/[\s,;]+/).filter((a) => a !== '');
      if (addresses.length <= MOST_FORMER) return changed(set('port', port, ['former'], addresses));
      const found = `${addresses.length} former addresses`;
      return refused({ found, expected: `a port keeps at most ${MOST_FORMER}` });
    },
    examples: ['10.48.10.9, 10.48.10.8'],
    help: 'Addresses that it once had, by which an old list is recognised.',
  },
  further: {
    title: 'Further addresses',
    width: [120, 1],
    mono: true,
    text: furtherText,
    edit: (port, typed, { newId }) => editFurther(port, typed, newId),
    examples: ['10.48.20.5/24', '10.48.20.5/24, 10.48.30.5/24 automatic'],
    help: 'Other addresses of the same port with their masks; automatic or temporary behind one that is not set by hand.',
  },
  off: {
    title: 'Disabled protocols',
    width: [96, 1],
    text: offText,
    edit: editOff,
    examples: ['Modbus TCP', 'Modbus TCP listens'],
    help: 'Protocols that are switched off here, whole or in one role.',
  },
  takes: {
    title: 'Permitted traffic',
    width: [110, 1],
    text: ({ takes }) => (takes ?? []).map(shownWord).join(', '),
    edit: editTakes,
    examples: [TRAFFICS[0], `${TRAFFICS[0]}, ${TRAFFICS[1]}`],
    help: 'The only service traffic that it lets in; empty: any.',
  },
  tunnel: {
    title: 'Tunnel, its pool',
    width: 210,
    mono: true,
    text: tunnelText,
    options: [POOL_UNKNOWN],
    edit: editTunnel,
    examples: ['10.99.0.0/24', POOL_UNKNOWN],
    help: 'Addresses that those get who come in by a tunnel, as a subnet or from first to last.',
  },
  bridgedTo: {
    title: 'Bridged to',
    width: [110, 1],
    text: ({ bridgedTo }, project) => (bridgedTo ? bridgeWords(project, bridgedTo) : ''),
    options: (port, project) => inOrder(project, 'port').flatMap(({ id, station }) => (station === port.station ? [] : bridgeWords(project, id))),
    edit: editBridge,
    examples: [],
    help: 'Of a virtual machine: the adapter of its host, as in Office computer, first adapter.',
  },
  recognised: {
    title: 'Identified by',
    width: [110, 1],
    ...note('recognised'),
    examples: ['the grey USB adapter'],
    help: 'How it can be told from others of the same computer.',
  },
});

function editNetworkOf(port: Port, text: string, { project, newId }: { project: Project; newId: () => string }) {
  if (text === '') return changed(set('port', port, ['network'], null));
  const networks = inOrder(project, 'network');
  const found = networks.find((n) => n.name.toLowerCase() === text.toLowerCase());
  if (found) return changed(set('port', port, ['network'], found.id));
  const alone = madeForAlone(project, port);
  if (alone) return changed(set('network', alone, ['name'], text));
  const network = newNetwork(newId(), orderAfter(networks), text);
  return changed(put('network', network), set('port', port, ['network'], network.id));
}

function editAddress(port: Port, text: string, { project, newId }: Editing): FieldEdit {
  const addressed = addressOnPort(project, port, text, newId);
  return addressed.ok ? changed(...addressedChanges(port, addressed.value)) : refused(addressed);
}

/** The changes of a port that has an address of this kind. */
export const addressedChanges = (port: Port, { made, fields }: Addressed): Change[] => [
  ...made,
  ...Object.entries(fields).map(([field, value]) => set('port', port, [field], value)),
];

/** `Office computer, first adapter`. */
function bridgeWords(project: Project, id: string): string {
  const port = project.get('port', id);
  return port ? `${project.get('station', port.station)?.name ?? ''}, ${port.name}` : '';
}

/** `Host`, or `Host, first adapter` where it has several: the adapter through which this one's traffic leaves. */
function editBridge(port: Port, text: string, { project }: { project: Project }): FieldEdit {
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
