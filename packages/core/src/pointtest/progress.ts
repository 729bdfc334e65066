import type { PointRecord } from '../model/point-record.js';
import type { Point } from './point.js';
import { standingOf } from './point-states.js';

/** How far the points of one exchange are; those of who reaches whom stand under the empty id. */
export interface ExchangeProgress {
  exchange: string;
  all: number;
  seen: number;
  notSeen: number;
  skipped: number;
}

/** What one person, or all on one day, said. */
export interface Said {
  /** the name, or the day as `2026-11-30` */
  of: string;
  points: number;
  records: number;
}

/** How far the tests are: by exchange, by person and by day. */
export interface Progress {
  exchanges: readonly ExchangeProgress[];
  people: readonly Said[];
  days: readonly Said[];
}

/** Counts points by exchange in the order of the list, and records by person and by day, the newest day first. */
export function progressOf(points: readonly Point[], records: ReadonlyMap<string, readonly PointRecord[]>): Progress {
  const exchanges = new Map<string, ExchangeProgress>();
  const [people, days] = [new Tally(), new Tally()];
  for (const point of points) {
    let row = exchanges.get(point.exchange);
    if (!row)
      exchanges.set(point.exchange, (row = { exchange: point.exchange, all: 0, seen: 0, notSeen: 0, skipped: 0 }));
    row.all++;
    const known = records.get(point.key);
    if (!known) continue;
    const { state } = standingOf(point, known);
    if (state === 'seen') row.seen++;
    else if (state === 'not seen') row.notSeen++;
    else if (state === 'skipped') row.skipped++;
    for (const { by, at } of known) {
      people.count(by, point.key);
      days.count(at.slice(0, 10), point.key);
    }
  }
  return {
    exchanges: [...exchanges.values()],
    people: people.rows().sort((a, b) => b.records - a.records),
    days: days.rows().sort((a, b) => (a.of < b.of ? 1 : -1)),
  };
}

class Tally {
  private readonly of = new Map<string, { points: Set<string>; records: number }>();

  count(name: string, point: string): void {
    let row = this.of.get(name);
    if (!row) this.of.set(name, (row = { points: new Set(), records: 0 }));
    row.points.add(point);
    row.records++;
  }

  rows(): Said[] {
    return [...this.of].map(([of, { points, records }]) => ({ of, points: points.size, records }));
  }
}
