import { bitsToValue, valueToBits } from '../data/values.js';
import { elementary } from '../data/types.js';
import { readable } from '../model/as-typed.js';
import type { Exchange } from '../model/exchange.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import { lengthBits } from '../place/length.js';
import { memoryOf } from '../place/memory.js';
import { tagOf } from '../place/open-of.js';
import { realPlace } from '../place/tag-place.js';
import { blockAt, payloadOf } from './block.js';
import { changedBits } from './changed.js';
import { putText } from './characters.js';
import { sameWay, type Carrier, type Link } from './link.js';
import { converting, copying } from './movers.js';
import { PlantMemory, type Bits } from './memory.js';
import { pathsOf, type Path } from './path.js';
import { EventQueue } from './queue.js';
import { stimulated, type Stimulus } from './stimulus.js';
import { typedStimulus } from './typed-stimulus.js';
import { unsettable } from './unsettable.js';
import { pairsOf, type OwnValue } from './values.js';

/** µs in a millisecond */
const MS = 1000;
/** Where an exchange has no cadence: it is asked for once a second. */
const ON_REQUEST_MS = 1000;
const SCAN_MS = 10;

type Event =
  | { what: 'link'; link: Link }
  | { what: 'answer'; link: Link }
  | { what: 'copy'; move: () => void; station: string; every: number }
  | { what: 'stimulus'; key: string };

interface Running {
  link: Link;
  key: string;
  value: OwnValue;
  area: string;
  station: string;
  stimulus: Stimulus;
  since: number;
  /** µs */
  every: number;
}

/**
 * The plant in virtual time: memories, and everything that moves data between and inside them. Times are whole microseconds
 * from a queue; the same project and the same calls make the same run, wherever.
 */
export class Plant {
  now = 0;
  readonly memory: PlantMemory;
  readonly links: Link[] = [];
  transfers = 0;
  private readonly queue = new EventQueue<Event>();
  private readonly cutNetworks = new Set<string>();
  private readonly stopped = new Map<string, 'stopped' | 'faulted'>();
  /** played by another program: whether that answers in its place */
  private readonly outside = new Map<string, boolean>();
  private readonly waiting = new Set<string>();
  private readonly stimuli = new Map<string, Running>();

  /** How some links are carried; null: all within the plant. */
  carrier: Carrier | null = null;

  constructor(
    readonly project: Project,
    /** µs: since when it runs; a later one where it goes on from another */
    private readonly begins = 0,
  ) {
    this.now = begins;
    this.memory = new PlantMemory(project);
    for (const exchange of inOrder(project, 'exchange')) {
      if (exchange.kind !== 'service link') this.connect(exchange);
    }
    for (const station of inOrder(project, 'station')) this.copiesOf(station.id, (station.scan ?? SCAN_MS) * MS);
  }

  private connect(exchange: Exchange): void {
    const cadence = (exchange.cadence || ON_REQUEST_MS) * MS;
    const delay = exchange.transfer === 'requests' ? Math.round((exchange.responseDelay ?? 0) * MS) : 0;
    const timeout = (exchange.timeout ?? 3 * (exchange.cadence || ON_REQUEST_MS)) * MS;
    for (const lane of childrenOf(this.project, 'lane', exchange.id)) {
      const paths = pathsOf(this.project, exchange, lane);
      if (typeof paths === 'string') continue;
      for (const [i, path] of paths.entries()) {
        const trigger = path.source.claim.trigger ?? path.sink.claim.trigger ?? null;
        const scan = (path.source.station.scan ?? SCAN_MS) * MS;
        const every = trigger === 'on change' || trigger === 'at start' ? scan : cadence;
        const link: Link = {
          id: `${lane.id} ${i}`,
          exchange,
          lane: lane.id,
          path,
          every: Math.max(1, Math.round(every)),
          timeout: Math.max(1, Math.round(timeout)),
          arrived: null,
          lost: null,
          stopped: path.stopped,
          asked: 0,
          answered: 0,
          waits: false,
          trigger,
          delay,
          changed: this.changer(path),
          move: this.mover(path),
        };
        this.links.push(link);
        if (trigger !== 'on demand') this.queue.add(this.now + link.every, { what: 'link', link });
      }
    }
  }

  private changer({ source, moves }: Path): () => boolean {
    const bits =
      moves && moves !== 'values' ? moves.from.bits.filter((bit) => bit >= 0) : payloadOf(source.block, false);
    return changedBits(this.memory.of(source.block.memory.area.id), bits);
  }

