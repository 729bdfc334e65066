import { put } from '../change/make.js';
import { apply } from '../change/apply.js';
import type { Change } from '../change/change.js';
import { addressOnPort } from '../create/address-on-port.js';
import { newPort } from '../create/new-entities.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';
import type { Editing } from './field.js';
import { attachByWords, readLineWords } from './line-words.js';
import { addressedChanges } from './port.js';

/** Ports that have an IPv4 address, or can have one. */
const ethernetPorts = (project: Project, { id }: Station): Port[] =>
  childrenOf(project, 'port', id).filter(({ network, address, mask }) => {
    if (network === null) return address !== '' || mask !== '';
    return project.get('network', network)?.kind === 'ethernet';
  });

const addressed = ({ address }: Port): boolean => address.trim() !== '';

/** What it is known by on lines and buses: `unit 11`, `node 4`. */
const numbersOf = (project: Project, { id }: Station): string[] =>
  childrenOf(project, 'port', id).flatMap(({ network, unit, node }) => {
    const kind = network ? project.get('network', network)?.kind : undefined;
    if (kind === 'serial line' && unit !== null) return [`unit ${unit}`];
    return kind === 'token bus' && node ? [`node ${node}`] : [];
  });

/** `10.48.10.11, 10.48.20.11, unit 11` */
export const addressesText = (station: Station, project: Project): string =>
  [
    ...ethernetPorts(project, station)
      .filter(addressed)
      .map(({ address }) => address),
    ...numbersOf(project, station),
  ].join(', ');

/**
 * Each address goes to the port whose address stands there, or to the next that has none; a further one makes a port. A unit
 * or a node goes to the line or bus that is meant.
 */
export function editAddresses(station: Station, text: string, { project, newId }: Editing): FieldEdit {
  const texts = text.split(',').map((part) => part.trim());
  const ports = ethernetPorts(project, station);
  const known = [...ports.filter(addressed), ...ports.filter((port) => !addressed(port))];
  const numbers = numbersOf(project, station);
  const lines = texts.filter((one) => readLineWords(one) !== null);
  const addresses = texts.filter((one) => readLineWords(one) === null && (one !== '' || lines.length === 0));
  const there = ports.filter(addressed).length;
  if (addresses.length < there || lines.length < numbers.length) {
    const expected = 'write one for each port, with commas, or change them at its ports';
    return refused({ found: `${station.name} has ${there + numbers.length} addresses`, expected });
  }
  const changes: Change[] = [];
  let now = project;
  const make = (step: readonly Change[]) => {
    changes.push(...step);
    const applied = apply(now, { id: 'addresses', label: '', changes: step });
    if (applied.ok) now = now.with(applied.entities);
  };
  for (const [i, one] of addresses.entries()) {
    const port = known[i] ?? newPort(newId(), orderAfter(childrenOf(now, 'port', station.id)), station.id, null);
    if (one === port.address) continue;
    const read = addressOnPort(now, port, one, newId, { anywhere: true });
    if (!read.ok) return refused(read);
    const { made, fields } = read.value;
    make(known[i] ? addressedChanges(port, read.value) : [...made, put('port', { ...port, ...fields })]);
  }
  for (const one of lines) {
    if (numbers.includes(one.toLowerCase())) continue;
    const attached = attachByWords(now, station, readLineWords(one)!, { newId });
    if (attached.problem !== null) return attached;
    make(attached.changes);
  }
  return changed(...changes);
}
