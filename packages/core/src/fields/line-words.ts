import { apply } from '../change/apply.js';
import type { Change } from '../change/change.js';
import { put, set } from '../change/make.js';
import { newNetwork } from '../create/new-entities.js';
import type { Network } from '../model/network.js';
import { childrenOf, inOrder, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { changed, type FieldEdit } from '../text/field-edit.js';
import { formatBusRate, parseBusRate } from '../wiring/bus-rates.js';
import { formatSerial, parseSerial, settingsOfLine } from '../wiring/serial-settings.js';
import { editAttachment } from './attachment.js';
import type { Editing } from './field.js';

/** A line or bus as words say it: what the port is there, and the settings of all. */
export interface LineWords {
  kind: 'serial line' | 'token bus' | 'radio';
  /** `calls`, `answers 11`, `4` */
  port: string;
  /** as they are written everywhere; empty: not said */
  settings: string;
}

const NAMES = { 'serial line': 'Serial line', 'token bus': 'Token bus', radio: 'Radio' } as const;

/** `unit 11 on 9600 8E1`, `calls on 9600 8E1`, `unit 11`, `node 4`, `node 4 on 187.5 kbit/s`, `node` where the
 * number is not known yet; `base`, `repeater 2`, `end unit 3 on id 77`; null: none of these. */
export function readLineWords(text: string): LineWords | null {
  const [, unit, id = ''] = /^((?:base|repeater|end unit)(?:\s+(?:\d+|free))?)(?:\s+on\s+id\s+(\S+))?$/i.exec(text.trim()) ?? [];
  if (unit) return { kind: 'radio', port: unit, settings: id };
  const [, first = '', rest = ''] = /^((?:unit|node|calls|answers)\b[^@]*?)(?:\s+on\s+(.+))?$/i.exec(text.trim()) ?? [];
  const node = /^node(?:\s+(\d+|free))?$/i.exec(first);
  if (node) {
    const rate = rest === '' ? null : parseBusRate(rest);
    return rate?.ok === false ? null : { kind: 'token bus', port: node[1] ?? 'node', settings: rate ? formatBusRate(rate.value) : '' };
  }
  const serial = rest === '' ? null : parseSerial(rest);
  if (serial?.ok === false || !/^(?:(?:calls|answers)(?:\s+(?:unit\s+)?(?:\d+|free))?|unit(?:\s+(?:\d+|free))?)$/i.test(first)) return null;
  const port = first.replace(/^unit/i, 'answers').replace(/\sunit\s/i, ' ');
  return { kind: 'serial line', port, settings: serial ? formatSerial(serial.value) : '' };
}

/** A station on the line or bus that is meant: that of these settings, or the only one; where there is none, one is made. */
export function attachByWords(project: Project, station: Station, words: LineWords, { newId }: Pick<Editing, 'newId'>): FieldEdit {
  const lines = inOrder(project, 'network').filter(({ kind }) => kind === words.kind);
  const settingsIn = (network: Network): string | null => {
    if (words.kind === 'serial line') return settingsOfLine(childrenOf(project, 'port', network.id));
    return (words.kind === 'token bus' ? network.busRate : network.radio?.id) ?? null;
  };
  const same = lines.find((line) => settingsIn(line) === words.settings);
  const known = same ?? (words.settings === '' || lines.every((line) => settingsIn(line) === null) ? lines[0] : undefined);
  const name = lines.length === 0 ? NAMES[words.kind] : `${NAMES[words.kind]} ${lines.length + 1}`;
  const isSet = words.settings !== '';
  const bus = isSet && words.kind === 'token bus' ? { busRate: words.settings } : isSet && words.kind === 'radio' ? { radio: { id: words.settings } } : {};
  const network = known ?? { ...newNetwork(newId(), orderAfter(inOrder(project, 'network')), name), kind: words.kind, ...bus };
  const changes: Change[] = known ? [] : [put('network', network)];
  const now = after(project, changes);
  const there = childrenOf(now, 'port', station.id).find((port) => port.network === network.id) ?? null;
  const attached = editAttachment(now, station.id, network, there, words.port, newId);
  if (attached.problem !== null) return attached;
  changes.push(...attached.changes);
  if (words.settings !== '' && words.kind !== 'radio') {
    const port = childrenOf(after(now, attached.changes), 'port', station.id).find((one) => one.network === network.id);
    const field = words.kind === 'serial line' ? 'serial' : 'busRate';
    if (port && port[field] !== words.settings) changes.push(set('port', port, [field], words.settings));
  }
  return changed(...changes);
}

function after(project: Project, changes: readonly Change[]): Project {
  const applied = apply(project, { id: 'line', label: '', changes });
  return applied.ok ? project.with(applied.entities) : project;
}
