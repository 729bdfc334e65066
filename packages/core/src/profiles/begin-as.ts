import { apply } from '../change/apply.js';
import { put, set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { takeBlock } from '../create/take-block.js';
import { newArea, newPort, writersOf } from '../create/new-entities.js';
import type { FirstRack } from '../model/beginning.js';
import { childrenOf, entriesInOrder, inOrder } from '../model/order.js';
import type { NetworkKind } from '../model/words.js';
import type { Port } from '../model/port.js';
import type { Profile } from '../model/profile.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';

/** Its type, and what a station of that type begins with, where nothing of it was made before. */
export function beginAs(project: Project, station: Station, profile: Profile, newId: () => string): Change[] {
  // One that comes with Dialoga is taken into the project with the first station of it.
  const taken = project.get('profile', profile.id) ? [] : [put('profile', profile)];
  const chosen = [...taken, set('station', station, ['profile'], profile.id)];
  const { begins } = profile;
  const untouched =
    childrenOf(project, 'area', station.id).length === 0 && childrenOf(project, 'end', station.id).length === 0;
  if (!begins || !untouched) return chosen;
  const changes = [...chosen, ...beginning(project, station, begins, newId)];
  const blocks = (begins.blocks ?? []).flatMap((key) => {
    const applied = apply(project, { id: 'begin', label: '', changes });
    const block = profile.blocks?.[key];
    return applied.ok && block ? takeBlock(project.with(applied.entities), station, { key, block }, newId()) : [];
  });
  return [...changes, ...blocks];
}

function beginning(
  project: Project,
  station: Station,
  { roles, ports, areas, rack }: NonNullable<Profile['begins']>,
  newId: () => string,
): Change[] {
  const fresh = station.roles.length === 1 && station.roles[0] === 'controller' && roles.length > 0;
  const as = { ...station, roles: fresh ? roles : station.roles };
  const changes: Change[] = fresh ? [set('station', station, ['roles'], roles)] : [];
  const there = childrenOf(project, 'port', station.id);
  const modules = rack && childrenOf(project, 'rack', station.id).length === 0 ? firstRack(station, rack, newId) : null;
  changes.push(...(modules?.changes ?? []));
  for (const [key, first] of entriesInOrder(ports)) {
    const on = modules?.ports.get(key);
    const known = there.find((port) => mediumOf(project, port) === first.medium);
    if (known) {
      there.splice(there.indexOf(known), 1);
      if (known.name !== first.name) changes.push(set('port', known, ['name'], first.name));
      if (known.purpose !== first.purpose) changes.push(set('port', known, ['purpose'], first.purpose));
      if (on !== undefined) changes.push(set('port', known, ['module'], on));
      continue;
    }
    const { order, name, purpose } = first;
    const plain = newPort(newId(), order, station.id, onlyNetwork(project, first.medium));
    const port: Port = { ...plain, name, purpose, ...(on === undefined ? {} : { module: on }) };
    changes.push(put('port', first.medium === 'ethernet' ? port : { ...port, mask: '' }));
  }
  for (const [, { order, name, kind, wordBits, words }] of entriesInOrder(areas)) {
    const writers = kind === 'gateway memory' ? [] : writersOf(as);
    changes.push(put('area', { ...newArea(newId(), order, station.id, name), kind, wordBits, words, writers }));
  }
  return changes;
}

/** The rack with what stands in it, and on which module each port is. */
function firstRack(station: Station, { modules, ...rack }: FirstRack, newId: () => string) {
  const id = newId();
  const ports = new Map<string, string>();
  const changes: Change[] = [put('rack', { id, order: 10, station: station.id, takes: [], ...rack })];
  for (const [, { port, ...first }] of entriesInOrder(modules)) {
    const module = { id: newId(), rack: id, orderCode: '', inputs: 0, outputs: 0, ...first };
    changes.push(put('module', module));
    if (port !== undefined) ports.set(port, module.id);
  }
  return { changes, ports };
}

/** What a port hangs on, or is made for: one without a network and with a mask is an Ethernet port. */
function mediumOf(project: Project, { network, mask }: Port): NetworkKind | null {
  if (network !== null) return project.get('network', network)?.kind ?? null;
  return mask === '' ? null : 'ethernet';
}

function onlyNetwork(project: Project, kind: NetworkKind): string | null {
  const networks = inOrder(project, 'network').filter((network) => network.kind === kind);
  return networks.length === 1 ? networks[0]!.id : null;
}
