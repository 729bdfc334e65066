import type { Project } from '@dialoga/core/model';
import { requestsOf, type Carrier, type Link, type ModbusRequest, type Plant } from '@dialoga/core/rehearse';
import modbusSerial from 'modbus-serial';

/** The client; what is exported is a module of the older kind. */
const ModbusRTU = modbusSerial.default;
type ModbusRTU = InstanceType<typeof ModbusRTU>;

/** Where somebody answers on loopback. */
export interface Address {
  host: string;
  port: number;
}

/** ms until an answer that does not come is given up, where the exchange has no timeout of its own */
const USUAL_TIMEOUT = 1000;
/** What is sent where no unit was entered. [published: MODBUS Messaging on TCP/IP Implementation Guide V1.0b, 4.4.2.1] [from memory] */
const NO_UNIT = 255;
const CLOSED = 'the connection was closed';

interface Connection {
  client: ModbusRTU;
  ended: boolean;
  /** what waits for an answer; when the connection ends it waits no longer */
  waiting: Set<(why: Error) => void>;
  end(): void;
  /** what is under way: one request after the other, as a caller makes them */
  last: Promise<unknown>;
}

interface Route {
  key: string;
  address: Address;
  unit: number;
  requests: readonly ModbusRequest[];
  timeout: number;
}

/**
 * Calls of Modbus TCP through real sockets, as each caller was told: its connections are its own, and what it asks for are requests as the
 * plan makes them. Whoever answers may be a stand-in or another program.
 */
export class Calls implements Carrier {
  private readonly connections = new Map<string, Promise<Connection>>();
  private readonly routes = new Map<Link, Route | null>();
  private closed = false;

  constructor(
    private readonly plant: Plant,
    /** where the end that a link calls answers; null: nowhere on loopback */
    private readonly addressOf: (link: Link) => Address | null,
  ) {}

  carries(link: Link): boolean {
    return this.routeOf(link) !== null;
  }

  async carry(link: Link): Promise<string | null> {
    const route = this.routeOf(link);
    if (!route || this.closed) return 'it is not called any more';
    try {
      const connection = await this.connected(route);
      const talk = () => untilEnded(connection, () => this.talk(connection.client, link, route));
      const turn = connection.last.then(talk, talk);
      connection.last = turn;
      await turn;
      return null;
    } catch (error) {
      return this.closed ? 'it is not called any more' : this.failed(route, error);
    }
  }

  /** Addresses may have changed: they are looked up anew. */
  forget(): void {
    this.routes.clear();
  }

  async close(): Promise<void> {
    this.closed = true;
    const all = [...this.connections.values()];
    this.connections.clear();
    await Promise.allSettled(all.map(async (one) => (await one).end()));
  }

  private routeOf(link: Link): Route | null {
    let route = this.routes.get(link);
    if (route === undefined) this.routes.set(link, (route = this.findRoute(link)));
    return route;
  }

  private findRoute(link: Link): Route | null {
    if (link.exchange.protocol !== 'modbus-tcp') return null;
    const address = this.addressOf(link);
    const requests = address && requestsOf(this.plant.project, link);
    if (!address || !requests) return null;
    const { source, sink } = link.path;
    const [caller, other] = source.end.calling === 'calls' ? [source, sink] : [sink, source];
    const unit = Number(caller.end.told[other.end.id]?.unit.trim() || NO_UNIT);
    const timeout = link.exchange.timeout ?? USUAL_TIMEOUT;
    return { key: `${caller.end.id} ${address.host}:${address.port}`, address, unit, requests, timeout };
  }

  private connected({ key, address, timeout }: Route): Promise<Connection> {
    let known = this.connections.get(key);
    if (!known) {
      known = this.connect(key, address, timeout);
      known.catch(() => this.connections.delete(key));
      this.connections.set(key, known);
    }
    return known;
  }

  private async connect(key: string, { host, port }: Address, timeout: number): Promise<Connection> {
    const client = new ModbusRTU();
    const connection: Connection = {
      client,
      ended: false,
      waiting: new Set(),
      last: Promise.resolve(),
      end: () => {
        this.connections.delete(key);
        connection.ended = true;
        for (const fail of connection.waiting) fail(new Error(CLOSED));
        client.destroy(() => undefined);
      },
    };
    client.on('close', () => connection.end());
    client.on('error', () => undefined);
    await client.connectTCP(host, { port, timeout });
    client.setTimeout(timeout);
    return connection;
  }

