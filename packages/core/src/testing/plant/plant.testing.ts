import type { Change } from '../../change/change.js';
import { set } from '../../change/make.js';
import type { Claim, Place } from '../../model/claim.js';
import { newNetwork, newPort, newStation } from '../../create/new-entities.js';
import type { End, Told } from '../../model/end.js';
import type { EntityOf, Kind } from '../../model/kinds.js';
import type { Network } from '../../model/network.js';
import type { Port } from '../../model/port.js';
import { Project } from '../../model/project.js';
import type { Exchange } from '../../model/exchange.js';
import type { Station } from '../../model/station.js';
import { SHIPPED_PROFILES } from '../../profiles/shipped.js';
import type { Dice } from './dice.testing.js';
import { Memory, OF_CONTROLLERS, type SortName } from './memories.testing.js';

type Lists = { [K in Kind]?: EntityOf[K][] };

/** A station with one port on the plant’s network and, where it has one, a memory. */
export interface Member {
  id: string;
  name: string;
  port: string;
  address: string;
  memory: Memory;
}

const NOUNS = ['Cutter', 'Bake', 'Mix', 'Wrap', 'Silo', 'Press', 'Kiln', 'Fill', 'Sort', 'Lift', 'Wash', 'Steam'];
const THINGS = [
  'Level',
  'Speed',
  'Dose',
  'Heat',
  'Count',
  'State',
  'Batch',
  'Flow',
  'Torque',
  'Weight',
  'Gap',
  'Tension',
];
export const MASK = '255.255.255.0';

/** The plant as it is being thought out: every fact once, written down at each end as that end writes it. */
export class Plant {
  private readonly lists: Lists = {};
  private readonly later: ((project: Project) => Change[])[] = [];
  private readonly members: Member[] = [];
  private readonly taken = new Set<string>();
  private count = 0;
  private hosts = 10;
  private subnets = 0;
  readonly lan: Network;

  constructor(readonly dice: Dice) {
    this.lan = this.network('Plant LAN');
  }

  id(of: string): string {
    this.count += 1;
    return `${of}-${this.count}`;
  }

  /** A name that nothing else has. */
  word(ending = ''): string {
    return `${this.dice.pick(NOUNS)}${this.dice.pick(THINGS)}${(this.count += 1)}${ending}`;
  }

  get order(): number {
    return 10 * (this.count += 1);
  }

  put<K extends Kind>(kind: K, ...entities: EntityOf[K][]): void {
    const list = (this.lists[kind] ??= [] as never) as EntityOf[K][];
    list.push(...entities);
  }

  has<K extends Kind>(kind: K): readonly EntityOf[K][] {
    return (this.lists[kind] ?? []) as EntityOf[K][];
  }

  project(): Project {
    return Project.of({
      project: [{ id: 'project', name: 'A plant that is right' }],
      ...this.lists,
      profile: [...SHIPPED_PROFILES, ...this.has('profile')],
    } as never);
  }

  network(name: string, rest: Partial<Network> = {}): Network {
    const ip = (rest.kind ?? 'ethernet') === 'ethernet';
    const subnet = ip ? { subnet: `10.${20 + (this.subnets += 1)}.4.0/24` } : {};
    const network = { ...newNetwork(this.id('net'), this.order, `${name} ${this.count}`), ...subnet, ...rest };
    this.put('network', network);
    return network;
  }

  /** The next free host address of an Ethernet network. */
  host(network: Network): string {
    return network.subnet!.replace(/0\/24$/, String((this.hosts += 1)));
  }

  station(name: string, rest: Partial<Station> = {}): Station {
    const station = { ...newStation(this.id('station'), this.order, `${name}${this.count}`), scan: 10, ...rest };
    this.put('station', station);
    return station;
  }

  port(station: Station, network: Network, rest: Partial<Port> = {}): Port {
    const address = network.kind === 'ethernet' ? { address: this.host(network), mask: MASK } : { mask: '' };
    const port = {
      ...newPort(this.id('port'), this.order, station.id, network.id),
      name: network.name,
      ...address,
      ...rest,
    };
    this.put('port', port);
    return port;
  }

  memory(station: Station, sort: SortName, rest: Parameters<Memory['entity']>[2] = {}): Memory {
    const memory = new Memory(this.id('area'), sort, this.dice);
    this.put('area', memory.entity(station.id, this.order, rest));
    return memory;
  }

