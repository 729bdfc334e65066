import { formatIpv4, formatMask, parseIpv4, parseSubnet } from '../wiring/ipv4.js';
import { put, set } from '../change/make.js';
import { newPort } from '../create/new-entities.js';
import type { Network } from '../model/network.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import { LINE_ROLES, PURPOSES, RADIO_SORTS } from '../model/words.js';
import { nextFreeNumber, parseInSpace, SPACES } from '../wiring/address-spaces.js';
import { ledgerOf, nextFreeInLedger, subnetFor } from '../wiring/ledger.js';
import { spacesOn, takenIn, withNumber } from '../wiring/numbers-on.js';
import { settingsOfLine } from '../wiring/serial-settings.js';
import { editField } from './field.js';
import { PORT } from './port.js';
import { changed, parseWord, refused, type FieldEdit } from '../text/field-edit.js';

const WHAT_TO_TYPE: Record<Network['kind'], string> = {
  ethernet: 'write .13 or 10.48.10.13/24, a purpose after it if you like, or free for the next free address',
  'serial line': 'write a unit address, calls or answers, or free for the next free unit',
  'token bus': 'write a node address, or free for the next free one',
  radio: 'write a radio number, base, repeater or end unit, or free for the next free number',
  'direct cable': 'write a word for the port',
};

/**
 * Typed text into a cell of the attachment table. Where the station has no port on this network yet, one is made; on a
 * line it takes over the settings of the caller. Emptied, the port is attached to nothing any more.
 */
export function editAttachment(project: Project, station: string, network: Network, port: Port | null, text: string, newId: () => string): FieldEdit {
  const clean = text.trim();
  if (clean === '') return port ? changed(set('port', port, ['network'], null)) : { changes: [], problem: null };
  const target = port ?? freshPort(project, station, network, newId());
  const fields = fieldsFor(project, network, target, clean, newId);
  if (fields.problem !== null || port) return fields;
  let made = target;
  for (const { path, after } of fields.changes) {
    const [field] = path;
    if (path.length === 1 && field) made = { ...made, [field]: after };
    else if (path.length === 2) made = { ...made, radio: { ...made.radio!, [path[1]!]: after } };
  }
  return changed(put('port', made));
}

function freshPort(project: Project, station: string, network: Network, id: string): Port {
  const ports = childrenOf(project, 'port', station);
  const port: Port = { ...newPort(id, orderAfter(ports), station, network.id), name: network.name };
  const others = childrenOf(project, 'port', network.id);
  if (network.kind === 'ethernet') {
    const subnet = subnetFor(network, others);
    return subnet ? { ...port, mask: formatMask(subnet.prefix) } : port;
  }
  const bare: Port = { ...port, mask: '' };
  if (network.kind === 'serial line') {
    const serial = settingsOfLine(others);
    const electrical = others.find((p) => p.electrical)?.electrical;
    const lineRole = others.some((p) => p.lineRole === 'calls') ? ('answers' as const) : undefined;
    return {
      ...bare,
      ...(serial ? { serial } : {}),
      ...(electrical ? { electrical } : {}),
      ...(lineRole ? { lineRole } : {}),
    };
  }
  if (network.kind === 'token bus') return network.busRate ? { ...bare, busRate: network.busRate } : bare;
  if (network.kind === 'radio') {
    const hasBase = others.some((p) => p.radio?.sort === 'base');
    const { id: radioId, band, rate, mode } = network.radio ?? {};
    return { ...bare, radio: { sort: hasBase ? 'end unit' : 'base', ...defined({ id: radioId, band, rate, mode }) } };
  }
  return bare;
}

const defined = <T extends object>(fields: T): Partial<T> =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Partial<T>;

function fieldsFor(project: Project, network: Network, port: Port, text: string, newId: () => string): FieldEdit {
  const miss = () => refused({ found: `“${text}” is not understood here`, expected: WHAT_TO_TYPE[network.kind] });
  if (network.kind === 'ethernet') return ethernet(project, network, port, text, newId) ?? miss();
  if (network.kind === 'direct cable') return changed(set('port', port, ['name'], text));
  const words = text.split(/[\s,]+/);
  const changes = [];
  const [space] = spacesOn(network);
  for (const word of words.map((w) => w.toLowerCase())) {
    if (['unit', 'node', 'end'].includes(word) && words.length > 1) continue;
    if (space && (word === 'free' || /^\d/.test(word))) {
      const number = word === 'free' ? nextFreeNumber(SPACES[space], takenIn(project, network, space)) : parseInSpace(word, SPACES[space]);
      if (number === null) return refused({ found: `no ${SPACES[space].name} is free`, expected: 'use another network' });
      if (typeof number === 'object' && !number.ok) return refused(number);
      const value = typeof number === 'number' ? number : number.value;
      changes.push(set('port', port, space === 'radio' ? ['radio', 'number'] : [space], withNumber(space, value)));
    } else if (network.kind === 'serial line') {
      const role = parseWord(word, LINE_ROLES, 'role on a line');
      if (!role.ok) return miss();
      changes.push(set('port', port, ['lineRole'], role.value));
    } else if (network.kind === 'radio') {
      const sort = parseWord(word === 'unit' ? 'end unit' : word, RADIO_SORTS, 'sort of unit');
      if (!sort.ok) return miss();
      changes.push(set('port', port, ['radio', 'sort'], sort.value));
    } else if (network.kind === 'token bus' && ['active', 'token'].includes(word)) {
      changes.push(set('port', port, ['busActive'], true));
    } else return miss();
  }
  return changed(...changes);
}

/** `.13`, `10.48.10.13`, `10.48.10.13/24`, `free`, each with a purpose after it; or a purpose alone. */
function ethernet(project: Project, network: Network, port: Port, text: string, newId: () => string): FieldEdit | null {
  const [first = '', ...rest] = text.split(/\s+/);
  const purposeText = /^[.\d]/.test(first) || first.toLowerCase() === 'free' ? rest.join(' ') : text;
  const changes = [];
  if (purposeText !== text) {
    const address = addressFrom(project, network, first);
    if (address === null) return null;
    const edit = editField(PORT, 'address', port, address, { project, newId });
    if (edit.problem !== null) return edit;
    changes.push(...edit.changes);
  }
  if (purposeText !== '') {
    const purpose = parseWord(purposeText, PURPOSES, 'purpose');
    if (!purpose.ok) return null;
    changes.push(set('port', port, ['purpose'], purpose.value));
  }
  return changed(...changes);
}

function addressFrom(project: Project, network: Network, text: string): string | null {
  const subnet = subnetFor(network, childrenOf(project, 'port', network.id));
  if (text.toLowerCase() === 'free') {
    const ledger = ledgerOf(project, network);
    const free = ledger && nextFreeInLedger(ledger);
    return free === null || free === undefined ? null : formatIpv4(free);
  }
  const short = /^\.(\d{1,3})$/.exec(text);
  if (!short) return text;
  if (!subnet || Number(short[1]) > 255) return null;
  const whole = formatIpv4(subnet.network + Number(short[1]));
  return parseIpv4(whole).ok && parseSubnet(`${whole}/32`).ok ? whole : null;
}
