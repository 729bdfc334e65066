import { bitsToValue } from '../data/values.js';
import { elementary } from '../data/types.js';
import { inOrder } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import { memoryOf } from '../place/memory.js';
import { payloadOf } from './block.js';
import { copiesOf } from './copies-of.js';
import { sameWay, type Carrier, type Link } from './link.js';
import { afterLoadOf } from '../time/after-load.js';
import { linksOf } from './links-of.js';
import { PlantMemory } from './memory.js';
import { ownValuesOf } from './own-values.js';
import { EventQueue } from './queue.js';
import { scanOf } from './scan.js';
import { Stimuli, type Driven } from './stimuli.js';
import type { Stimulus } from './stimulus.js';
import type { OwnValue } from './values.js';

type Event =
  | { what: 'link'; link: Link }
  | { what: 'answer'; link: Link }
  | { what: 'copy'; move: () => void; station: string; every: number }
  | { what: 'stimulus'; name: string };

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
  private readonly stimuli = new Stimuli(this, (name, every) =>
    this.queue.add(this.now + every, { what: 'stimulus', name }),
  );

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
      if (exchange.kind === 'service link') continue;
      for (const link of linksOf(project, this.memory, exchange)) {
        this.links.push(link);
        if (link.trigger !== 'on demand') this.queue.add(this.now + link.every, { what: 'link', link });
      }
    }
    for (const { id } of inOrder(project, 'station')) {
      const every = scanOf(project, id);
      this.writeStartValues(id);
      const firmware = ownValuesOf(project, this.memory, id, 'by firmware');
      for (const move of firmware) move();
      for (const move of [...copiesOf(project, this.memory, id), ...firmware]) {
        this.queue.add(this.now + every, { what: 'copy', move, station: id, every });
      }
    }
  }

  /** Sends once what goes on demand, or out of turn. */
  send(link: Link): void {
    this.queue.add(this.now, { what: 'answer', link });
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
      const every = this.stimuli.act(event.name);
      if (every !== null) this.queue.add(this.now + every, event);
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
    const bits = this.memory.of(sink.moved.memory.area.id);
    for (const at of payloadOf(sink.moved, sink.moved.single)) bits[at] = 0;
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

  /** Its start values are written once more, as at every start. */
  start(station: string): void {
    this.stopped.delete(station);
    this.writeStartValues(station);
  }

  /** A load stops it, and somebody has to start it again; or it goes on by itself, as its type says. */
  load(station: string): void {
    const does = afterLoadOf(this.project, station);
    if (does === 'runs on') return;
    this.stop(station);
    if (does === 'starts by itself') this.start(station);
  }

  private writeStartValues(station: string): void {
    for (const write of ownValuesOf(this.project, this.memory, station, 'at start')) write();
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
    this.stimuli.leave(station);
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
    return this.stimuli.drive(link, key, stimulus);
  }

  /** Sets what was typed and holds it there; a sentence says why it cannot be. */
  set(link: Link, key: string, typed: string): string | null {
    return this.stimuli.set(link, key, typed);
  }

  /** Takes a stimulus off; what it last set stays. */
  letGo(link: Link, key: string): void {
    this.stimuli.letGo(link, key);
  }

  /** What stands in for programs, to be undone: link and value. */
  get driven(): readonly Driven[] {
    return this.stimuli.all;
  }

  /** Its program runs, and it is here that it does. */
  runs(station: string): boolean {
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
