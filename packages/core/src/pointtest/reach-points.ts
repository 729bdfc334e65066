import type { Expectation } from '../model/expectation.js';
import { digestOf } from '../model/digest.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Point, PointEnd } from './point.js';

/** Of every expectation of who reaches whom: a test that an answer comes, or that none does. */
export const reachPoints = (project: Project): Point[] =>
  inOrder(project, 'expectation').flatMap((expectation) => reachPoint(project, expectation) ?? []);

function reachPoint(project: Project, { id, from, to, must, traffic }: Expectation): Point | null {
  const ends = [from, to].map((station) => endOf(project, station));
  const [a, b] = ends;
  if (!a || !b) return null;
  return {
    key: `reach ${id}`,
    sort: must === 'must reach' ? 'reach' : 'no reach',
    lane: '',
    exchange: '',
    item: '',
    from: { ...a, name: traffic },
    to: b,
    basis: digestOf([from, to, must, traffic, a.address, b.address]),
  };
}

function endOf(project: Project, id: string): PointEnd | null {
  const station = project.get('station', id);
  if (!station) return null;
  const address = childrenOf(project, 'port', station.runsOn ?? id).find((port) => port.address)?.address ?? '';
  return { end: '', station: id, at: station.name, name: '', address };
}