  /** A controller on the plant’s network; each counts and writes its addresses as its sort does. */
  controller(
    rest: { sort?: SortName; station?: Partial<Station>; port?: Partial<Port>; network?: Network } = {},
  ): Member {
    const sort = rest.sort ?? this.dice.pick(OF_CONTROLLERS);
    const plain = !rest.station && !rest.port && !rest.network;
    const known = this.members.filter(({ id, memory }) => memory.name === sort && !this.taken.has(id));
    const again = plain && known.length > 0 && this.dice.once(3) ? this.dice.pick(known) : null;
    if (again) {
      this.taken.add(again.id);
      return again;
    }
    const station = this.station(`${this.dice.pick(NOUNS)}Ctl`, rest.station);
    const port = this.port(station, rest.network ?? this.lan, rest.port);
    const memory = this.memory(station, sort);
    const member = { id: station.id, name: station.name, port: port.id, address: port.address, memory };
    this.taken.add(member.id);
    if (plain) this.members.push(member);
    return member;
  }

  /** A new part: whoever takes part in others may take part in it, too, in one place. */
  begin(): void {
    this.taken.clear();
  }

  exchange(name: string, protocol: string, rest: Partial<Exchange> = {}): Exchange {
    const exchange: Exchange = {
      id: this.id('exchange'),
      order: this.order,
      name: `${name} ${this.count}`,
      kind: 'peer connection',
      protocol,
      transfer: 'requests',
      cadence: 500,
      timeout: 2000,
      ...rest,
    };
    this.put('exchange', exchange);
    return exchange;
  }

  end(exchange: Exchange, station: string, port: string, calling: End['calling'], rest: Partial<End> = {}): End {
    const end: End = {
      id: this.id('end'),
      order: this.order,
      exchange: exchange.id,
      station,
      port,
      calling,
      swap: 'none',
      told: {},
      ...rest,
    };
    this.put('end', end);
    return end;
  }

  lane(exchange: Exchange): string {
    const id = this.id('lane');
    this.put('lane', { id, order: this.order, exchange: exchange.id, items: {} });
    return id;
  }

  /** The values that a lane is meant to carry; a single array needs no names. */
  meant(lane: string, values: readonly { key: string }[]): void {
    const items = values.length < 2 ? [] : values.map(({ key }, i) => [key, { order: 10 * i + 10 }] as const);
    this.has('lane').find(({ id }) => id === lane)!.items = Object.fromEntries(items);
  }

  /** An image of a station, and the place of a byte in it. */
  image(station: string, kind: 'input image' | 'output image'): (byte: number) => Place {
    const area = this.id('image');
    const input = kind === 'input image';
    this.put('area', {
      id: area,
      order: this.order,
      name: `${input ? 'Inputs' : 'Outputs'} ${this.count}`,
      station,
      kind,
      wordBits: 8,
      words: 512,
      writers: [input ? 'firmware' : 'program'],
      reservations: {},
      views: {
        bytes: { order: 10, name: 'bytes', notation: 'iec bytes', prefix: input ? 'I' : 'Q', unit: 8, first: 0 },
      },
    });
    return (byte) => ({ area, view: 'bytes', number: byte, width: 8 });
  }

  /** Something that follows from what was typed, made once all of it is there. */
  after(changes: (project: Project) => Change[]): void {
    this.later.push(changes);
  }

  /** The first lane of an exchange shows each end that the other is there. */
  watched(exchange: Exchange): void {
    this.after((project) => {
      const lane = [...project.all('lane')].find((l) => l.exchange === exchange.id);
      const now = project.get('exchange', exchange.id)!;
      return lane ? [set('exchange', now, ['watchedBy'], lane.id)] : [];
    });
  }

  made(): readonly ((project: Project) => Change[])[] {
    return this.later;
  }

  claim(lane: string, end: End, rest: Partial<Claim>): Claim {
    const claim: Claim = {
      id: this.id('claim'),
      lane,
      end: end.id,
      name: this.word(),
      direction: 'reads',
      place: null,
      length: null,
      type: null,
      swap: null,
      items: {},
      toldPlace: null,
      ...rest,
    };
    this.put('claim', claim);
    return claim;
  }
}

export const told = (rest: Partial<Told>): Told => ({ address: '', tcpPort: '', unit: '', ...rest });
