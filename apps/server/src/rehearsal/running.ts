import { childrenOf, type Project } from '@dialoga/core/model';
import { Plant, shownValues, stimulusWords, truthsOf, type Link } from '@dialoga/core/rehearse';
import { StandIns } from '@dialoga/standins';
import type { DoDto, LinkView, RehearsalView, RunningExchange } from './rehearsal.dto.js';

/** ms between two steps of a plant that runs in real time */
const STEP_MS = 10;
const MS = 1000;
/** times as fast as outside */
const MOST_PACE = 10;
/** ms */
const LONGEST_STEP = 60_000;
const ABOUT_STATIONS: readonly string[] = ['stop', 'fault', 'start', 'load', 'hand over', 'take back'];

/** A plant that runs in real time, with its stand-ins on loopback. */
export class Running {
  private readonly timer: NodeJS.Timeout;
  private then = performance.now();
  private readonly since = new Date();
  /** seconds of the plant in a second */
  private pace = 1;
  /** what could not go on after the last edit */
  private told: string[] = [];

  private constructor(
    private plant: Plant,
    private readonly standIns: StandIns,
    public revision: number,
    private readonly by: string,
  ) {
    this.timer = setInterval(() => this.step(), STEP_MS);
    this.timer.unref();
  }

  static async begin(project: Project, revision: number, by: string): Promise<Running> {
    const plant = new Plant(project);
    return new Running(plant, await StandIns.of(plant), revision, by);
  }

  async end(): Promise<void> {
    clearInterval(this.timer);
    await this.standIns.close();
  }

  private step(): void {
    const now = performance.now();
    this.plant.advance(Math.round((now - this.then) * MS * this.pace));
    this.then = now;
  }

  /** Goes on with the project as it is after an edit. */
  async goOn(project: Project, revision: number): Promise<void> {
    this.step();
    const next = new Plant(project, this.plant.now);
    this.told = next.goOnFrom(this.plant);
    this.plant = next;
    this.revision = revision;
    await this.standIns.goOnWith(next);
  }

  /** Does it, or says in a sentence why not. */
  do({ what, id, key = '', text, value }: DoDto): string | null {
    const { plant } = this;
    if (what === 'cut') return plant.cut(id);
    if (what === 'join') return plant.join(id);
    if (what === 'release') {
      plant.release(id);
      return null;
    }
    if (what === 'pace' || what === 'step') return this.inTime(what, value ?? Number.NaN);
    if (ABOUT_STATIONS.includes(what)) return this.atStation(what, id, text ?? '');
    const link = plant.links.find((one) => one.id === id);
    if (!link) return 'No data goes there any more.';
    if (what === 'let go') {
      plant.letGo(link, key);
      return null;
    }
    if (what === 'send') {
      plant.send(link);
      return null;
    }
    return text === undefined ? 'It takes a value to set.' : plant.set(link, key, text);
  }

  private inTime(what: 'pace' | 'step', value: number): string | null {
    if (what === 'pace') {
      if (!(value >= 0 && value <= MOST_PACE)) return `Time goes 0 to ${MOST_PACE} times as fast as outside.`;
      this.step();
      this.pace = value;
      return null;
    }
    if (this.pace !== 0) return 'Time goes on by itself; let it stand to go step by step.';
    if (!(value > 0 && value <= LONGEST_STEP)) return `A step is 0.001 to ${LONGEST_STEP} ms long.`;
    this.plant.advance(Math.round(value * MS));
    return null;
  }

  private atStation(what: DoDto['what'], id: string, text: string): string | null {
    const { plant, standIns } = this;
    if (!plant.project.get('station', id)) return 'There is no such station.';
    if (what === 'hand over') return standIns.hand(id, text);
    if (what === 'take back') standIns.takeBack(id);
    else if (what === 'start') plant.start(id);
    else if (what === 'load') plant.load(id);
    else plant.stop(id, what === 'fault' ? 'faulted' : 'stopped');
    return null;
  }

  view(): RehearsalView {
    const { plant, standIns, revision, by, since } = this;
    const standing = (state: string) => [...plant.standing].flatMap(([id, is]) => (is === state ? [id] : []));
    return {
      revision,
      by,
      since,
      now: Math.round(plant.now / MS),
      standings: standIns.standings.map(({ station, name, planned, protocol, typed }) => ({
        station,
        name,
        planned,
        protocol,
        typed,
      })),
      exchanges: this.exchanges(),
      cuts: [...plant.cuts],
      stopped: standing('stopped'),
      faulted: standing('faulted'),
      outside: [...standIns.playedOutside],
      pace: this.pace,
      told: this.told,
      driven: plant.driven.map(({ link, key, value, stimulus }) => {
        const name = `${value.name || 'a value'} at ${link.path.source.station.name}`;
        return { link: link.id, key, name, does: stimulusWords(stimulus) };
      }),
    };
  }

  private exchanges(): RunningExchange[] {
    const waiting = new Set(this.plant.waitingForRelease);
    const all = new Map<string, RunningExchange>();
    for (const { exchange, lost, stopped } of this.plant.links) {
      const one = all.get(exchange.id) ?? {
        id: exchange.id,
        links: 0,
        up: 0,
        lost: 0,
        stopped: null,
        waits: waiting.has(exchange.id),
      };
      one.links += 1;
      if (stopped === null) one.up += 1;
      if (lost !== null) one.lost += 1;
      one.stopped ??= stopped;
      all.set(exchange.id, one);
    }
    return [...all.values()];
  }

  /** How the data of one exchange stands now, value by value. */
  linksOf(exchange: string): LinkView[] {
    const order = new Map(childrenOf(this.plant.project, 'lane', exchange).map(({ id }, i) => [id, i]));
    const links = this.plant.links.filter((link) => link.exchange.id === exchange);
    links.sort((a, b) => (order.get(a.lane) ?? 0) - (order.get(b.lane) ?? 0));
    return links.map((link) => this.linkView(link));
  }

  private linkView(link: Link): LinkView {
    const { sink, source, status } = truthsOf(link, this.plant.now);
    const { path, arrived } = link;
    return {
      id: link.id,
      lane: link.lane,
      source: path.source.station.name,
      sink: path.sink.station.name,
      sourceEnd: path.source.end.id,
      sinkEnd: path.sink.end.id,
      onDemand: link.trigger === 'on demand',
      age: arrived === null ? null : Math.round((this.plant.now - arrived) / MS),
      stopped: link.stopped,
      sinkHas: sink,
      sourceBelieves: source,
      statusSays: status,
      values: shownValues(this.plant, link),
    };
  }
}
