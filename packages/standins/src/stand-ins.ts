import { childrenOf, inOrder, type Port, type Project, type Station } from '@dialoga/core/model';
import { answering, answersOf, tablesOf, type Link, type Plant, type Tables } from '@dialoga/core/rehearse';
import { Calls, portCalled, type Address } from './calls.js';
import { loopbackAddress, LOOPBACK } from './loopback.js';
import { listenRtu, listenTcp, type Listening, type Who } from './modbus-server.js';
import type { TagServer } from './tag-server.js';

/** Who stands where: one end that answers, and where an outside client finds its stand-in. */
export interface Standing {
  station: string;
  name: string;
  /** its address in the plan, `10.48.10.12:502`, or `unit 11 on Meter line` */
  planned: string;
  protocol: 'Modbus TCP' | 'Modbus RTU over TCP' | 'OPC UA';
  host: string;
  port: number;
  unit: number | null;
  /** what to type into an outside client */
  typed: string;
}

/** From here on ports are tried, so that those of a project stay the same from one time to the next. */
const FIRST_PORT = 15_020;

interface Stand {
  listening: Pick<Listening, 'port' | 'close'>;
  /** of a tag server: whose tags it has */
  tags: TagServer | null;
  standings: Standing[];
}

/**
 * Stand-ins on loopback for every end of a plant that answers Modbus, or OPC UA, and the calls of those that call Modbus TCP. The plant may be
 * put in the place of another after an edit: who answers as before goes on at his port.
 */
export class StandIns {
  private readonly stands = new Map<string, Stand>();
  private readonly outside = new Map<string, { typed: string; address: Address | null }>();
  private tables = new Map<string, Tables>();
  private calls: Calls;
  private next = FIRST_PORT;

  private constructor(private plant: Plant) {
    this.calls = this.callsOf(plant);
  }

  static async of(plant: Plant): Promise<StandIns> {
    const all = new StandIns(plant);
    await all.stand();
    return all;
  }

  get standings(): readonly Standing[] {
    return [...this.stands.values()]
      .flatMap((one) => one.standings)
      .filter(({ station }) => !this.outside.has(station));
  }

  /** Stations that another program plays, and where it answers as it was typed; empty: it only calls. */
  get playedOutside(): readonly { station: string; at: string }[] {
    return [...this.outside].map(([station, { typed }]) => ({ station, at: typed }));
  }

  /** Another program plays a station: its stand-in goes, and whoever calls it calls there. A sentence says what is wrong. */
  hand(station: string, typed: string): string | null {
    const address = typed.trim() === '' ? null : loopbackAddress(typed);
    if (typeof address === 'string') return address;
    this.outside.set(station, { typed: typed.trim(), address });
    this.plant.hand(station, address !== null);
    this.calls.forget();
    return null;
  }

  takeBack(station: string): void {
    this.outside.delete(station);
    this.plant.takeBack(station);
    this.calls.forget();
  }

  /** Goes on with the plant of the project as it is after an edit. */
  async goOnWith(plant: Plant): Promise<void> {
    const before = this.calls;
    this.plant.carrier = null;
    this.plant = plant;
    this.tables = new Map();
    for (const station of this.outside.keys()) if (!plant.project.get('station', station)) this.outside.delete(station);
    this.calls = this.callsOf(plant);
    await Promise.all([before.close(), this.stand()]);
  }

  async close(): Promise<void> {
    this.plant.carrier = null;
    await this.calls.close();
    await Promise.all([...this.stands.values()].map(({ listening }) => listening.close()));
    this.stands.clear();
  }

  private callsOf(plant: Plant): Calls {
    const calls = new Calls(plant, (link) => this.addressOf(link));
    plant.carrier = calls;
    return calls;
  }

  private addressOf(link: Link): Address | null {
    const { source, sink } = link.path;
    const answers = source.end.calling === 'calls' ? sink : source;
    const outside = this.outside.get(answers.station.id);
    if (outside) return outside.address;
    const port = portCalled(this.plant.project, link);
    const stand = port === null ? undefined : this.stands.get(`tcp ${port}`);
    return stand ? { host: LOOPBACK, port: stand.listening.port } : null;
  }