  private async talk(client: ModbusRTU, { path }: Link, { unit, requests }: Route): Promise<void> {
    forgetAnswered(client);
    client.setID(unit);
    const sets = path.source.end.calling === 'calls';
    const memory = this.plant.memory.of((sets ? path.source : path.sink).block.memory.area.id);
    for (const request of requests) {
      if (request.does === 'reads') {
        const values = await read(client, request);
        const width = widthOf(request);
        request.bits.forEach((bit, i) => {
          if (bit >= 0) memory[bit] = (values[Math.floor(i / width)]! >> (i % width)) & 1;
        });
      } else await write(client, request, (bit) => memory[bit] ?? 0);
    }
  }

  private failed({ address: { host, port } }: Route, error: unknown): string {
    const { modbusCode, message } = error as { modbusCode?: number; message?: string };
    if (modbusCode !== undefined) return `${host}:${port} answers with exception ${modbusCode}`;
    return `no answer from ${host}:${port}${message ? ` (${message})` : ''}`;
  }
}

/** The client keeps each request until 65,536 others came after it; here one follows the other, so none is waited for between two. */
function forgetAnswered(client: ModbusRTU): void {
  Object.assign(client, { _transactions: {} });
}

/** Fails with the connection, from which no answer comes any more then; one that has ended is asked nothing. */
function untilEnded(connection: Connection, talk: () => Promise<void>): Promise<void> {
  if (connection.ended) return Promise.reject(new Error(CLOSED));
  const { waiting } = connection;
  return new Promise((resolve, reject) => {
    waiting.add(reject);
    talk()
      .then(resolve, reject)
      .finally(() => waiting.delete(reject));
  });
}

const widthOf = ({ table }: ModbusRequest): number => (table === 'coils' || table === 'discrete inputs' ? 1 : 16);

async function read(client: ModbusRTU, { table, start, count }: ModbusRequest): Promise<number[]> {
  switch (table) {
    case 'coils':
      return (await client.readCoils(start, count)).data.map(Number);
    case 'discrete inputs':
      return (await client.readDiscreteInputs(start, count)).data.map(Number);
    case 'input registers':
      return (await client.readInputRegisters(start, count)).data;
    default:
      return (await client.readHoldingRegisters(start, count)).data;
  }
}

/** One entry by the function for one, several by that for several; of a register that is not all the caller’s, only his bits. */
async function write(client: ModbusRTU, request: ModbusRequest, bitAt: (bit: number) => number): Promise<void> {
  const { does, start, count, bits } = request;
  const width = widthOf(request);
  const values = new Array<number>(count).fill(0);
  for (let i = 0; i < bits.length; i++) {
    const bit = bits[i]!;
    if (bit >= 0) values[Math.floor(i / width)]! |= bitAt(bit) << (i % width);
  }
  const [first = 0] = values;
  if (does === 'masks') {
    const kept = bits.reduce((all, bit, i) => (bit < 0 ? all | (1 << i) : all), 0);
    await client.maskWriteRegister(start, kept, first & ~kept & 0xffff);
  } else if (width === 1) {
    if (count === 1) await client.writeCoil(start, first === 1);
    else await client.writeCoils(start, values.map(Boolean));
  } else if (count === 1) await client.writeRegister(start, first);
  else await client.writeRegisters(start, values);
}

/** Whoever a calling end was told, as the plan has him: a port with that address, else the port of the other end. */
export function portCalled(project: Project, { path: { source, sink } }: Link): string | null {
  const [caller, other] = source.end.calling === 'calls' ? [source, sink] : [sink, source];
  if (caller.end.calling !== 'calls') return null;
  const told = caller.end.told[other.end.id]?.address.trim() ?? '';
  const network = caller.end.port ? project.get('port', caller.end.port)?.network : null;
  const named = [...project.all('port')].filter((port) => told !== '' && port.address.trim() === told);
  return (named.find((port) => port.network === network) ?? named[0])?.id ?? other.end.port ?? null;
}
