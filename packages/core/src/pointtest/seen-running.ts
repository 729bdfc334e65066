import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import type { Point } from './point.js';

/** Why a test would prove nothing: a station of it was not seen running; null: all were. */
export function notRunning(project: Project, point: Point): { stations: Station[]; sentence: string } | null {
  const stations = [point.from.station, point.to.station].flatMap((id) => project.get('station', id) ?? []);
  // That a network keeps something out is seen without it.
  const asked = point.sort === 'no reach' ? stations.slice(0, 1) : stations;
  const idle = asked.filter((station) => !isSeenRunning(project, station));
  if (idle.length === 0) return null;
  const sentence = idle.map((station) => `${station.name} ${sawOf(station)}`).join(', ');
  return { stations: idle, sentence: `${sentence}: a test would prove nothing.` };
}

const sawOf = ({ observed }: Station): string =>
  observed ? `was seen ${observed.state} by ${observed.by || 'somebody'}` : 'was not seen running';

function isSeenRunning(project: Project, { id, observed }: Station): boolean {
  if (observed) return observed.state === 'running';
  return [...project.all('work')].some(({ step, state }) => step === `start ${id}` && state === 'done');
}

/** Somebody sees these running. */
export const seeRunning = (stations: readonly Station[], said: { by: string; at: string }): Change[] =>
  stations.map((station) => set('station', station, ['observed'], { state: 'running', ...said }));
