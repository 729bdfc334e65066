import { formatMask } from '../wiring/ipv4.js';
import { put, set } from '../change/make.js';
import { newPort } from '../create/new-entities.js';
import type { Network } from '../model/network.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import { LINE_ROLES, PURPOSES, RADIO_SORTS } from '../model/words.js';
import { nextFreeNumber, parseInSpace, SPACES } from '../wiring/address-spaces.js';
import { subnetFor } from '../wiring/ledger.js';
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
  if (port) return fieldsFor(project, network, port, clean, newId);
  const idle = idlePort(project, station, network);
  const fresh = freshPort(project, station, network, newId());
  if (idle) {
    const taken = OF_NETWORK.filter((field) => fresh[field] !== undefined && (field === 'network' || !idle[field]));
    const attached: Port = { ...idle, ...Object.fromEntries(taken.map((field) => [field, fresh[field]])) };
    const fields = fieldsFor(project, network, attached, clean, newId);
    if (fields.problem !== null) return fields;
    return changed(...taken.map((field) => set('port', idle, [field], fresh[field])), ...fields.changes);
  }
  const fields = fieldsFor(project, network, fresh, clean, newId);
  if (fields.problem !== null) return fields;
  let made = fresh;
  for (const { path, after } of fields.changes) {
    const [field] = path;
    if (path.length === 1 && field) made = { ...made, [field]: after };
    else if (path.length === 2) made = { ...made, radio: { ...made.radio!, [path[1]!]: after } };
  }
  return changed(put('port', made));
}

/** A port that hangs on nothing, has no address yet, and is made for such a network: it is used before another is made. */
function idlePort(project: Project, station: string, { kind }: Network): Port | undefined {
  const idle = childrenOf(project, 'port', station).filter(
    (port) => port.network === null && port.address === '' && port.unit === null && (port.mask !== '') === (kind === 'ethernet'),
  );
  // Of a serial and a radio port, none of which has an address: the one that is called so.
  const [word = ''] = kind.split(' ');
  return idle.find(({ name }) => name.toLowerCase().startsWith(word)) ?? idle[0];
}

/** What a port takes over from what it is attached to. */
const OF_NETWORK = ['network', 'mask', 'serial', 'electrical', 'lineRole', 'busRate', 'radio'] as const;

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

function fieldsFor(project: Project, network: Network, known: Port, text: string, newId: () => string): FieldEdit {
  const radio = network.kind === 'radio' && !known.radio ? freshPort(project, known.station, network, known.id).radio : undefined;
  const port: Port = radio ? { ...known, radio } : known;
  const miss = () => refused({ found: `“${text}” is not understood here`, expected: WHAT_TO_TYPE[network.kind] });
  if (network.kind === 'ethernet') return ethernet(project, port, text, newId) ?? miss();
  if (network.kind === 'direct cable') return changed(set('port', port, ['name'], text));
  const words = text.split(/[\s,]+/);
  const changes = radio ? [set('port', known, ['radio'], radio)] : [];
  const [space] = spacesOn(network);
  for (const word of words.map((w) => w.toLowerCase())) {
    if (['unit', 'node', 'end'].includes(word) && (words.length > 1 || network.kind !== 'radio')) continue;
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
function ethernet(project: Project, port: Port, text: string, newId: () => string): FieldEdit | null {
  const [first = '', ...rest] = text.split(/\s+/);
  const purposeText = /^[.\d]/.test(first) || first.toLowerCase() === 'free' ? rest.join(' ') : text;
  const changes = [];
  if (purposeText !== text) {
    const edit = editField(PORT, 'address', port, first, { project, newId });
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
