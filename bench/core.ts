import { apply, set } from '@dialoga/core/change';
import { CheckEngine, tallyOf } from '@dialoga/core/check';
import { follow } from '@dialoga/core/follow';
import { Occupancy, type Use } from '@dialoga/core/lane';
import { Project } from '@dialoga/core/model';
import type { Change } from '@dialoga/core/change';
import { entitiesIn } from './opened.js';
import { middle, timed, type Row } from './row.js';

const MOST_FOLLOW_MS = 20;

/** The checks and the overlap search, on the generated project as a file. */
export function coreRows(file: string): Row[] {
  const rows: Row[] = [];
  let engine: CheckEngine | null = null;
  let project = Project.of({});
  // In turn: a machine that gets slower or faster meanwhile does so for both.
  const rounds = Array.from({ length: 7 }, () => {
    engine = null;
    project = Project.of({});
    const parse = timed(() => void JSON.parse(file));
    const entities = entitiesIn(file);
    const full = timed(() => {
      project = Project.of(entities);
      engine = new CheckEngine(project);
      engine.ready();
    });
    return { parse, full };
  });
  const parse = middle(rounds.map((round) => round.parse));
  const full = middle(rounds.map((round) => round.full));
  const ratio = middle(rounds.map((round) => round.full / round.parse));
  rows.push({
    work: `JSON.parse of the project's file, ${(file.length / 1e6).toFixed(1)} MB`,
    figure: `${parse.toFixed(0)} ms`,
    aim: 'the measure',
    met: true,
  });

  const { blocker } = tallyOf(engine!.findings.values());
  rows.push({
    work: `full check, indexes included; ${project.count('lane')} lanes, ${blocker} Blockers`,
    figure: `${full.toFixed(0)} ms, ${ratio.toFixed(2)} × JSON.parse`,
    aim: 'at most 3 ×',
    met: ratio <= 3,
  });

  /** Edits of one field each, taken in turn over the project. */
  const EDITS: Record<string, (i: number) => Change> = {
    lane: (i) => set('lane', project.get('lane', `l${i}`)!, ['order'], i + 1),
    'claim’s length': (i) => set('claim', project.get('claim', `l${i}r`)!, ['length', 'count'], 7),
    'claim’s place': (i) => set('claim', project.get('claim', `l${i}l`)!, ['place', 'number'], 11),
    item: (i) => set('claim', project.get('claim', `l${i}l`)!, ['items', 'k3', 'type'], { base: 'UDINT', count: 1 }),
    port: (i) => set('port', project.get('port', `p${i % 200}`)!, ['address'], `10.0.0.${20 + (i % 200)}`),
  };
  for (const [what, edit] of Object.entries(EDITS)) {
    const times: number[] = [];
    for (let i = 0; i < 60; i++) {
      const changes = [edit(i * 67)];
      const applied = apply(project, { id: `b${i}`, label: '', changes });
      if (!applied.ok) throw new Error(applied.refusal.sentence);
      times.push(
        timed(() => {
          project = project.with(applied.entities);
          engine!.update(project, applied.entities);
        }),
      );
    }
    const time = middle(times);
    rows.push({
      work: `re-check after one edit of a ${what}`,
      figure: `${time.toFixed(2)} ms, 1/${(full / time).toFixed(0)} of the full check`,
      aim: 'at most 1/50',
      met: time <= full / 50,
    });
  }
  rows.push(followRow(project));
  rows.push(overlapRow());
  return rows;
}

/** The slowest of a hundred values of all kinds of lanes, followed both ways. */
function followRow(project: Project): Row {
  const one = (i: number) => {
    const claim = `l${(i * 997) % project.count('lane')}${i % 2 ? 'l' : 'r'}`;
    return timed(() => {
      for (const way of ['forward', 'back'] as const) follow(project, claim, `k${i % 20}`, way);
    });
  };
  for (let i = 0; i < 20; i++) one(i);
  const slowest = Math.max(...Array.from({ length: 100 }, (_, i) => one(i)));
  return {
    work: 'a value followed to its last sinks and back to its sources, the slowest of a hundred',
    figure: `${slowest.toFixed(1)} ms`,
    aim: `under ${MOST_FOLLOW_MS} ms`,
    met: slowest < MOST_FOLLOW_MS,
  };
}

/** Uses of one area, side by side with every third reaching into the next. */
function uses(count: number): Use[] {
  return Array.from({ length: count }, (_, i) => ({
    of: 'claim' as const,
    id: `c${i}`,
    area: 'a',
    spans: [{ start: i * 64, end: i * 64 + (i % 3 === 0 ? 80 : 64) }],
    puts: true,
    takes: false,
  }));
}

/** Time to place so many spans in one area and to find all that overlap. */
function overlapTime(count: number): number {
  const all = uses(count);
  return middle(
    Array.from({ length: 5 }, () =>
      timed(() => {
        const occupancy = new Occupancy();
        for (const use of all) occupancy.set(use.id, use);
        let found = 0;
        for (const use of all) found += occupancy.overlapping(use).length;
        if (found === 0) throw new Error('nothing overlaps');
      }),
    ),
  );
}

function overlapRow(): Row {
  overlapTime(10_000);
  const [once, twice] = [overlapTime(100_000), overlapTime(200_000)];
  return {
    work: 'overlap search in one area, 100,000 spans; then 200,000',
    figure: `${once.toFixed(0)} ms; ${(twice / once).toFixed(2)} × that`,
    aim: 'less than 2.3 ×',
    met: twice / once < 2.3,
  };
}
