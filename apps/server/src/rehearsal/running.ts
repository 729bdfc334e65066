import { childrenOf, type Project } from '@dialoga/core/model';
import { Plant, shownValues, truthsOf, type Link } from '@dialoga/core/rehearse';
import { standInsOf, type StandIns } from '@dialoga/standins';
import type { DoDto, LinkView, RehearsalView, RunningExchange } from './rehearsal.dto.js';

/** ms between two steps of a plant that runs in real time */
const STEP_MS = 10;
const MS = 1000;

/** A plant that runs in real time, with its stand-ins on loopback. */
export class Running {
  private readonly timer: NodeJS.Timeout;
  private then = performance.now();
  private readonly since = new Date();

  private constructor(
    private readonly plant: Plant,
    private readonly standIns: StandIns,
    readonly revision: number,
    private readonly by: string,
  ) {
    this.timer = setInterval(() => this.step(), STEP_MS);
    this.timer.unref();
  }

  static async begin(project: Project, revision: number, by: string): Promise<Running> {
    const plant = new Plant(project);
    return new Running(plant, await standInsOf(plant), revision, by);
  }

  async end(): Promise<void> {
    clearInterval(this.timer);
    await this.standIns.close();
  }

  private step(): void {
    const now = performance.now();
    this.plant.advance(Math.round((now - this.then) * MS));
    this.then = now;
  }

  /** Does it, or says in a sentence why not. */
  do({ what, id, key = '', value }: DoDto): string | null {
    const { plant } = this;
    const { project } = plant;
    if (what === 'cut') return plant.cut(id);
    if (what === 'join') return plant.join(id);
    if (what === 'release') {
      plant.release(id);
      return null;
    }
    if (what === 'stop' || what === 'start') {
      if (!project.get('station', id)) return 'There is no such station.';
      plant[what](id);
      return null;
    }
    const link = plant.links.find((one) => one.id === id);
    if (!link) return 'No data goes there any more.';
    if (what === 'let go') {
      plant.letGo(link, key);
      return null;
    }
    if (value === undefined) return 'It takes a value to set.';
    return plant.drive(link, key, { kind: 'constant', value });
  }

  view(): RehearsalView {
    const { plant, standIns, revision, by, since } = this;
    const { project } = plant;
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
      stopped: [...project.all('station')].filter(({ id }) => plant.isStopped(id)).map(({ id }) => id),
      driven: plant.driven.map(({ link, key, value }) => {
        const name = `${value.name || 'a value'} at ${link.path.source.station.name}`;
        return { link: link.id, key, name };
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
      age: arrived === null ? null : Math.round((this.plant.now - arrived) / MS),
      stopped: link.stopped,
      sinkHas: sink,
      sourceBelieves: source,
      statusSays: status,
      values: shownValues(this.plant, link),
    };
  }
}