  /** Sends once what goes on demand, or out of turn. */
  send(link: Link): void {
    this.queue.add(this.now, { what: 'answer', link });
  }

  /** What one transfer does to the memories. */
  private mover({ source, sink, moves }: Path): () => void {
    if (moves === null) return () => undefined;
    if (moves !== 'values') {
      return copying(this.memory.of(moves.from.area), moves.from.bits, this.memory.of(moves.to.area), moves.to.bits);
    }
    const found = pairsOf(source, sink);
    if (typeof found === 'string') return () => undefined;
    const [from, to] = [source, sink].map(({ block }) => this.memory.of(block.memory.area.id)) as [Bits, Bits];
    const all = found.pairs.map(({ source: a, sink: b }) =>
      a.type.base === b.type.base && a.bits.length === b.bits.length
        ? copying(from, a.bits, to, b.bits)
        : converting(from, a, to, b),
    );
    return () => all.forEach((move) => move());
  }

  private copiesOf(station: string, every: number): void {
    for (const copy of childrenOf(this.project, 'copy', station)) {
      const length = readable(copy.length);
      const [from, to] = [copy.from, copy.to].map((typed) => {
        const place = readable(typed);
        const real = place && realPlace(this.project, place);
        const memory = real && memoryOf(this.project, real.area);
        const block =
          memory &&
          length &&
          blockAt({ memory, place: real, bits: lengthBits(length), usual: 'bits', inBits: length.unit === 1 });
        return block ? { area: block.memory.area.id, bits: payloadOf(block, block.single) } : null;
      });
      if (!from || !to || from.bits.length !== to.bits.length) continue;
      const move = copying(this.memory.of(from.area), from.bits, this.memory.of(to.area), to.bits);
      this.queue.add(this.now + every, { what: 'copy', move, station, every });
    }
  }

  /** Lets so many µs pass. */
  advance(by: number): void {
    const until = this.now + by;
    while (this.queue.next <= until) {
      this.now = this.queue.next;
      this.happen(this.queue.take()!);
    }
    this.now = until;
  }

  /** Lets the next thing happen, with all of the same time; false: there is none before `until`, and it is that time now. */
  step(until: number): boolean {
    const at = this.queue.next;
    if (at > until) {
      this.now = Math.max(this.now, until);
      return false;
    }
    this.now = at;
    while (this.queue.next === at) this.happen(this.queue.take()!);
    return true;
  }

  /**
   * What one link brings to a station goes back by another, as its program would answer: a scan later, bit for bit. A sentence says why
   * that cannot be.
   */
  echo(from: Link, fromKey: string, to: Link, toKey: string): string | null {
    const [came, goes] = [pairsOf(from.path.source, from.path.sink), pairsOf(to.path.source, to.path.sink)];
    const a = typeof came === 'string' ? undefined : came.pairs.find(({ key }) => key === fromKey)?.sink;
    const b = typeof goes === 'string' ? undefined : goes.pairs.find(({ key }) => key === toKey)?.source;
    const { station, block } = from.path.sink;
    if (!a || !b || to.path.source.station.id !== station.id)
      return 'An echo is at one station: what comes there goes out there again.';
    const length = Math.min(a.bits.length, b.bits.length);
    const [sent, taken] = [a.bits.slice(0, length), b.bits.slice(0, length)];
    const into = this.memory.of(to.path.source.block.memory.area.id);
    const move = copying(this.memory.of(block.memory.area.id), sent, into, taken);
    const every = (station.scan ?? SCAN_MS) * MS;
    this.queue.add(this.now + every, { what: 'copy', move, station: station.id, every });
    return null;
  }

  private happen(event: Event): void {
    if (event.what === 'link') {
      const { link } = event;
      if (link.trigger !== 'on change' || link.changed() || link.lost !== null) {
        if (link.delay > 0) this.queue.add(this.now + link.delay, { what: 'answer', link });
        else this.transfer(link);
      }
      if (link.trigger !== 'at start' || link.answered === 0) this.queue.add(this.now + link.every, event);
    } else if (event.what === 'answer') this.transfer(event.link);
    else if (event.what === 'copy') {
      if (this.runs(event.station)) event.move();
      this.queue.add(this.now + event.every, event);
    } else {
      const running = this.stimuli.get(event.key);
      if (!running) return;
      if (this.runs(running.station)) this.stimulate(running);
      this.queue.add(this.now + running.every, event);
    }
  }

