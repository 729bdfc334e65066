import { read, unread, type Read } from '../text/read.js';
import { set } from '../change/make.js';
import { readRouteForm } from '../route/route-form.js';
import type { Profile } from '../model/profile.js';
import {
  AFTER_LOAD,
  FORWARDS,
  MODULE_KINDS,
  PRESET_FIELDS,
  TABLES,
  type Calling,
  type Forward,
  type NetworkKind,
  CALLING,
  NETWORK_KINDS,
} from '../model/words.js';
import { PROTOCOLS, protocolNamed } from '../protocol/catalogue.js';
import { orderAfter } from '../model/order.js';
import { partTwice } from '../text/template.js';
import { BLOCK_FORM, readBlock } from './block-text.js';
import { limitKey } from '../wiring/connection-limits.js';
import { changed, parseWord, refused, type FieldEdit } from '../text/field-edit.js';

/** What can be written into the line for something more that a type states. */
export const FIGURE_FORMS = [
  'connections 16',
  'connections per partner 2',
  'connections over Modbus TCP 8',
  'factory unit 247',
  'digital input: discrete inputs from 1, 16 per position',
  'speaks Modbus TCP: calls, listens; ethernet',
  'forwards requests by unit; from 2.4',
  'routes Plant LAN > 10.0.0.1 / rack > 0',
  'unit is the last part of the address',
  'unit is checked',
  'after a load: waits to be started',
  'sizes Modbus TCP: 4, 16, 32',
  'points {station}:{slot}:{kind}.{channel}',
  `block Communication module: ${BLOCK_FORM}`,
  'items {group}.{tag}[{element}]',
  'rows {address}:{port}/{unit}',
] as const;

/** One more thing that a profile says, of which the source is yet to be said. Each is written as in FIGURE_FORMS. */
export function addFigure(profile: Profile, typed: string, newId: string): FieldEdit {
  const text = typed.trim();
  const put = (path: string[], value: unknown) => changed(set('profile', profile, path, value));
  /** into a list that may not be there yet */
  const into = (
    list: 'presets' | 'radioBlocks' | 'speaks' | 'forwards' | 'sizes' | 'blocks',
    key: string,
    value: unknown,
  ) => (profile[list] ? put([list, key], value) : put([list], { [key]: value }));
  const factory = /^factory (.+?) (\S+)$/i.exec(text);
  const field = PRESET_FIELDS.find((f) => f === factory?.[1]?.toLowerCase());
  if (factory && field) return into('presets', newId, { field, value: factory[2], source: '' });
  const block = readRadioBlock(text);
  if (block) return into('radioBlocks', newId, { ...block, source: '' });
  const speaks = /^speaks (.+?):(.*)$/i.exec(text);
  const protocol = speaks && protocolNamed(speaks[1]!);
  const speech = speaks && readSpeech(speaks[2]!);
  if (protocol && speech) return into('speaks', protocol, { ...speech, source: '' });
  const forwards = /^forwards (.+)$/i.exec(text);
  const forward = forwards && readForward(forwards[1]!);
  if (forward) return forward.ok ? into('forwards', newId, { ...forward.value, source: '' }) : refused(forward);
  const route = /^routes (.+)$/i.exec(text);
  const form = route && readRouteForm(route[1]!);
  if (form) return put(['routeText'], { ...form, source: '' });
  const sizes = /^sizes (.+?):(.*)$/i.exec(text);
  const sized = sizes && protocolNamed(sizes[1]!);
  const bytes = sizes && readSizes(sizes[2]!);
  if (sized && bytes) return into('sizes', sized, { bytes, source: '' });
  const takes = /^block (.+?):(.*)$/i.exec(text);
  const facts = takes && readBlock(takes[2]!);
  if (takes && facts) {
    const order = orderAfter(Object.values(profile.blocks ?? {}));
    return into('blocks', newId, { order, name: takes[1]!.trim(), ...facts, members: {}, source: '' });
  }
  const twice = /^(?:points|items|rows) /i.test(text) ? partTwice(text) : null;
  if (twice) return refused({ found: `${twice} stands twice in “${text}”`, expected: 'each part stands in it once' });
  const points = /^points (.*\{channel\}.*)$/i.exec(text);
  if (points) return put(['pointText'], { text: points[1]!.trim(), source: '' });
  const items = /^items (.*\{tag\}.*)$/i.exec(text);
  if (items) return put(['itemText'], { text: items[1]!.trim(), source: '' });
  const rows = /^rows (.*\{address\}.*)$/i.exec(text);
  if (rows) return put(['stationText'], { text: rows[1]!.trim(), source: '' });
  if (/^unit is (the )?last/i.test(text)) return put(['unitIsLastOctet'], { source: '' });
  if (/^unit is checked/i.test(text)) return put(['checksUnit'], { source: '' });
  const loaded = /^after a load: (.+)$/i.exec(text)?.[1]?.trim().toLowerCase();
  const does = AFTER_LOAD.find((one) => one === loaded);
  if (does) return put(['afterLoad'], { does, source: '' });
  const perPartner = /^connections per partner (\d{1,9})$/i.exec(text);
  if (perPartner) return put(['limits', limitKey({ by: 'partner' })], { value: Number(perPartner[1]), source: '' });
  const over = /^connections over (.+?) (\d{1,9})$/i.exec(text);
  const counted = over && protocolNamed(over[1]!);
  if (counted) {
    const key = limitKey({ by: 'protocol', protocol: counted });
    return put(['limits', key], { value: Number(over[2]), source: '' });
  }
  const limit = /^([a-z]+)\s+(\d{1,9})$/i.exec(text);
  if (limit) return put(['limits', limit[1]!.toLowerCase()], { value: Number(limit[2]), source: '' });
  const found = speaks && !protocol ? `“${speaks[1]}” names no protocol` : `“${text}” is not understood`;
  const names = speaks && !protocol ? `; protocols are ${PROTOCOLS.map((p) => p.name).join(', ')}` : '';
  return refused({ found, expected: `write one of: ${FIGURE_FORMS.join(' · ')}${names}` });
}

