import { newNetwork, newPort, newStation } from '@dialoga/core/create';
import { Project } from '@dialoga/core/model';
import { findRoutes, reachOf } from '@dialoga/core/route';
import { middle, timed, type Row } from './row.js';

const [STATIONS, NETWORKS, ROUTERS] = [200, 60, 70];

/** 200 stations on 60 networks; 70 of them route between two or three each. */
function plant(): Project {
  const numbers = Array.from({ length: STATIONS }, (_, i) => i);
  const netsOf = (i: number) =>
    i < ROUTERS ? [i % NETWORKS, (i * 7 + 1) % NETWORKS, ...(i % 3 ? [] : [(i * 13 + 5) % NETWORKS])] : [i % NETWORKS];
  return Project.of({
    project: [{ id: 'project', name: 'Routes' }],
    profile: [
      {
        id: 'router',
        order: 1,
        name: 'Router',
        layout: {},
        limits: {},
        words: {},
        views: {},
        nameRule: { caseMatters: false, source: 'the bench' },
        forwards: { r: { what: 'requests', source: 'the bench' } },
      },
    ],
    station: numbers.map((i) => ({ ...newStation(`s${i}`, i, `S${i}`), profile: i < ROUTERS ? 'router' : null })),
    network: Array.from({ length: NETWORKS }, (_, i) => newNetwork(`n${i}`, i, `N${i}`)),
    port: numbers.flatMap((i) =>
      [...new Set(netsOf(i))].map((net, n) => ({
        ...newPort(`p${i}-${n}`, n, `s${i}`, `n${net}`),
        address: `10.${net}.${n}.${(i % 250) + 1}`,
        mask: '255.255.0.0',
      })),
    ),
  });
}

/** Ways through a large plant: the best, the five best, and everything that a table of reach needs. */
export function routeRows(): Row[] {
  const project = plant();
  const pairs = Array.from(
    { length: 60 },
    (_, i) => [`s${(i * 37) % STATIONS}`, `s${(i * 91 + 17) % STATIONS}`] as const,
  );
  const ask = (count: number) =>
    middle(
      pairs.map(([from, to]) =>
        timed(() => void findRoutes(project, { from, to, traffic: 'requests', port: null }, count)),
      ),
    );
  ask(1);
  const [one, five] = [ask(1), ask(5)];
  const all = timed(() => {
    for (let i = 0; i < STATIONS; i++) {
      const [from, to] = [`s${i}`, `s${(i * 53 + 29) % STATIONS}`];
      reachOf(project, { from, to, traffic: 'requests' });
      reachOf(project, { from: to, to: from, traffic: 'requests' });
    }
  });
  const row = (work: string, ms: number, aim: number): Row => ({
    work,
    figure: `${ms.toFixed(1)} ms`,
    aim: `under ${aim} ms`,
    met: ms < aim,
  });
  return [
    row('the best way among 200 stations and 60 networks (the middle one)', one, 5),
    row('the five best ways (the middle one)', five, 25),
    row('whether 200 pairs reach each other, both ways, as a table of reach asks', all, 1000),
  ];
}