  private transfer(link: Link): void {
    if (link.waits) return;
    link.asked += 1;
    link.stopped = this.stopOf(link);
    if (link.stopped !== null) return this.missed(link);
    if (link.lost !== null && link.exchange.onLoss?.back === 'wait for a release') this.waiting.add(link.exchange.id);
    if (this.waiting.has(link.exchange.id)) return this.came(link);
    if (!this.carrier?.carries(link)) {
      link.move();
      return this.came(link);
    }
    link.waits = true;
    void this.carrier.carry(link).then((why) => {
      link.waits = false;
      // Meanwhile it may have been cut, or handed to another program.
      link.stopped = this.stopOf(link) ?? why;
      if (link.stopped === null) this.came(link);
      else this.missed(link);
    });
  }

  private came(link: Link): void {
    link.arrived = this.now;
    link.lost = null;
    link.answered += 1;
    this.transfers += 1;
  }

  private missed(link: Link): void {
    if (link.lost !== null || this.now - (link.arrived ?? this.begins) < link.timeout) return;
    link.lost = this.now;
    this.onLoss(link);
  }

  /** The hop that stops a link just now. */
  private stopOf(link: Link): string | null {
    const { path } = link;
    if (path.stopped !== null) return path.stopped;
    for (const { station, end } of [path.source, path.sink]) {
      const answers = this.outside.get(station.id);
      if (answers !== undefined && !(answers && end.calling !== 'calls' && this.carrier?.carries(link)))
        return `${station.name} is played by another program`;
      const state = this.stopped.get(station.id);
      if (state) return `${station.name} is ${state}`;
      const port = end.port ? this.project.get('port', end.port) : undefined;
      const cut = port && this.cutAt(port);
      if (cut) return cut;
    }
    return null;
  }

  /** What is cut at a port: its own link, or its network; null: nothing. */
  cutAt(port: Port): string | null {
    if (this.cutNetworks.has(port.id)) {
      const station = this.project.get('station', port.station);
      return `the link of ${station?.name ?? port.name} is cut`;
    }
    const network = port.network ? this.project.get('network', port.network) : undefined;
    return network && this.cutNetworks.has(network.id) ? `${network.name} is cut` : null;
  }

  private onLoss({ path: { sink, moves }, exchange }: Link): void {
    if (exchange.onLoss?.sinks !== 'go to zero' || moves === null) return;
    const bits = this.memory.of(sink.block.memory.area.id);
    for (const at of payloadOf(sink.block, sink.block.single)) bits[at] = 0;
  }

  /** Cuts a network, or the link of one port; what is wrong with that, in a sentence; null: it is done. */
  cut(id: string): string | null {
    const what = this.project.get('network', id) ?? this.project.get('port', id);
    if (!what) return 'There is no such network or port.';
    if (this.cutNetworks.has(id)) return `${what.name} is cut already.`;
    this.cutNetworks.add(id);
    return null;
  }

  join(id: string): string | null {
    return this.cutNetworks.delete(id) ? null : 'That is not cut.';
  }

  get cuts(): readonly string[] {
    return [...this.cutNetworks];
  }

  /** Stopped it neither runs nor answers; faulted its program stands, and it answers that it cannot. */
  stop(station: string, state: 'stopped' | 'faulted' = 'stopped'): void {
    this.stopped.set(station, state);
  }

  start(station: string): void {
    this.stopped.delete(station);
  }

  isStopped(station: string): boolean {
    return this.stopped.get(station) === 'stopped';
  }

  /** Stations whose program stands. */
  get standing(): ReadonlyMap<string, 'stopped' | 'faulted'> {
    return this.stopped;
  }

  /** Another program plays this station: it neither runs nor answers here; `answers`: the other can be asked in its place. */
  hand(station: string, answers: boolean): void {
    this.outside.set(station, answers);
    for (const [name, running] of this.stimuli) if (running.station === station) this.stimuli.delete(name);
  }

  takeBack(station: string): void {
    this.outside.delete(station);
  }

  isOutside(station: string): boolean {
    return this.outside.has(station);
  }

  /** Outputs of an exchange that came back wait for this. */
  release(exchange: string): void {
    this.waiting.delete(exchange);
  }

  /** Exchanges whose link is back and whose data waits for a release. */
  get waitingForRelease(): readonly string[] {
    return [...this.waiting];
  }

