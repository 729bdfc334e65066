import { put, set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { newArea, newPort, writersOf } from '../create/new-entities.js';
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
  return begins && untouched ? [...chosen, ...beginning(project, station, begins, newId)] : chosen;
}

function beginning(
  project: Project,
  station: Station,
  { roles, ports, areas }: NonNullable<Profile['begins']>,
  newId: () => string,
): Change[] {
  const fresh = station.roles.length === 1 && station.roles[0] === 'controller' && roles.length > 0;
  const as = { ...station, roles: fresh ? roles : station.roles };
  const changes: Change[] = fresh ? [set('station', station, ['roles'], roles)] : [];
  const there = childrenOf(project, 'port', station.id);
  for (const [, first] of entriesInOrder(ports)) {
    const known = there.find((port) => mediumOf(project, port) === first.medium);
    if (known) {
      there.splice(there.indexOf(known), 1);
      if (known.name !== first.name) changes.push(set('port', known, ['name'], first.name));
      if (known.purpose !== first.purpose) changes.push(set('port', known, ['purpose'], first.purpose));
      continue;
    }
    const { order, name, purpose } = first;
    const port: Port = { ...newPort(newId(), order, station.id, onlyNetwork(project, first.medium)), name, purpose };
    changes.push(put('port', first.medium === 'ethernet' ? port : { ...port, mask: '' }));
  }
  for (const [, { order, name, kind, wordBits, words }] of entriesInOrder(areas)) {
    const writers = kind === 'gateway memory' ? [] : writersOf(as);
    changes.push(put('area', { ...newArea(newId(), order, station.id, name), kind, wordBits, words, writers }));
  }
  return changes;
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
