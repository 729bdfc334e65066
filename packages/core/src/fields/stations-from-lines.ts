import { apply } from '../change/apply.js';
import type { Change } from '../change/change.js';
import { inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { stationFromLine } from './station-line.js';

/** What a list of stations becomes. */
export interface ListedStations {
  changes: Change[];
  stations: number;
  networks: number;
  /** lines of which nothing was taken, or not all, with the reason */
  problems: string[];
}

const HEADING = /^(?:name|station|stations|device|tag|bezeichnung)$/i;

/** Stations from pasted lines: name, type, address, in cells of a spreadsheet, with commas, or with wide gaps between them. */
export function stationsFromLines(project: Project, text: string, newId: () => string): ListedStations {
  const changes: Change[] = [];
  const problems: string[] = [];
  let now = project;
  let stations = 0;
  const lines = text.split(/\r\n?|\n/);
  for (const [i, line] of lines.entries()) {
    const cells = line.split(/\t|\s{2,}/).map((cell) => cell.trim());
    const [first = ''] = cells;
    if (first === '' || (i === 0 && HEADING.test(first))) continue;
    const made = stationFromLine(now, cells.length > 1 ? cells : first, newId);
    if (inOrder(now, 'station').some(({ name }) => name.toLowerCase() === made.name.toLowerCase())) {
      problems.push(`line ${i + 1}: there is a station ${made.name} already`);
      continue;
    }
    const applied = apply(now, { id: 'lines', label: '', changes: made.changes });
    if (!applied.ok) {
      problems.push(`line ${i + 1}: ${applied.refusal.sentence}`);
      continue;
    }
    if (made.unread.length > 0) problems.push(`line ${i + 1}: ${made.unread.join('; ')}`);
    changes.push(...made.changes);
    now = now.with(applied.entities);
    stations++;
  }
  return { changes, stations, networks: now.count('network') - project.count('network'), problems };
}
