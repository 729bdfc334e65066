import { apply } from '../change/apply.js';
import type { Change } from '../change/change.js';
import { inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { exchangeFromLine } from './exchange-line.js';
import { routeFromLine } from './route-line.js';
import { stationFromLine } from './station-line.js';

/** What a list becomes. */
export interface ListedPlant {
  changes: Change[];
  stations: number;
  networks: number;
  exchanges: number;
  routes: number;
  /** lines of which nothing was taken, or not all, with the reason */
  problems: string[];
  /** lines of which nothing was taken, as they stood */
  left: string[];
}

const HEADING = /^(?:name|station|stations|device|tag)$/i;
const ROUTE_LINE = /^\s*route\s+(.*(?:→|->).*)$/i;
const BETWEEN = /→|↔|<?->/;

/**
 * Stations from pasted lines: name, type, address, in cells of a spreadsheet, with commas, or with wide gaps between them.
 * A line with an arrow between two names is an exchange of the kind that suits them; with *route* before it, a route.
 */
export function plantFromLines(project: Project, text: string, newId: () => string): ListedPlant {
  const listed: ListedPlant = { changes: [], stations: 0, networks: 0, exchanges: 0, routes: 0, problems: [], left: [] };
  const lines = text.split(/\r\n?|\n/);
  let now = project;
  const take = (line: number, changes: readonly Change[]): boolean => {
    const applied = apply(now, { id: 'lines', label: '', changes });
    if (!applied.ok) {
      listed.problems.push(`line ${line}: ${applied.refusal.sentence}`);
      listed.left.push(lines[line - 1]!);
      return false;
    }
    listed.changes.push(...changes);
    now = now.with(applied.entities);
    return true;
  };
  for (const [i, line] of lines.entries()) {
    const at = i + 1;
    const cells = line.split(/\t|\s{2,}/).map((cell) => cell.trim());
    const [first = ''] = cells;
    if (first === '' || (i === 0 && HEADING.test(first))) continue;
    const [, asRoute] = ROUTE_LINE.exec(line) ?? [];
    if (asRoute !== undefined) {
      const made = routeFromLine(now, asRoute.replace(/\t/g, ', '), newId);
      const said = 'problem' in made ? [made.problem] : made.unread;
      if (said.length > 0) listed.problems.push(`line ${at}: ${said.join('; ')}`);
      if ('problem' in made) listed.left.push(line);
      else if (take(at, made.changes)) listed.routes++;
      continue;
    }
    if (BETWEEN.test(line)) {
      const made = exchangeFromLine(now, line.trim().replace(/\t/g, ', '), newId);
      if (made) {
        if (made.unread.length > 0) listed.problems.push(`line ${at}: ${made.unread.join('; ')}`);
        if (take(at, made.changes)) listed.exchanges++;
      } else {
        listed.problems.push(`line ${at}: “${line.trim()}” does not name two stations of this project`);
        listed.left.push(line);
      }
      continue;
    }
    const made = stationFromLine(now, cells.length > 1 ? cells : first, newId);
    if (inOrder(now, 'station').some(({ name }) => name.toLowerCase() === made.name.toLowerCase())) {
      listed.problems.push(`line ${at}: there is a station ${made.name} already`);
      listed.left.push(line);
      continue;
    }
    if (made.unread.length > 0) listed.problems.push(`line ${at}: ${made.unread.join('; ')}`);
    if (take(at, made.changes)) listed.stations++;
  }
  return { ...listed, networks: now.count('network') - project.count('network') };
}
