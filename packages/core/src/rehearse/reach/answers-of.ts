import { childrenOf, inOrder } from '../../model/order.js';
import type { Port } from '../../model/port.js';
import type { Project } from '../../model/project.js';
import type { Station } from '../../model/station.js';

/** Ports with an end that answers a protocol, each once, with its station. */
export function answersOf(project: Project, protocol: string): { station: Station; port: Port }[] {
  const found = new Map<string, { station: Station; port: Port }>();
  for (const exchange of inOrder(project, 'exchange')) {
    if (exchange.protocol !== protocol) continue;
    for (const end of childrenOf(project, 'end', exchange.id)) {
      const station = project.get('station', end.station);
      const port = end.port ? project.get('port', end.port) : undefined;
      if (station && port && end.calling === 'listens') found.set(port.id, { station, port });
    }
  }
  return [...found.values()];
}
