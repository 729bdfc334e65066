import { elementary } from '../data/types.js';
import type { Project } from '../model/project.js';
import type { Link } from './link.js';
import { Plant } from './plant.js';
import type { Stimulus } from './stimulus.js';
import { pairsOf, type OwnValue } from './values.js';

/** One value of a link, at one of its ends. */
export interface Watched {
  link: string;
  key: string;
  at: 'source' | 'sink';
}

/** What a trace is asked for; times in µs. */
export interface TraceAsked {
  watched: readonly Watched[];
  drives: readonly { link: string; key: string; stimulus: Stimulus }[];
  /** what one link brings goes back by another, a scan of the station later */
  echoes: readonly { from: string; fromKey: string; to: string; toKey: string }[];
  /** it begins when this value first is so; null: at once */
  armed: { watched: number; value: number } | null;
  length: number;
}

/** One value over time: each point holds until the next. */
export interface Series {
  name: string;
  station: string;
  /** 0 and 1 only */
  isBit: boolean;
  points: [at: number, value: number][];
}

/** Times count from where it began. */
export interface Trace {
  series: Series[];
  length: number;
  /** µs of the plant until it was armed */
  began: number;
}

/** How long a condition is waited for. */
const MOST_WAITING = 60_000_000;
/** Points of one series. */
const MOST_POINTS = 20_000;

/** Runs a plant from its begin and writes down when the watched values change. A text says why that cannot be. */
export function traceOf(project: Project, asked: TraceAsked): Trace | string {
  const plant = new Plant(project);
  const linkOf = (id: string) => plant.links.find((link) => link.id === id);
  for (const { link: id, key, stimulus } of asked.drives) {
    const link = linkOf(id);
    const refused = link ? plant.drive(link, key, stimulus) : 'No data goes there any more.';
    if (refused) return refused;
  }
  for (const { from, fromKey, to, toKey } of asked.echoes) {
    const [a, b] = [linkOf(from), linkOf(to)];
    const refused =
      a && b
        ? plant.drive(b, toKey, { kind: 'echo', link: a.id, key: fromKey, name: '' })
        : 'No data goes there any more.';
    if (refused) return refused;
  }
  const all = asked.watched.flatMap((one) => watchedAt(linkOf(one.link), one) ?? []);
  if (all.length < asked.watched.length) return 'A value that is watched is not there any more.';
  const now = ({ area, value }: Place) => Number(plant.valueOf(area, value));
  const { armed: condition } = asked;
  const waited = condition ? all[condition.watched] : undefined;
  const armed = () => !condition || (waited !== undefined && now(waited) === condition.value);
  while (!armed()) {
    if (plant.now > MOST_WAITING || !plant.step(MOST_WAITING + 1))
      return 'What it waits for does not come in a minute.';
  }
  const began = plant.now;
  const series = all.map(({ name, station }): Series => ({ name, station, isBit: true, points: [] }));
  const note = () => {
    all.forEach((one, i) => {
      const value = now(one);
      const { points } = series[i]!;
      if (points.at(-1)?.[1] === value || points.length >= MOST_POINTS) return;
      points.push([plant.now - began, value]);
      if (value !== 0 && value !== 1) series[i]!.isBit = false;
    });
  };
  note();
  while (plant.step(began + asked.length)) note();
  return { series, length: asked.length, began };
}

interface Place {
  name: string;
  station: string;
  area: string;
  value: OwnValue;
}

function watchedAt(link: Link | undefined, { key, at }: Watched): Place | null {
  const found = link && pairsOf(link.path.source, link.path.sink);
  const pair = !found || typeof found === 'string' ? undefined : found.pairs.find((one) => one.key === key);
  if (!link || !pair) return null;
  const party = link.path[at];
  return { name: pair[at].name, station: party.station.name, area: party.block.memory.area.id, value: pair[at] };
}

/** Everything of an exchange that can be watched: numbers and bits of its links, at both ends. */
export function watchable(project: Project, exchange: string): (Watched & { name: string; station: string })[] {
  const plant = new Plant(project);
  return plant.links.flatMap((link) => {
    if (link.exchange.id !== exchange) return [];
    const found = pairsOf(link.path.source, link.path.sink);
    if (typeof found === 'string') return [];
    return found.pairs.flatMap(({ key, ...pair }) =>
      (['source', 'sink'] as const).flatMap((at) => {
        const { name, type } = pair[at];
        if (elementary(type.base)?.family === 'text') return [];
        return [{ link: link.id, key, at, name, station: link.path[at].station.name }];
      }),
    );
  });
}