  /** Begins what is not there yet, and ends what nobody answers any more. */
  private async stand(): Promise<void> {
    const { project } = this.plant;
    const wanted = new Map<string, (port: number) => Promise<Omit<Stand, 'standings'>>>();
    const told = new Map<string, (port: number) => Standing[]>();
    for (const { station, port } of answeringTcp(this.plant)) {
      wanted.set(`tcp ${port.id}`, async (at) => ({
        listening: await listenTcp((unit) => this.atPort(port.id, unit), at),
        tags: null,
      }));
      told.set(`tcp ${port.id}`, (at) => [tcpStanding(station, port, at)]);
    }
    for (const network of inOrder(project, 'network')) {
      const units = answersOf(project, 'modbus-rtu').filter(({ port }) => port.network === network.id);
      if (units.length === 0) continue;
      wanted.set(`line ${network.id}`, async (at) => ({
        listening: await listenRtu((unit) => this.onLine(network.id, unit), at),
        tags: null,
      }));
      told.set(`line ${network.id}`, (at) => units.map((one) => rtuStanding(one, network.name, at)));
    }
    for (const { station, port } of answersOf(project, 'opc-ua')) {
      wanted.set(`tags ${port.id}`, async (at) => {
        // Large, and asked for only where somebody offers tags.
        const { serveTags } = await import('./tag-server.js');
        const tags = await serveTags(station.name, at, () => this.plant, station.id);
        return { listening: tags, tags };
      });
      told.set(`tags ${port.id}`, (at) => [tagStanding(station, port, at)]);
    }
    for (const [key, { listening }] of this.stands) {
      if (wanted.has(key)) continue;
      this.stands.delete(key);
      await listening.close();
    }
    for (const [key, begin] of wanted) {
      const known = this.stands.get(key);
      const stand = known ?? { ...(await begin(this.next)), standings: [] };
      if (!known) this.next = stand.listening.port + 1;
      known?.tags?.offerAnew();
      stand.standings = told.get(key)!(stand.listening.port);
      this.stands.set(key, stand);
    }
  }

  /** Who answers a request for a unit at a port over Ethernet. */
  private atPort(id: string, unit: number): Who {
    const { project } = this.plant;
    const port = project.get('port', id);
    if (!port || this.plant.cutAt(port) !== null || this.isAway(port.station)) return null;
    const who = answering(project, port, unit);
    if (who === 'not it') return null;
    if (who === 'itself') return this.of(port.station);
    // Behind a gateway somebody else answers, or the gateway says that nobody did.
    if (who === 'none behind it') return 'no answer from behind';
    const line = childrenOf(project, 'port', port.station).find(
      (one) => one.network !== null && one.id !== port.id && kindOf(project, one) === 'serial line',
    );
    return this.isAway(who.id) || (line && this.plant.cutAt(line) !== null) ? 'no answer from behind' : this.of(who.id);
  }

  private onLine(network: string, unit: number): Who {
    const { project } = this.plant;
    const all = answersOf(project, 'modbus-rtu').filter(
      ({ station, port }) =>
        port.network === network && port.unit === unit && this.plant.cutAt(port) === null && !this.isAway(station.id),
    );
    const [there] = all;
    // Two with one unit talk at once, and nobody understands them.
    if (!there || all.length > 1) return null;
    return this.of(there.station.id);
  }

  private of(station: string): Who {
    if (this.plant.standing.get(station) === 'faulted') return 'faulted';
    let own = this.tables.get(station);
    if (!own) this.tables.set(station, (own = tablesOf(this.plant.project, station, this.plant.memory)));
    return own;
  }

  private isAway(station: string): boolean {
    return this.plant.isStopped(station) || this.plant.isOutside(station);
  }
}

const kindOf = (project: Project, port: Port) =>
  port.network ? project.get('network', port.network)?.kind : undefined;

function tcpStanding(station: Station, port: Port, at: number): Standing {
  const planned = `${port.address || 'no address'}:${port.listens['modbus-tcp']?.tcpPort ?? 502}`;
  const own = { station: station.id, name: station.name, planned, host: LOOPBACK, port: at };
  return { ...own, protocol: 'Modbus TCP', unit: port.unit, typed: `${LOOPBACK}:${at}` };
}

function rtuStanding({ station, port }: { station: Station; port: Port }, line: string, at: number): Standing {
  const unit = port.unit ?? 'not set';
  const own = { station: station.id, name: station.name, host: LOOPBACK, port: at, unit: port.unit };
  return {
    ...own,
    planned: `unit ${unit} on ${line}`,
    protocol: 'Modbus RTU over TCP',
    typed: `${LOOPBACK}:${at}, unit ${unit}`,
  };
}

function tagStanding(station: Station, port: Port, at: number): Standing {
  const planned = `${port.address || 'no address'}:${port.listens['opc-ua']?.tcpPort ?? 4840}`;
  const own = { station: station.id, name: station.name, planned, host: LOOPBACK, port: at, unit: null };
  return { ...own, protocol: 'OPC UA', typed: `opc.tcp://${LOOPBACK}:${at}` };
}

/** Those that answer Modbus TCP, and those that somebody calls: a gateway has no end of its own in what it passes on. */
function answeringTcp({ project, links }: Plant): { station: Station; port: Port }[] {
  const found = new Map(answersOf(project, 'modbus-tcp').map((one) => [one.port.id, one]));
  for (const link of links) {
    if (link.exchange.protocol !== 'modbus-tcp') continue;
    const port = project.get('port', portCalled(project, link) ?? '');
    const station = port && project.get('station', port.station);
    if (port && station && !found.has(port.id)) found.set(port.id, { station, port });
  }
  return [...found.values()];
}