  /**
   * Puts a stimulus in place of the program at a value of a source; a sentence says why it cannot be there. It is a temporary
   * thing until it is taken off.
   */
  drive(link: Link, key: string, stimulus: Stimulus): string | null {
    const { source, sink } = link.path;
    const found = pairsOf(source, sink);
    const pair = typeof found === 'string' ? undefined : found.pairs.find((p) => p.key === key);
    const refused = pair ? unsettable(pair.source, stimulus) : 'A stimulus is for a value that somebody sends.';
    if (!pair || refused) return refused;
    if (this.outside.has(source.station.id))
      return `${source.station.name} is played by another program; it is set there.`;
    const name = `${link.id} ${key}`;
    const scan = (source.station.scan ?? SCAN_MS) * MS;
    const area = source.block.memory.area.id;
    const fresh = !this.stimuli.has(name);
    const running = {
      link,
      key,
      value: pair.source,
      area,
      station: source.station.id,
      stimulus,
      since: this.now,
      every: scan,
    };
    this.stimuli.set(name, running);
    this.stimulate(running);
    if (fresh) this.queue.add(this.now + scan, { what: 'stimulus', key: name });
    return null;
  }

  /** Sets what was typed and holds it there; a sentence says why it cannot be. */
  set(link: Link, key: string, typed: string): string | null {
    const { source, sink } = link.path;
    const found = pairsOf(source, sink);
    const pair = typeof found === 'string' ? undefined : found.pairs.find((p) => p.key === key);
    if (!pair) return 'A stimulus is for a value that somebody sends.';
    const stimulus = typedStimulus(pair.source, key === '' ? tagOf(this.project, source.claim) : undefined, typed);
    return 'wrong' in stimulus ? stimulus.wrong : this.drive(link, key, stimulus);
  }

  /** Takes a stimulus off; what it last set stays. */
  letGo(link: Link, key: string): void {
    this.stimuli.delete(`${link.id} ${key}`);
  }

  /** What stands in for programs, to be undone: link and value. */
  get driven(): readonly { link: Link; key: string; value: OwnValue; stimulus: Stimulus }[] {
    return [...this.stimuli.values()].map(({ link, key, value, stimulus }) => ({ link, key, value, stimulus }));
  }

  private runs(station: string): boolean {
    return !this.stopped.has(station) && !this.outside.has(station);
  }

  /**
   * Goes on from a plant that ran, of the project before an edit: its time, its memories, what is cut, stopped and driven. Of a link on which
   * data goes as before nothing changes; the others begin anew. What cannot go on is told, a sentence each.
   */
  goOnFrom(before: Plant): string[] {
    const told: string[] = [];
    for (const area of before.memory.known)
      if (memoryOf(this.project, area)) this.memory.take(area, before.memory.of(area));
    for (const id of before.cuts) if (this.cut(id) !== null) told.push('What was cut is not there any more.');
    for (const [id, state] of before.stopped) if (this.project.get('station', id)) this.stop(id, state);
    for (const [id, answers] of before.outside) if (this.project.get('station', id)) this.hand(id, answers);
    for (const exchange of before.waiting) if (this.project.get('exchange', exchange)) this.waiting.add(exchange);
    const own = new Map(this.links.map((link) => [link.id, link]));
    for (const old of before.links) {
      const link = own.get(old.id);
      if (!link || !sameWay(old, link)) continue;
      const { arrived, lost, stopped, asked, answered } = old;
      Object.assign(link, { arrived, lost, stopped, asked, answered });
    }
    for (const { link: old, key, value, stimulus } of before.driven) {
      const link = own.get(old.id);
      const refused = link ? this.drive(link, key, stimulus) : 'no data goes there any more';
      if (refused) told.push(`The hand on ${value.name || 'a value'} was taken off: ${refused}`);
    }
    this.transfers = before.transfers;
    return told;
  }

  private stimulate({ value, area, stimulus, since }: Running): void {
    const memory = this.memory.of(area);
    if (stimulus.kind === 'text') return putText(memory, value, stimulus.text);
    const type = elementary(value.type.base)!;
    const number = stimulated(stimulus, this.now - since, type.bits);
    const whole =
      type.family === 'real' ? Number(number) : typeof number === 'bigint' ? number : BigInt(Math.trunc(number));
    valueToBits(value.type.base, whole).forEach((bit, i) => (memory[value.bits[i]!] = bit));
  }

  /** What a value of an end is now. */
  valueOf(area: string, value: OwnValue): number | bigint {
    const memory = this.memory.of(area);
    const bits = elementary(value.type.base)?.bits ?? 0;
    return bitsToValue(
      value.type.base,
      Uint8Array.from({ length: bits }, (_, i) => memory[value.bits[i]!] ?? 0),
    );
  }
}