/** `digital input: discrete inputs from 1, 16 per position` of the rotary switch. Null where it is not that. */
export function readRadioBlock(text: string) {
  const match = /^(.+?):\s*(.+?) from (\d{1,6}),\s*(\d{1,5}) (?:per position|a dial)$/i.exec(text.trim());
  const kind = MODULE_KINDS.find((k) => k.toLowerCase() === match?.[1]?.toLowerCase());
  const table = TABLES.find((t) => t === match?.[2]?.toLowerCase());
  const [first, stride] = [Number(match?.[3]), Number(match?.[4])];
  return kind && table && first >= 1 && stride >= 1 ? { kind, table, first, stride } : null;
}

/** `calls, listens; ethernet, radio`, and `; from 4.2` for the oldest firmware that does. Null where it is not that. */
export function readSpeech(text: string): { roles: Calling[]; media: NetworkKind[]; firmware?: string } | null {
  const [roleText = '', mediaText = '', least = ''] = text.split(';').map((part) => part.trim().toLowerCase());
  const split = (list: string) => list.split(',').map((w) => w.trim());
  const roles = CALLING.filter((role) => split(roleText).includes(role));
  const media = NETWORK_KINDS.filter((kind) => split(mediaText).includes(kind));
  const known = roles.length === split(roleText).length && media.length === split(mediaText).length;
  const firmware = /^from (\d+(?:\.\d+)*)$/.exec(least)?.[1];
  if (!known || (least !== '' && !firmware)) return null;
  return { roles, media, ...(firmware ? { firmware } : {}) };
}

/** `requests by unit`, and `; from 2.4` for the oldest firmware that does. */
export function readForward(text: string): Read<{ what: Forward; firmware?: string }> {
  const [word = '', least = ''] = text.split(';').map((part) => part.trim().toLowerCase());
  const what = parseWord(word, FORWARDS, 'kind of traffic');
  if (!what.ok) return what;
  const firmware = /^from (\d+(?:\.\d+)*)$/.exec(least)?.[1];
  if (least !== '' && !firmware) return unread(`“${least}” names no firmware`, 'write it as in requests; from 2.4');
  return read({ what: what.value, ...(firmware ? { firmware } : {}) });
}

/** `4, 16, 32`. Null where it is not that. */
export function readSizes(text: string): number[] | null {
  const sizes = text.split(',').map((part) => Number(part.trim()));
  return sizes.length > 0 && sizes.every((n) => Number.isInteger(n) && n > 0) ? sizes : null;
}
