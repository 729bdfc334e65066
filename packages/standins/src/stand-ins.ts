import { childrenOf, inOrder, type Port, type Project, type Station } from '@dialoga/core/model';
import { tablesOf, type Plant, type Tables } from '@dialoga/core/rehearse';
import { listenRtu, listenTcp, LOOPBACK, type Listening } from './modbus-server.js';

/** Who stands where: one end that answers, and where an outside client finds its stand-in. */
export interface Standing {
  station: string;
  name: string;
  /** its address in the plan, `10.48.10.12:502`, or `unit 11 on Meter line` */
  planned: string;
  protocol: 'Modbus TCP' | 'Modbus RTU over TCP';
  host: string;
  port: number;
  unit: number | null;
  /** what to type into an outside client */
  typed: string;
}

export interface StandIns {
  standings: readonly Standing[];
  close: () => Promise<void>;
}

/** From here on ports are tried, so that those of a project stay the same from one time to the next. */
const FIRST_PORT = 15_020;

/**
 * Stand-ins on loopback for every end of a plant that answers Modbus: each one that answers over Ethernet on a port of its own, each serial
 * line as one port with its units.
 */
export async function standInsOf(plant: Plant): Promise<StandIns> {
  const { project, memory } = plant;
  const listening: Listening[] = [];
  const standings: Standing[] = [];
  const known = new Map<string, Tables>();
  const tables = (station: string): Tables => {
    let own = known.get(station);
    if (!own) known.set(station, (own = tablesOf(project, station, memory)));
    return own;
  };
  let next = FIRST_PORT;
  for (const { station, port } of answeringPorts(project, 'modbus-tcp')) {
    const listens = await listenTcp(() => (plant.isStopped(station.id) ? null : tables(station.id)), next++);
    listening.push(listens);
    const planned = `${port.address || 'no address'}:${port.listens['modbus-tcp']?.tcpPort ?? 502}`;
    const typed = `${LOOPBACK}:${listens.port}`;
    const own = { station: station.id, name: station.name, planned, host: LOOPBACK, port: listens.port };
    standings.push({ ...own, protocol: 'Modbus TCP', unit: port.unit, typed });
  }
  for (const network of inOrder(project, 'network')) {
    const units = answeringPorts(project, 'modbus-rtu').filter(({ port }) => port.network === network.id);
    if (units.length === 0) continue;
    const at = (unit: number) => units.find(({ port }) => port.unit === unit)?.station.id;
    const listens = await listenRtu((unit) => {
      const station = at(unit);
      return station && !plant.isStopped(station) ? tables(station) : null;
    }, next++);
    listening.push(listens);
    for (const { station, port } of units) {
      const planned = `unit ${port.unit ?? 'not set'} on ${network.name}`;
      const typed = `${LOOPBACK}:${listens.port}, unit ${port.unit ?? 'not set'}`;
      const own = { station: station.id, name: station.name, planned, host: LOOPBACK, port: listens.port };
      standings.push({ ...own, protocol: 'Modbus RTU over TCP', unit: port.unit, typed });
    }
  }
  return { standings, close: async () => void (await Promise.all(listening.map((one) => one.close()))) };
}

/** Ports with an end that answers this protocol, each once. */
function answeringPorts(project: Project, protocol: string): { station: Station; port: Port }[] {
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
