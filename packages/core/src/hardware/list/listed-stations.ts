import type { Change } from '../../change/change.js';
import { put } from '../../change/make.js';
import { newPort, newStation } from '../../create/new-entities.js';
import { inOrder, orderAfter } from '../../model/order.js';
import type { Project } from '../../model/project.js';
import type { Station } from '../../model/station.js';
import type { Role } from '../../model/words.js';
import type { ListRow } from './list-rows.js';

/** Stations that a list names and that are not there yet, by their names in small letters. */
export interface ListedStations {
  byName: Map<string, Station>;
  made: readonly Station[];
  changes: Change[];
}

/**
 * The stations of a list: those that are there, and new ones for the names that are not. What a new one is follows from its
 * rows: one that is itself in the list is what its row calls it, one with a CPU is a controller, with a head a remote I/O
 * head, with rotary switches only a radio unit.
 */
export function listedStations(project: Project, rows: readonly ListRow[], newId: () => string): ListedStations {
  const known = inOrder(project, 'station');
  const byName = new Map(known.map((station) => [station.name.toLowerCase(), station]));
  const made: Station[] = [];
  const changes: Change[] = [];
  let order = orderAfter(known);
  for (const row of rows) {
    const key = row.station.toLowerCase();
    if (key === '' || byName.has(key) || row.fault !== null || (row.aside !== null && !row.is)) continue;
    const own = rows.filter((one) => one.station.toLowerCase() === key);
    const itself = own.find(({ is }) => is !== null);
    const station: Station = {
      ...newStation(newId(), order, row.station),
      roles: [itself?.is ?? roleOf(own)],
      ...(itself?.description ? { typeText: itself.description } : {}),
      ...(itself?.orderCode ? { orderCode: itself.orderCode } : {}),
    };
    order += 10;
    byName.set(key, station);
    made.push(station);
    changes.push(put('station', station), put('port', newPort(newId(), 10, station.id, null)));
  }
  return { byName, made, changes };
}

function roleOf(rows: readonly ListRow[]): Role {
  const has = (kind: ListRow['kind']) => rows.some((row) => row.kind === kind);
  if (has('CPU')) return 'controller';
  if (has('head')) return 'remote I/O head';
  return rows.every(({ dial }) => dial !== '') ? 'radio unit' : 'controller';
}
